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

/** Fields that hold many things, each of which somebody changes by itself. */
const ofMany = ['ticks', 'took', 'garment', 'memory', 'usual'];
/** Lists in which each entry stands once, in any order. */
const sets = ['ticks', 'done', 'ready'];

const isFields = (value: unknown): value is Fields =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/**
 * Two changes of one thing as one, where they touch different parts of it.
 *
 * @param name of the field or part
 * @returns undefined where both changed the same part to something else
 */
function both(name: string, base: unknown, mine: unknown, theirs: unknown): unknown {
  if (same(mine, theirs) || same(mine, base)) return theirs ?? null;
  if (same(theirs, base)) return mine ?? null;
  if (sets.includes(name) && [base, mine, theirs].every(Array.isArray)) {
    const [before, own, other] = [base, mine, theirs] as unknown[][];
    const kept = other!.filter((one) => !before!.includes(one) || own!.includes(one));
    return [...kept, ...own!.filter((one) => !before!.includes(one) && !kept.includes(one))];
  }
  if (!isFields(base) || !isFields(mine) || !isFields(theirs)) return undefined;
  const parts: Record<string, unknown> = {};
  for (const part of new Set([...Object.keys(mine), ...Object.keys(theirs)])) {
    const value = both(part, base[part], mine[part], theirs[part]);
    if (value === undefined) return undefined;
    // A part that one of the two took out is gone.
    if (value !== null || (part in mine && part in theirs)) parts[part] = value;
  }
  return parts;
}

/**
 * What of a change can go on top of what is stored by now.
 *
 * A field that still stands as it did when the change was made takes it; one that stands as the
 * change wants needs nothing; one that somebody changed to something else is disputed, unless both
 * changed different parts of it.
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
): {
  readonly mine: Fields;
  readonly disputed: readonly Disputed[];
  /** Fields that both changed in different parts, put together; what `mine` has of them, and the rest. */
  readonly together: Fields;
} {
  const mine: Record<string, unknown> = {};
  const together: Record<string, unknown> = {};
  const disputed: Disputed[] = [];
  for (const [field, value] of Object.entries(patch)) {
    const theirs = stored[field];
    if (same(theirs, value)) continue;
    const known = bases[field];
    if (!known || known.some((base) => same(base, theirs))) {
      mine[field] = value;
      continue;
    }
    const whole = ofMany.includes(field) ? both(field, known[0], value, theirs) : undefined;
    if (whole === undefined) {
      disputed.push({ field, mine: value, theirs });
      continue;
    }
    together[field] = whole;
    if (!same(whole, theirs)) mine[field] = whole;
  }
  return { mine, disputed, together };
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
