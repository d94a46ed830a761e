import type { Cloth } from '../cloth/cloth';
import { guess, needle, pressure, zigzagLength } from './parts/starting';
import { foldsAsSewn } from './as-sewn';
import { ridesClause } from './dials-clause';
import { course } from './parts/course';
import { along, home, said, step } from './parts/said';
import { lastPress, pin } from './parts/work';
import { foldedStrip } from '../fold/layer';
import { mark } from '../fold/mark';
import { stackMm } from '../fold/stack';
import type { Pattern } from '../stitch/stitch';
import type { Finish } from './finish';
import type { FinishMargin } from './finish-margin';
import type { FoldPlan } from './fold-plan';
import type { StartingValue, WorkRequest, WorkStep } from './work';
import type { FoldRequest } from './fold-request';
import { asLength } from './parts/margin-parts';
import { overcastMargin } from './parts/overcast-margin';
import { endsSchool } from './parts/schools';
import { stage } from './parts/stages';
import { swingMargin } from './parts/swing-margin';
import { rated } from './parts/rated';

/** How far the stitch reaches into the cloth when it is drawn, mm. */
const reachMm = 5;
const shownMm = 18;

/** A = 0; what is trimmed off or joined is the allowance. Source: docs/formulas.md, “Folds”. */
function folds({ wish, cloth: { thicknessMm } }: FoldRequest): FoldPlan {
  const allowance = wish.seamAllowanceMm ?? 0;
  const joins = wish.variant === 'join';
  const trims = wish.variant === 'zigzag-trim';
  const one = foldedStrip(allowance + shownMm, [], thicknessMm);
  const stack = joins
    ? [...one, ...foldedStrip(allowance + shownMm, [], thicknessMm, 'other side')]
    : one;
  const trimmed = stack.map((layer) => ({ ...layer, fromSMm: allowance, fromXMm: allowance }));
  const layers = joins ? 2 : 1;
  const edge = trims ? allowance : 0;
  const needleLine = joins ? allowance : edge + reachMm;
  const over = [edge - 0.6, needleLine] as const;
  return {
    allowanceMm: allowance,
    marks: joins
      ? [mark('seam', 'Seam line', allowance, 'stitch')]
      : trims
        ? [mark('trim', 'Trim to the stitching', allowance, 'cut')]
        : [],
    layersAtStitch: layers,
    layersUnderNeedle: layers,
    stackMm: stackMm(layers, thicknessMm),
    stitchFromHemlineMm: null,
    finishedDepthMm: 0,
    ...(trims ? { trim: { needed: true, leaveMm: 0, cutAwayMm: allowance } } : {}),
    stages: [
      stage('flat', joins ? 'Both allowances together' : 'Flat cloth, raw edge at the left', stack),
      stage('stitch', joins ? 'Joined and overcast in one pass' : 'Overcast', stack, {
        stitchesXMm: [needleLine],
        wrappedMm: over,
      }),
      ...(trims
        ? [
            stage('trimmed', 'Trimmed to the thread', trimmed, {
              stitchesXMm: [needleLine],
              wrappedMm: over,
            }),
          ]
        : []),
    ],
  };
}

