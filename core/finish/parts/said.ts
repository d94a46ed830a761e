import type { Fact, Values } from '../../fact';
import type { CautionId, WorkStep, Workplace } from '../work';

/** A sentence with its numbers: `{depthMm}` is a length on cloth, `{gapMm:fine}` a small one. */
export function said(about: string, text: string, values: Values = {}): Fact {
  return { about, text, values };
}

/** A step of the work that goes all along the edge. */
export function step(
  id: string,
  at: Workplace,
  text: string,
  values: Values = {},
  cautions: readonly CautionId[] = [],
): WorkStep {
  return { id, at, text, values, cautions, onceMinutes: null };
}

/** A step that is done once, however long the edge. @param minutes a starting guess */
export function once(
  minutes: number,
  ...[id, at, text, values = {}, cautions = []]: Parameters<typeof step>
): WorkStep {
  return { id, at, text, values, cautions, onceMinutes: minutes };
}

/** The lockstitch machine with a foot. */
export const home = (foot: 'zigzag' | 'clear' | 'straight' | 'edge-guide' | 'walking') =>
  ({ machine: 'lockstitch', foot }) as const;
