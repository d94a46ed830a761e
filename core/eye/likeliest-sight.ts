import type { Field } from './flatten';
import type { FoundSeam, Way } from './find-seam';
import { laidByThread, liesElsewhere } from './laid-by-thread';
import { referenceLine, threadMm, type ReferenceLine } from './reference-line';
import { hasBites, isLine, isMeasurable, type Seen } from './seen';
import { sewnPart } from './sewn-part';
import { spacedByDips } from './stitch-length';
import { isClearOf, laidAlong, mirrored } from './straight-line';
import { endsSettled } from './thread-ends';
import { following, plainness, traced, type Following, type TracedHole } from './trace';

/** What lies beside so many of the likeliest ways of lying is looked for. */
const mostLooked = 3;
/** What scores less than so much of the best was never the seam, in 232 photos, nor less than 0.73 of it. */
const plausibleShare = 0.65;
/**
 * A stitch that bites lies on one side only, and a way that from afar is less likely thread than so much of the likeliest was
 * never the seam, in 110 photos, nor less than 0.91 of it.
 */
const likelyAfarShare = 0.7;
/** Ways of lying that follow the thread nearly as well as the best. */
const nearlyAsPlain = 0.85;
/** The same of lines beside each other, which look as plain the other way round. */
const asPlainOtherWay = 0.6;
/** Which way round they lie is told by a line that is plainer by so much, in log. */
const surerBy = 2;
/** Two that lie the same way and no farther apart are one seam, mm. */
const samePlaceMm = 1;
/** What stitches are led along that is a line on the cloth, and no step from one cloth to another. */
const drawnReferences = new Set(['hemline', 'ridge of the old hem']);

/** A seam and its thread. */
interface Sight {
  readonly seam: FoundSeam;
  readonly thread: readonly TracedHole[];
}

/** How a seam lies, as far as its thread and what lies beside it tell. */
export interface LikeliestSight extends Sight {
  /** How far its thread stands out on both its sides, in spreads of the cloth. */
  readonly plain: number;
  /** What it was led along; null where that is not told. */
  readonly line: ReferenceLine | null;
}

/** What is looked for, and what other needles sew beside it. */
export interface SoughtThread {
  readonly seen: Seen;
  readonly beside: readonly Seen[];
}

/** The log of how likely it is that all its holes are thread. */
export const likelyThread = (thread: readonly TracedHole[]): number =>
  thread.reduce((sum, { logOdds }) => sum + logOdds, 0);

/** How plain a line is; none at all is less than any. */
const plainOf = (line: ReferenceLine | null | undefined) => line?.total ?? -1e9;

/**
 * Of several ways a seam may lie the one whose thread is followed the plainest; where thread alone leaves it
 * open, what lies beside it tells. Source: docs/formulas.md, “The eye”.
 *
 * @param tones how light the window is
 * @param standing what stands out of it
 * @param seams where it may lie, the likeliest first
 * @param findAlong looks for the seam once more, in a direction and lying in one of some ways
 * @returns null where it lies nowhere
 */
