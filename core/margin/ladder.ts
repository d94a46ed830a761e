import { dialField, marginDials, type MarginDial } from '../kit/dial-steps';
import { needleMayGo } from '../stitch/clearance';
import { allowedDrift, undriftedMm, type Check } from './check';
import { normalDrift } from './normal';
import type { PosteriorGrid } from './posterior-grid';
import { dialSpace, type MarginSettings, type SetUp } from './set-up';

/** A small planned series of scraps: one dial, several places. */
export interface Ladder {
  readonly dial: MarginDial;
  /** In the order of the dial, so that it is turned one way only. */
  readonly rungs: readonly MarginSettings[];
  /** What the scraps are expected to tell about offset and spread together, nats. */
  readonly gainNats: number;
  /** The same after each rung was added, the most telling first. */
  readonly gainsNats: readonly number[];
}

/** Hands that are drawn from what is believed, to see what a scrap would tell apart. */
const drawnHands = 96;
/** The grid is thinned to about so many points for weighing what was seen. */
const thinnedPoints = 256;
/** More places of a dial than this are thinned. */
const mostPlaces = 16;
/** Beyond this from the setting one has, nobody would sew a scrap, mm of the check's value. */
const farthestMm = 1.6;

interface Hand {
  readonly shiftMm: number;
  readonly sigmaMm: number;
  readonly weight: number;
}

/** Grid points, merged to fewer of the same weight. */
function thinned({ weights, sigmasMm, shifts }: PosteriorGrid): Hand[] {
  const step = Math.ceil(Math.sqrt((sigmasMm.length * shifts.count) / thinnedPoints));
  const hands: Hand[] = [];
  for (let row = 0; row < sigmasMm.length; row += step) {
    for (let i = 0; i < shifts.count; i += step) {
      let [weight, shiftMm, sigmaMm] = [0, 0, 0];
      for (let r = row; r < Math.min(row + step, sigmasMm.length); r++) {
        for (let s = i; s < Math.min(i + step, shifts.count); s++) {
          const one = weights[r * shifts.count + s] ?? 0;
          weight += one;
          shiftMm += one * (shifts.fromMm + s * shifts.stepMm);
          sigmaMm += one * (sigmasMm[r] ?? 0);
        }
      }
      if (weight > 1e-7) {
        hands.push({ weight, shiftMm: shiftMm / weight, sigmaMm: sigmaMm / weight });
      }
    }
  }
  return hands;
}

/** Log-chances of ending left of the allowed drift, inside it and right of it. */
function logOutcomes(
  { shiftMm, sigmaMm }: Hand,
  [from, to]: readonly [number, number],
): readonly [number, number, number] {
  const hand = normalDrift(shiftMm, sigmaMm);
  const chances = [hand.leftOf(from), to > from ? hand.within(from, to) : 0, hand.rightOf(to)];
  return chances.map((chance) => Math.log(Math.max(chance, 1e-12))) as never;
}

/** A scrap drawn for a hand: how many of n end left, inside and right. */
function drawn(
  logs: readonly [number, number, number],
  n: number,
  random: () => number,
): readonly [number, number, number] {
  const [left, sound] = [Math.exp(logs[0]), Math.exp(logs[1])];
  const counts: [number, number, number] = [0, 0, 0];
  for (let i = 0; i < n; i++) {
    const at = random();
    counts[at < left ? 0 : at < left + sound ? 1 : 2]++;
  }
  return counts;
}

/** Hands drawn by their weight, evenly spread over it. */
function drawHands(hands: readonly Hand[], random: () => number): Hand[] {
  const start = random();
  const result: Hand[] = [];
  let [i, below] = [0, 0];
  for (let k = 0; k < drawnHands; k++) {
    const share = (k + start) / drawnHands;
    while (i < hands.length - 1 && below + (hands[i]?.weight ?? 0) < share) {
      below += hands[i]?.weight ?? 0;
      i++;
    }
    result.push(hands[i]!);
  }
  return result;
}

/** What a place of a dial would show: for every believed hand, and a scrap for every drawn one. */
interface Place {
  readonly settings: MarginSettings;
  /** Three numbers for each hand: left, inside, right. */
  readonly logs: Float64Array;
  readonly scraps: readonly (readonly [number, number, number])[];
  /** The log-chance of each drawn scrap under the hand it was drawn for. */
  readonly own: readonly number[];
}

const dot = (counts: readonly number[], logs: readonly number[]) =>
  (counts[0] ?? 0) * (logs[0] ?? 0) +
  (counts[1] ?? 0) * (logs[1] ?? 0) +
  (counts[2] ?? 0) * (logs[2] ?? 0);

/** Adds to every hand's log-chance that of one drawn scrap at a place. */
function addLogs({ scraps, logs }: Place, k: number, from: Float64Array, into: Float64Array): void {
  const [left, sound, right] = scraps[k]!;
  for (let h = 0, i = 0; h < from.length; h++, i += 3) {
    into[h] =
      (from[h] ?? 0) +
      left * (logs[i] ?? 0) +
      sound * (logs[i + 1] ?? 0) +
      right * (logs[i + 2] ?? 0);
  }
}

