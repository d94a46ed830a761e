/** Which looper to move, and how far. */
export interface LooperMove {
  readonly looper: 'upper' | 'lower';
  readonly direction: 'tighter' | 'looser';
  /** Numbers of its tension dial. */
  readonly numbers: number;
}

/** Nearer to the edge than this the threads lock where they should, mm. Starting guess. */
export const lockedWithinMm = 0.5;
/** What a number of a tension dial moves the lock by, mm. Starting guess. */
const mmPerNumber = 1;
/** A looper dial is set to halves at the finest. */
const finestNumbers = 0.5;

/**
 * The move against looper threads that lock beside the edge. On the top the lower thread is drawn
 * up: it is too loose, and is tightened; underneath the upper one is. Where the edge is drawn in as
 * well, both are tight enough, and the other one is let go instead.
 * Source: docs/formulas.md, “Overlocker and coverstitch, by measuring”.
 *
 * @param lockMm from the edge to where the threads lock, towards the top positive
 * @param drawnIn whether the edge curls or is drawn in under the threads
 * @returns null where they lock on the edge
 */
export function looperMove(lockMm: number, drawnIn: boolean): LooperMove | null {
  if (Math.abs(lockMm) < lockedWithinMm) return null;
  const onTop = lockMm > 0;
  const numbers = Math.max(
    finestNumbers,
    Math.round(Math.abs(lockMm) / mmPerNumber / finestNumbers) * finestNumbers,
  );
  return drawnIn
    ? { looper: onTop ? 'upper' : 'lower', direction: 'looser', numbers }
    : { looper: onTop ? 'lower' : 'upper', direction: 'tighter', numbers };
}
