import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useSearchParams } from 'react-router';
import { bookSorts, type BookChoices, type BookPage, type BookSort } from '../../../contract/book';
import { verdicts, type Verdict } from '../../../contract/records';
import { send } from '../../ground/api';

export const bookViews = ['table', 'cards', 'hand'] as const;
export type BookView = (typeof bookViews)[number];

/** What of the book is looked at; it stands in the address, so that a reload keeps it. */
export interface BookLook {
  readonly view: BookView;
  readonly q: string;
  readonly finish: string;
  readonly clothId: string;
  readonly machineId: string;
  readonly footId: string;
  readonly verdict: Verdict | '';
  readonly sort: BookSort;
  readonly dir: 'asc' | 'desc';
  readonly page: number;
  /** The scrap that is looked at. */
  readonly scrap: string;
}

/** Rows of one page. */
export const pageSize = 50;

const oneOf = <T extends string>(all: readonly T[], value: string | null, otherwise: T): T =>
  all.find((one) => one === value) ?? otherwise;

/** The look of the address, and changing it; whatever narrows the list goes to its first page. */
export function useBookLook(): [BookLook, (patch: Partial<BookLook>) => void] {
  const [params, setParams] = useSearchParams();
  const look: BookLook = {
    view: oneOf(bookViews, params.get('view'), 'table'),
    q: params.get('q') ?? '',
    finish: params.get('finish') ?? '',
    clothId: params.get('clothId') ?? '',
    machineId: params.get('machineId') ?? '',
    footId: params.get('footId') ?? '',
    verdict: oneOf(['', ...verdicts], params.get('verdict'), ''),
    sort: oneOf(bookSorts, params.get('sort'), 'sewnOn'),
    dir: oneOf(['asc', 'desc'], params.get('dir'), 'desc'),
    page: Math.max(0, Math.floor(Number(params.get('page') ?? 0)) || 0),
    scrap: params.get('scrap') ?? '',
  };
  const set = (patch: Partial<BookLook>) => {
    const stays = Object.keys(patch).every((name) => ['view', 'page', 'scrap'].includes(name));
    const next = { ...look, ...(stays ? {} : { page: 0 }), ...patch };
    const plain: Partial<Record<keyof BookLook, unknown>> = {
      ...{ view: 'table', sort: 'sewnOn', dir: 'desc', page: 0 },
    };
    setParams(
      Object.entries(next).flatMap(([name, value]): [string, string][] =>
        value === '' || value === plain[name as keyof BookLook] ? [] : [[name, String(value)]],
      ),
      { replace: true },
    );
  };
  return [look, set];
}

/** The fields that narrow the book, as the server takes them. */
const narrowing = ['q', 'finish', 'clothId', 'machineId', 'footId', 'verdict'] as const;

/** Whether anything is left out of the book. */
export const isNarrowed = (look: BookLook): boolean => narrowing.some((name) => look[name] !== '');

/** The page that is looked at. */
export function useBookPage(look: BookLook) {
  const query = new URLSearchParams({
    ...Object.fromEntries(
      narrowing.filter((name) => look[name] !== '').map((name) => [name, look[name]]),
    ),
    ...{ sort: look.sort, dir: look.dir, page: String(look.page), size: String(pageSize) },
  }).toString();
  return useQuery({
    // Under the attempts, so that whatever changes them asks anew.
    queryKey: ['attempts', 'book', query],
    queryFn: () => send<BookPage>('GET', `book?${query}`),
    placeholderData: keepPreviousData,
  });
}

/** What the book can be narrowed to. */
export function useBookChoices() {
  return useQuery({
    queryKey: ['attempts', 'choices'],
    queryFn: () => send<BookChoices>('GET', 'book/choices'),
  });
}
