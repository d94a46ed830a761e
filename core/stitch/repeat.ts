import type { Pattern, Penetration, Repeat, Stitch } from './stitch';

/** How far the small zigzags of the stretch blind stitch swing: u from +1 to this. */
export const stretchRunInner = 0.6;

/** A third of the way over: where a three-step zigzag sets down between its turns. */
const third = 1 / 3;

const swing = (u: number, v: number): Penetration => ({ u, v, role: 'swing' });

/** A run at one side, then a single hole at the other. */
function runAndBite(run: (v: number) => number, biteAt: number, runStitches: number): Repeat {
  const penetrations: Penetration[] = [];
  for (let v = 0; v < runStitches; v++) penetrations.push({ u: run(v), v, role: 'run' });
  penetrations.push({ u: biteAt, v: runStitches, role: 'bite' });
  return { penetrations, stitches: runStitches + 1 };
}

/** Needles side by side, each sewing its own line. */
const needles = (...us: number[]): Repeat => ({
  penetrations: us.map((u, needle) => ({ u, v: 0, role: 'run', needle })),
  stitches: 1,
});

/** Repeats that do not depend on the run. */
const fixed: Readonly<Partial<Record<Pattern, Repeat>>> = {
  straight: needles(0),
  zigzag: { penetrations: [swing(1, 0), swing(-1, 1)], stitches: 2 },
  fringe: { penetrations: [swing(1, 0), swing(-1, 1)], stitches: 2 },
  'three-step': {
    penetrations: [
      swing(1, 0),
      swing(third, 1),
      swing(-third, 2),
      swing(-1, 3),
      swing(-third, 4),
      swing(third, 5),
    ],
    stitches: 6,
  },
  // A line in the cloth with a rung straight out over the edge and back from every stitch of it.
  'overcast-woven': {
    penetrations: [{ u: -1, v: 0, role: 'run' }, swing(1, 0), { u: -1, v: 0, role: 'run' }],
    stitches: 1,
  },
  // The rung slants a stitch ahead on its way out, so that it can open when the knit is pulled.
  'overcast-stretch': {
    penetrations: [{ u: -1, v: 0, role: 'run' }, { u: -1, v: 1, role: 'run' }, swing(1, 2)],
    stitches: 2,
  },
  'overedge-four': needles(-1, 1),
  'overedge-three-wide': needles(-1),
  'overedge-three-narrow': needles(1),
  'overedge-two': needles(1),
  'rolled-three': needles(1),
  'rolled-two': needles(1),
  chain: needles(0),
  'cover-left': needles(-1, 0),
  'cover-right': needles(0, 1),
  'cover-wide': needles(-1, 1),
  'cover-three': needles(-1, 0, 1),
};

function unmirrored({ pattern, runStitches }: Stitch): Repeat {
  switch (pattern) {
    case 'blind-woven':
    case 'tacking':
      return runAndBite(() => 1, -1, runStitches);
    case 'blind-stretch':
      return runAndBite((v) => (v % 2 === 1 ? stretchRunInner : 1), -1, runStitches);
    case 'shell':
      return runAndBite(() => -1, 1, runStitches);
    default:
      return fixed[pattern] ?? needles(0);
  }
}

/**
 * The needle holes of one repeat of a stitch.
 * Source: docs/formulas.md, “Needle path”.
 *
 * @returns holes in sewing order; u is negated for a mirrored stitch
 */
export function repeatOf(stitch: Stitch): Repeat {
  const repeat = unmirrored(stitch);
  if (!stitch.mirror) return repeat;
  return {
    ...repeat,
    penetrations: repeat.penetrations.map((hole) => ({ ...hole, u: -hole.u + 0 })),
  };
}

/** Whether a stitch has one side for its run and another for its swing, so that a hand matters. */
export function lopsided(stitch: Stitch): boolean {
  const holes = repeatOf(stitch).penetrations;
  return holes.some(({ role }) => role === 'run') && holes.some(({ role }) => role !== 'run');
}

/** The side to which a stitch swings out of its run; right for one without a run. */
export function sideOf(stitch: Stitch): 'left' | 'right' {
  const holes = repeatOf(stitch).penetrations;
  const run = holes.find(({ role }) => role === 'run');
  const out = holes.find(({ role }) => role !== 'run');
  return run && out && out.u < run.u ? 'left' : 'right';
}
