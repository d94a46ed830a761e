import { liftsOf } from '../../../core/kit/machine';
import type { AlongEdge } from '../../../core/seam/crossings';
import { layersFor } from '../../../core/plan/hands-along';
import type { Passage } from '../../../core/seam/passage';
import { counted } from '../../words/number';
import { useLengths } from '../../ground/lengths-context';
import { AlongEdgePicture } from '../../pictures/along-edge';
import type { KeptPart, SetUpPart, WorkPart } from '../../bench/bench';
import { useAlong } from '../../bench/use-along';
import { HandList } from './hand-list';
import { Plates } from './plates';

/** The edge as the foot meets it: thick places, and what the hands do from the start to the close. */
export function AlongPanel({ bench }: { bench: KeptPart & SetUpPart & WorkPart }) {
  const { edge } = bench;
  const { along, shown } = useAlong(bench);
  if (!along || !shown) {
    return <p className="p-6 text-soft">Nothing to draw until the folds and crossings fit.</p>;
  }
  const { passes, mostStackMm } = along;
  return (
    <div className="flex h-full flex-col">
      <div className="flex min-h-0 grow flex-col md:flex-row">
        <div className="h-72 min-w-0 shrink-0 md:h-auto md:min-h-0 md:shrink md:grow">
          <AlongEdgePicture
            {...{ passes, mostStackMm, lengthMm: edge.lengthMm }}
            profile={shown.profile}
            hands={shown.hands}
          />
        </div>
        <HandList hands={shown.hands} lengthMm={edge.lengthMm} />
      </div>
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

function Verdict({ along, bench }: { along: AlongEdge; bench: KeptPart & SetUpPart & WorkPart }) {
  const { fine } = useLengths();
  const { maxStackMm, hammeredMm, verdict, tiltDegrees, zones } = along;
  const { liftMm, highLiftMm } = liftsOf(bench.machine.specs);
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
      className="flex shrink-0 flex-wrap items-baseline gap-x-4 border-t border-line px-4 py-2 md:flex-nowrap"
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
            a shim <b>{fine(shimMm)}</b> high,{' '}
            {counted(layersFor(shimMm, bench.plan.cloth.thicknessMm), 'layer')} of this cloth
            <Plates shimMm={shimMm} />, where the foot tips, up to {Math.round(tiltDegrees)}°, and a
            stitch a little longer.
          </>
        )}
      </p>
    </div>
  );
}
