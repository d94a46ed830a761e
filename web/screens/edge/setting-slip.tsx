import { RotateCcw } from 'lucide-react';
import { memo, Suspense, useDeferredValue, useMemo } from 'react';
import { later } from '../../ground/later';
import { useNavigate } from 'react-router';
import {
  dialField,
  dialTravel,
  type Dial as DialName,
  type DialTravel,
} from '../../../core/kit/dial-steps';
import type { FinishMargin } from '../../../core/finish/finish-margin';
import { patternsOf } from '../../../core/kit/machine';
import { swings } from '../../../core/stitch/needle-path';
import { repeatLengthMm } from '../../../core/stitch/pitch';
import { useLengths } from '../../ground/lengths-context';
import { changePlan } from '../../bench/plan-change';
import { KitChoice, NeedleAndStitch } from './kit-choice';
import { Button } from '../../controls/button';
import { Dial } from '../../controls/dial';
import { PrintSlip } from '../../controls/print-slip';
import { dialName } from '../../words/dials';
import { factInWords } from '../../words/facts';
import { finishName } from '../../words/finishes';
import { counted } from '../../words/number';
import type { Bench } from '../../bench/bench';
import { isLooped } from './looped';
import { AttachmentChoice } from './attachment-choice';
import { PlacingDials } from './placing-dials';
import { Passes } from './passes';
import { PutIn } from './put-in';

const MachineMemory = later(async () => (await import('./machine-memory')).MachineMemory);
const HoldOrHide = later(async () => (await import('./hold-or-hide')).HoldOrHide);
const LooperDials = later(async () => (await import('./looper-dials')).LooperDials);
const PrintedCard = later(async () => (await import('./printed-card')).PrintedCard);
const StartingSlip = later(async () => (await import('./starting-slip')).StartingSlip);
const WorkedPanel = later(async () => (await import('./worked-panel')).WorkedPanel);

const dials: readonly DialName[] = ['width', 'length', 'needlePosition', 'guide'];
/** A binder is set before the needle: flange, its place, then what is usual. */
const dialsOfBinder: readonly DialName[] = ['guide', 'needlePosition', 'width', 'length'];

/** The setting as one would write it on a card. */
export function SettingSlip({ bench }: { bench: Bench }) {
  // The card is for paper, and what worked before is folded up: both follow the dials by a moment.
  const later = useDeferredValue(bench);
  return (
    <>
      {bench.margin ? (
        <DialSlip bench={bench} later={later} finishMargin={bench.margin} />
      ) : (
        <StartingSlip bench={bench} />
      )}
      <Suspense>
        <PrintedCard bench={later} />
      </Suspense>
    </>
  );
}

