import { Tabs } from 'radix-ui';
import { useNavigate, useSearchParams } from 'react-router';
import { asksLength } from '../../../core/edge/form';
import { change } from '../../ground/records';
import { useLengths } from '../../ground/lengths-context';
import { servesPurpose } from '../../../core/finish/nature';
import { takesField } from '../../../core/finish/fold-request';
import { isClosed } from '../../../core/edge/shape';
import { LengthField } from '../../controls/length-field';
import { NumberField } from '../../controls/number-field';
import { TextField } from '../../controls/text-field';
import { EdgePlan } from '../../pictures/edge-plan';
import { FromAbove } from '../../pictures/from-above';
import { FormFields, setByHand } from '../edge-asked/form-fields';
import { PurposeQuestion, StateQuestions } from '../edge-asked/edge-questions';
import { ShapeAndLength } from '../edge-asked/shape-and-length';
import { AlongPanel } from './along-panel';
import type { KeptPart, SetUpPart, WorkPart } from '../../bench/bench';
import { CrossingList } from './crossing-list';
import { depthRefusal, setFold } from './fold-fields';
import { CurveFit } from './curve-fit';
import { EdgeSchools } from './edge-schools';
import { MeasuredFacts } from './measured-facts';
import { WalkPanel } from './walk/walk-panel';
import { PlatesOwned } from './plates';
import { useMarkHandles } from './use-mark-handles';

/** The edge as it lies, to scale, and what its curve does to a hem. */
export function EdgeTable({ bench }: { bench: KeptPart & SetUpPart & WorkPart }) {
  const { edge, plan, folds } = bench;
  const [params, setParams] = useSearchParams();
  const depthMm = folds?.finishedDepthMm ?? plan.fold.depthMm ?? 0;
  const allowanceMm = folds?.allowanceMm ?? depthMm;
  const { shown, handles } = useMarkHandles(edge, depthMm);
  const asked = params.get('view');
  const view = asked === 'along' || (asked === 'alter' && edge.oldHem) ? asked : 'above';
  const tab =
    'min-h-9 border-b-3 border-transparent px-3 text-sm data-[state=active]:border-pencil data-[state=active]:font-bold data-[state=active]:text-pencil';
  return (
    <Tabs.Root
      value={view}
      onValueChange={(next) => setParams(next === 'above' ? {} : { view: next }, { replace: true })}
      className="flex h-full flex-col"
    >
      <Tabs.List aria-label="Picture" className="flex shrink-0 border-b border-line px-2">
        <Tabs.Trigger value="above" className={tab}>
          From above
        </Tabs.Trigger>
        <Tabs.Trigger value="along" className={tab}>
          Along the edge
        </Tabs.Trigger>
        {edge.oldHem && (
          <Tabs.Trigger value="alter" className={tab}>
            Alter it, step by step
          </Tabs.Trigger>
        )}
      </Tabs.List>
      <Tabs.Content value="above" tabIndex={-1} className="flex min-h-0 grow flex-col">
        <div className="flex min-h-0 grow flex-col md:flex-row">
          <div className="min-h-52 min-w-0 grow">
            {edge.form === null && ['straight', 'outside-curve'].includes(edge.shape) ? (
              <EdgePlan edge={edge} depthMm={depthMm} allowanceMm={allowanceMm} />
            ) : (
              <FromAbove edge={shown} {...{ depthMm, allowanceMm, handles }} />
            )}
          </div>
          {edge.form && (
            <MeasuredFacts
              edgeId={edge.id}
              edge={shown}
              form={shown.form ?? edge.form}
              {...{ depthMm, allowanceMm, cloth: plan.cloth }}
            />
          )}
        </div>
        <CurveFit bench={bench} />
      </Tabs.Content>
      <Tabs.Content value="along" tabIndex={-1} className="min-h-0 grow">
        <AlongPanel bench={bench} />
      </Tabs.Content>
      {edge.oldHem && (
        <Tabs.Content value="alter" tabIndex={-1} className="min-h-0 grow">
          <WalkPanel bench={bench} />
        </Tabs.Content>
      )}
    </Tabs.Root>
  );
}

