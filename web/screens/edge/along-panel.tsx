import { useMemo } from 'react';
import { liftsOf } from '../../../core/kit/machine';
import { handZones } from '../../../core/edge/hands';
import { isClosed } from '../../../core/edge/shape';
import { alongTheEdge, type AlongEdge } from '../../../core/seam/crossings';
import { pressedShare } from '../../../core/fold/stack';
import type { Passage } from '../../../core/seam/passage';
import { counted } from '../../words/number';
import { Impossible } from '../../../core/impossible';
import { useLengths } from '../../app/lengths-context';
import { AlongEdgePicture } from '../../pictures/along-edge';
import type { Bench } from './bench';

/** What the foot meets round this edge, with this machine and foot; null while it makes no sense. */
function useAlong({ edge, folds, plan, foot, machine }: Bench): AlongEdge | null {
  return useMemo(() => {
    if (!folds) return null;
    const crossed = {
      lengthMm: edge.lengthMm,
      closed: isClosed(edge),
      crossings: edge.crossings,
    };
    try {
      return alongTheEdge(
        crossed,
        folds.layersAtStitch,
        plan.cloth,
        foot.soleMm,
        liftsOf(machine.specs),
      );
    } catch (error) {
      if (error instanceof Impossible) return null;
      throw error;
    }
  }, [edge, folds, plan.cloth, foot.soleMm, machine.specs]);
}

/** The edge as the foot meets it: thick places, and what to do at each. */
export function AlongPanel({ bench }: { bench: Bench }) {
  const along = useAlong(bench);
  const hands = handZones(bench.edge, bench.work.sewn?.smallerSideMm ?? null);
  if (!along) {
    return <p className="p-6 text-soft">Nothing to draw until the folds and crossings fit.</p>;
  }
  return (
    <div className="flex h-full flex-col">
      <div className="min-h-0 grow">
        <AlongEdgePicture
          along={along}
          lengthMm={bench.edge.lengthMm}
          closed={isClosed(bench.edge)}
          hands={hands}
        />
      </div>
      {hands.length > 0 && (
        <p className="shrink-0 px-4 pb-1 text-sm text-moss">
          {hands[0]?.kind === 'corner'
            ? 'Green: a corner. Needle down, foot up, turn.'
            : 'Green: a curve. Needle down, foot up, let the cloth swing, as often as ↻ says.'}
        </p>
      )}
      <Verdict along={along} bench={bench} />
    </div>
  );
}

/** How a verdict is told apart: by its sign as well as by its colour. */
const verdictLook: Readonly<Record<Passage, { readonly sign: string; readonly colour: string }>> = {
  freely: { sign: '✓', colour: 'text-moss' },
  'with-care': { sign: '!', colour: 'text-ochre' },
  'will-not-pass': { sign: '✕', colour: 'text-madder' },
};

function Verdict({ along, bench }: { along: AlongEdge; bench: Bench }) {
  const { fine, cloth } = useLengths();
  const { maxStackMm, hammeredMm, verdict, tiltDegrees, startAtMm, zones } = along;
  const { liftMm, highLiftMm } = liftsOf(bench.machine.specs);
  // A shim is told in plates, and in layers of the cloth one has in hand.
  const shimLayers = (mm: number) =>
    Math.ceil(mm / (pressedShare * bench.plan.cloth.thicknessMm) - 1e-9);
  const shimMm = Math.max(0, ...zones.map((zone) => zone.shimMm));
  const guessed = bench.machine.specs.presserLiftMm ? '' : ' (a starting guess of the lift)';
  if (bench.edge.crossings.length === 0) {
    return (
      <p className="shrink-0 border-t border-line px-4 py-2 text-soft">
        No seam crosses this edge yet. Add each one on the slip: how it was made and where.
      </p>
    );
  }
  return (
    <div
      className="flex shrink-0 items-baseline gap-4 border-t border-line px-4 py-2"
      role="status"
    >
      <p className={`big-number shrink-0 text-2xl ${verdictLook[verdict].colour}`}>
        {verdictLook[verdict].sign} {fine(maxStackMm)}
      </p>
      <p>
        {verdict === 'will-not-pass' ? (
          <>
            <b className="text-madder">It will not pass:</b> hammered it is still {fine(hammeredMm)}
            , and the foot goes up to {fine(highLiftMm)} at most{guessed}. Grade the allowances,
            press the seam open instead, or choose a finish with fewer layers.
          </>
        ) : (
          <>
            {verdict === 'with-care' ? (
              <>
                <b className="text-ochre">With care:</b> more than the foot lifts, {fine(liftMm)}
                {guessed}. Hammer the seam to about {fine(hammeredMm)}, push the lever further, turn
                the handwheel, and use
              </>
            ) : (
              <>The thickest place passes{guessed}. Use</>
            )}{' '}
            a shim <b>{fine(shimMm)}</b> high, {counted(shimLayers(shimMm), 'layer')} of this cloth,
            where the foot tips, up to {Math.round(tiltDegrees)}°, and a stitch a little longer.
            {isClosed(bench.edge) &&
              ` Start at ${cloth(startAtMm)}, so that the end overlaps on the thick seam.`}
          </>
        )}
      </p>
    </div>
  );
}
