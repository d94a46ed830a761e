/** The numbers of a sentence. Names that end in `Mm` are lengths. */
export type Values = Readonly<Record<string, number | string>>;

/**
 * A fact behind a result: what it is about, and its numbers. The engines' facts are worded by the
 * interface; a finish brings its own `text`, with its numbers' names in braces, `{depthMm}`.
 */
export interface Fact {
  readonly about: string;
  readonly values: Values;
  readonly text?: string;
}

/** A starting value and why it is that. */
export interface Reasoned<T> {
  readonly value: T;
  readonly because: readonly Fact[];
  /** True while it rests on craft practice alone. */
  readonly startingGuess: boolean;
}
