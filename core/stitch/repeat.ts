import type { Penetration, Repeat, Stitch } from './stitch';

/** How far the small zigzags of the stretch blind stitch swing: u from +1 to this. */
export const stretchRunInner = 0.6;

function unmirrored(stitch: Stitch): Repeat {
  switch (stitch.pattern) {
    case 'straight':
      return { penetrations: [{ u: 0, v: 0, role: 'run' }], stitches: 1 };
    case 'zigzag':
      return {
        penetrations: [
          { u: 1, v: 0, role: 'swing' },
          { u: -1, v: 1, role: 'swing' },
        ],
        stitches: 2,
      };
    case 'blind-woven':
    case 'blind-stretch': {
      const penetrations: Penetration[] = [];
      for (let v = 0; v < stitch.runStitches; v++) {
        const inner = stitch.pattern === 'blind-stretch' && v % 2 === 1;
        penetrations.push({ u: inner ? stretchRunInner : 1, v, role: 'run' });
      }
      penetrations.push({ u: -1, v: stitch.runStitches, role: 'bite' });
      return { penetrations, stitches: stitch.runStitches + 1 };
    }
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
