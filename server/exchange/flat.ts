import { deepestNesting, isNestedDeeper } from '../http/nesting';
import type { ExchangeTable } from '../../contract/exchange';
import type { Issue } from '../../core/impossible';
import { guarded, isFormula, unguarded } from './cell';
import { columns, type Column } from './columns';

type Tree = Record<string | number, unknown>;

function valueAt(record: unknown, path: Column['path']): unknown {
  return path.reduce<unknown>(
    (part, step) => (part === null || part === undefined ? undefined : (part as Tree)[step]),
    record,
  );
}

/** Puts a value at a path, making the objects and lists on the way. */
function putAt(record: Tree, path: Column['path'], value: unknown): void {
  const [step, ...rest] = path;
  if (step === undefined) return;
  if (rest.length === 0) {
    record[step] = value;
    return;
  }
  const empty: unknown = typeof rest[0] === 'number' ? [] : {};
  const below = (record[step] ??= empty) as Tree;
  putAt(below, rest, value);
}

/** What a field of these tables can hold. */
type Held = string | number | boolean | readonly string[] | null | undefined;

interface Count {
  readonly check: string;
  readonly n: number;
  readonly short: number;
  readonly over: number;
  readonly depths?: readonly Depth[] | undefined;
}

/** A measured stitch: how deep, how far that may be off, and where in the card’s window. */
interface Depth {
  readonly depthMm: number;
  readonly depthSpreadMm: number;
  readonly atMm?: readonly [number, number] | undefined;
}

/** `0.35~0.05@12.1,30`: 0.35 mm, give or take 0.05, at 12.1 and 30 mm. */
const depthCell = ({ depthMm, depthSpreadMm, atMm }: Depth) =>
  `${depthMm}~${depthSpreadMm}${atMm ? `@${atMm[0]},${atMm[1]}` : ''}`;

function cellOf({ as }: Column, value: Held | object): string {
  if (value === null || value === undefined) return '';
  if (as === 'json') return JSON.stringify(value);
  if (as === 'counts') {
    return (value as readonly Count[])
      .map(
        ({ check, n, short, over, depths }) =>
          `${check} ${n} ${short} ${over}${depths ? ` | ${depths.map(depthCell).join(' ')}` : ''}`,
      )
      .join('; ');
  }
  const plain = typeof value === 'object' ? (value as readonly string[]).join(' ') : String(value);
  return as === 'number' || as === 'boolean' ? plain : guarded(plain);
}

/** A record as the cells of its row. */
export function cellsOf(table: ExchangeTable, record: object): string[] {
  return columns[table].map((column) => cellOf(column, valueAt(record, column.path) as Held));
}

/** A number of more signs than this is none that was ever measured. */
const longestNumber = 40;
/** The longest cell of each kind; a set-up is JSON of a few thousand signs. */
const longestCell = { json: 200_000, text: 10_000, counts: 40_000, other: 4_000 };
const numeral = /^[-+]?(\d+(\.\d*)?|\.\d+)(e[-+]?\d+)?$/i;

function valueOf({ as, name }: Column, cell: string, issues: Issue[]): unknown {
  const longest =
    as === 'json' || as === 'text' || as === 'counts' ? longestCell[as] : longestCell.other;
  if (cell.length > longest) {
    const message = `This cell holds ${cell.length} signs; at most ${longest} are read.`;
    issues.push({ path: name, message });
    return null;
  }
  const trimmed = as === 'number' ? cell.trim() : unguarded(cell.trim());
  if (as === 'text') return unguarded(cell);
  if (as === 'list' && name === 'symptoms') return trimmed === '' ? [] : trimmed.split(/\s+/);
  if (as === 'counts') return countsOf(trimmed, name, issues);
  if (trimmed === '') return as === 'json' ? undefined : null;
  if (as === 'json') {
    try {
      const value = JSON.parse(trimmed) as unknown;
      if (!isNestedDeeper(value, deepestNesting)) return value;
      issues.push({ path: name, message: 'This cell is nested deeper than anything here.' });
      return undefined;
    } catch {
      issues.push({ path: name, message: 'This cell should hold JSON, and it is not whole.' });
      return undefined;
    }
  }
  if (as === 'word') return trimmed;
  if (as === 'list') return trimmed.split(/\s+/);
  if (as === 'boolean') {
    if (/^(true|yes|1)$/i.test(trimmed)) return true;
    if (/^(false|no|0)$/i.test(trimmed)) return false;
    issues.push({ path: name, message: `“${trimmed.slice(0, 40)}” is neither true nor false.` });
    return null;
  }
  const plain = trimmed.replace('−', '-').replace(/^([-+]?\d+),(\d+)$/, '$1.$2');
  if (plain.length <= longestNumber && numeral.test(plain)) return Number(plain);
  issues.push({ path: name, message: `“${trimmed.slice(0, 40)}” is not a number.` });
  return null;
}

