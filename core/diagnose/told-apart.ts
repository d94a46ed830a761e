import { dialField, type Dial, type DialSettings } from '../kit/dial-steps';
import { undriftedMm, type Check } from '../margin/check';
import type { SymptomId } from './symptom';

/** A scrap as far as it is compared with the one before. */
export interface ComparedScrap {
  readonly settings: DialSettings | null;
  readonly dialValues: Readonly<Record<string, number | string>>;
  readonly symptoms: readonly SymptomId[];
}

/** A dial that stands otherwise than it did. */
export interface MovedDial {
  /** One of the four dials, or a starting value's id. */
  readonly dial: string;
  readonly from: number | string;
  readonly to: number | string;
}

/** What became otherwise between two scraps, and what can't be told apart. */
export interface Comparison {
  readonly moved: readonly MovedDial[];
  /** Symptoms that came and that went. */
  readonly came: readonly SymptomId[];
  readonly went: readonly SymptomId[];
  /**
   * Dials that moved together so that nobody can say which of them did it; empty when one moved.
   */
  readonly together: readonly string[];
  /** What the dials of the margin did to the counted check together, mm; null without a check. */
  readonly netMm: number | null;
  /** What each of them did alone, mm. */
  readonly aloneMm: Readonly<Partial<Record<Dial, number>>>;
}

const dials = Object.keys(dialField) as Dial[];

/** What stands otherwise on one scrap than on another. */
export function movedDials(now: ComparedScrap, before: ComparedScrap): MovedDial[] {
  const { settings } = now;
  const was = before.settings;
  const ofMargin =
    settings && was
      ? dials
          .filter((dial) => Math.abs(settings[dialField[dial]] - was[dialField[dial]]) > 1e-6)
          .map((dial) => ({ dial, from: was[dialField[dial]], to: settings[dialField[dial]] }))
      : [];
  const others = Object.entries(now.dialValues).flatMap(([dial, to]): MovedDial[] => {
    const from = before.dialValues[dial];
    return from === undefined || from === to ? [] : [{ dial, from, to }];
  });
  return [...ofMargin, ...others];
}

/**
 * Compares a scrap with the one before it.
 *
 * @param check the one that was counted; null where nothing was
 */
export function compareScraps(
  now: ComparedScrap,
  before: ComparedScrap,
  check: Check | null,
): Comparison {
  const moved = movedDials(now, before);
  const aloneMm: Partial<Record<Dial, number>> = {};
  if (check && now.settings && before.settings) {
    for (const dial of dials) {
      if (!moved.some((one) => one.dial === dial)) continue;
      const only = { ...before.settings, [dialField[dial]]: now.settings[dialField[dial]] };
      aloneMm[dial] = undriftedMm(check, only) - undriftedMm(check, before.settings);
    }
  }
  return {
    moved,
    came: now.symptoms.filter((id) => !before.symptoms.includes(id)),
    went: before.symptoms.filter((id) => !now.symptoms.includes(id)),
    together: moved.length > 1 ? moved.map(({ dial }) => dial) : [],
    netMm:
      check && now.settings && before.settings
        ? undriftedMm(check, now.settings) - undriftedMm(check, before.settings)
        : null,
    aloneMm,
  };
}
