import type { Fold } from '../fold/flat-fold';
import { needle, pressure, straightLength } from './parts/starting';
import { foldsAsSewn } from './as-sewn';
import { dialsClause, ridesClause } from './dials-clause';
import { course } from './parts/course';
import { along, home, once, said, step } from './parts/said';
import { cutOut, foldedStrip, placeOf } from '../fold/layer';
import { crossingLayers, stackMm } from '../fold/stack';
import { refusal } from '../impossible';
import type { Finish } from './finish';
import type { FoldPlan, TrimPlan } from './fold-plan';
import type { WorkRequest, WorkStep } from './work';
import type { FoldRequest } from './fold-request';
import { lineMargin } from './parts/line-margin';
import { asLength } from './parts/margin-parts';
import { garmentBeyondMm, stage } from './parts/stages';
import { rated } from './parts/rated';

const all = ['seams', 'edge-stitched', 'hand-caught', 'fused'];
/** A shallower tuck slips out from under the foot; a deeper one than `leave` is trimmed. */
const shallowestTuckMm = 3;
const leaveMm = 15;
/** The stitch keeps this near to the ridge of the old hem and no nearer, mm. Starting guesses. */
const ditch = { nearestMm: 0.1, farthestMm: 1.2 } as const;
/** The ditch one aims at: the middle of what is good. */
const aimedDitchMm = (ditch.nearestMm + ditch.farthestMm) / 2;

function trimOf(tuckMm: number): TrimPlan {
  const needed = tuckMm > leaveMm;
  return {
    needed,
    leaveMm: needed ? leaveMm : tuckMm,
    cutAwayMm: needed ? tuckMm - leaveMm : 0,
  };
}

/**
 * Tuck fold S/2 beyond the line that is sewn, which is the ridge of the old hem plus the ditch; so
 * S is what is really lost. Trim to 15 mm. Source: docs/formulas.md, “Folds”.
 */
function folds({ wish, cloth: { thicknessMm }, sewn }: FoldRequest): FoldPlan {
  const [tuck, depth] = [(wish.shortenMm ?? 0) / 2, wish.depthMm ?? 0];
  const turn = Math.min(10, depth);
  // s runs from the raw edge inside the old hem; the old hem was turned twice.
  const hemline = turn + depth;
  const ditchMm = sewn?.['ditch'] ?? aimedDitchMm;
  const seamLine = hemline + depth + ditchMm;
  const lengthMm = seamLine + 2 * tuck + garmentBeyondMm(depth) + tuck;
  const oldHem: Fold[] = [
    { atMm: turn, direction: 'over' },
    { atMm: hemline, direction: 'over' },
  ];
  const tucked: Fold[] = [...oldHem, { atMm: seamLine + tuck, direction: 'under' }];
  const flat = foldedStrip(lengthMm, oldHem, thicknessMm);
  const folded = foldedStrip(lengthMm, tucked, thicknessMm);
  const seam = placeOf(folded, seamLine) ?? 0;
  const pressed = foldedStrip(
    lengthMm,
    [...tucked, { atMm: seamLine + 2 * tuck, direction: 'over' }],
    thicknessMm,
  );
  const trim = trimOf(tuck);
  const down = trim.needed
    ? cutOut(pressed, seamLine + trim.leaveMm, seamLine + 2 * tuck - trim.leaveMm)
    : pressed;
  const heldAt = (share: number) => placeOf(down, seamLine + 2 * tuck - trim.leaveMm * share) ?? 0;
  const held = wish.variant === 'edge-stitched' ? [heldAt(0.2)] : [];
  return {
    allowanceMm: 0,
    marks: [{ id: 'tuck-fold', name: 'Tuck fold', atMm: tuck, action: 'press', from: 'seam-line' }],
    layersAtStitch: 2,
    layersUnderNeedle: 2,
    stackMm: stackMm(2, thicknessMm),
    stitchFromHemlineMm: depth + ditchMm,
    finishedDepthMm: depth,
    shortensMm: 2 * tuck,
    trim,
    stages: [
      stage('flat', 'The old hem as it is', flat),
      stage('tuck', 'Right sides together, the tuck folded', folded),
      stage('stitch', 'Sewn in the ditch beside the old hem', folded, { stitchesXMm: [seam] }),
      stage(
        'down',
        trim.needed ? 'Trimmed, and the old hem turned down' : 'The old hem turned down',
        down,
        {
          stitchesXMm: [placeOf(down, seamLine) ?? 0, ...held],
        },
      ),
    ],
  };
}

