export type Fields = Readonly<Record<string, unknown>>;

/** For each field the values it had here before a change: what was stored, and what was sent since. */
export type Bases = Readonly<Record<string, readonly unknown[]>>;

/** A field that somebody else changed meanwhile to something else. */
export interface Disputed {
  readonly field: string;
  readonly mine: unknown;
  readonly theirs: unknown;
}

/** A value with the fields of every object in one order: the server writes them in its own. */
function inOrder(value: unknown): unknown {
  if (typeof value !== 'object' || value === null) return value ?? null;
  if (Array.isArray(value)) return value.map(inOrder);
  const fields = Object.entries(value).filter(([, part]) => part !== undefined && part !== null);
  return Object.fromEntries(
    fields.sort(([a], [b]) => (a < b ? -1 : 1)).map(([name, part]) => [name, inOrder(part)]),
  );
}

const same = (a: unknown, b: unknown) => JSON.stringify(inOrder(a)) === JSON.stringify(inOrder(b));

/**
 * What of a change can go on top of what is stored by now.
 *
 * A field that still stands as it did when the change was made takes it; one that stands as the
 * change wants needs nothing; one that somebody changed to something else is disputed.
 *
 * @param patch the change
 * @param bases what the fields were before it; of a field it does not name nothing is known, and
 *   the change goes on top
 * @param stored the record as it is stored now
 */
export function merged(
  patch: Fields,
  bases: Bases,
  stored: Fields,
): { readonly mine: Fields; readonly disputed: readonly Disputed[] } {
  const mine: Record<string, unknown> = {};
  const disputed: Disputed[] = [];
  for (const [field, value] of Object.entries(patch)) {
    const theirs = stored[field];
    if (same(theirs, value)) continue;
    const known = bases[field];
    if (known && !known.some((base) => same(base, theirs))) {
      disputed.push({ field, mine: value, theirs });
    } else mine[field] = value;
  }
  return { mine, disputed };
}

/** The bases of a change that is made on top of others. */
export function basesOf(record: Fields | undefined, patch: Fields, before: Bases): Bases {
  const bases: Record<string, readonly unknown[]> = { ...before };
  if (!record) return bases;
  for (const field of Object.keys(patch)) {
    const known = bases[field] ?? [];
    if (!known.some((base) => same(base, record[field]))) bases[field] = [...known, record[field]];
  }
  return bases;
}
