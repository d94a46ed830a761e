import type { Bases } from './merge';

/** Fields of a record that are set. */
export type Patch = Record<string, unknown>;

/** A change that is still to be sent: which record, and which of its fields. */
export interface Unsent {
  readonly key: string;
  readonly patch: Patch;
  /** What those fields were before, so that newer work elsewhere is seen and not written over. */
  readonly bases?: Bases;
}

/** A change that waits, with what it was made on top of. */
export interface Waiting {
  readonly patch: Patch;
  readonly bases: Bases;
}

export const nothing: Waiting = { patch: {}, bases: {} };

/** Bases of the same fields from two places. */
export const together = (a: Bases, b: Bases): Bases =>
  Object.fromEntries(
    [...new Set([...Object.keys(a), ...Object.keys(b)])].map((field) => [
      field,
      [...(a[field] ?? []), ...(b[field] ?? [])],
    ]),
  );

/** A change and an earlier one under it, as one. */
export const under = (later: Waiting, earlier: Waiting): Waiting => ({
  patch: { ...earlier.patch, ...later.patch },
  bases: { ...earlier.bases, ...later.bases },
});
