import { Printer, RotateCcw } from 'lucide-react';
import { Tabs } from 'radix-ui';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import {
  dialField,
  dialTravel,
  type Dial as DialName,
  type DialTravel,
} from '../../../core/kit/dial-steps';
import { needleAdvice } from '../../../core/plan/starting-setting';
import { repeatOf } from '../../../core/stitch/repeat';
import { useLengths } from '../../app/lengths-context';
import { change } from '../../app/records';
import { KitChoice, NeedleAndStitch } from './kit-choice';
import { Button } from '../../controls/button';
import { Dial } from '../../controls/dial';
import { SectionPicture } from '../../pictures/section-picture';
import { UnderFoot } from '../../pictures/under-foot';
import { dialNames, factInWords } from '../../words/facts';
import { finishName } from '../../words/finishes';
import { counted, ofHundred } from '../../words/number';
import type { Bench } from './bench';

/** The view under the foot; behind a tab, the section with the needle in place. */
export function SettingTable({ bench }: { bench: Bench }) {
  const { finish, plan, judgement, foot, set, issues } = bench;
  const source = judgement?.margins[0]?.source;
  const belief = source && set?.beliefs[source];
  if (!judgement || !belief) {
    return (
      <p className="p-6 text-soft">
        {issues.length > 0
          ? 'Nothing to draw until the set-up fits; see below.'
          : 'Working out the setting…'}
      </p>
    );
  }
  const sewn = Object.fromEntries(judgement.checks.map(({ name, v0Mm }) => [name, v0Mm]));
  const folds = finish.folds({ wish: plan.fold, cloth: plan.cloth, sewn });
  const stage = folds.stages.find(({ id }) => id === 'stitch');
  const tab =
    'min-h-9 border-b-3 border-transparent px-3 text-sm data-[state=active]:border-pencil data-[state=active]:font-bold data-[state=active]:text-pencil';
  return (
    <Tabs.Root defaultValue="foot" className="flex h-full flex-col">
      <Tabs.List aria-label="Picture" className="flex shrink-0 border-b border-line px-2">
        <Tabs.Trigger value="foot" className={tab}>
          Under the foot
        </Tabs.Trigger>
        <Tabs.Trigger value="section" className={tab}>
          Section
        </Tabs.Trigger>
        <span className="ml-auto self-center pr-2 text-sm text-soft">
          clearance{' '}
          <b className={judgement.blocked ? 'text-madder' : ''}>
            {<Clearance mm={judgement.clearance.clearanceMm} />}
          </b>
        </span>
      </Tabs.List>
      <Tabs.Content value="foot" tabIndex={-1} className="min-h-0 grow">
        <UnderFoot finish={finish} plan={plan} foot={foot} judgement={judgement} belief={belief} />
      </Tabs.Content>
      <Tabs.Content value="section" tabIndex={-1} className="min-h-0 grow">
        {stage && (
          <SectionPicture
            folds={folds}
            stage={stage}
            thicknessMm={plan.cloth.thicknessMm}
            exaggeration={1}
          />
        )}
      </Tabs.Content>
    </Tabs.Root>
  );
}

function Clearance({ mm }: { mm: number }) {
  return useLengths().fine(mm);
}

const dials: readonly DialName[] = ['width', 'length', 'needlePosition', 'guide'];

/** The setting as one would write it on a card; every number is a control. */
export function SettingSlip({ bench }: { bench: Bench }) {
  const { finish, plan, record, machine, foot, judgement, solved, set, attempts, pooled, edge } =
    bench;
  const lengths = useLengths();
  const navigate = useNavigate();
  const settings = bench.dials;
  const margin = judgement?.margins[0];
  const travels = useMemo(
    () =>
      Object.fromEntries(
        dials.map((dial) => [dial, dialTravel(dial, plan.machine, plan.foot.guide)]),
      ) as Record<DialName, DialTravel>,
    [plan.machine, plan.foot.guide],
  );
  // Where the edge really rides, by what scraps have taught; 0 until then.
  const shiftMm = set?.beliefs.guide?.shiftMm ?? 0;
  const reasons =
    settings && set
      ? finish.dialReasons(plan, { ...settings, guideMm: settings.guideMm + shiftMm })
      : null;
  const lengthFacts = finish.startingLength(plan).because;
  const factsFor = (dial: DialName) =>
    (dial === 'length' ? lengthFacts : reasons?.[dialField[dial]]) ?? [];
  const needle = needleAdvice(plan.cloth.weightGsm);
  const stitches = repeatOf(plan.stitch).stitches;
  const moved = dials.filter(
    (dial) =>
      settings && solved && Math.abs(settings[dialField[dial]] - solved[dialField[dial]]) > 1e-6,
  );
  return (
    <div>
      <h2 className="text-xl break-words">
        {finishName(finish.id)}, {edge.on || edge.name}
      </h2>
      <KitChoice planId={record.id} machineId={machine.id} footId={foot.id} />
      <p className="hidden text-sm print:block">
        {machine.name}, {foot.name}; {bench.cloth.name}
        {margin && judgement && (
          <b className="block">
            Margin {lengths.fine(-margin.fromMm)} left, {lengths.fine(margin.toMm)} right;{' '}
            {ofHundred(judgement.chance)} of 100
          </b>
        )}
      </p>
      {judgement?.blocked && judgement.warnings[0] && (
        <p role="alert" className="mt-2 border-2 border-madder p-2 font-bold text-madder">
          {factInWords(judgement.warnings[0], lengths)} It is not kept.
        </p>
      )}
      <div className="pt-1">
        {settings &&
          dials.map((dial) => (
            <Dial
              key={dial}
              name={dialNames[dial]}
              dial={dial}
              valueMm={settings[dialField[dial]]}
              travel={travels[dial]}
              changed={moved.includes(dial)}
              signed={dial === 'needlePosition' || dial === 'guide'}
              because={[
                ...factsFor(dial).map((fact) => factInWords(fact, lengths)),
                ...(dial === 'length'
                  ? [`Now every ${lengths.fine(stitches * settings.lengthMm)}.`]
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
        patterns={finish.needs.patterns}
      />
      <p className="pt-1 text-sm text-soft">
        {needle.because.map((fact) => factInWords(fact, lengths))}{' '}
        {pooled.length > 0
          ? `Spread and offset are from your ${counted(pooled.length, 'scrap')} with this set-up.`
          : 'The spread is a starting guess.'}
        {attempts.length > pooled.length &&
          ` ${counted(attempts.length - pooled.length, 'scrap')} of another set-up not counted.`}
      </p>
      <div className="no-print sticky -bottom-4 -mx-5 mt-3 flex gap-2 border-t border-line bg-slip px-5 py-3">
        <Button
          look="solid"
          className="grow"
          disabled={!judgement || judgement.blocked}
          onClick={() => void navigate(`/edges/${edge.id}/test`)}
        >
          Log a scrap
        </Button>
        <Button
          aria-label="Back to the solved setting"
          title="Back to the solved setting"
          className="px-3!"
          disabled={moved.length === 0}
          onClick={() => change('plans', record.id, { settings: null })}
        >
          <RotateCcw size={18} aria-hidden />
        </Button>
        <Button
          aria-label="Print the slip"
          title="Print the slip"
          className="px-3!"
          onClick={() => window.print()}
        >
          <Printer size={18} aria-hidden />
        </Button>
      </div>
    </div>
  );
}
