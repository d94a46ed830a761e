import { useMemo, useState } from 'react';
import { cornerStages, mitreOf } from '../../../core/strip/mitre';
import { leastCornerRadiusMm, shorterByRoundingMm } from '../../../core/strip/round-corner';
import { stripEasesPercent } from '../../../core/strip/eases';
import { useLengths } from '../../ground/lengths-context';
import { StagePlayer } from '../../controls/stage-player';
import { CornerPicture } from '../../pictures/corner-picture';
import { cornerAbout, cornerTitles } from '../../words/corner-stages';
import type { KeptPart, SetUpPart, WorkPart } from '../../bench/bench';
import { EdgeSchools } from './edge-schools';

const right = 90;

/** How a bound corner is turned, step by step from both faces; or rounded, with its least radius. */
export function CornerPanel({ bench }: { bench: KeptPart & SetUpPart & WorkPart }) {
  const { edge, record, folds, request } = bench;
  const { fine, cloth } = useLengths();
  const [at, setAt] = useState(0);
  const depthMm = record.fold.depthMm ?? 0;
  const { form } = edge;
  // The sharpest corner is the one to practise.
  const angleDegrees =
    form?.kind === 'cornered' ? Math.min(...form.sides.map((side) => side.angleDegrees)) : right;
  const stitchMm = folds?.stitchFromHemlineMm ?? depthMm / 2;
  const shownMm = Math.max(3.4 * depthMm, 24);
  const stages = useMemo(
    () =>
      cornerStages({
        ...{ depthMm, angleDegrees, shownMm },
        fromFoldMm: Math.max(0, depthMm - stitchMm),
      }),
    [depthMm, angleDegrees, shownMm, stitchMm],
  );
  const way = request.schools['binding-corner'];
  const byHand = way === 'hand';
  const shown = byHand ? stages.filter(({ id }) => id !== 'line-down') : stages;
  const index = Math.min(at, shown.length - 1);
  const stage = shown[index];
  const variant = record.fold.variant;
  const radiusMm = leastCornerRadiusMm(depthMm, stripEasesPercent(variant));
  const elastic = variant === 'fold-over-elastic';
  const rounded = way === 'rounded' || elastic;
  if (!stage) return null;
  if (edge.shape !== 'cornered') {
    return (
      <div role="alert" className="p-6">
        <h2 className="text-xl text-madder">A mitre needs a corner, and this edge curves</h2>
        <p>
          Satin gives too little to lie round a curve tighter than {cloth(radiusMm)}; here it is{' '}
          {cloth(edge.minRadiusMm ?? 0)}. A strip on the bias goes round{' '}
          {cloth(leastCornerRadiusMm(depthMm, stripEasesPercent('double-fold')))}, and a narrower
          one round less.
        </p>
      </div>
    );
  }
  const { lengthMm: mitreMm } = mitreOf({ depthMm, angleDegrees });
  return (
    <div className="flex h-full flex-col md:flex-row">
      <div className="flex min-h-72 min-w-0 grow flex-col md:min-h-0">
        {rounded ? (
          <RoundedCorner radiusMm={radiusMm} depthMm={depthMm} />
        ) : (
          <>
            <StagePlayer
              verb="Corner"
              count={shown.length}
              index={index}
              title={cornerTitles[stage.id]}
              onIndex={setAt}
            />
            <div className="min-h-52 grow">
              <CornerPicture
                stage={stage}
                mitreMm={mitreMm}
                reachMm={[shownMm, Math.max(shownMm * 0.62, 1.8 * depthMm)]}
              />
            </div>
            <p className="px-4 pb-1 text-soft">
              {byHand && stage.id === 'closed' ? 'Close it by hand on both faces. ' : ''}
              {cornerAbout[stage.id]}
            </p>
          </>
        )}
      </div>
      <div className="w-full shrink-0 overflow-y-auto border-t border-line px-4 py-1 md:w-64 md:border-t-0 md:border-l">
        {elastic ? (
          <p role="alert" className="font-bold text-madder">
            Elastic turns no corner: round it to {cloth(radiusMm)} or more, or take a strip of
            cloth.
          </p>
        ) : (
          <EdgeSchools bench={bench} about={['boundCorners']} />
        )}
        {rounded && (
          <p className="text-sm text-soft">
            Each rounded corner takes {fine(shorterByRoundingMm(radiusMm, Math.PI / 2))} off the
            edge.
          </p>
        )}
      </div>
    </div>
  );
}

/** A corner cut round, with the strip round it and the radius it needs. */
function RoundedCorner({ radiusMm, depthMm }: { radiusMm: number; depthMm: number }) {
  const { cloth } = useLengths();
  const [size, side] = [320, 240];
  const scale = 190 / Math.max(1, radiusMm * 1.15);
  const r = radiusMm * scale;
  const inner = Math.max(0, (radiusMm - depthMm) * scale);
  const [x, y] = [size - 40, side - 24];
  const ring = (radius: number, inset: number) =>
    `M${-400},${y - inset} H${x - r} A${radius},${radius} 0 0 0 ${x - inset},${y - r} V${-400}`;
  return (
    <div className="grid min-h-44 grow content-center justify-items-center gap-2 p-4">
      <svg
        viewBox={`0 0 ${size} ${side}`}
        className="max-h-72 w-full max-w-xl"
        role="img"
        aria-label={`A rounded corner with a radius of ${cloth(radiusMm)}, to scale`}
      >
        <path d={`${ring(r, 0)} H-400 Z`} className="fill-strip stroke-graphite" />
        <path
          d={`${ring(inner, depthMm * scale)} H-400 Z`}
          className="fill-(--cloth-1) stroke-graphite"
        />
        <path
          d={`M${x - r},${y - r} L${x - r + r * Math.SQRT1_2},${y - r + r * Math.SQRT1_2}`}
          className="stroke-pencil [stroke-width:2]"
        />
        <circle cx={x - r} cy={y - r} r={3} className="fill-pencil" />
      </svg>
      <p role="status">
        <b className="big-number text-2xl">{cloth(radiusMm)}</b> or rounder: tighter, the strip
        pleats at its inner fold.
      </p>
    </div>
  );
}
