/** One thing wrong with a request: where it stands and what would be right. */
export interface Issue {
  /** Dotted path of the offending field, as the caller wrote it, e.g. `fold.extensionMm`. */
  readonly path: string;
  /** A sentence for the person: what was given and what would fit. */
  readonly message: string;
}

/**
 * Thrown by the core when a request is well formed but asks for something that cannot be sewn,
 * folded or measured. Every floor above turns it into a message at the named field.
 */
export class Impossible extends Error {
  readonly issues: readonly Issue[];

  /** @param issues at least one; the first becomes the error's own message. */
  constructor(issues: readonly Issue[]) {
    super(issues[0]?.message ?? 'This request is impossible.');
    this.name = 'Impossible';
    this.issues = issues;
  }
}
