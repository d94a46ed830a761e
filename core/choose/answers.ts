import type { Fact } from '../fact';
import type { FoldPlan } from '../finish/fold-plan';
import type { Nature } from '../finish/nature';
import { stretchyPercent } from '../plan/usual-stitch';
import { fact } from './contribution';
import { lightness, type Carried } from './lightness';
import { quickness, type Minutes } from './minutes';
import type { ChooseRequest, WishName } from './request';

/** How well a variant answers a wish, 0 to 1, and what makes it so. */
export interface Answer {
  readonly share: number;
  readonly why: Fact;
}

const nothing: Answer = { share: 0, why: fact('none', '') };

/** What is out before anything is worked out answers no wish. */
export const noAnswers: Readonly<Record<WishName, Answer>> = {
  ...{ hidden: nothing, sturdy: nothing, light: nothing, quick: nothing, decorative: nothing },
};

/** Starting guesses: how sturdy a bare edge is that needs nothing, and what a needless turn is worth. */
const bareIsSturdy = 0.6;
const needlessTurn = 0.2;
/** What single bites lose on a cloth that is pulled. */
const pulledBites = (stretchPercent: number) =>
  Math.min(0.4, 0.15 + (stretchPercent - stretchyPercent) / 200);

/** What is heavier than the cloth itself: layers at the thickest place, and what is folded in. */
function heavier(added: number, foldedMm: number): string {
  const folds = 'folds {foldedMm} of cloth in';
  if (added === 0) return `It ${folds}.`;
  const adds = added === 1 ? 'adds one layer' : 'adds {added} layers';
  return foldedMm < 0.5
    ? `It ${adds}: {stackMm} at the stitch.`
    : `It ${adds}: {stackMm} at the stitch; and it ${folds}.`;
}

/** How well it answers each wish, with the folds' own numbers in the reasons. */
export function answersOf(
  nature: Nature,
  folds: FoldPlan,
  carried: Carried,
  minutes: Minutes,
  { cloth, edge }: ChooseRequest,
): Record<WishName, Answer> {
  const values = {
    depthMm: folds.finishedDepthMm,
    fromEdgeMm: folds.stitchFromHemlineMm ?? 0,
    layers: folds.layersAtStitch,
    stackMm: folds.stackMm,
  };
  const answer = ({ share, why }: Answer): Answer => ({
    share,
    why: { ...why, values: { ...values, ...why.values } },
  });
  const bare = cloth.fray === 0 && cloth.curl === 0;
  const sturdy: Answer =
    bare && nature.rawEdge && nature.sturdy.share < bareIsSturdy
      ? {
          share: bareIsSturdy,
          why: fact('sturdy', 'This cloth neither frays nor rolls: a cut edge is no weakness.'),
        }
      : bare && nature.shutsIn
        ? { ...nature.sturdy, share: nature.sturdy.share - needlessTurn }
        : nature.worked.includes('bites') && cloth.stretchPercent >= stretchyPercent
          ? {
              share: Math.max(0, nature.sturdy.share - pulledBites(cloth.stretchPercent)),
              why: fact('sturdy', 'Held by single bites, and pulled with the knit some give way.'),
            }
          : nature.sturdy;
  const added = Math.max(0, Math.round((carried.layers - carried.ownLayers) * 10) / 10);
  return {
    hidden: answer(nature.hidden),
    sturdy: answer(sturdy),
    decorative: answer(nature.decorative),
    light: {
      share: lightness(carried),
      why:
        added === 0 && carried.foldedMm < 0.5
          ? fact('light', 'Adds nothing to the cloth.')
          : fact('light', heavier(added, carried.foldedMm), {
              added,
              stackMm: folds.stackMm,
              foldedMm: carried.foldedMm,
            }),
    },
    quick: {
      share: quickness(minutes, edge.lengthMm),
      why: fact('quick', 'About {whole} minutes for this edge: {once} once, and {metre} a metre.', {
        whole: Math.round(minutes.wholeMinutes),
        once: Math.round(minutes.onceMinutes),
        metre: Math.round(minutes.perMetreMinutes * 10) / 10,
      }),
    },
  };
}