/** Measured stitches as {@link depthCell} writes them; null where one is none. */
function depthsOf(text: string): Depth[] | null {
  const words = text
    .trim()
    .split(/\s+/)
    .filter((word) => word !== '');
  const depths = words.map((word): Depth | null => {
    const [size = '', place] = word.split('@');
    const numbers = [...size.split('~'), ...(place === undefined ? [] : place.split(','))];
    const isWhole = numbers.length === (place === undefined ? 2 : 4);
    if (!isWhole || !numbers.every((one) => one.length <= longestNumber && numeral.test(one))) {
      return null;
    }
    const [depthMm, depthSpreadMm, x, y] = numbers.map(Number) as [number, number, number, number];
    return { depthMm, depthSpreadMm, ...(place !== undefined && { atMm: [x, y] as const }) };
  });
  return depths.every((one) => one !== null) ? depths : null;
}

function countsOf(cell: string, path: string, issues: Issue[]): Count[] {
  if (cell === '') return [];
  return cell.split(';').flatMap((part): Count[] => {
    const [before = '', measured] = part.split('|');
    const words = before.trim().split(/\s+/);
    const [n, short, over] = words.slice(-3);
    const check = words.slice(0, -3).join(' ');
    const depths = measured === undefined ? undefined : depthsOf(measured);
    const isCount = [n, short, over].every((one) => /^-?\d{1,9}$/.test(one ?? ''));
    if (check !== '' && isCount && depths !== null) {
      const count = { check, n: Number(n), short: Number(short), over: Number(over) };
      return [depths ? { ...count, depths } : count];
    }
    const message = `“${part.trim().slice(0, 40)}” is no count; write “bite 24 7 0”: of 24, 7 below and none above.`;
    issues.push({ path, message });
    return [];
  });
}

/** A list or pair whose cells are all empty was not said at all. */
function tidied(value: unknown): unknown {
  if (Array.isArray(value)) {
    return value.length > 0 && value.every((one) => one === null || one === undefined)
      ? null
      : value;
  }
  if (value === null || typeof value !== 'object') return value;
  return Object.fromEntries(Object.entries(value).map(([name, one]) => [name, tidied(one)]));
}

/** A guide stands still or moves over a range; the half that was not said goes. */
function withGuide(record: Tree): Tree {
  const specs = record['specs'] as Tree | undefined;
  const guide = specs?.['guide'] as Tree | undefined;
  if (!specs || !guide) return record;
  const { atMm, rangeMm, stepMm } = guide as Record<string, unknown>;
  const kept =
    rangeMm === null || rangeMm === undefined
      ? { atMm }
      : { rangeMm, ...(stepMm === null || stepMm === undefined ? {} : { stepMm }) };
  return { ...record, specs: { ...specs, guide: kept } };
}

/** A scrap whose dials are all empty was sewn without any that is solved. */
function withSettings(record: Tree): Tree {
  const settings = record['settings'] as Tree | undefined;
  if (!settings || Object.values(settings).some((mm) => mm !== null)) return record;
  return { ...record, settings: null };
}

/** Fields that a schema knows as left out, and not as null. */
const leftOutWhenEmpty: readonly (readonly [string, string])[] = [
  ['specs', 'lengthMeans'],
  ['soleMm', 'standOffMm'],
];

/** A row read from cells: the fields its columns hold, nested as in the record. */
export function recordOf(
  table: ExchangeTable,
  cells: Readonly<Record<string, string>>,
): { record: Record<string, unknown>; issues: Issue[]; repairs: Issue[] } {
  const issues: Issue[] = [];
  const repairs: Issue[] = [];
  const record: Tree = {};
  for (const column of columns[table]) {
    const cell = cells[column.name];
    if (cell === undefined) continue;
    if (column.as === 'text' && isFormula(cell)) {
      const message = `It begins like a spreadsheet formula: “${cell.slice(0, 40)}” is kept as plain text, and written with an apostrophe before it from now on.`;
      repairs.push({ path: column.name, message });
    }
    putAt(record, column.path, valueOf(column, cell, issues));
  }
  const whole = withSettings(withGuide(tidied(record) as Tree));
  for (const [part, field] of leftOutWhenEmpty) {
    const below = whole[part] as Tree | undefined;
    if (below?.[field] === null) below[field] = undefined;
  }
  return { record: whole, issues, repairs };
}
