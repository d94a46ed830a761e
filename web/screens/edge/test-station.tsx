import { dialField } from '../../../core/kit/dial-steps';
import { acceptedFaultShare } from '../../../core/margin/advise';
import { countedAlongEdge } from '../../../core/plan/judge';
import type { Lengths } from '../../app/lengths';
import { useLengths } from '../../app/lengths-context';
import { change } from '../../app/records';
import { Button } from '../../controls/button';
import { dialName } from '../../words/dials';
import { finishName } from '../../words/finishes';
import { about, counted, ofHundred } from '../../words/number';
import type { Bench } from './bench';
import { ScrapForm } from './scrap-form';
import { ScrapList } from './scrap-list';
import { SeenPanel } from './seen-panel';
import { StartingTable } from './starting-slip';

/** Counting a scrap, above what earlier scraps came to. */
export function TestTable({ bench }: { bench: Bench }) {
  if (!bench.margin) return <LookOnly bench={bench} />;
  return (
    <div className="grid h-full grid-cols-1 xl:grid-cols-[22rem_minmax(0,1fr)]">
      <ScrapForm key={bench.record.id} bench={bench} />
      <div className="min-h-0 overflow-y-auto border-l border-line">
        <ScrapList bench={bench} />
        <SeenPanel key={bench.record.id} bench={bench} />
      </div>
    </div>
  );
}

/** Where nothing is counted: how the scrap should come out, and what to do with it. */
function LookOnly({ bench }: { bench: Bench }) {
  return (
    <div className="flex min-h-full flex-col">
      <div className="px-5 pt-4">
        <h2 className="text-xl">Sew a scrap and look at both faces</h2>
        <p className="max-w-prose text-soft">
          Cut through it: this is how {finishName(bench.finish.id).toLowerCase()} should lie.
          Nothing is counted here; one looks, and changes one value at a time.
        </p>
      </div>
      <div className="h-96 shrink-0">
        <StartingTable bench={bench} />
      </div>
      <SeenPanel key={bench.record.id} bench={bench} />
    </div>
  );
}

type Lesson = NonNullable<Bench['lesson']>;

/** Where the edge really runs, and what that leads to. */
function belief({ posterior }: Lesson, bench: Bench, { fine }: Lengths): string {
  const { shiftMm } = posterior;
  const { margin, set, dials, plan } = bench;
  const counted = set?.checks.find(({ name }) => name === margin?.countedCheck);
  const reference =
    (margin && dials && margin.references(plan, dials)[0].name) || margin?.words.reference;
  if (Math.abs(shiftMm) < 0.03) return `Your ${reference} runs where it should.`;
  const side = shiftMm < 0 ? 'left' : 'right';
  const end = shiftMm * (counted?.k ?? 1) < 0 ? counted?.below : counted?.above;
  const so = margin?.words.faults[end ?? '']?.long;
  return `Your ${reference} runs about ${fine(Math.abs(shiftMm))} to the ${side}${so ? `: more often ${so}` : ''}.`;
}

function Interval({
  name,
  mm,
  interval,
}: {
  name: string;
  mm: number;
  interval: readonly [number, number];
}) {
  const { fine, fineNumber } = useLengths();
  return (
    <div className="flex items-baseline justify-between gap-3 py-0.5">
      <dt>{name}</dt>
      <dd className="text-right">
        <b>{fine(mm)}</b>
        <span className="text-sm text-soft">
          {' '}
          ({fineNumber(interval[0])} to {fineNumber(interval[1])})
        </span>
      </dd>
    </div>
  );
}

