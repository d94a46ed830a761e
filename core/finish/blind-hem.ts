import { foldedStrip, placeOf } from '../fold/layer';
import { guess, needle, pressure } from './parts/starting';
import { foldsAsSewn } from './as-sewn';
import { ridesClause } from './dials-clause';
import { course } from './parts/course';
import { along, home, once, said, step } from './parts/said';
import { cut, finishRawEdge, lastPress, markFolds, press, rawEdgePass } from './parts/work';
import { fitCurve } from './parts/fit-curve';
import { mark } from '../fold/mark';
import { stackMm } from '../fold/stack';
import { refusal } from '../impossible';
import type { Finish } from './finish';
import type { FoldPlan } from './fold-plan';
import type { WorkRequest, WorkStep } from './work';
import type { FoldRequest, FoldWish } from './fold-request';
import { blindMargin, biteSpacingMm } from './parts/blind-margin';
import { tackLengthMm, tackMargin, tackedRun } from './parts/tack-margin';
import { rawEdgeSchool } from './parts/schools';
import { foldingStages, type NamedFold } from './parts/stages';
import { turnWiderThanHem } from './parts/turned';
import { rated } from './parts/rated';

const all = ['flat', 'enclosed', 'deep', 'tacked'];

/** A turned-in edge prints through to the right side of cloth thicker than this, mm. */
const enclosedUpToMm = 0.6;

/** An edge for the tacking attachment is usually turned in by so much, mm. */
const tackedTurnMm = 6;

/** An enclosed edge is turned in, and an attachment’s usually is. */
const turnOf = (wish: FoldWish) =>
  wish.variant === 'enclosed' || wish.variant === 'tacked' ? (wish.turnMm ?? 0) : 0;

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
  const { wish, schools, sewn } = request;
  const plan = folds(foldsAsSewn(request));
  const [depthMm, extensionMm, turnMm] = [wish.depthMm ?? 0, wish.extensionMm ?? 0, turnOf(wish)];
  const tacked = wish.variant === 'tacked';
  const at = tacked
    ? ({ machine: 'straight-stitch', foot: 'tacking-attachment' } as const)
    : home('blind');
  const values = {
    biteMm: sewn?.checks['bite'] ?? 0,
    runMm: sewn?.checks['run'] ?? 0,
    run: tackedRun,
  };
  return course(request, {
    at,
    footName: tacked ? 'the tacking attachment' : 'blind foot',
    measure: [
      cut(plan.allowanceMm),
      markFolds('Mark the hemline {hemlineMm} from the raw edge.', {
        hemlineMm: plan.allowanceMm,
      }),
    ],
    prepare: turnMm > 0 ? [] : [finishRawEdge(request)],
    fold: [
      ...(turnMm > 0
        ? [press('turn', 'Turn the raw edge under by {turnMm} and press.', { turnMm })]
        : []),
      along(
        1,
        'press-hemline',
        'iron',
        'Press the hemline, {hemlineMm} from the raw edge.',
        { hemlineMm: plan.allowanceMm },
        ['iron', 'shine'],
      ),
      ...fitCurve(request, depthMm),
      ...(wish.variant === 'deep'
        ? [
            along(
              2,
              'baste',
              'hand',
              'Baste the deep hem to the garment {belowMm} from its top edge and once more half way, so that it cannot sag while you sew.',
              { belowMm: 10 },
            ),
          ]
        : []),
      along(
        0.8,
        'fold-back',
        'table',
        'Fold the garment back under, {foldMm} from the raw edge, leaving {extensionMm} of hem showing. Pin well clear of the needle.',
        { extensionMm, foldMm: plan.allowanceMm + depthMm },
        ['pins'],
      ),
    ],
    set: tacked
      ? [
          once(
            3,
            'mount',
            at,
            'Screw the attachment on in place of the foot, its fork over the needle clamp; set how far it carries the fold with its own screw, a quarter turn at a time. Its thread cutter is sharp.',
            {},
            ['power-off', 'cutter'],
          ),
        ]
      : [],
    layers: plan.layersAtStitch,
    scrap: { text: 'folded as the hem is, with its {layers} layer under the run', layers: 1 },
    look: tacked
      ? 'where tacks miss or show, turn the attachment’s screw by a quarter, and nothing else.'
      : schools['bite-dial'] === 'guide'
        ? 'where bites miss or show, turn the foot’s guide by its finest step, and nothing else.'
        : 'where bites miss or show, change the stitch width by one step, and nothing else.',
    sew: [
      tacked
        ? along(
            2,
            'sew',
            at,
            'Sew slowly: the attachment sews {run} stitches on the extension and then carries the fold under the needle for one tack.',
            values,
            ['needle'],
          )
        : step(
            'sew',
            at,
            sewn
              ? `Sew with ${ridesClause(request)}: the run {runMm:fine} off the fold, the bite {biteMm:fine} into it.`
              : 'Sew with the fold against the guide: the run on the extension, the bite just in the fold.',
            values,
            ['handwheel', 'needle'],
          ),
    ],
    after: [
      along(0.5, 'open', 'table', 'Take the pins out, count them, and open the fold.', {}, [
        'pins',
      ]),
    ],
    check: 'every bite caught, none shows in slanting light.',
    press: lastPress('Press from the inside, lightly, beside the edge of the hem.'),
  });
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
    turnMm: {
      name: 'Turn under',
      neededBy: ['enclosed'],
      optionalFor: ['tacked'],
      leastMm: 0,
      mostMm: 200,
      startMm: 12,
      startsMm: { tacked: tackedTurnMm },
    },
  },
  schools: [
    rawEdgeSchool(['flat', 'deep']),
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
      ...(turnOf(wish) > 0 ? turnWiderThanHem(wish) : []),
    ];
  },
  folds,
  steps,
  passes: (request) => (turnOf(request.wish) > 0 ? [] : rawEdgePass(request)),
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
    ...(variant === 'enclosed' ? { shutsIn: true, unequal: true } : { rawInside: true }),
  }),
  seamClass: (variant) => (variant === 'enclosed' ? '6.03' : '6.02'),
  margin: (variant) => (variant === 'tacked' ? tackMargin : blindMargin),
};
