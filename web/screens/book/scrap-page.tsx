import { format, parseISO } from 'date-fns';
import { Pin, PinOff, Share } from 'lucide-react';
import { Link } from 'react-router';
import type { AttemptRecord } from '../../../contract/records';
import { useLengths } from '../../ground/lengths-context';
import { notify } from '../../ground/notices';
import { queryClient } from '../../ground/query-client';
import { change, useRecord, useRemove, writer } from '../../ground/records';
import { Button } from '../../controls/button';
import { NoteField } from '../../controls/note-field';
import { ScrapPhotosField } from '../../controls/scrap-photos-field';
import { RemoveButton } from '../../controls/remove-button';
import { VerdictChoice } from '../../controls/verdict-choice';
import { countsInWords } from '../../words/counts';
import { dialName } from '../../words/dials';
import { finishName } from '../../words/finishes';
import { setValuesInWords } from '../../words/set-values';
import { symptomName } from '../../words/symptoms';
import { EntrySwatch } from './entry-swatch';
import { FindsOnPhoto } from './finds-on-photo';
import type { BookRow } from '../../../contract/book';
import { swings } from '../../../core/stitch/needle-path';

/** Changes a scrap and asks the book anew, since its order may be another now. */
function changeScrap(id: string, patch: Partial<AttemptRecord>): void {
  change('attempts', id, patch);
  void writer.settled().then(() => queryClient.invalidateQueries({ queryKey: ['attempts'] }));
}

/** A scrap of the book, whole, on the slip. */
export function ScrapPage({ row }: { row: BookRow }) {
  const { data: entry } = useRecord('attempts', row.id);
  if (!entry) return <p className="text-soft">Turning the page…</p>;
  return <Page key={entry.id} entry={entry} edgeId={row.edgeId} />;
}

function Page({ entry, edgeId }: { entry: AttemptRecord; edgeId: string | null }) {
  const lengths = useLengths();
  const remove = useRemove('attempts');
  const { names, settings, setUp, symptoms } = entry;
  const values = setValuesInWords(entry, lengths);
  const share = async () => {
    const { sharePage } = await import('./share-page');
    const html = await sharePage(entry, lengths);
    const address = URL.createObjectURL(new Blob([html], { type: 'text/html' }));
    const link = document.createElement('a');
    link.href = address;
    link.download = `scrap-${entry.finish}-${entry.sewnOn ?? ''}.html`;
    link.click();
    URL.revokeObjectURL(address);
    notify({ kind: 'info', text: 'The page is saved; it needs nothing else to be read.' });
  };
  return (
    <div className="flex min-h-full flex-col">
      <h2 className="text-xl break-words">{finishName(entry.finish, setUp.fold.variant)}</h2>
      <p className="text-sm text-soft">
        Scrap {entry.number}, {format(parseISO(entry.sewnOn ?? entry.createdAt), 'd MMMM yyyy')}
      </p>
      <div className="py-2">
        <EntrySwatch entry={entry} widthPx={296} heightPx={44} />
      </div>
      <p className="font-bold">{countsInWords(entry)}</p>
      {symptoms.length > 0 && (
        <p className="text-sm">Seen: {symptoms.map(symptomName).join(', ')}</p>
      )}
      <dl className="grid grid-cols-[5rem_1fr] gap-x-2 py-2">
        {settings && (
          <>
            {swings(setUp.stitch) && (
              <>
                <dt className="text-soft">Width</dt>
                <dd className="big-number text-2xl">{lengths.fine(settings.widthMm)}</dd>
              </>
            )}
            <dt className="text-soft">Length</dt>
            <dd className="big-number text-xl">{lengths.fine(settings.lengthMm)}</dd>
            <dt className="text-soft">Needle</dt>
            <dd className="big-number text-xl">{lengths.fine(settings.needlePositionMm)}</dd>
            <dt className="text-soft">{dialName('guide', setUp.foot.guidance)}</dt>
            <dd className="big-number text-xl">{lengths.fine(settings.guideMm)}</dd>
          </>
        )}
        <dt className="text-soft">Cloth</dt>
        <dd>
          {names.cloth}, {lengths.fine(setUp.cloth.thicknessMm)}
        </dd>
        <dt className="text-soft">Machine</dt>
        <dd>{names.machine}</dd>
        <dt className="text-soft">Foot</dt>
        <dd>{names.foot}</dd>
      </dl>
      {values.length > 0 && (
        <details className="pb-2 text-sm">
          <summary className="min-h-8 cursor-pointer text-soft">What else was set</summary>
          <ul>
            {values.map(([name, value]) => (
              <li key={name}>
                {name}: <b>{value}</b>
              </li>
            ))}
          </ul>
        </details>
      )}
      <VerdictChoice
        value={entry.verdict}
        onChange={(verdict) => changeScrap(entry.id, { verdict })}
      />
      <NoteField
        label="Note"
        value={entry.note}
        most={2000}
        rows={2}
        onCommit={(note) => changeScrap(entry.id, { note })}
      />
      <div className="py-2">
        <ScrapPhotosField
          of={`scrap ${entry.number}`}
          photos={entry}
          onChange={(patch) => changeScrap(entry.id, patch)}
        >
          <FindsOnPhoto entry={entry} />
        </ScrapPhotosField>
      </div>
      <div className="grow" />
      <div className="sticky -bottom-4 -mx-5 grid gap-2 border-t border-line bg-slip px-5 py-3">
        {entry.verdict === 'keep' && (
          <Button
            aria-pressed={entry.pinned}
            onClick={() => changeScrap(entry.id, { pinned: !entry.pinned })}
          >
            {entry.pinned ? <PinOff size={17} aria-hidden /> : <Pin size={17} aria-hidden />}
            {entry.pinned ? 'Take the pin out' : 'Pin to this cloth, finish, machine'}
          </Button>
        )}
        <div className="flex items-center gap-2">
          <Button className="grow px-2!" onClick={() => void share()}>
            <Share size={17} aria-hidden /> A page to share
          </Button>
          {edgeId && (
            <Link
              to={`/edges/${edgeId}/test`}
              className="inline-flex min-h-11 items-center px-1 text-pencil underline underline-offset-2"
            >
              its edge
            </Link>
          )}
          <RemoveButton
            what={`scrap ${entry.number}`}
            consequence="What it taught goes with it. For thirty days it can be brought back."
            onRemove={() => remove.mutate(entry)}
          />
        </div>
      </div>
    </div>
  );
}
