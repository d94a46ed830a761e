import type { Values } from './fact';
import { plainFill } from './plain-fill';

/** One thing wrong with a request: where it stands and what would be right. */
export interface Issue {
  /** Dotted path of the offending field, as the caller wrote it, e.g. `fold.extensionMm`. */
  readonly path: string;
  /** A sentence for the person, in millimetres: what was given and what would fit. */
  readonly message: string;
  /** What kind of trouble it is, for whoever words it in another unit or another language. */
  readonly code?: string | undefined;
  /** The sentence with its numbers' names in braces, `{mostMm}`. */
  readonly text?: string | undefined;
  readonly values?: Values | undefined;
}

/**
 * An issue as a fact: a code, a sentence and its numbers, from which its message is made.
 *
 * @param text with `{mostMm}` for a length and `{count}` for a plain number
 */
export function refusal(path: string, code: string, text: string, values: Values = {}): Issue {
  return { path, message: plainFill(text, values), code, text, values };
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
