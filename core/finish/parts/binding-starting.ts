import type { Reasoned } from '../../fact';
import type { SewingPlan } from '../sewing-plan';
import type { StartingValue, WorkRequest } from '../work';
import { usualStandOffMm } from '../../kit/binder';
import { stripOf } from './binding';
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

/** Between the needles of the narrow pair, mm. Starting guess. */
const narrowGapMm = 3;

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
export function bindingStarting(request: WorkRequest, stackMm: number): StartingValue[] {
  return [...beside(request, stackMm), ...placed(request)];
}

/** What is set of the machine itself. */
function beside(
  { wish, cloth, edge, strip, machineKind, sewn }: WorkRequest,
  stackMm: number,
): StartingValue[] {
  const zigzagged = wish.variant === 'fold-over-elastic' && machineKind === 'lockstitch';
  const chained = sewn?.stitch.pattern === 'chain';
  if ((covered.includes(wish.variant) && !zigzagged) || machineKind === 'coverstitch') {
    return [
      ...(chained
        ? []
        : [
            coverNeedles,
            guess(
              'needle-gap',
              'Between the needles',
              narrowGapMm,
              'mm',
              said('cover-gap', 'The narrow pair; both lines and the fold need their room.'),
            ),
          ]),
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

/** Where what folds the strip stands, so that a scrap remembers it. */
function placed({ wish, cloth, strip, edge, binder }: WorkRequest): StartingValue[] {
  if (!binder) return [];
  const { widthMm } = stripOf({ wish, cloth, strip });
  const inside = edge.shape === 'inside-curve' || edge.purpose === 'opening';
  const elastic = wish.variant === 'fold-over-elastic';
  return binder.flangeMm
    ? [
        guess(
          'flange',
          'Flange',
          binder.placing.flangeMm ?? widthMm,
          'mm',
          said('flange', 'As wide as the strip, so that it neither jams nor wanders.'),
        ),
      ]
    : [
        guess(
          'stand-off',
          'Off the toe',
          binder.placing.standOffMm ?? usualStandOffMm(elastic, inside ? edge.minRadiusMm : null),
          'mm',
          said('stand-off', 'From the toe to the mouth: room for the strip to turn in a curve.'),
        ),
      ];
}
