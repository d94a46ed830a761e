import { useTable } from '@tanstack/react-table';
import { ArrowDown, ArrowUp, Columns3 } from 'lucide-react';
import { DropdownMenu } from 'radix-ui';
import { useEffect, useMemo, useRef, type KeyboardEvent } from 'react';
import { useKeys } from '../../frame/keys';
import { bookSorts, type BookRow } from '../../../contract/book';
import { useKeptHere } from '../../ground/kept-here';
import { useLengths } from '../../ground/lengths-context';
import {
  bookColumns,
  bookFeatures,
  columnNames,
  hiddenAtFirst,
  type BookColumn,
} from './book-columns';
import type { BookLook } from './use-book';
import { useQuickIndex } from './use-quick-index';

const first = Object.fromEntries(hiddenAtFirst.map((id) => [id, false]));

const readColumns = (kept: unknown): Record<string, boolean> =>
  typeof kept === 'object' && kept !== null ? (kept as Record<string, boolean>) : first;

interface BookTableProps {
  readonly rows: readonly BookRow[];
  readonly look: BookLook;
  /** The scrap that is looked at, in this page. */
  readonly at: number;
  onLook(patch: Partial<BookLook>): void;
  /** Looks at a row; before the first or after the last is the neighbouring page's. */
  onGo(index: number): void;
}

/** The page as a table: sorted by its heads, with the columns one wants, gone through by keys. */
export function BookTable({ rows, look, at, onLook, onGo }: BookTableProps) {
  const lengths = useLengths();
  const [columnVisibility, setVisibility] = useKeptHere('book columns', readColumns);
  const columns = useMemo(() => bookColumns(lengths), [lengths]);
  const data = useMemo(() => [...rows], [rows]);
  const table = useTable({
    features: bookFeatures,
    data,
    columns,
    getRowId: ({ id }: BookRow) => id,
    manualSorting: true,
    enableSortingRemoval: false,
    state: {
      columnVisibility,
      sorting: [{ id: look.sort, desc: look.dir === 'desc' }],
    },
    onColumnVisibilityChange: (update) => {
      const next = typeof update === 'function' ? update(columnVisibility) : update;
      setVisibility(next);
    },
    onSortingChange: (update) => {
      const now = [{ id: look.sort as string, desc: look.dir === 'desc' }];
      const [next] = typeof update === 'function' ? update(now) : update;
      const sort = bookSorts.find((one) => one === next?.id);
      if (next && sort) onLook({ sort, dir: next.desc ? 'desc' : 'asc' });
    },
  });

  const body = useRef<HTMLTableSectionElement>(null);
  useEffect(() => {
    const row = body.current?.rows[at];
    row?.scrollIntoView({ block: 'nearest' });
    if (row && body.current?.contains(document.activeElement)) row.focus({ preventScroll: true });
  }, [at, rows]);
  const quick = useQuickIndex(at);
  useKeys([
    {
      press: ['ArrowUp', 'ArrowDown', 'Home', 'End'],
      shown: '↑ ↓ Home End',
      does: 'go through the table of the book',
      act: null,
    },
  ]);
  const onKeyDown = (event: KeyboardEvent) => {
    const from = quick.now();
    const moves: Readonly<Record<string, number>> = {
      ArrowDown: from + 1,
      ArrowUp: from - 1,
      Home: 0,
      End: rows.length - 1,
      PageDown: Math.min(rows.length - 1, from + 10),
      PageUp: Math.max(0, from - 10),
    };
    const index = moves[event.key];
    if (index === undefined) return;
    event.preventDefault();
    if (index >= 0 && index < rows.length) quick.went(index);
    onGo(index);
  };

  return (
    <div className="relative min-h-0 grow overflow-auto">
      <table className="w-full border-collapse text-left text-sm" aria-label="Scraps">
        <thead className="sticky top-0 z-10 bg-slip">
          {table.getHeaderGroups().map((group) => (
            <tr key={group.id}>
              {group.headers.map((header) => {
                const sorted = header.column.getIsSorted();
                return (
                  <th
                    key={header.id}
                    scope="col"
                    aria-sort={
                      sorted ? (sorted === 'desc' ? 'descending' : 'ascending') : undefined
                    }
                    className="border-b-2 border-graphite px-2 py-1 font-bold whitespace-nowrap"
                  >
                    {header.column.getCanSort() ? (
                      <button
                        type="button"
                        className="flex min-h-9 items-center gap-1 hover:underline"
                        onClick={header.column.getToggleSortingHandler()}
                      >
                        <table.FlexRender header={header} />
                        {sorted === 'asc' && <ArrowUp size={15} aria-hidden />}
                        {sorted === 'desc' && <ArrowDown size={15} aria-hidden />}
                      </button>
                    ) : (
                      <span>
                        <table.FlexRender header={header} />
                        {header.id === 'setting' && (
                          <span className="font-normal text-soft"> {lengths.unit}</span>
                        )}
                      </span>
                    )}
                  </th>
                );
              })}
              <th scope="col" className="w-11 border-b-2 border-graphite text-right">
                <ColumnMenu
                  shown={(id) => table.getColumn(id)?.getIsVisible() ?? false}
                  toggle={(id) => table.getColumn(id)?.toggleVisibility()}
                />
              </th>
            </tr>
          ))}
        </thead>
        <tbody ref={body} onKeyDown={onKeyDown}>
          {table.getRowModel().rows.map((row, index) => {
            const chosen = index === at;
            return (
              <tr
                key={row.id}
                tabIndex={chosen || (at < 0 && index === 0) ? 0 : -1}
                aria-selected={chosen}
                className={`cursor-pointer border-b border-line align-top ${chosen ? 'bg-pencil-wash' : 'hover:bg-cloth'}`}
                onClick={() => onGo(index)}
              >
                {row.getVisibleCells().map((cell, i) => (
                  <td
                    key={cell.id}
                    className={`px-2 py-1.5 ${i === 0 && chosen ? 'border-l-4 border-pencil font-bold' : ''} ${i === 0 ? 'whitespace-nowrap' : ''}`}
                  >
                    <table.FlexRender cell={cell} />
                  </td>
                ))}
                <td />
              </tr>
            );
          })}
        </tbody>
      </table>
    </div>
  );
}

/** Which columns to show. */
function ColumnMenu(props: { shown(id: BookColumn): boolean; toggle(id: BookColumn): void }) {
  return (
    <DropdownMenu.Root>
      <DropdownMenu.Trigger asChild>
        <button
          type="button"
          aria-label="Columns"
          title="Columns"
          className="grid size-9 place-items-center rounded-[3px] hover:bg-cloth"
        >
          <Columns3 size={17} aria-hidden />
        </button>
      </DropdownMenu.Trigger>
      <DropdownMenu.Portal>
        <DropdownMenu.Content align="end" className="slip z-40 p-2">
          {(Object.keys(columnNames) as BookColumn[]).map((id) => (
            <DropdownMenu.CheckboxItem
              key={id}
              checked={props.shown(id)}
              onSelect={(event) => event.preventDefault()}
              onCheckedChange={() => props.toggle(id)}
              className="flex min-h-9 cursor-pointer items-center gap-2 rounded-[3px] px-2 data-[highlighted]:bg-cloth"
            >
              <span aria-hidden className="w-4 font-bold text-pencil">
                {props.shown(id) ? '✓' : ''}
              </span>
              {columnNames[id]}
            </DropdownMenu.CheckboxItem>
          ))}
        </DropdownMenu.Content>
      </DropdownMenu.Portal>
    </DropdownMenu.Root>
  );
}