export function likeliestSight(
  { seen, beside: otherLines }: SoughtThread,
  tones: Field,
  standing: Field,
  seams: readonly FoundSeam[],
  findAlong: (angle: number, only?: readonly Way[]) => readonly FoundSeam[],
): LikeliestSight | null {
  const straight = isLine(seen);
  const followed = (seam: FoundSeam, way = following(standing, seen, seam)): Sight => {
    const all = way.closely();
    const thread = sewnPart(all);
    return { seam, thread: straight ? thread : endsSettled(standing, seen, seam, all, thread) };
  };
  const sightOf = (one: FoundSeam, way?: Following): Sight => {
    const sight = followed(one, way);
    return straight ? followed(laidAlong(sight.seam, sight.thread)) : sight;
  };
  let mostAfar = 0;
  const sightsOf = (some: readonly FoundSeam[]): Sight[] => {
    if (!hasBites(seen)) return some.map((one) => sightOf(one));
    const ways = some.map((one) => ({ one, way: following(standing, seen, one) }));
    mostAfar = Math.max(mostAfar, ...ways.map(({ way }) => way.likely));
    return ways
      .filter(({ way }) => way.likely >= likelyAfarShare * mostAfar)
      .map(({ one, way }) => sightOf(one, way));
  };
  /** Followed once more, and again, as long as more of it is found where it itself says that it runs. */
  const wholeOf = (sight: Sight): Sight => {
    if (sight.thread.length < 2 * seen.holes.length) return sight;
    const seam = laidByThread(seen, sight.seam, sight.thread);
    const halfMm = standing.width / standing.pxPerMm / 2;
    if (!liesElsewhere(seen, sight.seam, seam, halfMm)) return sight;
    const relaid = followed(seam);
    return relaid.thread.length > sight.thread.length ? wholeOf(relaid) : sight;
  };
  const lines = new Map<Sight, ReferenceLine | null>();
  const lineBeside = (sight: Sight): ReferenceLine | null => {
    const known = lines.get(sight);
    if (known !== undefined) return known;
    const { seam, thread } = sight;
    const line = referenceLine(tones, seam, thread, {
      mayBeDrawn: seen.reference !== null && drawnReferences.has(seen.reference),
      // A straight line of thread is a line itself.
      besideThreadMm: straight ? 2 * threadMm : threadMm,
    });
    const found = line && (!straight || isClearOf(line, seam, thread)) ? line : null;
    lines.set(sight, found);
    return found;
  };
  const plausible = (some: readonly FoundSeam[]) => {
    const best = Math.max(...some.map(({ score }) => score));
    return some.filter(({ score }) => straight || score >= plausibleShare * best);
  };
  const likely = plausible(seams);
  const sights = sightsOf(
    likely.flatMap((one) => (straight ? [one, mirrored(one, seen.holes[0]!.acrossMm)] : [one])),
  );
  // A seam runs along what it was led along, which is the straighter of the two.
  const beside = sights
    .filter((_, i) => !straight || i % 2 === 0)
    .slice(0, mostLooked)
    .map((sight) => ({ sight, line: lineBeside(sight) }))
    .sort((x, y) => plainOf(y.line) - plainOf(x.line))[0];
  if (beside?.line && seen.reference !== null) {
    const angle = beside.sight.seam.angle + beside.line.slope;
    // What was hardly thread from afar is no more so in a direction that differs by a degree.
    const only = hasBites(seen) ? sights.map(({ seam }) => seam) : undefined;
    sights.push(...sightsOf(plausible(findAlong(angle, only))));
  }
  /** As plain as the least plain of the lines that lie beside each other. */
  const plain = sights.map(({ seam, thread }) =>
    Math.min(
      plainness(standing, seam, thread),
      ...otherLines.map((line) =>
        plainness(standing, seam, sewnPart(traced(standing, line, seam))),
      ),
    ),
  );
  const total = sights.map(({ thread }, i) => plain[i]! * Math.sqrt(thread.length));
  const most = Math.max(...total);
  // Lines beside each other may be taken for each other; then what they were led along lies elsewhere.
  const isOther = ({ seam: one }: Sight, { seam: other }: Sight) =>
    one.turned[1] !== other.turned[1] || Math.abs(one.acrossMm - other.acrossMm) > samePlaceMm;
  const [best, ...others] = sights
    .filter((_, i) => total[i]! >= (otherLines.length > 0 ? asPlainOtherWay : nearlyAsPlain) * most)
    // Of a thread that was followed twice in one place, one may have lost a hole at its end.
    .filter(
      (one, _, all) =>
        straight ||
        all.every((other) => isOther(one, other) || other.thread.length <= one.thread.length),
    )
    .map((sight) => ({
      ...sight,
      plain: plain[sights.indexOf(sight)]!,
      line: isMeasurable(seen) ? lineBeside(sight) : null,
    }))
    // Where thread alone leaves open how a stitch lies, what it was led along says.
    .sort(
      (a, b) =>
        plainOf(b.line) - plainOf(a.line) || likelyThread(b.thread) - likelyThread(a.thread),
    );
  if (!best) return null;
  const mayBeOther = others.some(
    (other) => isOther(other, best) && plainOf(other.line) > plainOf(best.line) - surerBy,
  );
  // A straight thread was followed by where it lies; where its holes are is told along it.
  const sight = straight
    ? followed(spacedByDips(standing, seen, best.seam, best.thread))
    : wholeOf(best);
  const line = sight !== best && isMeasurable(seen) ? lineBeside(sight) : best.line;
  const isTold = otherLines.length === 0 || !mayBeOther;
  return { ...sight, plain: best.plain, line: isTold ? line : null };
}
