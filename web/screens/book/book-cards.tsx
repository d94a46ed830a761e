import { ChevronLeft, ChevronRight, FlipHorizontal2 } from 'lucide-react';
import { format, parseISO } from 'date-fns';
import { useState, type KeyboardEvent } from 'react';
import { useKeys } from '../../frame/keys';
import type { BookRow } from '../../../contract/book';
import type { AttemptRecord } from '../../../contract/records';
import { useLengths } from '../../ground/lengths-context';
import { useRecord } from '../../ground/records';
import { Button } from '../../controls/button';
import { useBox } from '../../pictures/use-box';
import { countsInWords } from '../../words/counts';
import { dialName } from '../../words/dials';
import { finishName } from '../../words/finishes';
import { setValuesInWords } from '../../words/set-values';
import { symptomName } from '../../words/symptoms';
import { verdictWords } from '../../words/verdicts';
import { EntrySwatch } from './entry-swatch';
import { useQuickIndex } from './use-quick-index';

interface BookCardsProps {
  readonly rows: readonly BookRow[];
  readonly at: number;
  /** Which of all scraps the first of these rows is, from 0. */
  readonly offset: number;
  readonly total: number;
  onGo(index: number): void;
}

/** The page as cards, one at a time: the setting on the face, the story on the back. */
export function BookCards({ rows, at, offset, total, onGo }: BookCardsProps) {
  const [back, setBack] = useState(false);
  const index = Math.max(0, at);
  const quick = useQuickIndex(index);
  const row = rows[index];
  const { data: entry } = useRecord('attempts', row?.id);
  useKeys([
    {
      press: ['ArrowLeft', 'ArrowRight', ' '],
      shown: '← → Space',
      does: 'turn the cards of the book, and over',
      act: null,
    },
  ]);
  const onKeyDown = (event: KeyboardEvent) => {
    if ((event.target as HTMLElement).matches('input, textarea')) return;
    if (event.key === 'ArrowRight' || event.key === 'ArrowLeft') {
      event.preventDefault();
      const next = quick.now() + (event.key === 'ArrowRight' ? 1 : -1);
      if (next >= 0 && next < rows.length) quick.went(next);
      onGo(next);
    }
    if (event.key === ' ') {
      event.preventDefault();
      setBack(!back);
    }
  };
  if (!row) return null;
  return (
    <div className="flex min-h-0 grow flex-col items-center gap-3 p-4">
      <div
        role="group"
        aria-label={`Card ${offset + index + 1} of ${total}`}
        tabIndex={0}
        onKeyDown={onKeyDown}
        className="slip flex min-h-0 w-full max-w-3xl grow flex-col overflow-y-auto p-6"
      >
        {entry && entry.id === row.id ? (
          back ? (
            <Back entry={entry} />
          ) : (
            <Face entry={entry} />
          )
        ) : (
          <p className="text-soft">Turning the page…</p>
        )}
      </div>
      <div className="flex items-center gap-3">
        <Button
          aria-label="The card before"
          disabled={offset + index === 0}
          onClick={() => onGo(index - 1)}
        >
          <ChevronLeft aria-hidden />
        </Button>
        <Button aria-pressed={back} onClick={() => setBack(!back)}>
          <FlipHorizontal2 size={18} aria-hidden /> Turn it over
        </Button>
        <Button
          aria-label="The next card"
          disabled={offset + index + 1 >= total}
          onClick={() => onGo(index + 1)}
        >
          <ChevronRight aria-hidden />
        </Button>
        <span className="text-soft">
          {offset + index + 1} of {total} · ← → and space
        </span>
      </div>
    </div>
  );
}

function Head({ entry }: { entry: AttemptRecord }) {
  const verdict = entry.verdict && verdictWords[entry.verdict];
  return (
    <div className="flex items-baseline justify-between gap-4">
      <h2 className="text-3xl break-words">{finishName(entry.finish, entry.setUp.fold.variant)}</h2>
      {verdict && (
        <b className={`shrink-0 text-xl ${verdict.text}`}>
          {verdict.sign} {verdict.name}
        </b>
      )}
    </div>
  );
}

/** What one wants to know at the machine. */
function Face({ entry }: { entry: AttemptRecord }) {
  const lengths = useLengths();
  const { fine, fineNumber, unit } = lengths;
  const [ref, { width }] = useBox<HTMLDivElement>();
  const { settings, setUp, names } = entry;
  return (
    <>
      <Head entry={entry} />
      <p className="text-lg">
        {names.cloth}, {fine(setUp.cloth.thicknessMm)}
      </p>
      <div ref={ref} className="py-4">
        {width > 0 && <EntrySwatch entry={entry} widthPx={width} heightPx={84} />}
      </div>
      {settings ? (
        <dl className="grid grid-cols-4 gap-4 pt-2">
          {(
            [
              ...(settings.widthMm > 0 ? [['Width', settings.widthMm] as const] : []),
              ['Length', settings.lengthMm],
              ['Needle', settings.needlePositionMm],
              [dialName('guide', setUp.foot.guidance), settings.guideMm],
            ] as const
          ).map(([name, mm]) => (
            <div key={name}>
              <dt className="text-soft">{name}</dt>
              <dd className="big-number text-5xl">
                {fineNumber(mm)}
                <span className="font-body text-base font-normal text-soft"> {unit}</span>
              </dd>
            </div>
          ))}
        </dl>
      ) : (
        <ul className="grid grid-cols-2 gap-x-6">
          {setValuesInWords(entry, lengths).map(([name, value]) => (
            <li key={name}>
              <span className="text-soft">{name}</span> <b>{value}</b>
            </li>
          ))}
        </ul>
      )}
    </>
  );
}

/** How it came to that. */
function Back({ entry }: { entry: AttemptRecord }) {
  const { names, symptoms, note, photoId } = entry;
  return (
    <>
      <Head entry={entry} />
      <p className="text-lg">{countsInWords(entry)}</p>
      {symptoms.length > 0 && <p>Seen: {symptoms.map(symptomName).join(', ')}</p>}
      {note && <p className="py-3 font-head text-2xl">{note}</p>}
      {photoId && (
        <img
          src={`/api/photos/${photoId}`}
          alt={`Photo of scrap ${entry.number}`}
          className="my-2 max-h-64 self-start rounded-[3px] border border-line"
        />
      )}
      <div className="grow" />
      <p className="text-soft">
        Scrap {entry.number}, {format(parseISO(entry.sewnOn ?? entry.createdAt), 'd MMMM yyyy')}.{' '}
        {names.machine}. {names.foot}.
      </p>
    </>
  );
}
