import { ArrowLeftRight, ChevronLeft, ChevronRight, History } from 'lucide-react';
import { Suspense, useEffect } from 'react';
import { later } from '../../ground/later';
import { Link } from 'react-router';
import type { BookChoices } from '../../../contract/book';
import { LoadState } from '../../controls/trouble';
import { LineChoice } from '../../controls/line-choice';
import { BookCards } from './book-cards';
import { BookFilters } from './book-filters';
import { BookTable } from './book-table';
import { ScrapPage } from './scrap-page';
import {
  isNarrowed,
  pageSize,
  useBookChoices,
  useBookLook,
  useBookPage,
  type BookLook,
  type BookView,
} from './use-book';

const loadHand = () => import('./your-hand');
const YourHand = later(async () => (await loadHand()).YourHand);

/** What is asked of the book, as a heading. */
function asked({ verdict, clothId, footId }: BookLook, choices: BookChoices | undefined): string {
  const cloth = choices?.cloths.find(({ id }) => id === clothId)?.name;
  const foot = choices?.feet.find(({ id }) => id === footId)?.name;
  const what = verdict === 'keep' ? 'What worked' : 'Sample book';
  if (!cloth && !foot) return what;
  return `${verdict === 'keep' ? what : 'What was sewn'}${cloth ? ` on ${cloth}` : ''}${foot ? ` with ${foot}` : ''}`;
}

/** Every scrap and every kept setting: to be sorted, searched, leafed through, and learned from. */
export function BookScreen() {
  const [look, setLook] = useBookLook();
  const page = useBookPage(look);
  const choices = useBookChoices().data;
  const shown = page.data !== undefined;
  useEffect(() => {
    // Fetched behind what is shown, so that the charts come at once when they are asked for.
    if (shown) setTimeout(() => void loadHand().catch(() => undefined), 300);
  }, [shown]);
  if (!page.data) return <LoadState what="sample book" error={page.error} />;
  const { rows, total } = page.data;
  const pages = Math.max(1, Math.ceil(total / pageSize));
  const found = rows.findIndex(({ id }) => id === look.scrap);
  const at = found >= 0 ? found : rows.length > 0 ? 0 : -1;
  const row = rows[at];
  const go = (index: number) => {
    if (index < 0) {
      if (look.page > 0) setLook({ page: look.page - 1, scrap: '' });
    } else if (index >= rows.length) {
      if (look.page + 1 < pages) setLook({ page: look.page + 1, scrap: '' });
    } else setLook({ scrap: rows[index]?.id ?? '' });
  };
  const first = look.page * pageSize;
  const empty = total === 0;
  return (
    <main
      className={`grid min-h-0 grow grid-cols-[minmax(0,1fr)] gap-4 p-4 lg:px-5 ${look.view === 'hand' ? '' : 'lg:grid-cols-[minmax(0,1fr)_21.5rem]'}`}
    >
      <section aria-label="The book" className="sheet flex min-h-80 flex-col lg:min-h-0">
        <div className="flex flex-wrap items-center gap-x-4 border-b border-line px-3 pt-1">
          <h1 className="min-w-0 truncate text-2xl">{asked(look, choices)}</h1>
          <LineChoice<BookView>
            label="How to look at the book"
            value={look.view}
            options={[
              ['table', 'Table'],
              ['cards', 'Cards'],
              ['hand', 'Your hand'],
            ]}
            onChange={(view) => setLook({ view })}
            className="ml-auto"
          />
        </div>
        {look.view === 'hand' ? (
          <Suspense>
            <YourHand />
          </Suspense>
        ) : (
          <>
            <BookFilters look={look} choices={choices} onLook={setLook} />
            {empty ? (
              <Empty narrowed={isNarrowed(look)} />
            ) : look.view === 'table' ? (
              <BookTable rows={rows} look={look} at={at} onLook={setLook} onGo={go} />
            ) : (
              <BookCards rows={rows} at={at} offset={first} total={total} onGo={go} />
            )}
            <div className="flex flex-wrap items-center gap-x-4 border-t border-line px-3 py-1 text-sm">
              {!empty && (
                <span className="flex items-center gap-1" role="status">
                  <PageButton
                    name="The page before"
                    disabled={look.page === 0}
                    onClick={() => setLook({ page: look.page - 1, scrap: '' })}
                  >
                    <ChevronLeft size={18} aria-hidden />
                  </PageButton>
                  {first + 1} to {first + rows.length} of {total.toLocaleString('en')}
                  <PageButton
                    name="The next page"
                    disabled={look.page + 1 >= pages}
                    onClick={() => setLook({ page: look.page + 1, scrap: '' })}
                  >
                    <ChevronRight size={18} aria-hidden />
                  </PageButton>
                </span>
              )}
              <span className="ml-auto flex gap-4">
                <Link
                  to="/removed"
                  className="inline-flex min-h-9 items-center gap-1.5 text-pencil underline underline-offset-2"
                >
                  <History size={16} aria-hidden /> Taken out
                </Link>
                <Link
                  to="/exchange"
                  className="inline-flex min-h-9 items-center gap-1.5 text-pencil underline underline-offset-2"
                >
                  <ArrowLeftRight size={16} aria-hidden /> Carry it in or out
                </Link>
              </span>
            </div>
          </>
        )}
      </section>
      {look.view !== 'hand' && (
        <aside aria-label="The scrap" className="slip min-h-0 overflow-y-auto px-5 py-4">
          {row ? (
            <ScrapPage row={row} />
          ) : (
            <p className="text-soft">A scrap that is picked at the left stands here, whole.</p>
          )}
        </aside>
      )}
    </main>
  );
}

function PageButton(props: {
  name: string;
  disabled: boolean;
  onClick(): void;
  children: React.ReactNode;
}) {
  return (
    <button
      type="button"
      aria-label={props.name}
      disabled={props.disabled}
      className="grid size-9 place-items-center rounded-[3px] hover:bg-cloth disabled:text-seam"
      onClick={props.onClick}
    >
      {props.children}
    </button>
  );
}

function Empty({ narrowed }: { narrowed: boolean }) {
  return (
    <div className="grow p-5">
      <p className="text-lg">
        {narrowed ? 'Nothing in the book is like that.' : 'The book is empty.'}
      </p>
      <p className="max-w-prose text-soft">
        {narrowed
          ? 'Leave something out above, or look at the whole book.'
          : 'Open an edge, sew a scrap at its Test station and record it: it stands here from then on, whatever becomes of the edge.'}
      </p>
    </div>
  );
}
