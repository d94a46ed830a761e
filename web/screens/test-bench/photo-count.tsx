import { Camera } from 'lucide-react';
import { startTransition, useEffect, useRef, useState } from 'react';
import type { Photo } from '../../../contract/photo';
import type { Face } from '../../../core/eye/seen-on';
import type { SymptomId } from '../../../core/diagnose/symptom';
import type { Issue } from '../../../core/impossible';
import type { MarginWords } from '../../../core/finish/finish-margin';
import type { DialSettings } from '../../../core/kit/dial-steps';
import type { MarginPart } from './counted-part';
import { Button } from '../../controls/button';
import { FormDialog } from '../../controls/form-dialog';
import { RadioRow } from '../../controls/radio-row';
import { ApiError, sendFile } from '../../ground/api';
import { useLengths } from '../../ground/lengths-context';
import { counted } from '../../words/number';
import { eyeReady, measuredPhoto } from '../../workers/eye';
import type { ShownPhoto } from '../../workers/eye-tasks';
import { ChoosePhoto } from './choose-photo';
import { edgeTroubles, withTroubles } from './edge-seen';
import { countsOf, findsOf, sureOf, type Find } from './finds';
import { FoundOnPhoto } from './found-on-photo';
import { joinedFinds, takenFrom, type FindsByFace } from './joined-finds';
import { photosWith } from './kept-photos';
import type { ScrapDraft } from './scrap-draft';

interface PhotoCountProps {
  readonly bench: MarginPart;
  readonly sewn: DialSettings;
  readonly draft: Pick<ScrapDraft, 'faces' | 'photoId' | 'symptoms'>;
  set(patch: Partial<ScrapDraft>): void;
}

/** How far the measuring is, what came of it, or why nothing did. */
type Stage =
  | { readonly is: 'asking'; readonly issues: readonly Issue[] }
  | { readonly is: 'measuring'; readonly share: number }
  | {
      readonly is: 'found';
      readonly file: File;
      readonly photo: ShownPhoto;
      readonly finds: readonly Find[];
      /** What is wrong with the edge, as far as the person lets it stand. */
      readonly ticked: readonly SymptomId[];
    };

/** Stitches without what they were led along: none of them can be judged. */
const nothingBeside = (reference: string) =>
  `The ${reference} is not told from the cloth, or from a stripe beside it. Light it from the side, or count by hand.`;

const asking: Stage = { is: 'asking', issues: [] };

/** Counts from a photo of the scrap on its card; what was found is shown, and is the person’s to say. */
export function PhotoCount(props: PhotoCountProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button className="my-1 w-full" onClick={() => setOpen(true)}>
        <Camera size={18} aria-hidden />
        Count from a photo
      </Button>
      <FormDialog title="Count from a photo" open={open} onOpenChange={setOpen} wide="picture">
        {open && <Counting {...props} onDone={() => setOpen(false)} />}
      </FormDialog>
    </>
  );
}

const otherFace: Readonly<Record<Face, Face>> = { wrong: 'right', right: 'wrong' };

/** What a side came to that was counted. */
function sideInWords(face: Face, finds: readonly Find[], words: MarginWords): string {
  const { n, over } = countsOf(finds);
  return face === 'wrong'
    ? `The wrong side is counted: ${counted(n, words.one, words.counted)}.`
    : `The right side is counted: ${counted(over, 'shows', 'show')}.`;
}