const holding: Readonly<Record<string, WorkStep>> = {
  seams: once(
    3,
    'hold',
    'hand',
    'Press the tuck up and catch it at the side seams only, with a few stitches in the seam allowance.',
  ),
  'edge-stitched': step(
    'hold',
    home('zigzag'),
    'From the right side, stitch the tuck down just above the old hem, with the same setting.',
    {},
    ['needle'],
  ),
  'hand-caught': step(
    'hold',
    'hand',
    'Press the tuck up and catch its fold by hand, a stitch each finger’s width.',
  ),
  fused: step(
    'hold',
    'iron',
    'Lay a strip of fusible web under the tuck and press it down; not on cloth the iron marks.',
    {},
    ['iron', 'shine'],
  ),
};

function steps(request: WorkRequest): WorkStep[] {
  const { wish, passes, sewn } = request;
  const plan = folds(foldsAsSewn(request));
  const tuckMm = plan.marks[0]?.atMm ?? 0;
  const ditchMm = sewn?.checks['ditch'] ?? aimedDitchMm;
  const { trim } = plan;
  const at = home('zipper');
  const hold = holding[wish.variant];
  const overcasting = passes?.['tuck-edge']?.sewn ?? null;
  const dials = overcasting && dialsClause(overcasting);
  return course(request, {
    at,
    footName: 'a foot that lets the needle get beside the old hem: a zipper or an edge-guide foot',
    measure: [
      once(
        4,
        'measure-on',
        'hand',
        'Put it on, with the shoes it is worn with. Measure from the line you will sew, in the ditch beside the old hem, up to where the finished edge shall be: {shortensMm} here. Half of it goes into the fold.',
        { shortensMm: plan.shortensMm ?? 0 },
      ),
      along(
        0.8,
        'mark',
        'table',
        'Mark the tuck fold {fromRidgeMm:fine} above the ridge of the old hem, all round: {tuckMm} beyond the line you will sew, which lies {ditchMm:fine} from the ridge. It shortens by {shortensMm}.',
        { tuckMm, ditchMm, fromRidgeMm: tuckMm + ditchMm, shortensMm: plan.shortensMm ?? 0 },
      ),
    ],
    fold: [
      along(
        0.8,
        'fold',
        'table',
        'Fold right sides together on the mark, the old hem on the garment, one layer of the leg only, side seams matched. Pin.',
        {},
        ['pins'],
      ),
    ],
    layers: plan.layersAtStitch,
    scrap: { text: 'on a hem cut off before, or a like one: {layers} layers', layers: 2 },
    look: 'turned down, does the line hide in the ditch?',
    sew: [
      step(
        'sew',
        at,
        `Sew {ditchMm:fine} from the ridge and never on it: ${ridesClause(request)}.`,
        { ditchMm },
        ['handwheel', 'needle'],
      ),
    ],
    after: [
      once(5, 'try-on', 'hand', 'Turn the hem down and try it on before anything is cut.'),
      ...(trim?.needed
        ? [
            along(
              0.8,
              'trim',
              'table',
              'Only now trim the tuck to {leaveMm}, which takes {cutAwayMm} off each layer.',
              { leaveMm: trim.leaveMm, cutAwayMm: trim.cutAwayMm },
              ['cutter'],
            ),
            step(
              'tuck-edge',
              home('overcasting'),
              dials
                ? `Overcast what was cut, both layers together: {foot}, ${dials.text}.`
                : 'Overcast what was cut, both layers together.',
              dials && overcasting ? { ...dials.values, foot: overcasting.footName } : {},
            ),
          ]
        : []),
      ...(hold ? [hold] : []),
    ],
    check: 'the old hem caught nowhere, no gap above it.',
    press: along(
      0.7,
      'last-press',
      'iron',
      'Press the seam from the inside, then the right side through a cloth.',
      {},
      ['iron', 'shine'],
    ),
  });
}

