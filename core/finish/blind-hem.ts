import { foldedStrip, placeOf } from '../fold/layer';
import { mark } from '../fold/mark';
import { stackMm } from '../fold/stack';
import { refusal } from '../impossible';
import type { Finish } from './finish';
import type { FoldPlan } from './fold-plan';
import type { WorkRequest, WorkStep } from './work';
import type { FoldRequest, FoldWish } from './fold-request';
import { blindMargin, biteSpacingMm } from './parts/blind-margin';
import { tackLengthMm, tackMargin, tackedRun } from './parts/tack-margin';
import { once, said, step } from './parts/said';
import { rawEdgeSchool } from './parts/schools';
import { foldingStages, type NamedFold } from './parts/stages';
import { guess, needle, pressure } from './parts/starting';
import { turnWiderThanHem } from './parts/turned';
import { changeTo, cut, easeIfCurved, finishRawEdge, lastPress, testScrap } from './parts/work';
import { rated } from './parts/rated';

const all = ['flat', 'enclosed', 'deep', 'tacked'];

/** A turned-in edge prints through to the right side of cloth thicker than this, mm. */
const enclosedUpToMm = 0.6;

const turnOf = (wish: FoldWish) => (wish.variant === 'enclosed' ? (wish.turnMm ?? 0) : 0);

/** Marks and stages. Source: docs/formulas.md, “Folds”: A = D + e (+ u). */
function folds({ wish, cloth: { thicknessMm }, sewn }: FoldRequest): FoldPlan {
  const [depth, extension, turn] = [wish.depthMm ?? 0, wish.extensionMm ?? 0, turnOf(wish)];
  const hemline = depth + extension + turn;
  const back = hemline + depth;
  const made: NamedFold[] = [
    ...(turn > 0
      ? [{ atMm: turn, direction: 'over' as const, id: 'turn', title: 'Raw edge turned under' }]
      : []),
    { atMm: hemline, direction: 'over', id: 'hemline', title: 'Hemline pressed' },
    {
      atMm: back,
      direction: 'under',
      id: 'temporary-fold',
      title: 'Garment folded back, only for sewing',
      temporary: true,
    },
  ];
  const lengthMm = back + Math.max(20, depth * 0.6);
  const stages = foldingStages(lengthMm, thicknessMm, made);
  const foldedBack = stages.at(-1)!;
  const opened = foldedStrip(lengthMm, made.slice(0, -1), thicknessMm);
  // The extension ends where the garment is folded back; run and bite lie on either side of it.
  const lipEnd = turn + extension;
  const holes = [lipEnd - (sewn?.['run'] ?? extension / 2), lipEnd + (sewn?.['bite'] ?? 0)];
  return {
    allowanceMm: hemline,
    marks: [
      ...(turn > 0 ? [mark('turn', 'Turn under', turn, 'press')] : []),
      mark('hemline', 'Hemline', hemline, 'press'),
      mark('temporary-fold', 'Fold back', back, 'temporary'),
    ],
    layersAtStitch: 1,
    layersUnderNeedle: turn >= extension / 2 ? 2 : 1,
    stackMm: stackMm(1, thicknessMm),
    stitchFromHemlineMm: depth,
    finishedDepthMm: depth,
    stages: [
      ...stages,
      {
        ...foldedBack,
        id: 'stitch',
        title: 'Sewn: run on the extension, bite in the fold',
        stitchesXMm: holes.flatMap((s) => placeOf(foldedBack.stack, s) ?? []),
      },
      {
        ...foldedBack,
        id: 'open',
        title: 'Opened out and pressed',
        stack: opened,
        stitchesXMm: holes.flatMap((s) => placeOf(opened, s) ?? []),
        temporaryAtMm: [],
      },
    ],
  };
}

function steps(request: WorkRequest): WorkStep[] {
  const { wish, cloth } = request;
  const { allowanceMm } = folds({ wish, cloth });
  const [depthMm, extensionMm] = [wish.depthMm ?? 0, wish.extensionMm ?? 0];
  const tacked = wish.variant === 'tacked';
  const machine = tacked
    ? ({ machine: 'straight-stitch', foot: 'tacking-attachment' } as const)
    : ({ machine: 'lockstitch', foot: 'blind' } as const);
  return [
    cut(allowanceMm),
    wish.variant === 'enclosed'
      ? step(
          'turn',
          'iron',
          'Turn the raw edge under by {turnMm} and press.',
          { turnMm: turnOf(wish) },
          ['iron'],
        )
      : finishRawEdge(request),
    step(
      'press-hemline',
      'iron',
      'Press the hemline, {hemlineMm} from the raw edge.',
      { hemlineMm: allowanceMm },
      ['iron', 'shine'],
    ),
    ...easeIfCurved(request, depthMm),
    ...(wish.variant === 'deep'
      ? [
          step(
            'baste',
            'hand',
            'Baste the deep hem to the garment {belowMm} from its top edge and once more half way, so that it cannot sag while you sew.',
            { belowMm: 10 },
          ),
        ]
      : []),
    step(
      'fold-back',
      'table',
      'Fold the garment back under, leaving {extensionMm} of hem showing. Pin well clear of the needle.',
      { extensionMm },
      ['pins'],
    ),
    changeTo(tacked ? 'tacking attachment' : 'blind foot', machine),
    testScrap(2),
    tacked
      ? step(
          'sew',
          machine,
          'Set the guide so that the tack just enters the fold. The attachment sews {run} stitches on the extension, then one tack.',
          { run: tackedRun },
          ['needle'],
        )
      : step(
          'sew',
          machine,
          'First stitches by handwheel, then sew with the fold against the blade.',
          {},
          ['handwheel', 'needle'],
        ),
    ...(tacked
      ? []
      : [
          once(
            2,
            'correct',
            'hand',
            request.schools['bite-dial'] === 'guide'
              ? 'Look at the scrap: where bites miss or show, turn the foot’s guide by its finest step, and nothing else.'
              : 'Look at the scrap: where bites miss or show, change the stitch width by one step, and nothing else.',
          ),
        ]),
    step('open', 'iron', 'Open the fold and press from the inside, lightly.', {}, ['iron', 'pins']),
    lastPress('Look along the right side in slanting light; press again only from inside.'),
  ];
}

