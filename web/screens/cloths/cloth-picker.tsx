import { Plus, Search, SlidersHorizontal } from 'lucide-react';
import { Suspense, useDeferredValue, useMemo, useState } from 'react';
import { later } from '../../ground/later';
import { fibres } from '../../../core/cloth/about-cloth';
import { constructions } from '../../../core/cloth/cloth';
import type { ClothRecord } from '../../../contract/records';
import { useList } from '../../ground/records';
import { SelectField } from '../../controls/select-field';
import { fibreNames } from '../../words/cloth';
import { counted } from '../../words/number';
import { ClothList } from './cloth-list';
import { filtered, inOrder, wholeShelf, type ShelfView } from './shelf-view';
import { useShelfView } from './use-shelf-view';

// The forms' package is loaded when the first form is opened.
const NewCloth = later(async () => (await import('./new-cloth')).NewCloth);

const sorts: Readonly<Record<ShelfView['sort'], string>> = {
  name: 'by name',
  light: 'lightest first',
  heavy: 'heaviest first',
  thick: 'thickest first',
  left: 'most left first',
  new: 'newest first',
};
const states: Readonly<Record<ShelfView['state'], string>> = {
  any: 'tested or not',
  tested: 'weighed or stacked',
  guessed: 'only guessed',
  used: 'used on an edge',
  unused: 'not used yet',
};
const options = (names: Readonly<Record<string, string>>) =>
  Object.entries(names).map(([value, label]) => ({ value, label }));

interface ClothPickerProps {
  readonly cloths: readonly ClothRecord[];
  readonly chosen: string | undefined;
  onChoose(id: string): void;
}

/** The cloth shelf: searched, narrowed and sorted; one is chosen, and new ones can be put there. */
export function ClothPicker({ cloths, chosen, onChoose }: ClothPickerProps) {
  const [view, setView] = useShelfView();
  const [asking, setAsking] = useState(false);
  const [narrowing, setNarrowing] = useState(false);
  const edges = useList('edges').data;
  const used = useMemo(() => new Set(edges?.map(({ clothId }) => clothId)), [edges]);
  const sorted = useMemo(() => inOrder(cloths, view.sort), [cloths, view.sort]);
  // What is typed is painted at once; the list follows when there is a moment.
  const looked = useDeferredValue(view);
  const shown = useMemo(() => filtered(sorted, looked, used), [sorted, looked, used]);
  const narrowed = (['construction', 'fibre', 'state'] as const).filter(
    (field) => view[field] !== 'any',
  ).length;
  const select = (field: 'construction' | 'fibre' | 'state', label: string, names: object) => (
    <SelectField
      label={label}
      value={view[field]}
      options={options(names as Readonly<Record<string, string>>)}
      onChange={(value) => setView({ [field]: value })}
    />
  );
  return (
    <div className="flex min-h-0 flex-col gap-2 p-3">
      <div className="flex items-center gap-2">
        <label className="relative grow">
          <span className="sr-only">Search the shelf</span>
          <Search size={17} aria-hidden className="absolute top-3 left-2.5 text-soft" />
          <input
            type="search"
            className="field pl-8!"
            placeholder="Search the shelf"
            value={view.text}
            onChange={(event) => setView({ text: event.target.value })}
          />
        </label>
        <button
          type="button"
          aria-expanded={narrowing}
          aria-label={narrowed > 0 ? `Filter, ${narrowed} set` : 'Filter'}
          className={`flex min-h-10 items-center gap-1 rounded-[3px] border px-2 ${narrowed > 0 ? 'border-2 border-pencil font-bold text-pencil' : 'border-seam'} hover:bg-slip`}
          onClick={() => setNarrowing(!narrowing)}
        >
          <SlidersHorizontal size={17} aria-hidden />
          {narrowed > 0 && narrowed}
        </button>
      </div>
      {narrowing && (
        <div className="grid grid-cols-2 gap-2 border-b border-line pb-2">
          {select('construction', 'Made', {
            any: 'any way',
            ...Object.fromEntries(constructions.map((one) => [one, one])),
          })}
          {select('fibre', 'Of', {
            any: 'any fibre',
            ...Object.fromEntries(fibres.map((one) => [one, fibreNames[one]])),
          })}
          {select('state', 'Only', states)}
          <SelectField
            label="Order"
            value={view.sort}
            options={options(sorts)}
            onChange={(sort) => setView({ sort: sort as ShelfView['sort'] })}
          />
        </div>
      )}
      <p className="flex justify-between px-1 text-sm text-soft" role="status">
        <span>
          {shown.length === cloths.length
            ? counted(cloths.length, 'cloth')
            : `${shown.length} of ${counted(cloths.length, 'cloth')}`}
        </span>
        <span>{sorts[view.sort]}</span>
      </p>
      {shown.length > 0 ? (
        <ClothList cloths={shown} chosen={chosen} onChoose={onChoose} />
      ) : (
        <div className="grow px-1">
          <p className="font-bold">
            {cloths.length === 0 ? 'The shelf is empty.' : 'No cloth is like that.'}
          </p>
          {cloths.length > 0 && (
            <button
              type="button"
              className="min-h-10 text-pencil underline underline-offset-2"
              onClick={() => setView({ ...wholeShelf, sort: view.sort })}
            >
              Show the whole shelf
            </button>
          )}
        </div>
      )}
      <button
        type="button"
        className="flex min-h-11 shrink-0 items-center gap-2 rounded-[3px] border border-dashed border-seam px-3 hover:bg-slip"
        onClick={() => setAsking(true)}
      >
        <Plus size={18} aria-hidden /> Put a cloth on the shelf
      </button>
      {asking && (
        <Suspense>
          <NewCloth open onOpenChange={setAsking} onMade={onChoose} />
        </Suspense>
      )}
    </div>
  );
}
