import { Download, FileUp } from 'lucide-react';
import { useRef, useState, type DragEvent } from 'react';
import { exchangeTables, type ExchangeTable } from '../../../contract/exchange';
import { notify } from '../../ground/notices';
import { Button } from '../../controls/button';
import { FileInput } from '../../controls/file-input';
import { PreviewTable } from './preview-table';
import { useImport } from './use-import';

const tableNames: Readonly<Record<ExchangeTable, string>> = {
  cloths: 'Cloths',
  machines: 'Machines',
  feet: 'Feet and attachments',
  needles: 'Needles',
  threads: 'Threads',
  attempts: 'Sample book',
};

const example = `name,construction,fibre,weightClass,widthMm
"Shirting, blue stripe",woven,cotton,light,1450`;

/** Shelf, drawer and book carried out and in: whole as JSON, each list as CSV. */
export function ExchangeScreen() {
  const [file, setFile] = useState<File | null>(null);
  const input = useRef<HTMLInputElement>(null);
  const [over, setOver] = useState(false);
  const { preview, take, pending, progress, stopped, stop } = useImport(({ counts }) => {
    setFile(null);
    notify({
      kind: 'info',
      text: `Taken in: ${counts.added} added, ${counts.changed} changed. Undo takes all of it back.`,
    });
  });
  const look = (chosen: File | undefined) => {
    if (!chosen) return;
    setFile(chosen);
    take.reset();
    preview.mutate({ file: chosen });
  };
  const onDrop = (event: DragEvent) => {
    event.preventDefault();
    setOver(false);
    look(event.dataTransfer.files[0]);
  };
  const trouble = take.error ?? preview.error;
  return (
    <main className="grid min-h-0 grow grid-cols-[minmax(0,1fr)] gap-4 p-4 lg:grid-cols-[20rem_minmax(0,1fr)] lg:px-5">
      <h1 className="sr-only">Carry the shelf, the drawer and the sample book in or out</h1>
      <section aria-label="Out" className="slip overflow-y-auto px-5 py-4">
        <h2 className="text-2xl">Out</h2>
        <p className="pb-2 text-soft">Everything, with photos, to keep or to give away:</p>
        <a
          href="/api/export/shelf-and-drawer.json"
          download
          className="mb-3 flex min-h-11 items-center gap-2 rounded-[3px] border border-graphite bg-graphite px-4 font-bold text-slip hover:bg-black"
        >
          <Download size={18} aria-hidden /> Shelf and drawer, JSON
        </a>
        <a
          href="/api/export/sample-book.json"
          download
          className="mb-3 flex min-h-11 items-center gap-2 rounded-[3px] border border-graphite bg-slip px-4 font-bold hover:bg-cloth"
        >
          <Download size={18} aria-hidden /> Sample book, JSON
        </a>
        <p className="pb-1 text-soft">One list for a spreadsheet, as CSV:</p>
        <ul>
          {exchangeTables.map((table) => (
            <li key={table} className="border-b border-line">
              <a
                href={`/api/export/${table === 'attempts' ? 'sample-book' : table}.csv`}
                download
                className="flex min-h-11 items-center gap-2 text-pencil underline underline-offset-2"
              >
                <Download size={16} aria-hidden /> {tableNames[table]}
              </a>
            </li>
          ))}
        </ul>
        <p className="pt-3 text-sm text-soft">
          Lengths are in millimetres. CSV names photos but does not carry them. A text that a
          spreadsheet would work out as a formula gets an apostrophe before it, and loses it here.
        </p>
      </section>
      <section aria-label="In" className="sheet flex min-h-0 flex-col p-4">
        <div
          onDragOver={(event) => {
            event.preventDefault();
            setOver(true);
          }}
          onDragLeave={() => setOver(false)}
          onDrop={onDrop}
          className={`flex flex-wrap items-center gap-4 rounded-[3px] border-2 border-dashed px-4 py-3 ${over ? 'border-pencil bg-pencil-wash' : 'border-seam'}`}
        >
          <FileUp size={26} aria-hidden />
          <div className="min-w-52 grow">
            <h2 className="text-2xl">In</h2>
            <p className="text-soft">
              {file
                ? file.name
                : 'Drop a JSON or CSV file here, or choose one. You see first what it would do.'}
            </p>
          </div>
          <Button onClick={() => input.current?.click()}>Choose a file</Button>
          <FileInput
            ref={input}
            accept=".json,.csv,.txt,application/json,text/csv"
            label="File to take in"
            onFile={look}
          />
        </div>
        {!file && (
          <div className="max-w-2xl px-1 pt-5 text-soft">
            <h3 className="text-lg text-graphite">What a file looks like</h3>
            <p>
              Any list from the left, changed in a spreadsheet. Rows are known by their id; a row
              without one is new. A few columns are enough:
            </p>
            <pre
              tabIndex={0}
              aria-label="An example of such a file"
              className="my-2 overflow-x-auto border-l-4 border-line bg-slip px-3 py-2 text-sm text-graphite"
            >
              {example}
            </pre>
            <p>
              What cannot be read is refused with its row and its reason, and then nothing of the
              file is taken in.
            </p>
          </div>
        )}
        {pending && (
          <div role="status" className="flex flex-wrap items-center gap-4 p-4 text-lg">
            <span className="min-w-0 break-words">Reading {file?.name}…</span>
            <progress
              aria-label="Rows looked at"
              className="min-w-40 grow"
              {...(progress?.total ? { value: progress.done, max: progress.total } : {})}
            />
            {Boolean(progress?.total) && (
              <span className="text-base text-soft">
                {progress?.done} of {progress?.total} rows
              </span>
            )}
            <Button onClick={stop}>Stop</Button>
          </div>
        )}
        {trouble && (
          <div role="alert" className="mt-3 border-l-4 border-madder bg-madder-wash px-4 py-2">
            <p className="font-bold text-madder">Nothing was taken in.</p>
            <p>{stopped ? 'You stopped it.' : trouble.message}</p>
            {take.error && file && (
              <Button className="mt-2" onClick={() => look(file)}>
                Look again
              </Button>
            )}
          </div>
        )}
        {preview.data && file && !take.error && (
          <PreviewTable
            preview={preview.data}
            busy={take.isPending}
            onTake={() => take.mutate({ file, digest: preview.data.digest })}
          />
        )}
      </section>
    </main>
  );
}
