import type { Finish, WorkRequest, WorkStep } from './finish';
import { catchMargin } from './parts/catch-margin';
import { home, said, step } from './parts/said';
import { endsSchool, topstitchSide } from './parts/schools';
import { needle, pressure, straightLength } from './parts/starting';
import { turnedOnce } from './parts/turned';
import {
  changeTo,
  cut,
  easeIfCurved,
  ends,
  finishRawEdge,
  lastPress,
  testScrap,
  topstitch,
} from './parts/work';

const both = ['overcast', 'serged'];

function steps(request: WorkRequest): WorkStep[] {
  const { wish, cloth } = request;
  const { allowanceMm, stitchFromHemlineMm, finishedDepthMm } = turnedOnce({ wish, cloth });
  const machine = home('edge-guide');
  return [
    cut(allowanceMm),
    finishRawEdge(request),
    step(
      'press',
      'iron',
      'Turn up {depthMm} to the inside and press the hemline.',
      { depthMm: finishedDepthMm },
      ['iron'],
    ),
    ...easeIfCurved(request, finishedDepthMm),
    step('pin', 'table', 'Pin across the hem, heads outward, well clear of the needle.', {}, [
      'pins',
    ]),
    changeTo('edge-guide or straight foot', machine),
    testScrap(2),
    topstitch(request, machine, stitchFromHemlineMm, 'finished raw edge'),
    ends(request, machine),
    lastPress('Take out the pins, count them, and press from the inside.'),
  ];
}

/** A hem turned once, its raw edge overcast or serged, and topstitched. */
export const singleHem: Finish = {
  id: 'single-hem',
  name: 'Single turned hem',
  family: 'turned',
  about: 'Flat and quick; the raw edge is finished first and the stitching shows.',
  variants: [
    {
      id: 'overcast',
      name: 'raw edge overcast',
      costs: [said('thread', 'Needs no second machine; a line of zigzag inside.')],
    },
    {
      id: 'serged',
      name: 'raw edge serged',
      costs: [
        said('serged', 'Softest and fastest; needs an overlocker and its thread in the colour.'),
      ],
    },
  ],
  fields: {
    depthMm: { name: 'Hem depth', neededBy: both, leastMm: 3, mostMm: 500, startMm: 25 },
  },
  schools: [topstitchSide, endsSchool],
  needs: (variant) => ({
    machineKinds: ['lockstitch', 'straight-stitch'],
    patterns: ['straight'],
    feet: ['edge-guide', 'straight', 'clear', 'zigzag'],
    ...(variant === 'serged' ? { alsoMachineKinds: ['overlocker'] } : {}),
  }),
  contradictions: () => [],
  folds: turnedOnce,
  steps,
  startingValues({ wish, cloth, edge }) {
    const { stackMm } = turnedOnce({ wish, cloth });
    return [straightLength(stackMm), needle({ cloth, edge }, stackMm), pressure(cloth, stackMm)];
  },
  nature: () => ({
    hidden: 0.35,
    sturdy: 0.6,
    decorative: 0.1,
    holdsFray: 3,
    givesPercent: 15,
    leastRadiusMm: 60,
    thickestMm: Infinity,
    turnsUp: true,
  }),
  seamClass: () => '6.02',
  margin: () => catchMargin({ caught: 'finished raw edge', layers: 2, folds: turnedOnce }),
};
