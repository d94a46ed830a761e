import type { Cloth } from '../cloth/cloth';
import type { Finish } from '../finish/finish';
import type { SewingPlan } from '../finish/sewing-plan';
import { Impossible, refusal } from '../impossible';
import { genericFeet } from '../kit/generic-feet';
import { genericMachines } from '../kit/generic-machines';
import { startingNeedle } from '../kit/needle';
import { ownFootOf } from '../kit/own-foot';
import { wishForVariant } from './fold-plan';
import { newPlan } from './new-plan';
import { alongBest } from './ride';
import { setUpOf } from './set-up-of';
import { usualStitch } from './usual-stitch';
import { wholePlan } from './whole-plan';

/** A medium woven, where nobody says what the cloth is. */
const plainCloth: Cloth = {
  ...{ construction: 'woven', weightGsm: 240, thicknessMm: 0.6 },
  ...{ stretchPercent: 2, fray: 2, curl: 0, slip: 0 },
};

/** What is said of a set-up besides its finish. */
export interface Said {
  readonly thicknessMm?: number | undefined;
  readonly pickMm?: number | undefined;
  readonly runStitches?: number | undefined;
  readonly mirror?: boolean | undefined;
}

/**
 * A whole set-up where only the finish is named: a medium woven, the plain machine and the first
 * plain foot that sews it, everything else as the finish begins.
 *
 * @throws Impossible for a variant there is none of, or one that no plain foot sews
 */
export function plainPlan(finish: Finish, variant: string, said: Said = {}): SewingPlan {
  if (!finish.variants.some(({ id }) => id === variant)) {
    throw new Impossible([
      refusal('variant', 'no-such-variant', '{finish} has no variant “{variant}”; it has {has}.', {
        finish: finish.id,
        variant: variant.slice(0, 80),
        has: finish.variants.map(({ id }) => id).join(', '),
      }),
    ]);
  }
  const need = finish.needs(variant);
  const [kind] = need.machineKinds;
  const cloth = { ...plainCloth, ...(said.thicknessMm && { thicknessMm: said.thicknessMm }) };
  const machine = kind && genericMachines[kind];
  const usual = machine && usualStitch(need, machine, cloth.stretchPercent);
  const feet = kind && ownFootOf(kind);
  const tried = feet
    ? [feet]
    : genericFeet
        .filter((foot) => need.feet.length === 0 || need.feet.includes(foot.kind))
        .map(({ specs }) => specs);
  let why: unknown = null;
  if (machine && usual && finish.margin(variant)) {
    const stitch = {
      ...usual,
      ...(said.runStitches && { runStitches: said.runStitches }),
      ...(said.mirror && { mirror: true }),
    };
    const { pickMm, faultWeights } = newPlan(cloth);
    for (const foot of tried) {
      try {
        const plan = wholePlan(finish, {
          ...{ cloth, machine, foot, stitch, faultWeights, skill: 1 },
          edge: { lengthMm: 1000, minRadiusMm: null },
          fold: wishForVariant(finish, {}, variant),
          needleSize: startingNeedle(cloth.weightGsm).size,
          pickMm: said.pickMm ?? pickMm,
        });
        const along = alongBest(finish, plan);
        setUpOf(finish, along);
        return along;
      } catch (error) {
        // The next foot may do.
        if (!(error instanceof Impossible)) throw error;
        why ??= error;
      }
    }
  }
  if (why instanceof Impossible) throw why;
  throw new Impossible([
    refusal('finish', 'not-counted', '{finish}, {variant}, has no stitches that are counted.', {
      finish: finish.id,
      variant,
    }),
  ]);
}
