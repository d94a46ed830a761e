import { dialField, type Dial, type DialSettings } from './dial-steps';

/** How something on a machine is set: a number, or a code or a word. */
type SetTo = number | string;

/** A setting as a machine remembers it, or as it stands now. */
export interface MachineSetting {
  readonly pattern: string;
  readonly foot: string;
  readonly settings: DialSettings | null;
  readonly values: Readonly<Record<string, SetTo>>;
}

/** Something that stands otherwise now than it was saved. */
export interface Difference {
  /** A dial, the id of what is set beside the dials, `pattern` or `foot`. */
  readonly id: string;
  readonly saved: SetTo | null;
  readonly now: SetTo | null;
}

const same = (a: SetTo | null, b: SetTo | null) =>
  typeof a === 'number' && typeof b === 'number' ? Math.abs(a - b) < 1e-6 : a === b;

/**
 * What stands otherwise now than in a saved setting: foot and stitch, then the dials, then what is
 * set beside them. What only one of the two knows of is no difference where it was not saved.
 */
export function differencesFrom(saved: MachineSetting, now: MachineSetting): Difference[] {
  const dials = Object.keys(dialField) as Dial[];
  const pairs: Difference[] = [
    { id: 'foot', saved: saved.foot, now: now.foot },
    { id: 'pattern', saved: saved.pattern, now: now.pattern },
    ...dials.flatMap((dial): Difference[] =>
      saved.settings
        ? [
            {
              id: dial,
              saved: saved.settings[dialField[dial]],
              now: now.settings?.[dialField[dial]] ?? null,
            },
          ]
        : [],
    ),
    ...Object.entries(saved.values).map(([id, value]) => ({
      ...{ id, saved: value, now: now.values[id] ?? null },
    })),
  ];
  return pairs.filter((pair) => !same(pair.saved, pair.now));
}
