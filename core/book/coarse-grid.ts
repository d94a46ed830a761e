import { normalDrift } from '../margin/normal';
import { plainLogSigmaSd, plainShiftSdMm } from '../margin/prior';
import type { GuideCount } from './sewn-group';
import { quantile } from '../margin/quantile';

/** Offsets and steadiness of a hand, coarser than a lesson's grid: a whole book is read with it. */
export const offsetsMm: readonly number[] = Array.from({ length: 49 }, (_, i) => (i - 24) * 0.05);
/** ln of how much wider than the rule the hand spreads. */
export const logSkills: readonly number[] = Array.from({ length: 25 }, (_, i) => (i - 12) * 0.1);

/** Φ in steps of a hundredth: looked up, since millions are asked for at once. */
const stepsPerSigma = 100;
const reachSigmas = 8;
const table = Float64Array.from({ length: 2 * reachSigmas * stepsPerSigma + 2 }, (_, i) =>
  normalDrift(0, 1).leftOf(i / stepsPerSigma - reachSigmas),
);

/** Φ(z) by straight lines between hundredths; off by less than 3·10⁻⁶. */
export function roughPhi(z: number): number {
  const at = (z + reachSigmas) * stepsPerSigma;
  if (at <= 0) return 0;
  if (at >= table.length - 2) return 1;
  const i = Math.floor(at);
  const low = table[i] ?? 0;
  return low + (at - i) * ((table[i + 1] ?? 1) - low);
}

const least = 1e-9;

/** Counts under the same allowed drift are one count. */
function pooled(counts: readonly GuideCount[]): GuideCount[] {
  const groups = new Map<string, GuideCount>();
  for (const count of counts) {
    const key = `${count.fromMm} ${count.toMm} ${count.ruleSigmaMm}`;
    const group = groups.get(key);
    groups.set(key, {
      ...count,
      left: count.left + (group?.left ?? 0),
      sound: count.sound + (group?.sound ?? 0),
      right: count.right + (group?.right ?? 0),
    });
  }
  return [...groups.values()];
}

/**
 * Log-likelihood of the counts of one set-up over offset × steadiness, without any prior: a row of
 * offsets for each steadiness.
 */
export function likelihoodOf(counts: readonly GuideCount[]): Float64Array {
  const logs = new Float64Array(offsetsMm.length * logSkills.length);
  for (const { fromMm, toMm, left, right, sound, ruleSigmaMm } of pooled(counts)) {
    logSkills.forEach((logSkill, row) => {
      const sigma = ruleSigmaMm * Math.exp(logSkill);
      for (let i = 0; i < offsetsMm.length; i++) {
        const offset = offsetsMm[i] ?? 0;
        const below = roughPhi((fromMm - offset) / sigma);
        const upTo = roughPhi((toMm - offset) / sigma);
        let log = 0;
        if (left > 0) log += left * Math.log(Math.max(below, least));
        if (right > 0) log += right * Math.log(Math.max(1 - upTo, least));
        if (sound > 0) log += sound * Math.log(Math.max(upTo - below, least));
        const at = row * offsetsMm.length + i;
        logs[at] = (logs[at] ?? 0) + log;
      }
    });
  }
  return logs;
}

/** ln of the plain prior of an offset; not normalised. */
export const logPriorOfOffset = (mm: number): number => -((mm / plainShiftSdMm) ** 2) / 2;
/** ln of the plain prior of a steadiness; not normalised. */
export const logPriorOfSkill = (logSkill: number): number =>
  -((logSkill / plainLogSigmaSd) ** 2) / 2;

/** ln Σ exp, without overflow. */
export function logSum(logs: readonly number[]): number {
  const most = Math.max(...logs);
  return most === -Infinity
    ? most
    : most + Math.log(logs.reduce((sum, log) => sum + Math.exp(log - most), 0));
}

/** Weights that add to 1 from their logs. */
export function normalised(logs: readonly number[]): number[] {
  const all = logSum(logs);
  return logs.map((log) => Math.exp(log - all));
}

/** Where the running total of weights over an even list passes a share. */
export function quantileOf(
  values: readonly number[],
  weights: readonly number[],
  share: number,
): number {
  const [first = 0, second = 0] = values;
  return quantile(weights, share, (i) => first + (i - 0.5) * (second - first));
}

/**
 * Log-likelihood of the counts of one set-up over its offset alone: how steady the hand is, is
 * integrated out under the plain prior.
 */
export function offsetLikelihoodOf(counts: readonly GuideCount[]): number[] {
  const likelihood = likelihoodOf(counts);
  const skillLogs = logSkills.map(logPriorOfSkill);
  return offsetsMm.map((_, i) =>
    logSum(skillLogs.map((log, row) => log + (likelihood[row * offsetsMm.length + i] ?? 0))),
  );
}

/** Mean and standard deviation of values by their weights, which add to 1. */
export function momentsOf(
  values: readonly number[],
  weights: readonly number[],
): { readonly mean: number; readonly sd: number } {
  const sum = (of: (value: number) => number) =>
    weights.reduce((total, weight, i) => total + weight * of(values[i] ?? 0), 0);
  const mean = sum((value) => value);
  return { mean, sd: Math.sqrt(sum((value) => (value - mean) ** 2)) };
}
