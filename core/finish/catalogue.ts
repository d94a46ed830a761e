import { blindHem } from './blind-hem';
import type { Finish } from './finish';

/** Every finish there is. A new one adds its file, its test and a line here. */
export const catalogue: readonly Finish[] = [blindHem];

/** The finish of an id; undefined when there is none. */
export function finishById(id: string): Finish | undefined {
  return catalogue.find((finish) => finish.id === id);
}