/** The blind hem: a fold of the garment rides a blade, and the needle bites into its edge. */
export const blindHem: Finish = {
  id: 'blind-hem',
  name: 'Blind hem',
  family: 'hidden',
  group: 'blind',
  about: 'Hardly seen from outside: the needle bites into a fold of the garment.',
  variants: [
    {
      id: 'flat',
      name: 'flat edge',
      costs: [said('flat', 'Flat and soft; one more line of thread inside.')],
    },
    {
      id: 'enclosed',
      name: 'edge turned in',
      costs: [said('enclosed', 'Clean inside; a third layer along the top of the hem.')],
    },
    {
      id: 'deep',
      name: 'deep, flat edge',
      costs: [said('deep', 'Hangs well on coats and skirts; two rows of basting first.')],
    },
    {
      id: 'tacked',
      name: 'tacking attachment',
      costs: [
        said('tacked', 'For a machine that only sews straight; the bite is set on the attachment.'),
      ],
    },
  ],
  fields: {
    depthMm: { name: 'Hem depth', neededBy: all, leastMm: 3, mostMm: 500, startMm: 40 },
    extensionMm: {
      name: 'Extension left showing',
      neededBy: all,
      leastMm: 1,
      mostMm: 100,
      startMm: 8,
    },
    turnMm: { name: 'Turn under', neededBy: ['enclosed'], leastMm: 1, mostMm: 200, startMm: 12 },
  },
  schools: [
    rawEdgeSchool(['flat', 'deep', 'tacked']),
    {
      id: 'bite-dial',
      question: 'A bite misses or goes too deep: which do you move?',
      variants: ['flat', 'enclosed', 'deep'],
      ways: [
        {
          id: 'width',
          name: 'The stitch width',
          costs: [said('width', 'Always there; on some machines only in half millimetres.')],
        },
        {
          id: 'guide',
          name: 'The foot’s guide',
          costs: [said('guide', 'Finer, where the foot has a screw.')],
        },
      ],
    },
  ],
  needs: (variant) =>
    variant === 'tacked'
      ? {
          machineKinds: ['straight-stitch', 'lockstitch'],
          patterns: ['tacking', 'straight'],
          feet: ['tacking-attachment'],
        }
      : {
          machineKinds: ['lockstitch'],
          patterns: ['blind-woven', 'blind-stretch'],
          feet: ['blind', 'zigzag', 'clear', 'edge-guide'],
        },
  contradictions({ wish }) {
    const [depth, extension] = [wish.depthMm ?? 0, wish.extensionMm ?? 0];
    return [
      ...(extension > depth
        ? [
            refusal(
              'extensionMm',
              'wider-than-hem',
              'An extension of {extensionMm} is wider than the hem of {depthMm}; it can be up to {depthMm}.',
              { extensionMm: extension, depthMm: depth },
            ),
          ]
        : []),
      ...(wish.variant === 'enclosed' ? turnWiderThanHem(wish) : []),
    ];
  },
  folds,
  steps,
  startingValues({ wish, cloth, edge }) {
    const spacingMm = biteSpacingMm({ below: 1, above: 1 });
    const length =
      wish.variant === 'tacked'
        ? guess(
            'length',
            'Stitch length',
            tackLengthMm,
            'mm',
            said('tack', 'A tack after {run} stitches, about every {everyMm}.', {
              run: tackedRun,
              everyMm: tackLengthMm * (tackedRun + 1),
            }),
          )
        : guess(
            'length',
            'Stitch length',
            spacingMm / 6,
            'mm',
            said('bite-spacing', 'A bite about every {spacingMm}.', { spacingMm }),
          );
    return [
      length,
      needle({ cloth, edge }, stackMm(1, cloth.thicknessMm)),
      pressure(cloth, stackMm(1, cloth.thicknessMm)),
    ];
  },
  nature: (variant) => ({
    purposes: ['hem'],
    worked: ['turned', 'bites'],
    hidden:
      variant === 'enclosed'
        ? rated(0.86, 'hidden', 'Pricks of thread outside; the turned-in edge can show as a ridge.')
        : variant === 'tacked'
          ? rated(0.88, 'hidden', 'Tacks outside, a little longer than a bite.')
          : rated(0.95, 'hidden', 'A prick of thread now and then is all that is seen outside.'),
    sturdy:
      variant === 'enclosed'
        ? rated(0.6, 'sturdy', 'Held by single bites; the raw edge is shut in.')
        : rated(0.5, 'sturdy', 'Held by single bites: a heel or a toe can catch in it.'),
    decorative: rated(0.05, 'decorative', 'Made not to be looked at.'),
    holdsFray: 3,
    // The garment is folded back along the curve as well.
    leastRadius: { timesDepth: 40 },
    thickestMm: variant === 'enclosed' ? enclosedUpToMm : Infinity,
    freeLayers: 2,
    ...(variant === 'enclosed' ? { shutsIn: true } : { rawInside: true }),
  }),
  seamClass: (variant) => (variant === 'enclosed' ? '6.03' : '6.02'),
  margin: (variant) => (variant === 'tacked' ? tackMargin : blindMargin),
};
