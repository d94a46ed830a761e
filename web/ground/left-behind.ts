import { together, type Patch, type Unsent } from './waiting';
import type { Bases } from './merge';

/** What an earlier page left unsent and this one has not looked at yet, oldest first. */
export class LeftBehind {
  private rest: readonly Unsent[] = [];

  get all(): readonly Unsent[] {
    return this.rest;
  }

  get first(): Unsent | undefined {
    return this.rest[0];
  }

  /** Begins with what one page left. */
  begin(unsent: readonly Unsent[]): void {
    this.rest = [...unsent];
  }

  /** The first is taken over, or refused. */
  dropFirst(): void {
    this.rest = this.rest.slice(1);
  }

  /** What is left of a record. */
  of(key: string): Patch {
    const patches = this.rest.filter((one) => one.key === key).map(({ patch }) => patch);
    return Object.assign({}, ...patches) as Patch;
  }

  /**
   * Fields that are changed once more are part of the new change: what was left of them is neither shown nor sent
   * any more by itself.
   *
   * @returns what those fields were before the earlier page changed them
   */
  changedAgain(key: string, patch: Patch): Bases {
    let known: Bases = {};
    const again = ([field]: readonly [string, unknown]) => field in patch;
    this.rest = this.rest.map((one) => {
      if (one.key !== key) return one;
      known = together(known, Object.fromEntries(Object.entries(one.bases ?? {}).filter(again)));
      const others = Object.entries(one.patch).filter((entry) => !again(entry));
      return { ...one, patch: Object.fromEntries(others) };
    });
    return known;
  }
}
