/**
 * What a strip gives along its length, percent: cut on the bias 20, satin as it is woven 5, a knit
 * or elastic 40. Starting guesses.
 */
export function stripEasesPercent(variant: string): number {
  if (variant === 'satin') return 5;
  return variant === 'knit-strip' || variant === 'fold-over-elastic' ? 40 : 20;
}
