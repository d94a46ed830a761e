import { adds, fact, noMatter, rulesOut, type Weighed } from './contribution';
import { leastChance } from '../margin/least-chance';
import type { Passage } from '../seam/passage';

// All points here are starting guesses from craft practice, docs/formulas.md “Choosing”.

/** What a kit reaches with a finish: a chance, nothing at all, or a finish nobody worked one out for. */
export type Reached = number | 'nothing clears' | 'not worked out' | 'not sewn';

/** What the last sound stitch in a hundred is worth, in points a whole. */
const pointsForChance = 40;

/** How many stitches come out sound with the best of the kit. */
export function weighChance(reached: Reached): Weighed {
  if (reached === 'not sewn') return noMatter;
  if (reached === 'not worked out') {
    return adds(-9, fact('chance', 'How many stitches come out sound is not worked out.'));
  }
  if (reached === 'nothing clears' || reached < leastChance) {
    return rulesOut(
      fact('no-setting', 'No setting of this kit sews it: every one misses, or would meet metal.'),
      fact('no-setting', 'a foot with a wider slot, or a guide nearer to the needle'),
    );
  }
  const percent = Math.min(99, Math.round(reached * 100));
  return adds(
    -pointsForChance * (1 - reached),
    fact('chance', 'With the best of your kit about {percent} of 100 stitches come out sound.', {
      percent,
    }),
  );
}

/** How the thickest place goes under the foot. */
export function weighPassage(
  passage: Passage,
  thickestStackMm: number,
  liftMm: number,
  highLiftMm: number,
): Weighed {
  const values = { thickestStackMm, liftMm, highLiftMm };
  if (passage === 'freely') return noMatter;
  if (passage === 'with-care') {
    return adds(
      -3,
      fact(
        'stack',
        '{thickestStackMm:fine} at the thickest seam, under a foot that lifts {liftMm:fine}: hammer it, handwheel over it, shim the foot.',
        values,
      ),
    );
  }
  return rulesOut(
    fact(
      'stack',
      '{thickestStackMm:fine} at the thickest seam do not go under a foot that lifts {highLiftMm:fine} at most, hammered or not.',
      values,
    ),
    fact(
      'a-higher-lift',
      'the seam graded or led elsewhere, or a machine that lifts higher',
      values,
    ),
  );
}