/** What it is on, how long, how curved, how deep a hem. */
export function EdgeSlip({ bench }: { bench: KeptPart & SetUpPart & WorkPart }) {
  const lengths = useLengths();
  const { edge, record } = bench;
  const navigate = useNavigate();
  const set = (patch: Partial<typeof edge>) => change('edges', edge.id, patch);
  /** Turned to another purpose: what is planned is kept, and the list opens where it does not serve. */
  const turn = (patch: Partial<typeof edge>) => {
    set(patch);
    const nature = bench.finish.nature(bench.plan.fold.variant);
    if (!bench.proposed && patch.purpose && !servesPurpose(nature, patch.purpose)) {
      void navigate(`/edges/${edge.id}/finish`);
    }
  };
  const depthRule = bench.finish.fields.depthMm;
  const ownDepth =
    !bench.proposed && depthRule !== undefined && takesField(depthRule, record.fold.variant);
  const hemmed = bench.finish.nature(record.fold.variant).worked.includes('turned');
  return (
    <div className="grid gap-2">
      <h2 className="sr-only">The edge</h2>
      <PurposeQuestion edge={edge} onChange={turn} />
      <FormFields
        edge={edge}
        allowanceMm={bench.proposed ? null : (bench.folds?.allowanceMm ?? null)}
        onChange={set}
      />
      {(edge.form === null || asksLength(edge.form)) && (
        <ShapeAndLength
          shape={edge.form ? null : edge.shape}
          lengthMm={edge.lengthMm}
          onChange={(patch) => set(setByHand(edge.form, patch))}
        />
      )}
      {edge.form === null && (
        <LengthField
          label="Radius of its tightest curve"
          value={edge.minRadiusMm}
          optional
          placeholder="straight"
          refuse={(mm) =>
            mm >= 1 && mm <= 100_000
              ? null
              : `A radius is between ${lengths.cloth(1)} and ${lengths.cloth(100_000)}; leave it empty for a straight edge.`
          }
          onCommit={(minRadiusMm) => set({ minRadiusMm })}
        />
      )}
      {edge.form === null && (edge.shape === 'inside-curve' || edge.shape === 'outside-curve') && (
        <NumberField
          label="It turns through (empty: all the way round)"
          unit="°"
          optional
          value={edge.turnDegrees}
          refuse={(degrees) =>
            degrees >= 1 && degrees <= 360 ? null : 'An edge turns through 1 to 360°.'
          }
          onCommit={(turnDegrees) => set({ turnDegrees })}
        />
      )}
      <EdgeSchools bench={bench} about={['eased', 'short']} />
      <StateQuestions edge={edge} onChange={set} asksDepth={!ownDepth} />
      <EdgeSchools bench={bench} about={['paired']} />
      <TextField label="Name" value={edge.name} onCommit={(name) => set({ name })} />
      <TextField label="It is on" value={edge.on} onCommit={(on) => set({ on })} />
      {isClosed(edge) && (
        <LengthField
          label="What has to pass through: girth of head, hand or foot"
          value={edge.passesOverMm}
          optional
          placeholder="nothing"
          refuse={(mm) => (mm >= 10 && mm <= 5000 ? null : 'A girth is between 1 cm and 5 m.')}
          onCommit={(passesOverMm) => set({ passesOverMm })}
        />
      )}
      <LengthField
        label="Cloth there is beyond the finished edge"
        value={edge.spareMm}
        optional
        placeholder="enough"
        refuse={(mm) =>
          mm >= 0 && mm <= 2000 ? null : 'Up to 2 m; leave it empty while nothing is cut.'
        }
        onCommit={(spareMm) => set({ spareMm })}
      />
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5 accent-pencil"
          checked={edge.forChild}
          onChange={(event) => set({ forChild: event.target.checked })}
        />
        For a small child: nothing may pull off
      </label>
      {ownDepth && (
        <LengthField
          label={depthRule.name}
          value={record.fold.depthMm ?? null}
          refuse={(mm) => depthRefusal(bench, 'depthMm', mm, lengths)}
          onCommit={(mm) => {
            if (mm === null) return;
            setFold(bench, { depthMm: mm });
            // What one set is what one wants, of whichever finish.
            if (hemmed && (edge.purpose === 'hem' || edge.purpose === 'opening')) {
              set({ depthMm: mm });
            }
          }}
        />
      )}
      <CrossingList bench={bench} />
      {edge.crossings.length > 0 && <PlatesOwned />}
      <EdgeSchools bench={bench} about={['roundWithSeams']} />
    </div>
  );
}
