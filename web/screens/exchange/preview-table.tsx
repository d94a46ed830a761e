import { useVirtualizer } from '@tanstack/react-virtual';
import { useLengths } from '../../ground/lengths-context';
import { issueInWords } from '../../words/refusals';
import { useRef, useState } from 'react';
import type { ImportPreview, ImportRow, Outcome } from '../../../contract/exchange';
import { Button } from '../../controls/button';
import { LineChoice } from '../../controls/line-choice';

const looks: Readonly<Record<Outcome, readonly [sign: string, look: string]>> = {
  refused: ['✕', 'text-madder'],
  added: ['+', 'text-moss'],
  changed: ['≠', 'text-pencil'],
  same: ['=', 'text-soft'],
};
const nouns: Readonly<Record<ImportRow['table'], string>> = {
  cloths: 'cloth',
  machines: 'machine',
  feet: 'foot',
  needles: 'needle',
  threads: 'thread',
  attempts: 'scrap',
};

function Finding({ row }: { row: ImportRow }) {
  const lengths = useLengths();
  const said = [
    ...row.issues.map((issue) => `${issue.path}: ${issueInWords(issue, lengths)}`),
    ...(row.outcome === 'changed' ? [`changes ${row.fields.join(', ')}`] : []),
  ];
  return (
    <>
      {said.length > 0 && (
        <span className={row.outcome === 'refused' ? 'font-bold text-madder' : ''}>
          {said.join(' · ')}
        </span>
      )}
      {row.repairs.length > 0 && (
        <span className="block text-ochre">
          mended: {row.repairs.map(({ path, message }) => `${path}: ${message}`).join(' · ')}
        </span>
      )}
    </>
  );
}

interface PreviewTableProps {
  readonly preview: ImportPreview;
  readonly busy: boolean;
  onTake(): void;
}

/** What would become of a file, row by row, and the one button that does it. */
export function PreviewTable({ preview, busy, onTake }: PreviewTableProps) {
  const { rows, counts, repairs, photos } = preview;
  const [only, setOnly] = useState<Outcome | 'all'>(counts.refused > 0 ? 'refused' : 'all');
  const scroller = useRef<HTMLDivElement>(null);
  const shown = only === 'all' ? rows : rows.filter(({ outcome }) => outcome === only);
  const virtual = useVirtualizer({
    count: shown.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => 46,
    overscan: 10,
  });
  const change = counts.added + counts.changed;
  return (
    <div className="flex min-h-0 grow flex-col pt-2">
      {repairs.map((repair) => (
        <p key={repair} className="border-l-4 border-ochre bg-ochre-wash px-3 py-1 text-ochre">
          {repair}
        </p>
      ))}
      <div className="flex flex-wrap items-center gap-3 py-1">
        <LineChoice<Outcome | 'all'>
          label="Rows to show"
          value={only}
          options={[
            ['all', `All ${rows.length}`],
            ...(['refused', 'added', 'changed', 'same'] as const)
              .filter((one) => counts[one] > 0)
              .map((one) => [one, `${looks[one][0]} ${counts[one]} ${one}`] as const),
          ]}
          onChange={setOnly}
        />
        {photos > 0 && <span className="text-sm text-soft">and {photos} with a photo</span>}
      </div>
      <div
        ref={scroller}
        role="table"
        aria-label="What would become of each row"
        aria-rowcount={shown.length}
        tabIndex={0}
        className="min-h-40 grow overflow-y-auto border-y border-line"
      >
        <div role="presentation" className="relative" style={{ height: virtual.getTotalSize() }}>
          {virtual.getVirtualItems().map(({ index, start, key }) => {
            const row = shown[index];
            if (!row) return null;
            const [sign, look] = looks[row.outcome];
            return (
              <div
                key={key}
                ref={virtual.measureElement}
                data-index={index}
                role="row"
                aria-rowindex={index + 1}
                style={{ transform: `translateY(${start}px)` }}
                className="absolute inset-x-0 top-0 grid grid-cols-[6.5rem_5.5rem_minmax(0,14rem)_minmax(0,1fr)] gap-3 border-b border-line px-2 py-2"
              >
                <span role="cell" className={`font-bold ${look}`}>
                  <span aria-hidden>{sign} </span>
                  {row.outcome}
                </span>
                <span role="cell" className="text-sm text-soft">
                  {row.place}
                </span>
                <span role="cell" className="truncate font-bold" title={row.name}>
                  {row.name || '–'}{' '}
                  <span className="text-sm font-normal text-soft">{nouns[row.table]}</span>
                </span>
                <span role="cell" className="text-sm break-words">
                  <Finding row={row} />
                </span>
              </div>
            );
          })}
        </div>
      </div>
      <div className="flex flex-wrap items-center gap-4 pt-3">
        <p role="status" className={`grow ${counts.refused > 0 ? 'font-bold text-madder' : ''}`}>
          {counts.refused > 0
            ? `${counts.refused} of ${rows.length} rows cannot be taken, so none will be. Mend the file and choose it again.`
            : change === 0
              ? 'Everything in this file is here already.'
              : 'All of it is taken in, or nothing. One undo takes it back.'}
        </p>
        <Button look="solid" disabled={busy || counts.refused > 0 || change === 0} onClick={onTake}>
          {busy
            ? `Taking in ${change} rows…`
            : `Take in ${change} ${change === 1 ? 'row' : 'rows'}`}
        </Button>
      </div>
    </div>
  );
}
