import type { Finish } from './finish';
import type { WorkRequest, WorkStep } from './work';
import type { FoldRequest } from './fold-request';
import { catchMargin } from './parts/catch-margin';
import { home, said, step } from './parts/said';
import { endsSchool, topstitchSide } from './parts/schools';
import { needle, pressure, straightLength } from './parts/starting';
import { firstTurnMm, turnedTwice, turnWiderThanHem } from './parts/turned';
import { changeTo, cut, easeIfCurved, ends, lastPress, testScrap, topstitch } from './parts/work';
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
  const { wish, cloth } = request;
  const { allowanceMm, stitchFromHemlineMm, finishedDepthMm } = folds({ wish, cloth });
  const machine = home('edge-guide');
  return [
    cut(allowanceMm),
    step(
      'turn',
      'iron',
      'Turn the raw edge under by {turnMm} and press.',
      { turnMm: firstTurnMm(wish) },
      ['iron'],
    ),
    step(
      'press',
      'iron',
      'Turn again by {depthMm} and press the hemline.',
      { depthMm: finishedDepthMm },
      ['iron'],
    ),
    ...easeIfCurved(request, finishedDepthMm),
    step('pin', 'table', 'Pin across the hem, well clear of the needle.', {}, ['pins']),
    changeTo('edge-guide or straight foot', machine),
    testScrap(3),
    topstitch(request, machine, stitchFromHemlineMm, 'inner fold'),
    ends(request, machine),
    lastPress('Count the pins out and press from the inside.'),
  ];
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