const ditchMargin = lineMargin({
  words: {
    reference: 'ridge of the old hem',
    one: 'stitch',
    counted: 'stitches',
    good: 'lie in the ditch',
    short: 'On the old hem',
    over: 'Gap shows',
    look: 'Turn the hem down and count where it is caught, and where a gap shows above it.',
    checks: { ditch: 'ditch', from: 'ridge' },
    faults: {
      'catches-hem': { short: 'catches the old hem', long: 'the needle catches the old hem' },
      gap: { short: 'gap shows', long: 'a gap shows above the old hem' },
    },
  },
  check: 'ditch',
  window: () => [ditch.nearestMm, ditch.farthestMm],
  below: 'catches-hem',
  above: 'gap',
  startingLength: ({ fold, cloth }) =>
    asLength(straightLength(folds({ wish: fold, cloth }).stackMm)),
  regions: ({ fold: { depthMm, shortenMm } }) => [
    { name: 'old hem', fromMm: -(depthMm ?? 0), toMm: 0, layers: 4 },
    { name: 'tuck', fromMm: 0, toMm: (shortenMm ?? 0) / 2, layers: 2 },
  ],
});

/** A tuck above the factory hem, so that its look stays. */
export const keptHem: Finish = {
  id: 'kept-hem',
  name: 'Kept hem',
  family: 'turned',
  group: 'kept',
  about: 'Shortens ready-made trousers and keeps the worn look of their own hem.',
  variants: [
    {
      id: 'seams',
      name: 'caught at the seams',
      costs: [said('seams', 'Quickest and can be let down again; the tuck may drop.')],
    },
    {
      id: 'edge-stitched',
      name: 'stitched down',
      costs: [said('edge-stitched', 'Lies flat for good; one more line shows outside.')],
    },
    {
      id: 'hand-caught',
      name: 'caught by hand',
      costs: [said('hand-caught', 'Nothing shows; takes the longest.')],
    },
    {
      id: 'fused',
      name: 'fused down',
      costs: [said('fused', 'No more sewing; stiff, and it may come loose in the wash.')],
    },
  ],
  fields: {
    shortenMm: { name: 'Shorten by', neededBy: all, leastMm: 0, mostMm: 400, startMm: 50 },
    depthMm: {
      name: 'Depth of the old hem',
      neededBy: [],
      optionalFor: all,
      leastMm: 3,
      mostMm: 80,
      startMm: 13,
    },
  },
  schools: [],
  needs: (variant) => ({
    machineKinds: ['lockstitch', 'straight-stitch'],
    patterns: ['straight'],
    feet: ['zipper', 'edge-guide', 'zigzag', 'straight'],
    ...(variant === 'fused' ? { besides: said('web', 'a strip of fusible web') } : {}),
  }),
  contradictions({ wish: { shortenMm } }) {
    const tuck = (shortenMm ?? 0) / 2;
    if (tuck >= shallowestTuckMm) return [];
    return [
      refusal(
        'shortenMm',
        'tuck-too-shallow',
        'Shortening by {shortenMm} makes a tuck of {tuckMm}, and a tuck holds from {leastTuckMm}; shorten by {leastMm} or more.',
        {
          shortenMm: shortenMm ?? 0,
          tuckMm: tuck,
          leastTuckMm: shallowestTuckMm,
          leastMm: 2 * shallowestTuckMm,
        },
      ),
    ];
  },
  folds,
  steps,
  passes: ({ wish, cloth }) =>
    folds({ wish, cloth }).trim?.needed
      ? [
          {
            id: 'tuck-edge',
            name: 'Cut edge of the tuck, after trying on',
            finish: 'overcast',
            wish: { variant: cloth.stretchPercent >= 15 ? 'stretch' : 'zigzag' },
          },
        ]
      : [],
  startingValues({ wish, cloth, edge }) {
    const { stackMm: stack } = folds({ wish, cloth });
    return [
      straightLength(stack),
      needle(
        {
          cloth,
          edge: { ...edge, thickestTimes: Math.max(crossingLayers.felled, edge.thickestTimes) },
        },
        stack,
      ),
      pressure(cloth, stack),
    ];
  },
  nature: () => ({
    purposes: ['hem'],
    worked: ['tuck'],
    hidden: rated(
      0.7,
      'hidden',
      'The old hem stays as it was; the seam hides in the ditch above it.',
    ),
    sturdy: rated(0.6, 'sturdy', 'The old hem’s own stitching stays; one seam holds it on.'),
    decorative: rated(0.3, 'decorative', 'The worn look of the old hem stays.'),
    holdsFray: 3,
    leastRadius: { mm: 0 },
    thickestMm: Infinity,
    keepsOldHem: true,
    freeLayers: 2,
  }),
  seamClass: () => null,
  margin: () => ditchMargin,
};
