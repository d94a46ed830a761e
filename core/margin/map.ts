import { needleMayGo } from '../stitch/clearance';
import { Impossible, refusal } from '../impossible';
import { costFunction, type CostOf } from './cost';
import { dialSpace, type MarginSettings, type SetUp } from './set-up';

/** The chance over width × needle position: how forgiving a set-up is. */
export interface MarginMap {
  readonly widthsMm: readonly number[];
  readonly needlePositionsMm: readonly number[];
  /** A row for each needle position; NaN where the needle would meet metal. */
  readonly chances: Float32Array;
  /** The guide place each chance is reached at, mm. */
  readonly guidesMm: Float32Array;
}

/** More cells than this are a slip in a step: no screen shows them, and no one can aim at one. */
export const mostMapCells = 60_000;

/** The chance that a stitch is sound, from the three dials in mm; made once, called for each cell. */
function chanceFunction(set: SetUp): CostOf {
  const faults = costFunction(set.checks, set.beliefs, { below: 1, above: 1 });
  return (widthMm, needlePositionMm, guideMm) => 1 - faults(widthMm, needlePositionMm, guideMm);
}

/**
 * The map of a set-up on the machine's own steps.
 *
 * @param guideMm where the guide stands; null for the best of its places in every cell
 * @throws Impossible when there are more cells than {@link mostMapCells}
 */
export function marginMap(set: SetUp, guideMm: number | null): MarginMap {
  const { width, needlePosition, guide } = dialSpace(set);
  const cells = width.length * needlePosition.length;
  if (cells > mostMapCells) {
    throw new Impossible([
      refusal(
        'machine.widthStepMm',
        'too-many-cells',
        'A map of {cells} cells is more than anyone can aim at; at most {most} are drawn. Give the steps the machine really has.',
        { cells: cells.toLocaleString('en'), most: mostMapCells.toLocaleString('en') },
      ),
    ]);
  }
  const guides = guideMm === null ? guide : [guideMm];
  const mayGo = needleMayGo(set.stitch, set.foot, set.machine, set.needleSize);
  const chanceAt = chanceFunction(set);
  const chances = new Float32Array(cells).fill(NaN);
  const guidesMm = new Float32Array(cells).fill(guides[0] ?? 0);
  needlePosition.forEach((p, row) => {
    width.forEach((w, column) => {
      if (!mayGo(w, p)) return;
      const cell = row * width.length + column;
      let best = -1;
      for (const g of guides) {
        const chance = chanceAt(w, p, g);
        if (chance > best) {
          best = chance;
          chances[cell] = chance;
          guidesMm[cell] = g;
        }
      }
    });
  });
  return { widthsMm: width, needlePositionsMm: needlePosition, chances, guidesMm };
}

/** The chance along one dial while the others stand. */
export interface DialSweep {
  readonly positionsMm: readonly number[];
  /** NaN where the needle would meet metal. */
  readonly chances: readonly number[];
}

/** How the chance follows one dial, at every position it has. */
export function dialSweep(
  set: SetUp,
  dial: keyof ReturnType<typeof dialSpace>,
  at: MarginSettings,
): DialSweep {
  const positionsMm = dialSpace(set)[dial];
  const mayGo = needleMayGo(set.stitch, set.foot, set.machine, set.needleSize);
  const chanceAt = chanceFunction(set);
  return {
    positionsMm,
    chances: positionsMm.map((mm) => {
      const w = dial === 'width' ? mm : at.widthMm;
      const p = dial === 'needlePosition' ? mm : at.needlePositionMm;
      return mayGo(w, p) ? chanceAt(w, p, dial === 'guide' ? mm : at.guideMm) : NaN;
    }),
  };
}

/** Where the guide does best while width and needle position stand, mm; the first of equals. */
export function bestGuideMm(set: SetUp, at: MarginSettings): number {
  const { positionsMm, chances } = dialSweep(set, 'guide', at);
  const best = chances.reduce(
    (found, chance, i) => (chance > (chances[found] ?? 0) ? i : found),
    0,
  );
  return positionsMm[best] ?? at.guideMm;
}