function steps(request: WorkRequest): WorkStep[] {
  const { wish, schools, sewn } = request;
  const { allowanceMm, layersAtStitch } = folds(foldsAsSewn(request));
  const at = home(wish.variant === 'zigzag' ? 'zigzag' : 'overcasting');
  const joins = wish.variant === 'join';
  const trims = wish.variant === 'zigzag-trim';
  const after = schools['overcast-when'] === 'after' && !joins;
  const overMm = sewn?.checks['overhang'];
  // Where the straight line of a joining stitch falls, from the edges that ride the bar.
  const seamMm = sewn?.checks['grip'] ?? allowanceMm;
  const values = {
    seamMm,
    allowanceMm,
    overMm: Math.abs(overMm ?? 0),
    insideMm: overMm === undefined ? allowanceMm : -overMm,
  };
  const led = ridesClause(request);
  const swing =
    overMm === undefined
      ? 'the outer swing just over it'
      : overMm < 0
        ? 'the outer swing {overMm:fine} short of it'
        : 'the outer swing {overMm:fine} over it';
  return course(request, {
    at,
    footName: wish.variant === 'zigzag' ? 'zigzag foot' : 'overcasting foot',
    measure: [
      joins
        ? along(
            0.6,
            'cut',
            'table',
            seamMm < allowanceMm - 0.05
              ? 'This stitch puts its seam {seamMm:fine} from the edges: trim {trimMm:fine} off both allowances of {allowanceMm}.'
              : seamMm > allowanceMm + 0.05
                ? 'This stitch puts its seam {seamMm:fine} from the edges, and the allowances are {allowanceMm}: the piece gets narrower by the difference, or take a narrower stitch.'
                : 'Check that both edges have {allowanceMm} of allowance.',
            { seamMm, allowanceMm, trimMm: Math.max(0, allowanceMm - seamMm) },
            ['cutter'],
          )
        : along(0.4, 'cut', 'table', 'Cut the edge clean, without a loose thread.', {}, ['cutter']),
    ],
    prepare: after
      ? [step('assemble', at, 'Sew the seam first, then finish both allowances together.')]
      : [],
    fold: joins
      ? [pin('Lay the two edges together, right sides in, and pin inside the seam line.')]
      : [],
    layers: layersAtStitch,
    scrap: {
      text: layersAtStitch > 1 ? '{layers} layers together' : '{layers} layer',
      layers: layersAtStitch,
    },
    look: trims
      ? 'does every swing lie inside the edge, without a tunnel?'
      : 'are all threads inside, and does the edge lie flat?',
    sew: [
      step(
        'sew',
        at,
        trims
          ? `Zigzag with the outer swing {insideMm:fine} inside the raw edge: ${led}.`
          : joins
            ? `Sew with ${led}, ${swing}; the straight line of the stitch is the seam, {seamMm:fine} in.`
            : `Sew with ${led}, ${swing}.`,
        values,
        ['needle'],
      ),
    ],
    after: trims
      ? [along(0.8, 'trim', 'table', 'Trim to the thread without cutting it.', {}, ['cutter'])]
      : [],
    check: 'no whiskers outside, no loop hanging.',
    press: lastPress('Press flat, without stretching the edge.'),
  });
}

const names: readonly (readonly [id: string, name: string, cost: string])[] = [
  ['zigzag', 'zigzag over the edge', 'Any machine that zigzags; thin cloth may curl under it.'],
  ['zigzag-trim', 'zigzag, then trim', 'Flat on thin cloth; one more cut, close to the thread.'],
  [
    'woven',
    'overcasting stitch, woven',
    'Firm and flat; slower, and the stitch must be on the machine.',
  ],
  ['stretch', 'overcasting stitch, stretch', 'Stretches with a knit; takes more thread.'],
  ['join', 'join and finish in one', 'Seam and edge in one pass; no letting out later.'],
];

/** The stitches that serve a variant, the one made for it first. */
const patternsBy: Readonly<Record<string, readonly Pattern[]>> = {
  'zigzag-trim': ['zigzag', 'three-step'],
  zigzag: ['zigzag', 'three-step'],
  woven: ['overcast-woven', 'zigzag', 'three-step'],
  stretch: ['overcast-stretch', 'three-step', 'zigzag'],
  join: ['overcast-woven', 'overcast-stretch', 'zigzag'],
};

/** The length for a stitch, by what it is for. */
function lengthFor(variant: string, cloth: Cloth): StartingValue {
  if (variant.startsWith('zigzag')) return zigzagLength(cloth);
  const stretch = variant === 'stretch';
  return guess(
    'length',
    'Stitch length',
    stretch ? 3 : 2.5,
    'mm',
    said(
      'overcast-length',
      stretch ? 'Open enough to stretch.' : 'Rungs close enough to hold the threads.',
    ),
  );
}

/** The width to begin with where no margin asks for another. */
function widthFor({ fray }: Pick<Cloth, 'fray'>): StartingValue {
  return guess(
    'width',
    'Stitch width',
    fray >= 2 ? 5 : 4,
    'mm',
    said(
      'overcast-width',
      fray >= 2 ? 'Reaches far in; this cloth frays.' : 'Enough for cloth that holds its edge.',
    ),
  );
}

/** A swing nearer to a raw edge than this draws it into a tunnel, mm. Starting guess. */
const insideMm = 1;

