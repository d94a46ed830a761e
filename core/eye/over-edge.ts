import type { Expected } from './expected';
import { averagedAlong, coarser, spreadOf, standingOut, toned, type Field } from './flatten';
import { seamFinder, type FoundSeam } from './find-seam';
import type { ScaledImage } from './grey';
import { measureThread } from './measure-thread';
import type { MeasuredScrap } from './measured-scrap';
import { rawEdges, type RawEdge } from './raw-edge';
import { refuse } from './refused';
import type { Seen } from './seen';
import { turnedBy } from './waves';

const { abs, cos, max, min, sin } = Math;

/** What is the same along so much of an edge is cloth, paper or a shadow; thread comes and goes, mm. */
const alongMm = 15;
/** Thread stands out farther than this, in spreads of its row, and is left out of what is usual. */
const leftOut = 1.5;
/** What is sewn over an edge lies so near to it, mm. */
const nearMm = 4;

/**
 * A picture turned so that its rows run along an edge, and evened out row by row: what is the same
 * all along, cloth here, paper there and the shadow between them, is gone, and thread is left.
 */
function evenedAlong(field: Field, { angle }: RawEdge): Field {
  const turned = turnedBy(field, angle);
  const { width, height, values } = turned;
  const usual = averagedAlong(turned, alongMm).values;
  const clipped = Float32Array.from(values);
  for (let row = 0; row < height; row++) {
    const [from, to] = [row * width, (row + 1) * width];
    const off = values.slice(from, to).map((value, x) => value - usual[from + x]!);
    const most = leftOut * spreadOf(off);
    for (let at = from; at < to; at++) {
      clipped[at] = usual[at]! + max(-most, min(most, off[at - from]!));
    }
  }
  const even = averagedAlong({ ...turned, values: clipped }, alongMm).values;
  return { ...turned, values: values.map((value, at) => value - even[at]!) };
}

/** The same with what lies on the paper the other way round: thread darker than it is lighter than cloth. */
function paperTurned(field: Field, { acrossMm, paper }: RawEdge): Field {
  const { width, height, pxPerMm } = field;
  const edge = acrossMm * pxPerMm + (height - 1) / 2;
  const values = field.values.map((value, at) =>
    paper * (Math.floor(at / width) - edge) > 0 ? -value : value,
  );
  return { ...field, values };
}

/** On which side across the machine has the paper: where the counted swings go. */
function paperSideOf({ holes }: Seen): 1 | -1 {
  const mean = (of: Seen['holes']) =>
    of.reduce((sum, { acrossMm }) => sum + acrossMm, 0) / Math.max(1, of.length);
  return mean(holes.filter(({ counted }) => counted)) >= mean(holes) ? 1 : -1;
}

interface Found {
  readonly edge: RawEdge;
  readonly standing: Field;
  readonly seams: readonly FoundSeam[];
  readonly findAlong: (angle: number) => readonly FoundSeam[];
}

/**
 * Measures a stitch that swings over a raw edge. The edge is the plainest thing in the picture and is
 * found first; then what is the same all along it is taken away, and on the paper’s side thread that
 * is lighter than the cloth is darker. Source: docs/formulas.md, “The eye”.
 *
 * @param flat the window without the light that lies on it
 * @param scale how much coarser the picture is measured, and looked over
 * @param onShare progress, 0 to 1; false stops
 * @throws Impossible where there is no edge, or no stitch over it
 */
export function measureOverEdge(
  window: ScaledImage,
  flat: Field,
  expected: Expected,
  scale: { readonly fine: number; readonly coarse: number; readonly leastScore: number },
  onShare: (share: number) => boolean,
): MeasuredScrap | null {
  const tones = toned(window);
  const edges = rawEdges(coarser(tones, scale.coarse));
  if (edges.length === 0) refuse('no-edge');
  const fine = coarser(flat, scale.fine);
  const times = max(1, Math.round(scale.coarse / scale.fine));
  const side = paperSideOf(expected.seen);
  let best: Found | null = null;
  const ways = edges.flatMap((edge) => [true, false].map((lighter) => ({ edge, lighter })));
  for (const [i, { edge, lighter }] of ways.entries()) {
    const even = evenedAlong(fine, edge);
    const standing = standingOut(lighter ? paperTurned(even, edge) : even);
    const find = seamFinder(coarser(standing, times), expected.seen);
    const findAlong = (along: number) =>
      (find({ along }) ?? []).filter(
        (one) =>
          one.lighter === lighter &&
          one.turned[1] * side === edge.paper &&
          abs(one.acrossMm - edge.acrossMm) <= nearMm,
      );
    const seams = findAlong(0);
    if ((seams[0]?.score ?? 0) > (best?.seams[0]?.score ?? 0)) {
      best = { edge, standing, seams, findAlong };
    }
    if (!onShare((0.8 * (i + 1)) / ways.length)) return null;
  }
  if (!best || best.seams[0]!.score < scale.leastScore) return refuse('no-stitch');
  const { edge, standing, seams, findAlong } = best;
  const turned = turnedBy(coarser(tones, scale.fine), edge.angle);
  const measured = measureThread(expected, turned, standing, seams, findAlong);
  return onShare(1) ? turnedBack(measured, window, edge.angle) : null;
}

/** What was found in a picture that was turned, where it lies in the window. */
function turnedBack(
  measured: MeasuredScrap,
  { width, height, pxPerMm }: ScaledImage,
  angle: number,
): MeasuredScrap {
  const [xc, yc] = [width / 2 / pxPerMm, height / 2 / pxPerMm];
  const [c, s] = [cos(angle), sin(angle)];
  const back = ([x, y]: readonly [number, number]): readonly [number, number] => [
    xc + (x - xc) * c - (y - yc) * s,
    yc + (x - xc) * s + (y - yc) * c,
  ];
  return {
    ...measured,
    stitches: measured.stitches.map((one) => ({ ...one, atMm: back(one.atMm) })),
    reference: measured.reference && measured.reference.map(back),
  };
}
