import { bareCloth } from './bare-cloth';
import { fedAlong, type FedPlace } from './fed-along';
import type { Field } from './flatten';
import type { FoundSeam } from './find-seam';
import { alike, holePatch, misfit, placeOf, spreadBy, type HolePatch } from './hole-patch';
import { settledAt, type Pair, type Placed } from './least';
import { lookOfThread } from './look-of-thread';
import { lookAlong } from './on-seam';
import { stitchLine } from './stitch-line';
import { threadCover, type ThreadCover, type ThreadLook } from './thread-look';
import type { TracedHole } from './trace';

const { hypot, max } = Math;

/** How a value bends is seen over so much, mm. */
const bendMm = 0.05;

/** Where a thread ends is looked for so far along it, mm: nothing but its end tells. */
const endsMm = [-0.45, -0.3, -0.15, 0, 0.15, 0.3, 0.45];
/** Less of a thread has no direction, mm. */
const leastThreadMm = 1;

/** How far off a place is for a hole of a patch. */
type OffAt = (at: Pair) => number;

/** How far what is seen is from threads that meet there. */
const offOf =
  (patch: HolePatch, cover: ThreadCover): OffAt =>
  (at) =>
    misfit(patch, at, cover);

/** The same, and how far from where the machine would have fed it; as likely in either. */
function offIfFed(offAt: OffAt, { found, seen }: HolePatch, fed: FedPlace): OffAt {
  const weight = (alike * offAt(found)) / seen.length;
  return (at) => offAt(at) + weight * ((at[1] - fed.alongMm) / fed.spreadMm) ** 2;
}

/** Where to begin: where it was found, or, of a thread that ends there, the best place along it. */
function startOf({ ends, found }: HolePatch, offAt: OffAt): Placed {
  const [end, other] = ends as readonly [Pair, Pair?];
  const [dt, ds] = [found[0] - end[0], found[1] - end[1]];
  const length = hypot(dt, ds);
  const places = other || length < leastThreadMm ? [0] : endsMm;
  return places
    .map((mm): Pair => [
      found[0] + (dt * mm) / max(1, length),
      found[1] + (ds * mm) / max(1, length),
    ])
    .map((at): Placed => ({ at, off: offAt(at) }))
    .reduce((best, one) => (one.off < best.off ? one : best));
}

const fit = (patch: HolePatch, offAt: OffAt, stepsMm: readonly number[]) =>
  settledAt(
    offAt,
    startOf(patch, offAt),
    stepsMm.map((step): Pair => [step, step]),
  );

/**
 * How far a fit may be off across, one spread, mm: what is left over, against how fast it grows aside, wherever it
 * lies along.
 */
function spreadOf(patch: HolePatch, { at: [t, s], off }: Placed, offAt: OffAt): number {
  const by = (across: number, along: number) =>
    offAt([t + across * bendMm, s + along * bendMm]) - off;
  const [tt, ss] = [by(1, 0) + by(-1, 0), by(0, 1) + by(0, -1)];
  const ts = (by(1, 1) + by(-1, -1) - by(1, -1) - by(-1, 1)) / 4;
  // Of a thread’s end the picture tells where it lies beside its line; how far along it, only its end.
  const bend = (tt - (ts * ts) / max(1e-9, ss)) / bendMm ** 2;
  return spreadBy(patch, off, bend);
}

/**
 * The holes where a thread turns back, where they fit the picture best. Following a thread tells that it runs
 * somewhere; here what it would look like is held against what is seen, with the shadow of a fold and stripes
 * known. How the thread of this photo looks is what fits most of its holes best.
 * Source: docs/formulas.md, “The eye”.
 *
 * @param even the picture without its light
 * @param slope of what the thread was led along
 * @returns the same holes in the same order, those moved that turn back; how the thread looks, null where none does
 */
export function fittedHoles(
  even: Field,
  seam: FoundSeam,
  slope: number,
  sewn: readonly TracedHole[],
): { readonly thread: TracedHole[]; readonly look: ThreadLook | null } {
  const [seen, bare] = [lookAlong(even, seam), bareCloth(even, seam, slope, sewn)];
  // A swing’s stitch ends in two holes that turn back: its line is the same from either.
  const lines = new Map<number, readonly [Pair, Pair]>();
  const lineTo = (i: number) => {
    const [from, to] = [sewn[i - 1], sewn[i]];
    if (!from || !to) return null;
    const line = lines.get(i) ?? stitchLine(seen, bare, [placeOf(from), placeOf(to)]);
    lines.set(i, line);
    return line;
  };
  const patches = sewn.flatMap((hole, i) => {
    const patch = hole.hole.role === 'run' ? null : holePatch(seen, bare, sewn, i);
    if (!patch) return [];
    const [before, after] = [lineTo(i), lineTo(i + 1)];
    const ends = [...(before ? [before[0]] : []), ...(after ? [after[1]] : [])];
    return [{ hole, patch: { ...patch, ends } }];
  });
  if (patches.length === 0) return { thread: [...sewn], look: null };
  const look = lookOfThread(
    patches.map(({ patch }) => patch),
    {
      found: ({ found }) => found,
      offAt: misfit,
      fit: (patch, cover) => fit(patch, offOf(patch, cover), [0.1, 0.05]),
    },
    even.blurMm,
  );
  const cover = threadCover(look);
  const moved = (hole: TracedHole, patch: HolePatch, offAt: OffAt): TracedHole => {
    const fitted = fit(patch, offAt, [0.1, 0.05, 0.03]);
    const [acrossMm, alongMm] = fitted.at;
    return { ...hole, acrossMm, alongMm, acrossSpreadMm: spreadOf(patch, fitted, offAt) };
  };
  const thread = [...sewn];
  const isEnd = ({ ends }: HolePatch) => ends.length < 2;
  for (const { hole, patch } of patches.filter((one) => !isEnd(one.patch))) {
    thread[sewn.indexOf(hole)] = moved(hole, patch, offOf(patch, cover));
  }
  // The ends last: where the machine would have fed them is told by all others.
  for (const { hole, patch } of patches.filter((one) => isEnd(one.patch))) {
    const fed = fedAlong(thread, hole);
    const offAt = offOf(patch, cover);
    thread[sewn.indexOf(hole)] = moved(hole, patch, fed ? offIfFed(offAt, patch, fed) : offAt);
  }
  return { thread, look };
}
