import { whereBoundMeet } from '../../../core/seam/where-bound-meet';
import { liftsOf } from '../../../core/kit/machine';
import { MeetingVerdict } from '../../controls/meeting-verdict';
import type { KeptPart, SetUpPart, WorkPart } from '../../bench/bench';

/** The layers where two bound edges meet in a seam that is closed afterwards, before anyone gets there. */
export function BoundMeeting({ bench }: { bench: KeptPart & SetUpPart & WorkPart }) {
  const { folds, edge, plan, request, finish } = bench;
  if (!folds?.strip || edge.crossings.length === 0) return null;
  // Bound in the round nothing is closed over the binding.
  const asked = finish.schools.some(
    ({ id, variants }) => id === 'one-seam-open' && (variants ?? []).includes(plan.fold.variant),
  );
  if (asked && request.schools['one-seam-open'] === 'round') return null;
  const meeting = whereBoundMeet(
    { layers: folds.layersAtStitch, stackMm: folds.stackMm },
    plan.cloth.construction,
    liftsOf(plan.machine),
  );
  return (
    <p className="border-b border-line py-2" role="status">
      Bound flat and closed afterwards, the seam has <MeetingVerdict {...meeting} />
      {asked && (
        <span className="block text-sm text-soft">
          Leave the seam open that is least seen: the left shoulder of a neck, the side of an
          armhole.
        </span>
      )}
    </p>
  );
}
