import { useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import { judge } from '../../../core/plan/judge';
import { learnedBeliefs, type Learned } from '../../../core/plan/learn-plan';
import { setUpOf } from '../../../core/plan/set-up-of';
import { countedSwatch, sewSwatch } from '../../../core/swatch/swatch';
import type { AttemptRecord } from '../../../contract/records';
import { useLengths } from '../../ground/lengths-context';
import { BeliefChart } from '../../pictures/belief-chart';
import { ScrapStrip } from '../../pictures/scrap-strip';
import { useBox } from '../../pictures/use-box';
import { movedInWords, toldApart } from '../../words/comparison';
import { countsInWords } from '../../words/counts';
import { capital, about } from '../../words/number';
import { symptomName } from '../../words/symptoms';
import { verdictWords } from '../../words/verdicts';
import { solver } from '../../workers/solver';
import type { Outcome } from '../../workers/solver-tasks';
import type { LessonPart, SetUpPart, WorkPart } from '../../bench/bench';
import { samplesOf } from '../../../core/plan/of-records';
import { comparedWithBefore, comparisonWords } from './compare';

/** One face of a strip, px. */
const faceHeight = 34;

/** What was believed before the first scrap of this set-up, and after each. */
function useBeliefs({
  finish,
  plan,
  pooled,
  carried,
  margin,
}: SetUpPart & WorkPart & LessonPart): readonly Learned[] | null {
  const scraps = useMemo(() => {
    const known = Object.keys(margin?.words.checks ?? {});
    return pooled.map((attempt) =>
      samplesOf([attempt]).filter(({ check }) => known.includes(check)),
    );
  }, [pooled, margin]);
  const { data } = useQuery({
    queryKey: ['beliefs', finish.id, plan, scraps, carried],
    queryFn: async (): Promise<Outcome<Learned[]>> =>
      solver.beliefs(finish.id, plan, scraps, carried),
    enabled: Boolean(margin) && scraps.length > 0,
    staleTime: Infinity,
    networkMode: 'always',
  });
  return data?.ok ? data.value : null;
}

/** Both pictures of a counted scrap: what was to be expected before it, and what it came to. */
function Pictures(props: {
  bench: SetUpPart & WorkPart & LessonPart;
  attempt: AttemptRecord;
  before: Learned;
  widthPx: number;
}) {
  const { bench, attempt, before, widthPx } = props;
  const { finish, margin, plan } = bench;
  const drawn = useMemo(() => {
    if (!margin || !attempt.settings) return null;
    const set = setUpOf(finish, plan, learnedBeliefs(before));
    const [first] = margin.references(plan, attempt.settings);
    const counted = countedSwatch(set, attempt.settings, first, attempt.counts, attempt.number);
    const predicted = sewSwatch(
      set,
      attempt.settings,
      first,
      counted.lengthMm + 1e-6,
      attempt.number,
    );
    return { set, counted, predicted, chance: judge(set, attempt.settings).chance };
  }, [finish, margin, plan, attempt, before]);
  if (!drawn || !margin || !attempt.settings) return null;
  const common = {
    ...{ margin, plan, set: drawn.set, dials: attempt.settings },
    ...{ widthPx, heightPx: faceHeight },
  };
  const expected = drawn.predicted.stitches.length * (1 - drawn.chance);
  return (
    <div className="flex flex-wrap gap-4 pt-1">
      <figure>
        <ScrapStrip
          {...common}
          id={`predicted-${attempt.id}`}
          swatch={drawn.predicted}
          label={`Scrap ${attempt.number}, as it was to be expected`}
        />
        <figcaption className="text-sm text-soft">
          predicted: about {about(expected)} of {drawn.predicted.stitches.length} at fault
        </figcaption>
      </figure>
      <figure>
        <ScrapStrip
          {...common}
          id={`counted-${attempt.id}`}
          swatch={drawn.counted}
          label={`Scrap ${attempt.number}, as it was counted`}
        />
        <figcaption className="text-sm text-soft">
          counted: <b className="text-graphite">{countsInWords(attempt)}</b>
        </figcaption>
      </figure>
    </div>
  );
}

/** Every scrap with what was moved, what it did, and how well it was foreseen. */
export function SideBySide({ bench }: { bench: SetUpPart & WorkPart & LessonPart }) {
  const { attempts, pooled, margin, set } = bench;
  const lengths = useLengths();
  const beliefs = useBeliefs(bench);
  const [ref, { width }] = useBox<HTMLDivElement>();
  const words = comparisonWords(bench, lengths);
  const stripWidth = Math.max(220, Math.min(440, (width - 48) / 2));
  const source = set?.checks.find(({ name }) => name === margin?.countedCheck)?.source ?? 'guide';
  if (attempts.length === 0) {
    return (
      <p className="p-5 text-soft">
        Nothing to compare yet. Record a scrap, change one thing, and record the next.
      </p>
    );
  }
  const points = (which: 'shift' | 'sigma') =>
    (beliefs ?? []).flatMap((learned, i) => {
      const posterior = learned[source];
      // Before the first there is something to show only where it was carried over.
      if (!posterior) return [];
      return [
        {
          at: i === 0 ? 'before' : `scrap ${pooled[i - 1]?.number ?? i}`,
          middle: which === 'shift' ? posterior.shiftMm : posterior.sigmaMm,
          interval: which === 'shift' ? posterior.shiftInterval : posterior.sigmaInterval,
        },
      ];
    });
  return (
    <div ref={ref} className="px-4 py-3">
      {points('shift').length > 1 && (
        <section aria-label="What is known of your hand" className="pb-2">
          <h2 className="text-xl">What each scrap told</h2>
          <div className="grid h-44 grid-cols-2 gap-3">
            <BeliefChart name="Offset" points={points('shift')} isLength level={0} />
            <BeliefChart
              name="Spread"
              points={points('sigma')}
              isLength
              colour="var(--color-moss)"
            />
          </div>
        </section>
      )}
      <h2 className="text-xl">Side by side</h2>
      <ol>
        {attempts.map((attempt) => {
          const comparison = comparedWithBefore(bench, attempt);
          const confused = comparison && toldApart(comparison, attempt.counts.length > 0, words);
          const verdict = attempt.verdict && verdictWords[attempt.verdict];
          const nth = pooled.findIndex(({ id }) => id === attempt.id);
          return (
            <li key={attempt.id} className="border-b border-line py-2 last:border-0">
              <div className="flex items-baseline gap-3">
                <span className="big-number text-2xl">{attempt.number}</span>
                <b>
                  {comparison
                    ? capital(movedInWords(comparison, words))
                    : 'The first with this finish'}
                </b>
                {verdict && (
                  <b className={verdict.text}>
                    {verdict.sign} {verdict.name.toLowerCase()}
                  </b>
                )}
                <span className="text-sm text-soft">{attempt.note}</span>
              </div>
              {attempt.symptoms.length > 0 && (
                <p className="text-sm">Seen: {attempt.symptoms.map(symptomName).join(', ')}</p>
              )}
              {confused && <p className="text-sm text-ochre">{confused}</p>}
              <div className="flex flex-wrap gap-3">
                {width > 0 && nth >= 0 && beliefs && attempt.counts.length > 0 && (
                  <Pictures
                    bench={bench}
                    attempt={attempt}
                    before={beliefs[nth] ?? {}}
                    widthPx={stripWidth}
                  />
                )}
                {attempt.photoId && (
                  <img
                    src={`/api/photos/${attempt.photoId}`}
                    alt={`Photo of scrap ${attempt.number}`}
                    className="h-18 rounded-[3px] border border-line"
                  />
                )}
              </div>
            </li>
          );
        })}
      </ol>
    </div>
  );
}
