import type { WorkStep } from '../finish/work';
import type { Meeting } from './garment';

/** Steps of an edge that is bound while a seam is still open. */
const openSeam = ['open-seam', 'ends'];

/**
 * A person's ways of working on an edge, as far as the garment leaves them the choice: where every
 * seam that meets an edge is closed before the edge is finished, it is bound in the round.
 *
 * @param ways of the person, where a plan says nothing
 */
export function waysInGarment(
  ways: Readonly<Record<string, string>>,
  meets: readonly Meeting[],
  edgeId: string,
): Readonly<Record<string, string>> {
  const own = meets.filter((meeting) => meeting.edgeId === edgeId);
  const isRound = own.length > 0 && own.every(({ edge }) => edge === 'after');
  return isRound ? { ...ways, 'one-seam-open': 'round' } : ways;
}

/**
 * The steps of an edge within its garment: a seam that closes over a finished edge has steps of its
 * own, so the edge needs none for it.
 */
export function stepsInGarment(
  steps: readonly WorkStep[],
  meets: readonly Meeting[],
  edgeId: string,
): readonly WorkStep[] {
  const closesLater = meets.some(
    (meeting) => meeting.edgeId === edgeId && meeting.edge === 'before',
  );
  if (!closesLater || !steps.some(({ id }) => id === openSeam[0])) return steps;
  return steps.filter(({ id }) => !openSeam.includes(id));
}
