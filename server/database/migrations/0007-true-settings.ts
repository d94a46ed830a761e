import { genericFeet } from '../../../core/kit/generic-feet';
import type { Migration } from '../migration';

/** Words that starting values were kept as, and the codes they are kept as now, by the value's id. */
const codes: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  thread: {
    'fine, matching': 'fine',
    'all-purpose, matching': 'all-purpose',
    'strong, matching': 'strong',
    'topstitching above, ordinary below': 'topstitching',
    'cone thread': 'cone',
    'fine cone thread': 'cone-fine',
  },
  bobbin: { 'same thread': 'same', 'same thread, wound slowly': 'same-slow' },
  tension: {
    'a little less': 'less',
    'half a number more': 'half-more',
    'two numbers less': 'two-less',
  },
  pressure: { 'a little less': 'less', 'a little more': 'more' },
  loopers: {
    'meeting on the edge': 'meeting',
    'much tighter': 'much-tighter',
    'a little less': 'less',
  },
  threads: {
    '4, both needles': '4-both',
    '3, left needle': '3-left',
    '3, right needle': '3-right',
    '2, right needle': '2-right',
    '3, outer two needles': '3-outer',
    '3, left and middle needle': '3-narrow',
  },
};

const points: readonly (readonly [words: string, code: string])[] = [
  ['denim point', 'denim'],
  ['ball point', 'ball'],
  ['sharp, fine', 'sharp'],
  ['universal', 'universal'],
];

/** A kept value as it is kept now; what nobody knows stands as it is. */
export function codeOf(id: string, value: unknown): unknown {
  if (typeof value !== 'string') return value;
  if (id === 'needle') {
    const point = points.find(([words]) => value.endsWith(` ${words}`));
    return point ? `${Number.parseInt(value, 10)}-${point[1]}` : value;
  }
  return codes[id]?.[value] ?? value;
}

/**
 * What a foot of a kind is given where nobody named its references: those that such feet usually
 * have, beside the one that stands there.
 */
export function withReferences(kind: string, specs: Record<string, unknown>): unknown {
  if (specs['references'] || specs['besideMm']) return specs;
  const usual = genericFeet.find(
    (foot) =>
      foot.kind === kind &&
      foot.specs.references &&
      JSON.stringify([foot.specs.slotMm, foot.specs.guidance, foot.specs.guide]) ===
        JSON.stringify([specs['slotMm'], specs['guidance'], specs['guide']]),
  );
  return usual ? { ...specs, references: usual.specs.references } : specs;
}

/**
 * Feet with several references, what one wants of a blind stitch, the cloth of a strip, colours of
 * cloth and thread, what was measured on a looped edge; and starting values as codes.
 */
export const trueSettings: Migration = {
  name: '0007-true-settings',
  async up(tables) {
    const word = (start: string) => `VARCHAR(16) NOT NULL DEFAULT '${start}'`;
    await tables.addColumn('cloths', 'colour', 'TEXT');
    await tables.addColumn('plans', 'aim', word('even'));
    await tables.addColumn('plans', 'thread', word('matching'));
    await tables.addColumn('plans', 'threadColour', 'TEXT');
    await tables.addColumn('plans', 'reference', 'TEXT');
    await tables.addColumn('plans', 'stripClothId', 'TEXT');
    await tables.addColumn('attempts', 'measured', 'JSON');
    await tables.addColumn('attempts', 'pass', 'TEXT');
    const rows = async (sql: string) => (await tables.rows(sql)) as Record<string, string | null>[];
    for (const { id, dialValues } of await rows('SELECT id, dialValues FROM attempts')) {
      const values = JSON.parse(dialValues ?? '{}') as Record<string, unknown>;
      const coded = Object.fromEntries(
        Object.entries(values).map(([name, value]) => [name, codeOf(name, value)]),
      );
      await tables.run('UPDATE attempts SET dialValues = ? WHERE id = ?', [
        JSON.stringify(coded),
        id ?? null,
      ]);
    }
    for (const { id, kind, specs } of await rows('SELECT id, kind, specs FROM feet')) {
      const known = JSON.parse(specs ?? '{}') as Record<string, unknown>;
      await tables.run('UPDATE feet SET specs = ? WHERE id = ?', [
        JSON.stringify(withReferences(kind ?? '', known)),
        id ?? null,
      ]);
    }
  },
};
