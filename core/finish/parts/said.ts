import type { Fact, Values } from '../../fact';
import type { FootKind } from '../../kit/foot-kind';
import type { CautionId, Phase, WorkStep, Workplace } from '../work';

/** A sentence with its numbers: `{depthMm}` is a length on cloth, `{gapMm:fine}` a small one. */
export function said(about: string, text: string, values: Values = {}): Fact {
  return { about, text, values };
}

/** A step of the work that goes all along the edge; the course of the work gives it its phase. */
export function step(
  id: string,
  at: Workplace,
  text: string,
  values: Values = {},
  cautions: readonly CautionId[] = [],
): WorkStep {
  return { id, at, text, values, cautions, onceMinutes: null, phase: 'sew' };
}

/** A step that is done once, however long the edge. @param minutes a starting guess */
export function once(
  minutes: number,
  ...[id, at, text, values = {}, cautions = []]: Parameters<typeof step>
): WorkStep {
  return { ...step(id, at, text, values, cautions), onceMinutes: minutes };
}

/** A step along the edge that is quicker or slower than is usual at its place. */
export function along(
  perMetreMinutes: number,
  ...[id, at, text, values = {}, cautions = []]: Parameters<typeof step>
): WorkStep {
  return { ...step(id, at, text, values, cautions), perMetreMinutes };
}

/** The lockstitch machine with a foot. */
export const home = (foot: FootKind) => ({ machine: 'lockstitch', foot }) as const;

/** Steps in a phase of the work. */
export const inPhase = (phase: Phase, steps: readonly WorkStep[]): WorkStep[] =>
  steps.map((one) => ({ ...one, phase }));
