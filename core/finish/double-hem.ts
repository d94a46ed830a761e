import type { Finish } from './finish';
import { needle, pressure, straightLength } from './parts/starting';
import { foldsAsSewn } from './as-sewn';
import { course } from './parts/course';
import { home, said } from './parts/said';
import { cut, fitCurve, lastPress, markFolds, pin, press, topstitch } from './parts/work';
import type { WorkRequest, WorkStep } from './work';
import type { FoldRequest } from './fold-request';
import { catchMargin } from './parts/catch-margin';
import { endsSchool, topstitchSide } from './parts/schools';
import { firstTurnMm, turnedTwice, turnWiderThanHem } from './parts/turned';
import { oneLineShows, plainToSee, shutIn } from './parts/rated';

const both = ['narrow', 'equal'];
function folds(request: FoldRequest) {
  return turnedTwice(request, firstTurnMm(request.wish), request.wish.depthMm ?? 0, [
    'Raw edge turned under',
    'Turned again, on the hemline',
    'Topstitched beside the inner fold',
  ]);
}

function steps(request: WorkRequest): WorkStep[] {
  const { wish } = request;
  const plan = folds(foldsAsSewn(request));
  const at = home('edge-guide');
  const turnMm = firstTurnMm(wish);
  return course(request, {
    at,
    footName: 'edge-guide or straight-stitch foot',
    measure: [
      cut(plan.allowanceMm),
      markFolds('Mark the folds {turnMm} and {hemlineMm} from the raw edge.', {
        turnMm,
        hemlineMm: plan.allowanceMm,
      }),
    ],
    fold: [
      press('turn', 'Turn the raw edge under by {turnMm} and press.', { turnMm }),
      press('press', 'Turn again by {depthMm} and press the hemline.', {
        depthMm: plan.finishedDepthMm,
      }),
      ...fitCurve(request, plan.finishedDepthMm),
      pin('Pin across the hem, well clear of the needle.'),
    ],
    layers: plan.layersAtStitch,
    scrap: { text: 'folded as the hem is, {layers} layers', layers: plan.layersAtStitch },
    look: 'does the line catch the inner fold all along?',
    sew: [topstitch(request, at, plan.stitchFromHemlineMm, 'inner fold')],
    check: 'the inner fold caught everywhere, pins out equal to pins in.',
    press: lastPress('Press from the inside.'),
  });
}

/** A hem turned twice: the raw edge is shut in. */
export const doubleHem: Finish = {
  id: 'double-hem',
  name: 'Double turned hem',
  family: 'turned',
  group: 'double-turned',
  about: 'Clean on both sides and sturdy; three layers along the stitching.',
  variants: [
    {
      id: 'narrow',
      name: 'narrow first turn',
      costs: [said('narrow', 'Less cloth; the step inside the hem can show on thin cloth.')],
    },
    {
      id: 'equal',
      name: 'equal turns',
      costs: [
        said(
          'equal',
          'Even all through, so nothing shows on sheers; takes twice the depth in cloth.',
        ),
      ],
    },
  ],
  fields: {
    depthMm: { name: 'Hem depth', neededBy: both, leastMm: 2, mostMm: 300, startMm: 20 },
    turnMm: { name: 'First turn', neededBy: ['narrow'], leastMm: 1, mostMm: 300, startMm: 8 },
  },
  schools: [topstitchSide, endsSchool],
  needs: () => ({
    machineKinds: ['lockstitch', 'straight-stitch'],
    patterns: ['straight'],
    feet: ['edge-guide', 'straight', 'clear', 'zigzag'],
  }),
  contradictions: ({ wish }) => (wish.variant === 'narrow' ? turnWiderThanHem(wish) : []),
  folds,
  steps,
  startingValues({ wish, cloth, edge }) {
    const { stackMm } = folds({ wish, cloth });
    return [straightLength(stackMm), needle({ cloth, edge }, stackMm), pressure(cloth, stackMm)];
  },
  nature: (variant) => ({
    purposes: ['hem', 'opening'],
    worked: ['turned'],
    hidden: oneLineShows(0.4),
    sturdy: shutIn(0.9),
    decorative: plainToSee(0.15),
    holdsFray: 3,
    leastRadius: { timesDepth: 12 },
    thickestMm: Infinity,
    shutsIn: true,
    freeLayers: 3,
    ...(variant === 'narrow' ? { unequal: true } : {}),
  }),
  seamClass: () => '6.03',
  margin: () => catchMargin({ caught: 'inner fold', layers: 3, folds }),
};
