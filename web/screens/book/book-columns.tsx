import {
  columnVisibilityFeature,
  createColumnHelper,
  rowSortingFeature,
  tableFeatures,
} from '@tanstack/react-table';
import { format, parseISO } from 'date-fns';
import type { BookRow, BookSort } from '../../../contract/book';
import type { Lengths } from '../../../core/measure/lengths';
import { countsInWords } from '../../words/counts';
import { finishName } from '../../words/finishes';
import { symptomName } from '../../words/symptoms';
import { verdictWords } from '../../words/verdicts';

export const bookFeatures = tableFeatures({ columnVisibilityFeature, rowSortingFeature });

const helper = createColumnHelper<typeof bookFeatures, BookRow>();

/** What each column is called; those that sort are the server's to sort. */
export const columnNames = {
  sewnOn: 'Day',
  verdict: 'Verdict',
  finish: 'Finish',
  cloth: 'Cloth',
  setting: 'Width · length · needle',
  faults: 'Counted',
  foot: 'Foot',
  machine: 'Machine',
  seen: 'Seen',
  note: 'Note',
} as const;
export type BookColumn = keyof typeof columnNames;

/** Not shown until asked for: the table would be too wide to be read at arm's length. */
export const hiddenAtFirst: readonly BookColumn[] = ['machine', 'seen', 'note'];

const sortable = (id: BookColumn): id is BookColumn & BookSort =>
  !['setting', 'seen', 'note'].includes(id);

/** The columns, in the person's own unit. */
export function bookColumns({ fineNumber }: Lengths) {
  const cells: Readonly<Record<BookColumn, (row: BookRow) => React.ReactNode>> = {
    sewnOn: (row) => format(parseISO(row.sewnOn ?? row.createdAt), 'd MMM yyyy'),
    verdict: ({ verdict, pinned }) => (
      <span className={`whitespace-nowrap ${verdict ? verdictWords[verdict].text : 'text-soft'}`}>
        {verdict ? (
          <b>
            {verdictWords[verdict].sign} {verdictWords[verdict].name}
          </b>
        ) : (
          '–'
        )}
        {pinned && <b className="text-pencil"> pinned</b>}
      </span>
    ),
    finish: ({ finish }) => finishName(finish),
    cloth: ({ names }) => names.cloth,
    foot: ({ names }) => names.foot,
    machine: ({ names }) => names.machine,
    setting: ({ settings }) =>
      settings ? (
        <span className="whitespace-nowrap">
          {settings.widthMm > 0 ? fineNumber(settings.widthMm) : '–'} ·{' '}
          {fineNumber(settings.lengthMm)} · {fineNumber(settings.needlePositionMm)}
        </span>
      ) : (
        'starting values'
      ),
    faults: (row) => countsInWords(row),
    seen: ({ symptoms }) => symptoms.map(symptomName).join(', '),
    note: ({ note }) => note,
  };
  const ids = Object.keys(columnNames) as BookColumn[];
  return helper.columns(
    ids.map((id) =>
      // What is shown is not what is sorted by: the server sorts, over all pages.
      helper.accessor(({ id: of }) => of, {
        id,
        header: columnNames[id],
        enableSorting: sortable(id),
        cell: ({ row }) => cells[id](row.original),
      }),
    ),
  );
}
