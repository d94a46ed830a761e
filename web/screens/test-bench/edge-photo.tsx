import { Camera } from 'lucide-react';
import { useState } from 'react';
import type { SymptomId } from '../../../core/diagnose/symptom';
import { Button } from '../../controls/button';
import { FormDialog } from '../../controls/form-dialog';
import { useLengths } from '../../ground/lengths-context';
import { ScrapPicture } from '../../pictures/scrap-picture';
import { percent } from '../../words/number';
import { edgeOnPhoto } from '../../workers/eye';
import type { ShownEdge } from '../../workers/eye-tasks';
import { ChoosePhoto } from './choose-photo';
import { edgeTroubles, withTroubles } from './edge-seen';
import { EdgeTicks } from './edge-ticks';
import { LookingAt } from './looking-at';
import type { ScrapDraft } from './scrap-draft';
import { useKeptPhoto } from './use-kept-photo';
import { useLooking } from './use-looking';

interface EdgePhotoProps {
  readonly draft: Pick<ScrapDraft, 'symptoms'>;
  set(patch: Partial<ScrapDraft>): void;
}

/** An edge that was looked at in a photo. */
interface EdgeFound {
  readonly file: File;
  readonly seen: ShownEdge;
  readonly ticked: readonly SymptomId[];
}

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
  const { stage, look, show, ask } = useLooking<EdgeFound>(async (file, _told, signal) => {
    const seen = await edgeOnPhoto(file, signal);
    if (!seen.ok) return seen;
    const ticked = edgeTroubles(seen.photo.edge, lengths).map(({ id }) => id);
    return { ok: true, found: { file, seen: seen.photo, ticked } };
  });
  const { trouble, keeping, keep } = useKeptPhoto('What was seen is in the form.');
  if (stage.is === 'looking') {
    return <LookingAt what="the edge" share={stage.share} onStop={ask} />;
  }
  if (stage.is === 'asking') {
    return (
      <ChoosePhoto
        lay="Lay the scrap into the window of the card without pulling, paper to be seen beside its edge"
        issues={stage.issues}
        onFile={look}
      />
    );
  }
  const { file, seen, ticked } = stage.found;
  const found = edgeTroubles(seen.edge, lengths);
  const take = async () => {
    set({ symptoms: withTroubles(draft.symptoms, found, ticked) });
    const id = await keep(file);
    if (id === null) return;
    set({ photoId: id });
    onDone();
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
        onTick={(now) => show({ ...stage.found, ticked: now })}
      />
      <div className="flex flex-wrap items-center gap-2">
        <Button look="solid" disabled={keeping} onClick={() => void take()}>
          Use what was seen
        </Button>
        <Button look="quiet" onClick={ask}>
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
