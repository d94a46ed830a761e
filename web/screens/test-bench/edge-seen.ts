import { symptoms, type SymptomId } from '../../../core/diagnose/symptom';
import type { SeenEdge } from '../../../core/eye/measured-scrap';
import type { Lengths } from '../../../core/measure/lengths';
import { counted, percent } from '../../words/number';

/** Something wrong with a raw edge that its photo shows. */
export interface EdgeTrouble {
  readonly id: SymptomId;
  readonly name: string;
  /** What of it was measured. */
  readonly measured: string;
}

/** An edge that is longer than straight by less was cut or laid down so, as a share. */
const wavesFrom = 0.01;

const nameOf = (id: SymptomId): string => symptoms.find((one) => one.id === id)!.name;

/** What a photo shows of a raw edge that is worth saying of the scrap. */
export function edgeTroubles(
  edge: SeenEdge | null,
  lengths: Pick<Lengths, 'cloth'>,
): EdgeTrouble[] {
  if (!edge) return [];
  const found: EdgeTrouble[] = [];
  const { whiskers, longerShare } = edge;
  if (whiskers.length > 0) {
    const longest = Math.max(...whiskers.map(({ beyondMm }) => beyondMm));
    found.push({
      ...{ id: 'whiskers', name: nameOf('whiskers') },
      measured: `${counted(whiskers.length, 'thread')} (◇), ${whiskers.length > 1 ? 'up to ' : ''}${lengths.cloth(longest)} out`,
    });
  }
  if (longerShare >= wavesFrom) {
    found.push({
      ...{ id: 'edge-waves', name: nameOf('edge-waves') },
      measured: `${percent(longerShare)} longer than straight`,
    });
  }
  return found;
}

/** The symptoms of a scrap with those of its edge as they were said; any others stay. */
export const withTroubles = (
  said: readonly SymptomId[],
  found: readonly EdgeTrouble[],
  ticked: readonly SymptomId[],
): SymptomId[] => [
  ...said.filter((id) => !found.some((one) => one.id === id)),
  ...found.flatMap(({ id }) => (ticked.includes(id) ? [id] : [])),
];