/** What the scraps say, and the one next move. */
export function TestSlip({ bench }: { bench: Bench }) {
  const { lesson, pooled, attempts, record, plan } = bench;
  const words = bench.margin?.words;
  const lengths = useLengths();
  const last = pooled.at(-1);
  if (!words) {
    return (
      <>
        <h2 className="text-2xl">One thing at a time</h2>
        <ol className="list-decimal space-y-1 pt-3 pl-5">
          <li>Same cloth, same layers, same grain as the edge.</li>
          <li>Set the starting values. Handwheel for the first stitches.</li>
          <li>Sew a hand’s length, over a seam if the edge crosses one.</li>
          <li>Look at both faces, bend it, pull at it.</li>
          <li>Change one value and sew again.</li>
        </ol>
      </>
    );
  }
  if (!lesson || !last) {
    return (
      <div>
        <h2 className="text-2xl">
          {attempts.length > 0 && bench.busy ? 'Reading the scraps…' : 'Sew the first scrap'}
        </h2>
        <p className="pt-2 text-soft">
          {attempts.length > 0
            ? 'The scraps so far were sewn with another set-up; they teach nothing about this one.'
            : 'What your hand does is not known yet; the spread on the bar is a starting guess.'}
        </p>
        <ol className="list-decimal space-y-1 pt-3 pl-5">
          <li>Same cloth, same layers, folded as for the hem.</li>
          <li>Set the dials as on the slip. Handwheel for the first stitches.</li>
          <li>Sew about 24 {words.counted}, a hand’s length or two.</li>
          <li>{words.look}</li>
        </ol>
      </div>
    );
  }
  const { next, now, instead, enough, posterior } = lesson;
  const stitches = countedAlongEdge(plan, now.settings.lengthMm);
  const accepted = Math.max(1, stitches * acceptedFaultShare);
  const taken =
    next.change &&
    bench.dials &&
    bench.dials[dialField[next.change.dial]] === next.settings[dialField[next.change.dial]];
  const kept = record.keptAttemptId === last.id;
  const keep = () =>
    change('plans', record.id, { keptAttemptId: last.id, settings: last.settings });
  const bites = counted(
    pooled.reduce((sum, { counts }) => sum + (counts[0]?.n ?? 0), 0),
    words.one,
    words.counted,
  );
  const from = `from ${bites} on ${counted(pooled.length, 'scrap')}`;
  const resew = `about ${about(now.predicted.expectedFaults)} of ${Math.round(stitches)}`;

  return (
    <div className="flex min-h-full flex-col">
      {enough || !next.change ? (
        <>
          <h2 className="text-2xl">{enough ? 'Enough. Sew the edge.' : 'No dial gains more'}</h2>
          <p className="text-sm text-soft">{from}</p>
          <p className="border-b border-line py-3">
            <span className={`big-number text-5xl ${enough ? 'text-moss' : ''}`}>
              {ofHundred(now.predicted.ok)}
            </span>{' '}
            of 100
            <span className="block">
              Expect {resew} {words.counted} to resew at the setting of scrap {last.number}.
            </span>
          </p>
          {!enough && (
            <p className="border-b border-line py-3">
              {belief(lesson, bench, lengths)}{' '}
              {bench.set?.checks.some(({ v0 }) => v0.guide !== 0)
                ? 'Another scrap at this setting would make it surer; a finer machine or a steadier guide would widen the margin.'
                : 'No dial helps here: it is your hand that has to bring it back.'}
            </p>
          )}
        </>
      ) : (
        <>
          <h2 className="text-2xl">Move one dial</h2>
          <p className="text-sm text-soft">{from}</p>
          <div className="border-b border-line py-3" data-testid="advice">
            <p>{dialName(next.change.dial, plan.foot.guidance)}</p>
            <p className="big-number text-5xl">
              {lengths.fineNumber(next.change.fromMm)}{' '}
              <span className="text-3xl text-seam">to</span> {lengths.fineNumber(next.change.toMm)}
              <span className="font-body text-base font-normal text-soft"> {lengths.unit}</span>
            </p>
            <p className="pt-1">{belief(lesson, bench, lengths)}</p>
          </div>
          <p className="border-b border-line py-3">
            <b>Expect</b> about {about(next.predicted.expectedFaults)} of {Math.round(stitches)}{' '}
            {words.counted} to resew, down from {about(now.predicted.expectedFaults)}.
          </p>
          {instead?.change && (
            <p className="border-b border-line py-3">
              <b>Or instead</b> {dialName(instead.change.dial, plan.foot.guidance).toLowerCase()}{' '}
              {lengths.fineNumber(instead.change.fromMm)} to {lengths.fine(instead.change.toMm)}:
              about {about(instead.predicted.expectedFaults)} to resew.
            </p>
          )}
        </>
      )}
      <dl className="pt-2">
        <Interval name="Offset" mm={posterior.shiftMm} interval={posterior.shiftInterval} />
        <Interval name="Spread" mm={posterior.sigmaMm} interval={posterior.sigmaInterval} />
      </dl>
      <p className="border-b border-line pb-2 text-sm text-soft">nine chances of ten in brackets</p>
      <p className="py-2 text-sm text-soft">
        Enough when no more than {about(accepted)} of {Math.round(stitches)} are likely to need
        resewing.
      </p>
      <div className="grow" />
      <div className="grid gap-2">
        {next.change && !enough && (
          <Button
            look="solid"
            disabled={taken === true}
            onClick={() =>
              change('plans', record.id, { settings: next.settings, keptAttemptId: null })
            }
          >
            {taken
              ? `Dial set: sew scrap ${last.number + 1}`
              : `Take it for scrap ${last.number + 1}`}
          </Button>
        )}
        <Button look={enough ? 'solid' : 'outline'} disabled={kept} onClick={keep}>
          {kept
            ? `✓ Setting of scrap ${last.number} is kept`
            : `Keep the setting of scrap ${last.number}`}
        </Button>
      </div>
    </div>
  );
}
