import { Camera } from 'lucide-react';
import { useState } from 'react';
import type { Face } from '../../../core/eye/seen-on';
import type { SymptomId } from '../../../core/diagnose/symptom';
import type { MarginWords } from '../../../core/finish/finish-margin';
import type { DialSettings } from '../../../core/kit/dial-steps';
import type { MarginPart } from './counted-part';
import { Button } from '../../controls/button';
import { FormDialog } from '../../controls/form-dialog';
import { RadioRow } from '../../controls/radio-row';
import { useLengths } from '../../ground/lengths-context';
import { counted } from '../../words/number';
import { measuredPhoto } from '../../workers/eye';
import type { ShownPhoto } from '../../workers/eye-tasks';
import { ChoosePhoto } from './choose-photo';
import { edgeTroubles, withTroubles } from './edge-seen';
import { countsOf, findsOf, settledByAnswers, toldByAnswers, type Find } from './finds';
import { FoundOnPhoto } from './found-on-photo';
import { joinedFinds, sureOfTaken, takenFrom, type FindsByFace } from './joined-finds';
import { joinedLights, type JoinedLights } from './joined-lights';
import { photosWith } from './kept-photos';
import { LookingAt } from './looking-at';
import type { ScrapDraft } from './scrap-draft';
import { SecondLight } from './second-light';
import { useKeptPhoto } from './use-kept-photo';
import { refusedFor, useLooking } from './use-looking';

interface PhotoCountProps {
  readonly bench: MarginPart;
  readonly sewn: DialSettings;
  readonly draft: Pick<ScrapDraft, 'faces' | 'rightAsSet' | 'photoId' | 'symptoms'>;
  set(patch: Partial<ScrapDraft>): void;
}

/** A photo that was counted. */
interface Counted {
  readonly file: File;
  readonly photo: ShownPhoto;
  /** As they were measured, and what the person said of them. */
  readonly finds: readonly Find[];
  /** How two photos of it came together; null where it is one. */
  readonly lights: Pick<JoinedLights, 'onBoth' | 'alone'> | null;
  /** What is wrong with the edge, as far as the person lets it stand. */
  readonly ticked: readonly SymptomId[];
}

/** Stitches without what they were led along: none of them can be judged. */
const nothingBeside = (reference: string) =>
  `The ${reference} is not told from the cloth, or from a stripe beside it. Turn its card half round under a lamp that stands to one side and take it once more, or count by hand.`;

const moved =
  'The scrap does not lie in the window as it lay in the first photo. Lay it so again, or go back to that photo.';

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
  draft: { faces = {}, rightAsSet = 1, photoId, symptoms },
  set,
  onDone,
}: PhotoCountProps & { onDone(): void }) {
  const { margin, judgedBy } = bench;
  const hidden = margin.hiddenOnRight?.(bench.plan);
  const lengths = useLengths();
  const [face, setFace] = useState<Face>(hidden && faces.wrong && !faces.right ? 'right' : 'wrong');
  /** What one light showed, while it is photographed under the other. */
  const [first, setFirst] = useState<Counted | null>(null);
  const told = ({ finds }: Counted) => toldByAnswers(finds, judgedBy);
  const { stage, look, show, ask } = useLooking<Counted>(async (file, onShare, signal) => {
    const asked = { face, finish: bench.finish.id, plan: bench.plan, dials: sewn };
    const eyed = await measuredPhoto(file, asked, onShare, signal);
    if (!eyed.ok) return eyed;
    const { photo } = eyed;
    if (!photo.measured.counts) {
      return refusedFor(nothingBeside(margin.references(bench.plan, sewn)[0].name));
    }
    const own = findsOf(photo.measured, judgedBy.below);
    const joined = first && joinedLights(told(first), own, judgedBy);
    if (first && !joined) return refusedFor(moved);
    const ticked = edgeTroubles(photo.measured.edge, lengths).map(({ id }) => id);
    return {
      ok: true,
      found: { file, photo, ticked, finds: joined?.finds ?? own, lights: joined },
    };
  });
  const { trouble, keeping, keep } = useKeptPhoto('The counts are in the form.');
  const together = (seen: FindsByFace) =>
    hidden && seen.wrong && seen.right
      ? joinedFinds({ wrong: seen.wrong, right: seen.right }, judgedBy, hidden.hiddenMm)
      : null;
  /** Of the photo that was taken now, or of the one before where that was of the right side. */
  const asSetBy = ({ photo }: Counted) => photo.measured.otherLength?.asSet ?? rightAsSet;
  const take = async (found: Counted, andOther: boolean) => {
    const { file, photo, ticked } = found;
    const seen = { ...faces, [face]: told(found) };
    const atEdge = edgeTroubles(photo.measured.edge, lengths);
    set({
      ...{ ...takenFrom(seen, together(seen)), faces: seen, rightAsSet: asSetBy(found) },
      symptoms: withTroubles(symptoms, atEdge, ticked),
    });
    const id = await keep(file);
    if (id === null) return;
    set(photosWith(photoId, faces, face, id));
    if (!andOther) return onDone();
    setFirst(null);
    setFace(otherFace[face]);
    ask();
  };

  const other = otherFace[face];
  if (stage.is === 'found') {
    const { found } = stage;
    const finds = told(found);
    const seen = { ...faces, [face]: finds };
    const joined = together(seen);
    return (
      <FoundOnPhoto
        {...found}
        finds={finds}
        settled={settledByAnswers(found.finds, finds)}
        face={face}
        words={margin.words}
        judgedBy={judgedBy}
        used={takenFrom(seen, joined)}
        sure={sureOfTaken(seen, joined, judgedBy, asSetBy(found))}
        other={
          !hidden
            ? 'none'
            : faces[other]
              ? { onBoth: joined?.onBoth ?? null, disagree: joined?.disagree[face] ?? [] }
              : 'waits'
        }
        trouble={trouble}
        keeping={keeping}
        onFinds={(change) => show({ ...found, finds: change(found.finds) })}
        onAnother={() => {
          setFirst(null);
          ask();
        }}
        onOtherLight={
          face === 'wrong' && found.lights === null
            ? () => {
                setFirst(found);
                ask();
              }
            : null
        }
        atEdge={edgeTroubles(found.photo.measured.edge, lengths)}
        onTick={(ticked) => show({ ...found, ticked })}
        onTake={(andOther) => void take(found, andOther)}
      />
    );
  }
  if (stage.is === 'looking') {
    return <LookingAt what="the scrap" share={stage.share} onStop={ask} />;
  }
  if (first) {
    return (
      <SecondLight
        first={counted(countsOf(told(first)).n, margin.words.one, margin.words.counted)}
        issues={stage.issues}
        onFile={look}
        onBack={() => {
          setFirst(null);
          show(first);
        }}
      />
    );
  }
  return (
    <ChoosePhoto
      lay={`Lay the scrap into the window of the card, ${hidden ? '' : 'the side up that lay up to sew, '}the seam along it`}
      issues={stage.issues}
      onFile={look}
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
