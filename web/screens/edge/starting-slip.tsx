import { Tabs } from 'radix-ui';
import { useNavigate } from 'react-router';
import { startingValuesOf } from '../../../core/plan/work';
import { useLengths } from '../../ground/lengths-context';
import { Button } from '../../controls/button';
import { PrintSlip } from '../../controls/print-slip';
import { SectionPicture } from '../../pictures/section-picture';
import { factInWords } from '../../words/facts';
import { finishName } from '../../words/finishes';
import { valueInWords } from '../../words/starting-value';
import { stitchLabel } from '../../words/stitches';
import type { KeptPart, SetUpPart, WorkPart } from '../../bench/bench';
import { isLooped } from './looped';
import { tellingStage } from './looked-at';
import { InDrawer } from './in-drawer';
import { KitNeeds } from './kit-needs';
import { LoopedSwatch } from './looped-swatch';
import { KitChoice } from './kit-choice';

/** The finish as it is sewn, where no dial is solved for it. */
export function StartingTable({ bench }: { bench: KeptPart & SetUpPart & WorkPart }) {
  const { folds } = bench;
  const stage = folds && tellingStage(folds);
  if (!stage) {
    return <p className="p-6 text-soft">Nothing to draw until the lengths fit; see the folds.</p>;
  }
  const section = (
    <div className="flex h-full flex-col">
      <h2 className="px-4 pt-3 text-center text-xl">{stage.title}</h2>
      <div className="min-h-0 grow">
        <SectionPicture stage={stage} marks={folds.marks} exaggeration={1} />
      </div>
    </div>
  );
  if (!isLooped(bench.plan)) return section;
  const tab =
    'min-h-9 border-b-3 border-transparent px-3 text-sm data-[state=active]:border-pencil data-[state=active]:font-bold data-[state=active]:text-pencil';
  return (
    <Tabs.Root defaultValue="swatch" className="flex h-full flex-col">
      <Tabs.List aria-label="Picture" className="flex shrink-0 border-b border-line px-2">
        <Tabs.Trigger value="swatch" className={tab}>
          Swatch
        </Tabs.Trigger>
        <Tabs.Trigger value="section" className={tab}>
          Section
        </Tabs.Trigger>
      </Tabs.List>
      <Tabs.Content value="swatch" tabIndex={-1} className="min-h-0 grow">
        <LoopedSwatch bench={bench} />
      </Tabs.Content>
      <Tabs.Content value="section" tabIndex={-1} className="min-h-0 grow">
        {section}
      </Tabs.Content>
    </Tabs.Root>
  );
}

/** What to set before the first test, each value with its reason. */
export function StartingSlip({ bench }: { bench: KeptPart & SetUpPart & WorkPart }) {
  const { finish, request, record, machine, foot, edge, folds, plan } = bench;
  const seam = finish.seamClass(plan.fold.variant);
  const lengths = useLengths();
  const navigate = useNavigate();
  const values = folds ? startingValuesOf(finish, request) : [];
  return (
    <div className="flex min-h-full flex-col">
      <h2 className="text-xl break-words">
        {finishName(finish.id)}, {edge.on || edge.name}
      </h2>
      <KitChoice
        planId={record.id}
        finish={finish}
        fold={record.fold}
        machineId={machine.id}
        footId={isLooped(bench.plan) ? null : foot.id}
        reference={record.reference}
        along={plan.foot.reference ?? null}
      />
      <p className="pt-1 text-sm text-soft">
        {finish.needs(plan.fold.variant).patterns.slice(0, 1).map(stitchLabel)}
        {seam && ` · seam ISO 4916 ${seam}`}
      </p>
      <KitNeeds finish={finish} wish={record.fold} />
      <dl className="pt-1">
        {values.map((value) => (
          <div
            key={value.id}
            className="grid grid-cols-[7rem_1fr] items-baseline gap-x-3 border-b border-line py-2"
          >
            <dt>{value.name}</dt>
            <dd className={typeof value.value === 'number' ? 'big-number text-2xl' : 'font-bold'}>
              {valueInWords(value, lengths)}
              {value.unit === 'mm' && (
                <span className="font-body text-sm font-normal text-soft"> {lengths.unit}</span>
              )}
            </dd>
            <dd className="col-span-2 text-sm text-soft">
              {value.because.map((fact) => factInWords(fact, lengths)).join(' ')}
              <InDrawer value={value} />
            </dd>
          </div>
        ))}
      </dl>
      {values.length === 0 && (
        <p className="py-3 text-soft">
          No machine is set for this finish: shears and a steady hand.
        </p>
      )}
      <p className="pt-2 text-sm text-soft">
        All starting guesses. Sew a scrap, look at both faces, and change one thing.
      </p>
      <div className="grow" />
      <div className="no-print sticky -bottom-4 -mx-5 mt-3 flex gap-2 border-t border-line bg-slip px-5 py-3">
        <Button
          look="solid"
          className="grow"
          onClick={() => void navigate(`/edges/${edge.id}/folds?view=steps`)}
        >
          The work, step by step
        </Button>
        <PrintSlip />
      </div>
    </div>
  );
}