/**
 * ln of what a drawn scrap, with those before it, was to be expected at over all hands.
 *
 * @param scratch a list of the same length to work in, so that nothing is allocated
 */
function logEvidence(
  place: Place,
  k: number,
  soFar: Float64Array,
  logWeights: Float64Array,
  scratch: Float64Array,
): number {
  addLogs(place, k, soFar, scratch);
  let most = -Infinity;
  for (let h = 0; h < scratch.length; h++) {
    const log = (scratch[h] ?? 0) + (logWeights[h] ?? 0);
    scratch[h] = log;
    if (log > most) most = log;
  }
  let sum = 0;
  // What is e⁻³⁰ of the best weighs nothing.
  for (const log of scratch) if (log > most - 30) sum += Math.exp(log - most);
  return most + Math.log(sum);
}

/**
 * The places of a dial that tell the most, chosen one after another, each for what it adds to
 * those before: the mutual information between what would be counted and the hand, estimated over
 * hands drawn from what is believed.
 */
function greedy(
  places: readonly Place[],
  hands: readonly Hand[],
  count: number,
): { readonly rungs: Place[]; readonly gains: number[] } {
  // log p(all scraps so far | hand), for every drawn hand's scraps and every believed hand.
  const soFar = Array.from({ length: drawnHands }, () => new Float64Array(hands.length));
  const own = new Float64Array(drawnHands);
  const logWeights = Float64Array.from(hands, ({ weight }) => Math.log(weight));
  const scratch = new Float64Array(hands.length);
  const rungs: Place[] = [];
  const gains: number[] = [];
  while (rungs.length < count) {
    let best: { place: Place; gain: number } | null = null;
    for (const place of places) {
      if (rungs.includes(place)) continue;
      let gain = 0;
      for (let k = 0; k < drawnHands; k++) {
        const evidence = logEvidence(place, k, soFar[k]!, logWeights, scratch);
        gain += (own[k] ?? 0) + (place.own[k] ?? 0) - evidence;
      }
      gain /= drawnHands;
      if (!best || gain > best.gain + 1e-9) best = { place, gain };
    }
    if (!best) break;
    const { place, gain } = best;
    rungs.push(place);
    gains.push(gain);
    for (let k = 0; k < drawnHands; k++) {
      own[k] = (own[k] ?? 0) + (place.own[k] ?? 0);
      addLogs(place, k, soFar[k]!, soFar[k]!);
    }
  }
  return { rungs, gains };
}

/** Every so manyth of a list, its ends kept. */
function thinList<T>(all: readonly T[], most: number): T[] {
  if (all.length <= most) return [...all];
  return Array.from(
    { length: most },
    (_, i) => all[Math.round((i * (all.length - 1)) / (most - 1))]!,
  );
}

/**
 * A test ladder: three to five scraps, one dial, at the places that are expected to tell the most
 * about offset and spread on the learned grid.
 * Source: docs/formulas.md, “A test ladder”.
 *
 * @param check the one whose stitches are counted
 * @param grid what is believed of that check's source
 * @param from the setting one has; the other dials stay there
 * @param count how many rungs, 1 or more
 * @param stitches counted on each scrap
 * @param random even numbers in 0 … 1; the same give the same ladder
 * @returns null when no dial moves the check
 */
export function testLadder(
  set: SetUp,
  check: Check,
  grid: PosteriorGrid,
  from: MarginSettings,
  { count, stitches, random }: { count: number; stitches: number; random: () => number },
): Ladder | null {
  const space = dialSpace(set);
  const mayGo = needleMayGo(set.stitch, set.foot, set.machine, set.needleSize);
  const hands = thinned(grid);
  const drawnFrom = drawHands(hands, random);
  const ladders = marginDials.flatMap((dial): Ladder[] => {
    if (check.v0[dial] === 0) return [];
    const near = space[dial]
      .map((mm) => ({ ...from, [dialField[dial]]: mm }))
      .filter((at) => Math.abs(undriftedMm(check, at) - undriftedMm(check, from)) <= farthestMm)
      .filter(({ widthMm, needlePositionMm }) => mayGo(widthMm, needlePositionMm));
    if (near.length < 2) return [];
    const places = thinList(near, mostPlaces).map((settings): Place => {
      const allowed = allowedDrift(check, undriftedMm(check, settings));
      const ownLogs = drawnFrom.map((hand) => logOutcomes(hand, allowed));
      const scraps = ownLogs.map((logs) => drawn(logs, stitches, random));
      return {
        settings,
        scraps,
        logs: Float64Array.from(hands.flatMap((hand) => logOutcomes(hand, allowed))),
        own: scraps.map((counts, k) => dot(counts, ownLogs[k]!)),
      };
    });
    const { rungs, gains } = greedy(places, hands, count);
    const field = dialField[dial];
    return [
      {
        dial,
        rungs: rungs.map(({ settings }) => settings).sort((a, b) => a[field] - b[field]),
        gainNats: gains.at(-1) ?? 0,
        gainsNats: gains,
      },
    ];
  });
  return ladders.sort((a, b) => b.gainNats - a.gainNats)[0] ?? null;
}
