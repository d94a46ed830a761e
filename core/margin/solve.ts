import { Impossible, refusal } from '../impossible';
import { needleRadiusMm } from '../kit/needle';
import { needleAirMm, needleMayGo } from '../stitch/clearance';
import { costFunction } from './cost';
import { dialSpace, type MarginSettings, type SetUp } from './set-up';

/** The cost of a setting at which the needle would meet metal. */
const meetsMetal = Number.NaN;

/** Settings whose costs differ by no more than this are taken as equally good. */
export const tieWithin = 0.002;

/** Below 0 when a is to be preferred over b among equally good settings. */
function tidier(a: Costed, b: Costed) {
  return (
    Math.abs(a.needlePositionMm) - Math.abs(b.needlePositionMm) ||
    a.widthMm - b.widthMm ||
    a.cost - b.cost ||
    Math.abs(a.guideMm) - Math.abs(b.guideMm)
  );
}

/**
 * The best setting on the machine's own steps: least expected cost among those that clear the
 * metal; within {@link tieWithin} the needle nearest the centre, then the smaller width.
 * Source: docs/formulas.md, “Solving for the dials”.
 *
 * @throws Impossible when no setting clears the foot and the plate
 */
export function solve(set: SetUp): MarginSettings {
  const { widthMm, needlePositionMm, guideMm } = solved(set);
  return { widthMm, needlePositionMm, guideMm };
}

/** A setting with what it is expected to cost. */
export type Costed = MarginSettings & { readonly cost: number };

/**
 * The same with its cost, for whoever has several set-ups to choose from.
 *
 * @throws Impossible when no setting clears the foot and the plate
 */
export function solved(set: SetUp): Costed {
  const space = dialSpace(set);
  const mayGo = needleMayGo(set.stitch, set.foot, set.machine, set.needleSize);
  const costOf = costFunction(set.checks, set.beliefs, set.faultWeights);
  // A block for each needle position: [p][W][g].
  const costs = new Float64Array(
    space.needlePosition.length * space.width.length * space.guide.length,
  );
  let least = Infinity;
  let i = 0;
  for (const needlePositionMm of space.needlePosition) {
    for (const widthMm of space.width) {
      const clear = mayGo(widthMm, needlePositionMm);
      for (const guideMm of space.guide) {
        if (clear) {
          const cost = costOf(widthMm, needlePositionMm, guideMm);
          costs[i] = cost;
          if (cost < least) least = cost;
        } else costs[i] = meetsMetal;
        i++;
      }
    }
  }
  if (least === Infinity) throw nothingClears(set);

  let best: Costed | null = null;
  i = 0;
  for (const needlePositionMm of space.needlePosition) {
    for (const widthMm of space.width) {
      for (const guideMm of space.guide) {
        const cost = costs[i++] ?? meetsMetal;
        if (!(cost <= least + tieWithin)) continue;
        // Cheaper than building a candidate for each of thousands of ties.
        if (best && Math.abs(needlePositionMm) > Math.abs(best.needlePositionMm)) continue;
        const candidate = { widthMm, needlePositionMm, guideMm, cost };
        if (!best || tidier(candidate, best) < 0) best = candidate;
      }
    }
  }
  return best ?? { widthMm: 0, needlePositionMm: 0, guideMm: 0, cost: least };
}

function nothingClears(set: SetUp): Impossible {
  const keepMm = needleRadiusMm(set.needleSize) + needleAirMm;
  const { slotMm, besideMm } = set.foot;
  const [fromMm, toMm] = slotMm ?? besideMm ?? [0, 0];
  return new Impossible([
    refusal(
      slotMm ? 'foot.slotMm' : 'foot.besideMm',
      'nothing-clears',
      slotMm
        ? 'No setting of this machine clears the foot: its slot runs from {fromMm} to {toMm} and a size {size} needle needs {keepMm:fine} on either side of every hole.'
        : 'No setting of this machine clears the foot, which stands from {fromMm} to {toMm}: a size {size} needle needs {keepMm:fine} beside it.',
      { fromMm, toMm, size: set.needleSize, keepMm },
    ),
  ]);
}
