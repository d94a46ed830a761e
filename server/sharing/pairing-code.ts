import { randomInt, timingSafeEqual } from 'node:crypto';

/** How long a code can be used, ms. */
export const codeLivesMs = 120_000;
/** Wrong codes after which the right one no longer counts either. */
export const mostWrong = 5;
/** How long a wrong code is answered with nothing, ms; twice as long each time. */
const firstDelayMs = 500;

/** What became of a code that was typed. */
export type Tried =
  | { readonly ok: true }
  | { readonly ok: false; readonly why: 'wrong' | 'none'; waitMs: number };

/**
 * The one code there is at a time: six digits that live two minutes, work once, and are void after a
 * few wrong ones. Its time is measured by a clock that nobody sets.
 */
export class PairingCode {
  private standing: { readonly code: string; readonly untilMs: number; wrong: number } | null =
    null;
  /** Over all codes: who guesses on is slowed, whichever code there is. */
  private wrongInARow = 0;

  constructor(private readonly nowMs: () => number = () => performance.now()) {}

  /** Makes a new code; the one before it no longer works. */
  make(): { readonly code: string; readonly livesMs: number } {
    const code = String(randomInt(1_000_000)).padStart(6, '0');
    this.standing = { code, untilMs: this.nowMs() + codeLivesMs, wrong: 0 };
    return { code, livesMs: codeLivesMs };
  }

  /** Tries a code; the right one is used up by that. */
  try(typed: string): Tried {
    const { standing } = this;
    if (!standing || this.nowMs() > standing.untilMs) {
      this.standing = null;
      return { ok: false, why: 'none', waitMs: this.slowed() };
    }
    const [given, right] = [Buffer.from(typed.padEnd(6).slice(0, 6)), Buffer.from(standing.code)];
    const same = given.length === right.length && timingSafeEqual(given, right);
    if (same && typed.length === 6) {
      this.standing = null;
      this.wrongInARow = 0;
      return { ok: true };
    }
    standing.wrong++;
    if (standing.wrong >= mostWrong) this.standing = null;
    return { ok: false, why: this.standing ? 'wrong' : 'none', waitMs: this.slowed() };
  }

  /** Whether there is a code that could be typed. */
  get isStanding(): boolean {
    return this.standing !== null && this.nowMs() <= this.standing.untilMs;
  }

  private slowed(): number {
    return Math.min(8000, firstDelayMs * 2 ** this.wrongInARow++);
  }
}
