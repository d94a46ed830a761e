const { ceil, exp, PI, sqrt } = Math;

/** So finely tables are kept, mm: a tenth of the finest that is told. */
const stepMm = 0.01;

/**
 * Something that changes along one direction, as a lens shows it: the mean around every place, weighed by a normal
 * of that spread. Worked out once, since it is asked for at every place of a picture.
 *
 * @param at what is there, by its place in mm
 * @param blurMm one spread, mm, above 0
 * @param ends the first and last place that is asked for, mm; beyond them their own value stands
 */
export function blurred(
  at: (mm: number) => number,
  blurMm: number,
  [fromMm, toMm]: readonly [number, number],
): (mm: number) => number {
  const reach = ceil((3 * blurMm) / stepMm);
  const bell = Array.from({ length: 2 * reach + 1 }, (_, i) => {
    const far = ((i - reach) * stepMm) / blurMm;
    return (exp((-far * far) / 2) * stepMm) / (blurMm * sqrt(2 * PI));
  });
  const last = ceil((toMm - fromMm) / stepMm);
  const sharp = Float64Array.from({ length: last + 1 + 2 * reach }, (_, i) =>
    at(fromMm + (i - reach) * stepMm),
  );
  const values = new Float64Array(last + 1);
  for (let i = 0; i <= last; i++) {
    let sum = 0;
    for (let j = 0; j < bell.length; j++) sum += bell[j]! * sharp[i + j]!;
    values[i] = sum;
  }
  return (mm) => {
    const i = ((mm - fromMm) / stepMm + 0.5) | 0;
    return values[i < 0 ? 0 : i > last ? last : i]!;
  };
}
