import { bareCloth } from './bare-cloth';
import type { Field } from './flatten';
import type { FoundSeam } from './find-seam';
import { holePatch, misfit, type HolePatch } from './hole-patch';
import { settledAt, type Pair, type Placed } from './least';
import { middleOf } from './middle';
import { lookAlong } from './on-seam';
import { threadCover, type ThreadCover, type ThreadLook } from './thread-look';
import type { TracedHole } from './trace';

const { hypot, max, min, sqrt } = Math;

/** Looks a thread may have; in between it makes no odds (0.01 mm). */
const halvesMm = [0.1, 0.14, 0.19];
const blursMm = [0.05, 0.065, 0.08, 0.1, 0.12, 0.145, 0.17, 0.2];
const atHoles = [0.25, 0.6, 1];
/** Width and blur are told before it is known how it ends. */
const someAtHole = 0.6;
/** How a thread looks is told by so many of its holes. */
const mostTelling = 12;
/** So many places of a patch say together what one would that repeats no other: a thread’s width of them, each way. */
const alike = 9;
/** How a value bends is seen over so much, mm. */
const bendMm = 0.05;
/** A fit that tells less than this tells nothing, one spread, mm. */
const mostSpreadMm = 0.5;

/** Where a thread ends is looked for so far along it, mm: nothing but its end tells. */
const endsMm = [-0.45, -0.3, -0.15, 0, 0.15, 0.3, 0.45];
/** Less of a thread has no direction, mm. */
const leastThreadMm = 1;

/** Where to begin: where it was found, or, of a thread that ends there, the best place along it. */
function startOf(patch: HolePatch, from: Pair, cover: ThreadCover): Placed {
  const [end, other] = patch.ends as readonly [Pair, Pair?];
  const [dt, ds] = [from[0] - end[0], from[1] - end[1]];
  const length = hypot(dt, ds);
  const places = other || length < leastThreadMm ? [0] : endsMm;
  return places
    .map((mm): Pair => [from[0] + (dt * mm) / max(1, length), from[1] + (ds * mm) / max(1, length)])
    .map((at): Placed => ({ at, off: misfit(patch, at, cover) }))
    .reduce((best, one) => (one.off < best.off ? one : best));
}

/** How far a fit may be off across, one spread, mm: what is left over, against how fast it grows aside. */
function spreadOf(patch: HolePatch, { at: [t, s], off }: Placed, cover: ThreadCover): number {
  const beside = (by: number) => misfit(patch, [t + by, s], cover);
  const bend = (beside(-bendMm) - 2 * off + beside(bendMm)) / bendMm ** 2;
  return min(mostSpreadMm, sqrt((2 * alike * off) / patch.seen.length / max(1e-9, bend)));
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
  const patches = sewn.flatMap((hole, i) => {
    const patch = hole.hole.role === 'run' ? null : holePatch(seen, bare, sewn, i);
    return patch ? [{ hole, patch }] : [];
  });
  if (patches.length === 0) return { thread: [...sewn], look: null };
  const every = Math.ceil(patches.length / mostTelling);
  const telling = patches.flatMap(({ patch }, i) => (i % every === 0 ? [patch] : []));
  const fit = (patch: HolePatch, from: Pair, cover: ThreadCover, stepsMm: readonly number[]) =>
    settledAt(
      (at) => misfit(patch, at, cover),
      startOf(patch, from, cover),
      stepsMm.map((step): Pair => [step, step]),
    );
  const likeliestLook = (atHole: number, places: readonly Pair[]) =>
    halvesMm
      .flatMap((halfMm) => blursMm.map((blurMm): ThreadLook => ({ halfMm, blurMm, atHole })))
      .map((one) => {
        const cover = threadCover(one);
        const off = middleOf(telling.map((patch, i) => misfit(patch, places[i]!, cover)));
        return { one, off };
      })
      .reduce((best, other) => (other.off < best.off ? other : best)).one;
  const about = likeliestLook(
    someAtHole,
    telling.map(({ found }) => found),
  );
  const ways = atHoles.map((atHole) => {
    const cover = threadCover({ ...about, atHole });
    const all = telling.map((patch) => fit(patch, patch.found, cover, [0.1, 0.05]));
    return { atHole, places: all.map(({ at }) => at), off: middleOf(all.map(({ off }) => off)) };
  });
  const best = ways.reduce((one, other) => (other.off < one.off ? other : one));
  const look = likeliestLook(best.atHole, best.places);
  const cover = threadCover(look);
  const moved = new Map(
    patches.map(({ hole, patch }) => {
      const fitted = fit(patch, patch.found, cover, [0.1, 0.05, 0.03]);
      const [acrossMm, alongMm] = fitted.at;
      const acrossSpreadMm = spreadOf(patch, fitted, cover);
      return [hole, { ...hole, acrossMm, alongMm, acrossSpreadMm }];
    }),
  );
  return { thread: sewn.map((hole) => moved.get(hole) ?? hole), look };
}