function Counting({
  bench,
  sewn,
  draft: { faces = {}, photoId, symptoms },
  set,
  onDone,
}: PhotoCountProps & { onDone(): void }) {
  const { margin, judgedBy } = bench;
  const hidden = margin.hiddenOnRight?.(bench.plan);
  const lengths = useLengths();
  const [face, setFace] = useState<Face>(hidden && faces.wrong && !faces.right ? 'right' : 'wrong');
  const [stage, setStage] = useState<Stage>(asking);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [keeping, setKeeping] = useState(false);
  const running = useRef<AbortController | null>(null);
  useEffect(() => () => running.current?.abort(), []);
  useEffect(eyeReady, []);

  const measure = async (file: File) => {
    running.current?.abort();
    const run = new AbortController();
    running.current = run;
    setStage({ is: 'measuring', share: 0 });
    try {
      const asked = { face, finish: bench.finish.id, plan: bench.plan, dials: sewn };
      const told = (share: number) => {
        if (!run.signal.aborted) setStage({ is: 'measuring', share });
      };
      const eyed = await measuredPhoto(file, asked, told, run.signal);
      if (run.signal.aborted) return;
      if (eyed.ok && !eyed.photo.measured.counts) {
        const [{ name }] = margin.references(bench.plan, sewn);
        setStage({ is: 'asking', issues: [{ path: 'picture', message: nothingBeside(name) }] });
        return;
      }
      // Rings, choices and counts are more than a frame’s work.
      startTransition(() =>
        setStage(
          eyed.ok
            ? {
                ...{ is: 'found', file, photo: eyed.photo },
                finds: findsOf(eyed.photo.measured, judgedBy.below),
                ticked: edgeTroubles(eyed.photo.measured.edge, lengths).map(({ id }) => id),
              }
            : { is: 'asking', issues: eyed.issues },
        ),
      );
    } catch (error) {
      if (run.signal.aborted) return;
      const message = error instanceof Error ? error.message : 'It could not be measured.';
      setStage({ is: 'asking', issues: [{ path: 'picture', message }] });
    }
  };
  const cancel = () => {
    running.current?.abort();
    setStage(asking);
  };
  const together = (seen: FindsByFace) =>
    hidden && seen.wrong && seen.right
      ? joinedFinds({ wrong: seen.wrong, right: seen.right }, judgedBy, hidden.hiddenMm)
      : null;
  const take = async (
    { file, finds, photo, ticked }: Extract<Stage, { is: 'found' }>,
    andOther: boolean,
  ) => {
    const seen = { ...faces, [face]: finds };
    const atEdge = edgeTroubles(photo.measured.edge, lengths);
    set({
      ...{ ...takenFrom(seen, together(seen)), faces: seen },
      symptoms: withTroubles(symptoms, atEdge, ticked),
    });
    setKeeping(true);
    try {
      const { id } = await sendFile<Photo>('photos', file);
      set(photosWith(photoId, faces, face, id));
      if (!andOther) return onDone();
      setFace(otherFace[face]);
      setStage(asking);
    } catch (error) {
      const why = error instanceof ApiError ? error.message : 'The server does not answer.';
      setTrouble(`The counts are in the form. The photo could not be kept: ${why}`);
    } finally {
      setKeeping(false);
    }
  };

  const other = otherFace[face];
  if (stage.is === 'found') {
    const seen = { ...faces, [face]: stage.finds };
    const joined = together(seen);
    return (
      <FoundOnPhoto
        {...stage}
        face={face}
        words={margin.words}
        judgedBy={judgedBy}
        used={takenFrom(seen, joined)}
        sure={sureOf(joined?.finds ?? stage.finds, judgedBy)}
        other={
          !hidden
            ? 'none'
            : faces[other]
              ? { onBoth: joined?.onBoth ?? null, disagree: joined?.disagree[face] ?? [] }
              : 'waits'
        }
        trouble={trouble}
        keeping={keeping}
        onFinds={(finds) => setStage({ ...stage, finds })}
        onAnother={() => setStage(asking)}
        atEdge={edgeTroubles(stage.photo.measured.edge, lengths)}
        onTick={(ticked) => setStage({ ...stage, ticked })}
        onTake={(andOther) => void take(stage, andOther)}
      />
    );
  }
  if (stage.is === 'measuring') {
    return (
      <div className="grid gap-3 py-6" role="status">
        <p>Looking at the scrap…</p>
        <progress className="h-3 w-full accent-pencil" max={1} value={stage.share} />
        <Button className="justify-self-start" onClick={cancel}>
          Stop
        </Button>
      </div>
    );
  }
  return (
    <ChoosePhoto
      lay={`Lay the scrap into the window of the card, ${hidden ? '' : 'the side up that lay up to sew, '}the seam along it`}
      issues={stage.issues}
      onFile={(file) => void measure(file)}
    >
      {/* Of a line the right side does not show what it was led along. */}
      <div hidden={!hidden}>
        {faces[other] && (
          <p className="pb-2" role="status">
            {faces[face] ? (
              <b>Both sides are counted. Another photo of one takes the place of its last.</b>
            ) : (
              <>
                <b>{sideInWords(other, faces[other], margin.words)}</b> Turn the scrap over like a
                page: each {margin.words.one} is then found on both sides.
              </>
            )}
          </p>
        )}
        <RadioRow<Face>
          label="Which side is up?"
          value={face}
          itemClass="px-3 py-2"
          options={[
            { value: 'wrong', shown: 'Wrong side, as it was sewn' },
            { value: 'right', shown: 'Right side, opened out' },
          ]}
          onChange={setFace}
        />
      </div>
    </ChoosePhoto>
  );
}
