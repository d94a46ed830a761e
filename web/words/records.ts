import { counted } from './number';

const nouns: Readonly<Record<string, readonly [one: string, many: string]>> = {
  projects: ['project', 'projects'],
  edges: ['edge', 'edges'],
  plans: ['plan', 'plans'],
  attempts: ['scrap', 'scraps'],
  cloths: ['cloth', 'cloths'],
  machines: ['machine', 'machines'],
  feet: ['foot', 'feet'],
  needles: ['needle', 'needles'],
  threads: ['thread', 'threads'],
  photos: ['photo', 'photos'],
};

/** How many records of a table, in words. */
export function recordsInWords(table: string, many: number): string {
  return counted(many, ...(nouns[table] ?? [table, table]));
}

/** Counts of records as one would say them: what there is none of, and what nobody asks for, is left out. */
export function countsInWords(counts: Readonly<Record<string, number>>): string {
  return Object.keys(nouns)
    .filter((table) => table !== 'plans' && (counts[table] ?? 0) > 0)
    .map((table) => recordsInWords(table, counts[table] ?? 0))
    .join(', ');
}
