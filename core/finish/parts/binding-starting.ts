import type { Reasoned } from '../../fact';
import type { SewingPlan } from '../sewing-plan';
import type { StartingValue, WorkRequest } from '../work';
import { covered } from './binding-schools';
import { presserLift, threaded } from './overlock';
import { said } from './said';
import { guess, needle, pressure, straightLength } from './starting';

const ruledBy = (value: number, about: string, text: string): Reasoned<number> => ({
  value,
  because: [said(about, text)],
  startingGuess: true,
});
/** A coverstitch through five layers, mm. Starting guess. */
export const coverLength = ruledBy(
  3.5,
  'cover-length',
  'Long, 3 to 4: through five layers an ordinary length comes out tiny.',
);
/** A swing on elastic, and its length by how it gets across, mm. Starting guesses. */
export const elasticSwing = ruledBy(3, 'elastic-swing', 'Wide enough to give with the elastic.');
export const zigzagOnElastic = ({ pattern }: SewingPlan['stitch']) =>
  ruledBy(
    pattern === 'three-step' ? 1.5 : 2.5,
    'elastic-length',
    'Open enough to stretch with the elastic.',
  );

/** Through five layers of knit only the narrow left pair lies well on a binding. */
const coverNeedles: StartingValue = threaded(
  3,
  'narrow',
  'The narrow left pair: both lines lie on the binding.',
);

/** A zigzag that catches both edges of a satin at once, mm. Starting guesses. */
export const satinSwing = ruledBy(
  3.5,
  'satin-swing',
  'As wide as it is long: it catches front and back at once.',
);
export const satinLength = ruledBy(
  3.5,
  'satin-length',
  'Open, so that it does not perforate the satin.',
);
export const swingsAcross = ({ pattern }: SewingPlan['stitch']) => pattern !== 'straight';

/**
 * What a binding is begun with besides the dials that are solved.
 *
 * @param stackMm what lies under the needle, mm
 */
export function bindingStarting(
  { wish, cloth, edge, strip }: WorkRequest,
  stackMm: number,
): StartingValue[] {
  if (covered.includes(wish.variant)) {
    return [
      coverNeedles,
      guess(
        'length',
        'Stitch length',
        3.5,
        'mm',
        said('cover-length', '3 to 4: through five layers an ordinary length comes out tiny.'),
      ),
      guess(
        'pressure',
        'Presser pressure',
        'more',
        '',
        said('cover-pressure', 'Five layers of knit lift the foot.'),
      ),
      guess(
        'differential',
        'Differential feed',
        1,
        '',
        said(
          'cover-differential',
          'Lower would stretch the strip; raise it only when the edge waves.',
        ),
      ),
      guess(
        'loopers',
        'Looper',
        'less',
        '',
        said('cover-looper', 'A slack looper lets the binding stretch with the edge.'),
      ),
      guess(
        'seam-guide',
        'Seam guide',
        (wish.depthMm ?? 0) / 2,
        'mm',
        said('cover-guide', 'From the middle of the needles to the bound edge: half the width.'),
      ),
      presserLift(cloth),
      needle({ cloth, edge, strip }, stackMm),
    ];
  }
  const satin = wish.variant === 'satin';
  return [
    ...(satin
      ? [
          guess('width', 'Stitch width', satinSwing.value, 'mm', ...satinSwing.because),
          guess('length', 'Stitch length', satinLength.value, 'mm', ...satinLength.because),
        ]
      : [straightLength(stackMm)]),
    needle({ cloth, edge, strip }, stackMm),
    pressure(cloth, stackMm),
  ];
}
