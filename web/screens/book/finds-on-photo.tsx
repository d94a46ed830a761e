import { useQuery } from '@tanstack/react-query';
import { ScanSearch } from 'lucide-react';
import { useMemo, useState, type KeyboardEvent } from 'react';
import type { AttemptRecord } from '../../../contract/records';
import { Impossible } from '../../../core/impossible';
import { Button } from '../../controls/button';
import { FormDialog } from '../../controls/form-dialog';
import { useLengths } from '../../ground/lengths-context';
import { RingKey } from '../../pictures/find-rings';
import { ScrapPicture } from '../../pictures/scrap-picture';
import { capital } from '../../words/number';
import { issueInWords } from '../../words/refusals';
import { flatPhoto } from '../../workers/eye';
import { entryDrawing } from './entry-swatch';
import { keptFinds, type KeptFind } from './kept-finds';

type Drawing = NonNullable<ReturnType<typeof entryDrawing>>;

/** Opens a scrap’s photo again, with what was found in it; nothing where no find was kept. */
export function FindsOnPhoto({ entry }: { readonly entry: AttemptRecord }) {
  const [open, setOpen] = useState(false);
  const drawing = useMemo(() => entryDrawing(entry), [entry]);
  const finds = useMemo(
    () => (drawing ? keptFinds(entry.counts, drawing.set.checks) : []),
    [drawing, entry],
  );
  if (!drawing || !entry.photoId || finds.length === 0) return null;
  return (
    <>
      <Button className="mt-2 w-full" onClick={() => setOpen(true)}>
        <ScanSearch size={18} aria-hidden />
        What was found in it
      </Button>
      <FormDialog
        title={`Scrap ${entry.number}, as it was measured`}
        open={open}
        onOpenChange={setOpen}
        wide="picture"
      >
        {open && <Found photoId={entry.photoId} {...{ finds, drawing }} />}
      </FormDialog>
    </>
  );
}

interface FoundProps {
  readonly photoId: string;
  readonly finds: readonly KeptFind[];
  readonly drawing: Drawing;
}

function Found({ photoId, finds, drawing }: FoundProps) {
  const lengths = useLengths();
  const [chosen, setChosen] = useState(0);
  const { data, error } = useQuery({
    queryKey: ['photo laid flat', photoId],
    // The photo of an id never changes.
    staleTime: Infinity,
    retry: false,
    queryFn: async ({ signal }) => {
      const answer = await fetch(`/api/photos/${photoId}`, { signal });
      if (!answer.ok) throw new Error('The photo is no longer there.');
      const laid = await flatPhoto(await answer.blob(), signal);
      if (!laid.ok) throw new Impossible(laid.issues);
      return laid.window;
    },
  });
  if (error) {
    const why =
      error instanceof Impossible
        ? error.issues.map((issue) => issueInWords(issue, lengths)).join(' ')
        : error.message;
    return (
      <p role="alert" className="border-l-4 border-madder bg-madder-wash px-3 py-2 font-bold">
        What was found can’t be laid over this photo. {why}
      </p>
    );
  }
  if (!data) return <p role="status">Laying the photo flat…</p>;
  const onKey = (event: KeyboardEvent) => {
    const by = { ArrowRight: 1, ArrowLeft: -1 }[event.key];
    if (by === undefined) return;
    setChosen((now) => Math.min(finds.length - 1, Math.max(0, now + by)));
    event.preventDefault();
  };
  return (
    <div className="grid gap-3">
      <ScrapPicture
        window={data}
        ringed={finds}
        reference={null}
        chosen={chosen}
        label={`The scrap with ${finds.length} finds. Arrows go along them.`}
        onChoose={setChosen}
        onKey={onKey}
      />
      <p className="text-sm text-soft">
        <RingKey names={{ sound: 'sound', short: 'falls short', over: 'goes over' }} />
        Dashed: near a bound. Click a find or take the arrows.
      </p>
      <FindInWords find={finds[chosen]!} of={finds.length} words={drawing.margin.words} />
    </div>
  );
}

/** One find: how deep it is, how far that may be off, and what it was taken for. */
function FindInWords(props: { find: KeptFind; of: number; words: Drawing['margin']['words'] }) {
  const { find, of, words } = props;
  const { fine } = useLengths();
  const { fault } = find;
  const judged = fault ? capital(words.faults[fault]?.short ?? fault) : 'Sound';
  return (
    <p aria-live="polite" className="text-lg">
      {capital(words.one)} {find.id + 1} of {of}:{' '}
      {words.checks[find.check] !== words.one && `${words.checks[find.check]} `}
      <b className="big-number text-3xl">{fine(find.depthMm)}</b> ± {fine(find.depthSpreadMm)}.{' '}
      <b className={fault ? 'text-madder' : ''}>{judged}</b>
      {find.doubtful && ', but near its bound'}.
    </p>
  );
}
