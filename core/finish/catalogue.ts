import { blindHem } from './blind-hem';
import { bound } from './bound';
import { doubleHem } from './double-hem';
import type { Finish } from './finish';
import { frenchSeam } from './french-seam';
import { fringe } from './fringe';
import { jeansHem } from './jeans-hem';
import { keptHem } from './kept-hem';
import { coverstitchHem } from './coverstitch-hem';
import { leftCut } from './left-cut';
import { overcast } from './overcast';
import { pinked } from './pinked';
import { plainSeam } from './plain-seam';
import { rolledHem } from './rolled-hem';
import { serged } from './serged';
import { sergedRolled } from './serged-rolled';
import { shellEdge } from './shell-edge';
import { singleHem } from './single-hem';
import { wideHem } from './wide-hem';

/** Every finish there is. A new one adds its file, its test and its line here. */
export const catalogue: readonly Finish[] = [
  blindHem,
  singleHem,
  coverstitchHem,
  doubleHem,
  jeansHem,
  keptHem,
  wideHem,
  rolledHem,
  sergedRolled,
  overcast,
  serged,
  plainSeam,
  frenchSeam,
  pinked,
  leftCut,
  bound,
  shellEdge,
  fringe,
];

/** The finish of an id; undefined when there is none. */
export function finishById(id: string): Finish | undefined {
  return catalogue.find((finish) => finish.id === id);
}