/** Sewn whole inside the edge, which is trimmed to it afterwards. */
const trimMargin: FinishMargin = swingMargin({
  words: {
    reference: 'raw edge',
    one: 'swing',
    counted: 'swings',
    good: 'lie flat inside the edge',
    short: 'Nothing to trim',
    over: 'Edge drawn in',
    look: 'Before trimming, count the swings that reach the edge or draw it into a tunnel.',
    checks: { overhang: 'overhang' },
    faults: {
      tunnels: { short: 'edge tunnels', long: 'the swing reaches the edge and draws it in' },
    },
  },
  overhang: { loMm: -Infinity, hiMm: -insideMm },
  below: '',
  above: 'tunnels',
  startingLength: ({ cloth }) => asLength(zigzagLength(cloth)),
  regions: () => [{ name: 'cloth', fromMm: -Infinity, toMm: 0, layers: 1 }],
  ruled: ({ cloth }) => ({ widthMm: asLength(widthFor(cloth)) }),
});

/** A raw edge held by thread on an ordinary machine. */
export const overcast: Finish = {
  id: 'overcast',
  name: 'Overcast edge',
  family: 'edge',
  group: 'overcast',
  about: 'Holds a raw edge with thread; stands in for an overlocker.',
  variants: names.map(([id, name, cost]) => ({ id, name, costs: [said(id, cost)] })),
  fields: {
    seamAllowanceMm: {
      name: 'Allowance beyond the stitching',
      neededBy: ['join'],
      optionalFor: ['zigzag-trim'],
      leastMm: 1,
      mostMm: 60,
      startMm: 6,
    },
  },
  schools: [
    {
      id: 'overcast-when',
      question: 'Overcast before or after assembling?',
      variants: ['zigzag', 'zigzag-trim', 'woven', 'stretch'],
      ways: [
        {
          id: 'before',
          name: 'Each edge, before',
          costs: [said('before', 'Seams press open; twice the length to sew.')],
        },
        {
          id: 'after',
          name: 'Both together, after',
          costs: [said('after', 'Half the sewing; the seam stands to one side and is thicker.')],
        },
      ],
    },
    endsSchool,
  ],
  needs: (variant) => ({
    machineKinds: ['lockstitch'],
    patterns: patternsBy[variant] ?? ['zigzag'],
    feet:
      variant === 'zigzag' || variant === 'zigzag-trim'
        ? ['overcasting', 'zigzag']
        : ['overcasting'],
  }),
  contradictions: () => [],
  folds,
  steps,
  startingValues({ wish, cloth, edge }) {
    return [
      lengthFor(wish.variant, cloth),
      widthFor(cloth),
      needle({ cloth, edge }, stackMm(1, cloth.thicknessMm)),
      pressure(cloth, stackMm(1, cloth.thicknessMm)),
    ];
  },
  nature: (variant) => {
    const joins = variant === 'join';
    const zigzagged = variant.startsWith('zigzag');
    return {
      purposes: joins ? ['seam'] : ['allowance'],
      worked: joins ? ['over-edge', 'joins'] : ['over-edge'],
      hidden: joins
        ? rated(0.8, 'hidden', 'The thread lies inside, on one narrow allowance.')
        : rated(0.55, 'hidden', 'The thread lies over the edge, on both faces.'),
      sturdy: joins
        ? rated(0.5, 'sturdy', 'One line holds seam and edge both.')
        : zigzagged
          ? rated(0.4, 'sturdy', 'Thread over the raw edge keeps it from fraying, no more.')
          : rated(0.5, 'sturdy', 'Rungs and a straight line keep the raw edge from fraying.'),
      decorative: rated(0, 'decorative', 'Nobody looks at it with pleasure.'),
      holdsFray: zigzagged ? 2 : 3,
      leastRadius: { mm: 20 },
      thickestMm: 3,
      rawEdge: !joins,
      stopsFray: !joins,
      liesWithCurl: variant === 'stretch' ? 3 : 1,
      ...(joins ? { rawInside: true, narrowSeam: true } : {}),
      freeLayers: joins ? 2 : 1,
    };
  },
  seamClass: (variant) => (variant === 'join' ? '1.01' : '6.01'),
  margin: (variant) =>
    variant === 'zigzag-trim'
      ? trimMargin
      : overcastMargin(variant === 'join' ? 2 : 1, ({ cloth }) =>
          asLength(lengthFor(variant, cloth)),
        ),
};
