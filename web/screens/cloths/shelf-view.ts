import type { Fibre } from '../../../core/cloth/about-cloth';
import type { Construction } from '../../../core/cloth/cloth';
import type { ClothRecord } from '../../../contract/records';
import { saysAll } from './says-all';

/** What of the shelf is looked at, and in which order. */
export interface ShelfView {
  readonly text: string;
  readonly construction: Construction | 'any';
  readonly fibre: Fibre | 'any';
  readonly state: 'any' | 'tested' | 'guessed' | 'used' | 'unused';
  readonly sort: 'name' | 'light' | 'heavy' | 'thick' | 'left' | 'new';
}

export const wholeShelf: ShelfView = {
  text: '',
  construction: 'any',
  fibre: 'any',
  state: 'any',
  sort: 'name',
};

/** Compares as a person would: 2 before 10, é beside e. Made once: it is called by the thousand. */
const collator = new Intl.Collator('en', { numeric: true, sensitivity: 'base' });

const orders: Readonly<Record<ShelfView['sort'], (a: ClothRecord, b: ClothRecord) => number>> = {
  name: (a, b) => collator.compare(a.name, b.name),
  light: (a, b) => a.properties.weightGsm - b.properties.weightGsm,
  heavy: (a, b) => b.properties.weightGsm - a.properties.weightGsm,
  thick: (a, b) => b.properties.thicknessMm - a.properties.thicknessMm,
  left: (a, b) => (b.lengthLeftMm ?? -1) - (a.lengthLeftMm ?? -1),
  new: (a, b) => (a.createdAt < b.createdAt ? 1 : a.createdAt > b.createdAt ? -1 : 0),
};

/** Whether weight or thickness of a cloth was measured and not guessed. */
export function isTested({ properties }: ClothRecord): boolean {
  const { estimated = [] } = properties;
  return !(estimated.includes('weightGsm') && estimated.includes('thicknessMm'));
}

/** The whole shelf in an order. Apart from the filter, since it takes longer and changes seldom. */
export function inOrder(cloths: readonly ClothRecord[], sort: ShelfView['sort']): ClothRecord[] {
  return [...cloths].sort(orders[sort]);
}

/**
 * The cloths that a view lets through, in the order they come. Every word typed must be somewhere
 * in the name, the fibre, how it is made, or the note.
 *
 * @param used ids of the cloths that an edge uses
 */
export function filtered(
  cloths: readonly ClothRecord[],
  view: ShelfView,
  used: ReadonlySet<string>,
): ClothRecord[] {
  return cloths.filter((cloth) => {
    if (view.construction !== 'any' && cloth.tests.construction !== view.construction) return false;
    if (view.fibre !== 'any' && cloth.fibre !== view.fibre) return false;
    if (view.state === 'tested' && !isTested(cloth)) return false;
    if (view.state === 'guessed' && isTested(cloth)) return false;
    if (view.state === 'used' && !used.has(cloth.id)) return false;
    if (view.state === 'unused' && used.has(cloth.id)) return false;
    if (view.text.trim() === '') return true;
    const { name, fibre, tests, note } = cloth;
    return saysAll(`${name} ${fibre ?? ''} ${tests.construction} ${note}`, view.text);
  });
}
