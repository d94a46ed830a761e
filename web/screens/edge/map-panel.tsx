import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useLengths } from '../../ground/lengths-context';
import { issueInWords } from '../../words/refusals';
import { Suspense, useMemo, useState } from 'react';
import { later } from '../../ground/later';
import { dialField, marginDials, type MarginDial } from '../../../core/kit/dial-steps';
import { swings } from '../../../core/stitch/needle-path';
import { bestGuideMm, dialSweep, type MarginMap } from '../../../core/margin/map';
import { LineChoice } from '../../controls/line-choice';
import { MarginMapPicture } from '../../pictures/margin-map';
import { dialName } from '../../words/dials';
import { latestOnly } from '../../workers/latest';
import { solver } from '../../workers/solver';
import type { Outcome } from '../../workers/solver-tasks';
import type { DialsPart, LessonPart, SetUpPart } from '../../bench/bench';
import { identityOf } from '../../bench/identity';
import { taught } from '../../bench/use-lessons';

// The charts' package is loaded when somebody looks at one.
const DialChart = later(async () => (await import('../../pictures/dial-chart')).DialChart);

const mapOf = latestOnly(
  async (...args: Parameters<typeof solver.map>): Promise<Outcome<MarginMap>> =>
    solver.map(...args),
);

/** The map of this set-up, worked out off this thread; the last one stays until the next is there. */
function useMap(
  { finish, plan, learned, dials }: SetUpPart & LessonPart & DialsPart,
  best: boolean,
  enabled: boolean,
) {
  const guideMm = best ? null : (dials?.guideMm ?? 0);
  return useQuery({
    queryKey: ['map', finish.id, identityOf(plan), taught(learned), guideMm],
    queryFn: async (): Promise<Outcome<MarginMap>> => {
      const outcome = await mapOf(finish.id, plan, learned, guideMm);
      // Overtaken by a newer one, which is what will be shown.
      if (!outcome) throw new Error('overtaken');
      return outcome;
    },
    enabled: enabled && dials !== null,
    retry: 2,
    staleTime: Infinity,
    networkMode: 'always',
    placeholderData: keepPreviousData,
  });
}

/** How forgiving the set-up is: over two dials as a map, over one as a curve. */
export function MapPanel({ bench }: { bench: SetUpPart & LessonPart & DialsPart }) {
  const lengths = useLengths();
  const { plan, set, dials, moveTo } = bench;
  const adjusts = 'rangeMm' in plan.foot.guide;
  const ruled = (set?.ruledWidthMm ?? null) !== null;
  // A straight line has no swing to draw a map over, and a ruled width is no dial.
  const mapped = swings(plan.stitch) && !ruled;
  const [view, setView] = useState<'map' | MarginDial>(mapped ? 'map' : 'needlePosition');
  const [best, setBest] = useState(false);
  const map = useMap(bench, best && adjusts, mapped);
  const sweep = useMemo(
    () => (set && dials && view !== 'map' ? dialSweep(set, view, dials) : null),
    [set, dials, view],
  );
  const views: readonly (readonly ['map' | MarginDial, string])[] = [
    ...(mapped ? [['map', 'Width × needle'] as const] : []),
    ...marginDials
      .filter((dial) => (dial === 'guide' ? adjusts : dial === 'needlePosition' || mapped))
      .map((dial) => [dial, `${dialName(dial, plan.foot.guidance)} alone`] as const),
  ];
  if (!dials) return <p className="p-6 text-soft">Working out the setting…</p>;
  const outcome = map.data;
  const move = (column: number, row: number, dragging: boolean) => {
    if (!outcome?.ok || !set) return;
    const { widthsMm, needlePositionsMm } = outcome.value;
    const place = {
      widthMm: widthsMm[column] ?? dials.widthMm,
      needlePositionMm: needlePositionsMm[row] ?? dials.needlePositionMm,
    };
    // Worked out here and not read off the map, which may still be the one before.
    const guide = best && adjusts ? { guideMm: bestGuideMm(set, { ...dials, ...place }) } : {};
    moveTo({ ...place, ...guide }, dragging);
  };
  return (
    <div className="flex h-full flex-col" aria-busy={map.isFetching}>
      <div className="flex flex-wrap items-center gap-3 border-b border-line px-3">
        <LineChoice<'map' | MarginDial>
          label="Look at"
          value={view}
          options={views}
          onChange={setView}
        />
        {adjusts && view === 'map' && (
          <label className="flex min-h-9 items-center gap-2 text-sm">
            <input
              type="checkbox"
              className="size-4 accent-pencil"
              checked={best}
              onChange={(event) => setBest(event.target.checked)}
            />
            best place of the guide for each cell
          </label>
        )}
      </div>
      <div className="min-h-0 grow">
        {sweep && view !== 'map' ? (
          <Suspense>
            <DialChart
              name={dialName(view, plan.foot.guidance)}
              sweep={sweep}
              nowMm={dials[dialField[view]]}
            />
          </Suspense>
        ) : !outcome ? (
          <p className="p-6 text-soft">Drawing the map…</p>
        ) : outcome.ok ? (
          <MarginMapPicture
            map={outcome.value}
            settings={dials}
            onMove={move}
            onDrop={() => moveTo({})}
          />
        ) : (
          <p role="alert" className="p-6 text-madder">
            {outcome.issues[0] && issueInWords(outcome.issues[0], lengths)}
          </p>
        )}
      </div>
    </div>
  );
}
