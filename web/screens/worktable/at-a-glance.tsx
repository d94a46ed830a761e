import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { BookPage } from '../../../contract/book';
import { send } from '../../ground/api';
import { useList } from '../../ground/records';
import { finishName } from '../../words/finishes';
import { counted } from '../../words/number';

/** What was kept lately. */
export function KeptLately() {
  const kept = useQuery({
    queryKey: ['attempts', 'book', 'kept lately'],
    queryFn: () => send<BookPage>('GET', 'book?verdict=keep&size=4'),
  });
  const rows = kept.data?.rows ?? [];
  if (rows.length === 0) return null;
  return (
    <section aria-label="Kept lately">
      <h2 className="mb-1 text-xl">Kept lately</h2>
      <ul className="sheet">
        {rows.map(({ id, names, finish, number, sewnOn }) => (
          <li key={id} className="border-b border-line last:border-0">
            <Link
              to={`/book?q=${encodeURIComponent(names.cloth)}`}
              className="block px-3 py-2 hover:bg-slip"
            >
              <span className="block font-bold">
                <span className="text-moss">✓</span> {finishName(finish)}
              </span>
              <span className="block text-sm text-soft">
                {names.cloth} · scrap {number}
                {sewnOn && ` · ${sewnOn}`}
              </span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Shelf and drawer: cloths by their colours, and how much lies there. */
export function ShelfAndDrawer() {
  const cloths = useList('cloths').data ?? [];
  const machines = useList('machines').data ?? [];
  const feet = useList('feet').data ?? [];
  return (
    <section aria-label="Shelf and drawer">
      <h2 className="mb-1 text-xl">Shelf and drawer</h2>
      <div className="sheet grid gap-2 p-3">
        <Link to="/cloths" className="hover:underline">
          <span className="mb-1 flex h-7 gap-1" aria-hidden>
            {cloths.slice(0, 14).map(({ id, colour }) => (
              <span
                key={id}
                className="min-w-0 flex-1 border border-seam bg-fold"
                style={colour ? { backgroundColor: colour } : undefined}
              />
            ))}
          </span>
          {counted(cloths.length, 'cloth')} on the shelf
        </Link>
        <Link to="/kit" className="hover:underline">
          {counted(machines.length, 'machine')} and {counted(feet.length, 'foot', 'feet')} in the
          kit
        </Link>
      </div>
    </section>
  );
}
