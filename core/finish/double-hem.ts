import type { Finish } from './finish';
import { needle, pressure, straightLength } from './parts/starting';
import { foldsAsSewn } from './as-sewn';
import { said } from './parts/said';
import type { WorkRequest, WorkStep } from './work';
import type { FoldRequest } from './fold-request';
import { catchMargin } from './parts/catch-margin';
import { endsSchool, topstitchSide } from './parts/schools';
import { turnedTwiceWork } from './parts/turned-twice-work';
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

const steps = (request: WorkRequest): WorkStep[] =>
  turnedTwiceWork(
    request,
    folds(foldsAsSewn(request)),
    firstTurnMm(request.wish),
    'edge-guide or straight-stitch foot',
  );

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
