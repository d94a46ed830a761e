import type { Field } from './flatten';
import type { FoundSeam } from './find-seam';
import { lookAlong } from './on-seam';
import type { Seen } from './seen';
import type { TracedHole } from './trace';

const { cos, log, PI, round, sin, sqrt } = Math;

const stepMm = 0.1;
/** How far the stitch length may be off the machine’s own, and how far it usually is. */
const mostOff = 0.12;
const usualOff = 0.04;
const lengths = 97;
/** Waves of the dips at the holes that a thread still shows. */
const waves = [1, 2];
const phases = 24;
/** Places a thread’s width apart speak for themselves. */
const alike = 3;

/** How light a straight thread is along its own way, from its first hole on, less its own mean. */
function along(field: Field, seam: FoundSeam, line: readonly TracedHole[]) {
  const sign = seam.lighter ? 1 : -1;
  const look = lookAlong(field, seam);
  const first = line[0]!.alongMm;
  const count = Math.max(1, round((line.at(-1)!.alongMm - first) / stepMm));
  const values = new Float64Array(count);
  for (let i = 0, at = 0; i < count; i++) {
    const mm = first + (i + 0.5) * stepMm;
    while (at < line.length - 2 && line[at + 1]!.alongMm < mm) at++;
    const [from, to] = [line[at]!, line[at + 1]!];
    const share = (mm - from.alongMm) / Math.max(1e-6, to.alongMm - from.alongMm);
    values[i] = sign * look(mm, from.acrossMm + (to.acrossMm - from.acrossMm) * share);
  }
  const mean = values.reduce((sum, value) => sum + value, 0) / count;
  return { first, values: values.map((value) => value - mean) };
}

/**
 * Where the holes of a straight thread lie, by how it dips at each along its own way; where it shows
 * too little of that, as the machine was set. Source: docs/formulas.md, “The eye”.
 *
 * @returns the seam with its own repeat, and its holes where they lie along it
 */
export function spacedByDips(
  field: Field,
  seen: Seen,
  seam: FoundSeam,
  thread: readonly TracedHole[],
): FoundSeam {
  const [needle] = thread.map(({ hole }) => hole.needle);
  const line = thread
    .filter(({ hole }) => hole.needle === needle)
    .sort((a, b) => a.alongMm - b.alongMm);
  if (line.length < 3) return seam;
  const { first, values } = along(field, seam, line);
  const spread = sqrt(values.reduce((sum, value) => sum + value * value, 0) / values.length);
  let best = { weight: -Infinity, repeatMm: seam.repeatMm, alongMm: seam.alongMm };
  for (let i = 0; i < lengths; i++) {
    const repeatMm = seen.repeatMm * (1 + ((2 * i) / (lengths - 1) - 1) * mostOff);
    const parts = waves.map((k) => {
      let [re, im] = [0, 0];
      values.forEach((value, at) => {
        const turn = (2 * PI * k * (at + 0.5) * stepMm) / repeatMm;
        re += value * cos(turn);
        im += value * sin(turn);
      });
      return { k, re, im };
    });
    const prior = (log(repeatMm / seen.repeatMm) / usualOff) ** 2 / 2;
    for (let p = 0; p < phases; p++) {
      // At a hole the thread is at its darkest: the waves stand at their lowest.
      const depth = parts.reduce((sum, { k, re, im }) => {
        const turn = (2 * PI * k * p) / phases;
        return sum - (re * cos(turn) + im * sin(turn)) / k;
      }, 0);
      const norm =
        spread * sqrt((values.length / 2) * waves.reduce((sum, k) => sum + 1 / k ** 2, 0));
      const told = Math.max(0, depth / Math.max(1e-9, norm));
      const weight = (told * told) / 2 / alike - prior;
      if (weight > best.weight) {
        best = { weight, repeatMm, alongMm: first + (p / phases) * repeatMm };
      }
    }
  }
  // Where the first hole of a repeat lies, from where its thread dips; the repeat in the middle.
  const { repeatMm } = best;
  const offMm = ((seen.holes[0]?.alongMm ?? 0) * repeatMm) / seen.repeatMm;
  const alongMm = best.alongMm - seam.turned[0] * offMm;
  return { ...seam, repeatMm, alongMm: alongMm - round(alongMm / repeatMm) * repeatMm };
}
