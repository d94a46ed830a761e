import type { CautionId, Fact, Values, WorkStep, Workplace } from '../finish';

/** A sentence with its numbers: `{depthMm}` is a length on cloth, `{gapMm:fine}` a small one. */
export function said(about: string, text: string, values: Values = {}): Fact {
  return { about, text, values };
}

/** A step of the work. */
export function step(
  id: string,
  at: Workplace,
  text: string,
  values: Values = {},
  cautions: readonly CautionId[] = [],
): WorkStep {
  return { id, at, text, values, cautions };
}

/** The lockstitch machine with a foot. */
export const home = (foot: 'zigzag' | 'clear' | 'straight' | 'edge-guide' | 'walking') =>
  ({ machine: 'lockstitch', foot }) as const;