/** The slip of a finish whose dials are solved; every number is a control. */
function DialSlip(props: { bench: Bench; later: Bench; finishMargin: FinishMargin }) {
  const { bench, later, finishMargin } = props;
  const { finish, plan, record, machine, foot, judgement, solved, set, attempts, pooled, edge } =
    bench;
  const lengths = useLengths();
  const settings = bench.dials;
  const travels = useMemo(
    () =>
      Object.fromEntries(
        dials.map((dial) => [dial, dialTravel(dial, plan.machine, plan.foot.guide)]),
      ) as Record<DialName, DialTravel>,
    [plan.machine, plan.foot.guide],
  );
  // Where the edge really rides, by what scraps have taught; 0 until then.
  const shiftMm = set?.beliefs.guide?.shiftMm ?? 0;
  const patterns = useMemo(() => {
    const known = patternsOf(plan.machine);
    return finish.needs(plan.fold.variant).patterns.filter((pattern) => known.includes(pattern));
  }, [finish, plan.fold.variant, plan.machine]);
  const reasons =
    settings && set
      ? finishMargin.dialReasons(plan, { ...settings, guideMm: settings.guideMm + shiftMm })
      : null;
  const seam = finish.seamClass(plan.fold.variant);
  const lengthFacts = finishMargin.startingLength(plan).because;
  const factsFor = (dial: DialName) =>
    (dial === 'length' ? lengthFacts : reasons?.[dialField[dial]]) ?? [];
  // The width of a straight line is no dial of anything, nor a guide that nothing rides.
  const guided = set?.checks.some(({ v0 }) => v0.guide !== 0) ?? true;
  const looped = isLooped(plan);
  const shown = (plan.binder ? dialsOfBinder : dials).filter((dial) => {
    if (dial === 'guide') return guided;
    if (dial === 'width') return swings(plan.stitch) && !looped;
    return dial === 'length' || !looped;
  });
  const moved = shown.filter(
    (dial) =>
      settings && solved && Math.abs(settings[dialField[dial]] - solved[dialField[dial]]) > 1e-6,
  );
  return (
    <div>
      <h2 className="text-xl break-words">
        {finishName(finish.id)}, {edge.on || edge.name}
      </h2>
      <KitChoice
        planId={record.id}
        finish={finish}
        fold={record.fold}
        machineId={machine.id}
        footId={looped ? null : foot.id}
        reference={record.reference}
        along={plan.foot.reference ?? null}
      />
      <AttachmentChoice bench={bench} />
      {/* Fetched once there is a setting to start from; what is set comes first. */}
      <Suspense>{settings && <WorkedPanel bench={later} />}</Suspense>
      {judgement?.blocked && judgement.warnings[0] && (
        <p role="alert" className="mt-2 border-2 border-madder p-2 font-bold text-madder">
          {factInWords(judgement.warnings[0], lengths)} It is not kept.
        </p>
      )}
      <PlacingDials bench={bench} />
      <div className="pt-1">
        {settings &&
          shown.map((dial) => (
            <Dial
              key={dial}
              name={dialName(dial, plan.foot.guidance, bench.attachment !== null)}
              dial={dial}
              valueMm={settings[dialField[dial]]}
              travel={travels[dial]}
              changed={moved.includes(dial)}
              signed={dial === 'needlePosition' || dial === 'guide'}
              because={[
                ...factsFor(dial).map((fact) => factInWords(fact, lengths)),
                ...(dial === 'length'
                  ? [
                      `A repeat every ${lengths.fine(repeatLengthMm(plan.stitch, settings.lengthMm, plan.machine))}.`,
                    ]
                  : []),
                ...(moved.includes(dial) && solved
                  ? [`Solved: ${lengths.fine(solved[dialField[dial]])}.`]
                  : []),
              ].join(' ')}
              onMove={bench.turn}
            />
          ))}
      </div>
      <NeedleAndStitch
        planId={record.id}
        needleSize={record.needleSize}
        stitch={plan.stitch}
        patterns={patterns}
      />
      {!looped && (
        <Suspense fallback={<div className="min-h-24 border-t border-line" />}>
          <HoldOrHide
            planId={record.id}
            aim={record.aim}
            thread={record.thread}
            threadColour={record.threadColour}
            pickMm={record.pickMm}
            clothColour={bench.cloth.colour}
            bites={finish.nature(plan.fold.variant).worked.includes('bites')}
          />
        </Suspense>
      )}
      {seam && <p className="pt-2 text-sm text-soft">Seam ISO 4916 {seam}</p>}
      {bench.folds &&
        (plan.machine.kind === 'coverstitch' ? (
          <Suspense>
            <LooperDials bench={bench} />
          </Suspense>
        ) : (
          <PutIn finish={finish} request={bench.request} />
        ))}
      <Suspense>
        <MachineMemory bench={later} />
      </Suspense>
      <Passes edgeId={edge.id} passes={bench.passes} />
      <p className="pt-1 text-sm text-soft">
        {pooled.length > 0
          ? `Spread and offset are from your ${counted(pooled.length, 'scrap')} with this set-up${bench.learnedElsewhere ? ', and from other edges' : ''}.`
          : bench.learnedElsewhere
            ? 'Spread and offset are from your other edges; this one has no scrap yet.'
            : 'The spread is a starting guess.'}
        {attempts.length > pooled.length &&
          ` ${counted(attempts.length - pooled.length, 'scrap')} of another set-up not counted.`}
      </p>
      <SlipActions
        planId={record.id}
        edgeId={edge.id}
        isSewable={judgement !== null && !judgement.blocked}
        isMoved={moved.length > 0}
      />
    </div>
  );
}

interface SlipActionsProps {
  readonly planId: string;
  readonly edgeId: string;
  readonly isSewable: boolean;
  readonly isMoved: boolean;
}

const backIcon = <RotateCcw size={18} aria-hidden />;

/** What is done with a setting once it stands. */
const SlipActions = memo(function SlipActions(props: SlipActionsProps) {
  const { planId, edgeId, isSewable, isMoved } = props;
  const navigate = useNavigate();
  return (
    <div className="no-print sticky -bottom-4 -mx-5 mt-3 flex gap-2 border-t border-line bg-slip px-5 py-3">
      <Button
        look="solid"
        className="grow"
        disabled={!isSewable}
        onClick={() => void navigate(`/edges/${edgeId}/test`)}
      >
        Log a scrap
      </Button>
      <Button
        aria-label="Back to the solved setting"
        title="Back to the solved setting"
        className="px-3!"
        disabled={!isMoved}
        onClick={() => changePlan(planId, { settings: null })}
      >
        {backIcon}
      </Button>
      <PrintSlip />
    </div>
  );
});
