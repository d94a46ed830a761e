/** How much shorter than the edge a strip that gives is cut, as a share. Starting guesses. */
const shorter: Readonly<Record<string, number>> = {
  'as-long': 0,
  little: 0.05,
  taut: 0.1,
  openings: 0.1,
  'legs-waist': 0.2,
};

/**
 * How much shorter than its edge a strip is cut by the ways chosen: a knit strip on an inside curve,
 * elastic anywhere. Source: docs/formulas.md, “Strips”.
 *
 * @param onInsideCurve whether the edge curves inwards, as a neck does
 */
export function shorterShareOf(
  variant: string,
  ways: Readonly<Record<string, string>>,
  onInsideCurve: boolean,
): number {
  if (variant === 'fold-over-elastic') return shorter[ways['elastic-pull'] ?? 'openings'] ?? 0.1;
  if (variant !== 'knit-strip' || !onInsideCurve) return 0;
  return shorter[ways['strip-shorter'] ?? 'little'] ?? 0.05;
}
