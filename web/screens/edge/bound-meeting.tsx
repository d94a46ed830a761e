import { whereBoundMeet } from '../../../core/seam/where-bound-meet';
import { liftsOf } from '../../../core/kit/machine';
import { useLengths } from '../../app/lengths-context';
import type { KeptPart, SetUpPart, WorkPart } from '../../bench/bench';

const verdicts = {
  freely: ['✓', 'text-moss', 'passes freely'],
  'with-care': ['!', 'text-ochre', 'passes with care: hammered, a longer stitch, by handwheel'],
  'will-not-pass': ['✕', 'text-madder', 'will not pass: bind in the round, or grade it by hand'],
} as const;

/** The layers where two bound edges meet in a seam that is closed afterwards, before anyone gets there. */
export function BoundMeeting({ bench }: { bench: KeptPart & SetUpPart & WorkPart }) {
  const { folds, edge, plan, request, finish } = bench;
  const { fine } = useLengths();
  if (!folds?.strip || edge.crossings.length === 0) return null;
  // Bound in the round nothing is closed over the binding.
  const asked = finish.schools.some(
    ({ id, variants }) => id === 'one-seam-open' && (variants ?? []).includes(plan.fold.variant),
  );
  if (asked && request.schools['one-seam-open'] === 'round') return null;
  const { layers, stackMm, passage } = whereBoundMeet(
    { layers: folds.layersAtStitch, stackMm: folds.stackMm },
    plan.cloth.construction,
    liftsOf(plan.machine),
  );
  const [sign, colour, words] = verdicts[passage];
  return (
    <p className="border-b border-line py-2" role="status">
      Bound flat and closed afterwards, the seam has{' '}
      <b>
        {layers} layers, {fine(stackMm)}
      </b>
      :{' '}
      <span className={`font-bold ${colour}`}>
        {sign} {words}.
      </span>
      {asked && (
        <span className="block text-sm text-soft">
          Leave the seam open that is least seen: the left shoulder of a neck, the side of an
          armhole.
        </span>
      )}
    </p>
  );
}
