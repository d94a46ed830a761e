import { Camera } from 'lucide-react';
import { startTransition, useEffect, useRef, useState } from 'react';
import type { Photo } from '../../../contract/photo';
import type { SymptomId } from '../../../core/diagnose/symptom';
import type { Issue } from '../../../core/impossible';
import { Button } from '../../controls/button';
import { FormDialog } from '../../controls/form-dialog';
import { ApiError, sendFile } from '../../ground/api';
import { useLengths } from '../../ground/lengths-context';
import { ScrapPicture } from '../../pictures/scrap-picture';
import { percent } from '../../words/number';
import { edgeOnPhoto, eyeReady } from '../../workers/eye';
import type { ShownEdge } from '../../workers/eye-tasks';
import { ChoosePhoto } from './choose-photo';
import { edgeTroubles, withTroubles } from './edge-seen';
import { EdgeTicks } from './edge-ticks';
import type { ScrapDraft } from './scrap-draft';

interface EdgePhotoProps {
  readonly draft: Pick<ScrapDraft, 'symptoms'>;
  set(patch: Partial<ScrapDraft>): void;
}

type Stage =
  | { readonly is: 'asking'; readonly issues: readonly Issue[] }
  | { readonly is: 'looking' }
  | {
      readonly is: 'found';
      readonly file: File;
      readonly seen: ShownEdge;
      readonly ticked: readonly SymptomId[];
    };

/** Looks at an edge whose stitches are not counted: whether it waves, and what sticks out of it. */
export function EdgePhoto(props: EdgePhotoProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button className="my-1 w-full" onClick={() => setOpen(true)}>
        <Camera size={18} aria-hidden />
        Look at the edge in a photo
      </Button>
      <FormDialog
        title="Look at the edge in a photo"
        open={open}
        onOpenChange={setOpen}
        wide="picture"
      >
        {open && <Looking {...props} onDone={() => setOpen(false)} />}
      </FormDialog>
    </>
  );
}

function Looking({ draft, set, onDone }: EdgePhotoProps & { onDone(): void }) {
  const lengths = useLengths();
  const [stage, setStage] = useState<Stage>({ is: 'asking', issues: [] });
  const [trouble, setTrouble] = useState<string | null>(null);
  const [keeping, setKeeping] = useState(false);
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  useEffect(eyeReady, []);
  const ask = (issues: readonly Issue[] = []) => setStage({ is: 'asking', issues });

  const look = async (file: File) => {
    running.current?.abort();
    const run = new AbortController();
    running.current = run;
    setStage({ is: 'looking' });
    try {
      const seen = await edgeOnPhoto(file, run.signal);
      if (run.signal.aborted) return;
      if (!seen.ok) return ask(seen.issues);
      const ticked = edgeTroubles(seen.photo.edge, lengths).map(({ id }) => id);
      startTransition(() => setStage({ is: 'found', file, seen: seen.photo, ticked }));
    } catch (error) {
      if (run.signal.aborted) return;
      const message = error instanceof Error ? error.message : 'It could not be measured.';
      ask([{ path: 'picture', message }]);
    }
  };
  if (stage.is === 'looking') {
    return (
      <div className="grid gap-3 py-6" role="status">
        <p>Looking at the edge…</p>
        <Button
          className="justify-self-start"
          onClick={() => {
            running.current?.abort();
            ask();
          }}
        >
          Stop
        </Button>
      </div>
    );
  }
  if (stage.is === 'asking') {
    return (
      <ChoosePhoto
        lay="Lay the scrap into the window of the card without pulling, paper to be seen beside its edge"
        issues={stage.issues}
        onFile={(file) => void look(file)}
      />
    );
  }
  const { file, seen, ticked } = stage;
  const found = edgeTroubles(seen.edge, lengths);
  const take = async () => {
    set({ symptoms: withTroubles(draft.symptoms, found, ticked) });
    setKeeping(true);
    try {
      set({ photoId: (await sendFile<Photo>('photos', file)).id });
      onDone();
    } catch (error) {
      const why = error instanceof ApiError ? error.message : 'The server does not answer.';
      setTrouble(`What was seen is in the form. The photo could not be kept: ${why}`);
    } finally {
      setKeeping(false);
    }
  };
  return (
    <div className="grid gap-3">
      <p className="text-lg">
        <b className="big-number text-3xl">{percent(seen.edge.longerShare)}</b> longer than
        straight, <b className="big-number text-3xl">{seen.edge.whiskers.length}</b>{' '}
        {seen.edge.whiskers.length === 1 ? 'thread' : 'threads'} out of it.{' '}
        {found.length === 0 && <span className="text-soft">It lies as it should.</span>}
      </p>
      <ScrapPicture
        window={seen.window}
        ringed={[]}
        whiskers={seen.edge.whiskers.map(({ atMm }) => atMm)}
        reference={seen.edge.line}
        chosen={null}
        label={`The edge, with ${seen.edge.whiskers.length} threads that stick out of it.`}
      />
      <p className="text-sm text-soft">Dashed: the edge as it was found. ◇ where a thread ends.</p>
      <EdgeTicks
        found={found}
        ticked={ticked}
        onTick={(now) => setStage({ ...stage, ticked: now })}
      />
      <div className="flex flex-wrap items-center gap-2">
        <Button look="solid" disabled={keeping} onClick={() => void take()}>
          Use what was seen
        </Button>
        <Button look="quiet" onClick={() => ask()}>
          Another photo
        </Button>
      </div>
      {trouble && (
        <p role="alert" className="font-bold text-madder">
          {trouble}
        </p>
      )}
    </div>
  );
}
