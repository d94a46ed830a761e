import { useState, type KeyboardEvent } from 'react';
import type { Face } from '../../../core/eye/seen-on';
import type { MeasuredPhoto } from '../../../core/eye/photo';
import type { MarginWords } from '../../../core/finish/finish-margin';
import type { Check } from '../../../core/margin/check';
import { Button } from '../../controls/button';
import { RadioRow } from '../../controls/radio-row';
import { ScrapPicture } from '../../pictures/scrap-picture';
import { capital, counted } from '../../words/number';
import { useLengths } from '../../ground/lengths-context';
import {
  added,
  countsOf,
  isDoubtful,
  judged,
  judgements,
  placeAfter,
  sureOf,
  type Find,
  type Judgement,
} from './finds';

interface FoundOnPhotoProps {
  readonly photo: Pick<MeasuredPhoto, 'window' | 'isByColour' | 'measured'>;
  readonly finds: readonly Find[];
  readonly face: Face;
  readonly words: MarginWords;
  readonly judgedBy: Check;
  readonly trouble: string | null;
  /** The photo is on its way. */
  readonly keeping: boolean;
  onFinds(finds: readonly Find[]): void;
  onAnother(): void;
  onTake(): void;
}

/** How sure the counts are, in words. */
function sureInWords(sure: number): string {
  if (sure > 0.95) return 'Sure to within one.';
  if (sure > 0.75) return 'Fairly sure to within one.';
  return 'Not sure: look at the dashed ones. Light from the side, or another colour in the bobbin, would make it surer.';
}

/** The scrap laid flat, every find ringed, and what each of them is taken for. */
export function FoundOnPhoto(props: FoundOnPhotoProps) {
  const { photo, finds, face, words, judgedBy, trouble, keeping } = props;
  const { onFinds, onAnother, onTake } = props;
  const lengths = useLengths();
  const doubtful = finds.filter(isDoubtful);
  const [chosen, setChosen] = useState<number | null>((doubtful[0] ?? finds[0])?.id ?? null);
  const find = finds.find(({ id }) => id === chosen) ?? null;
  const names: Readonly<Record<Judgement, string>> = {
    sound: 'Sound',
    short: capital(words.faults[judgedBy.below]?.short ?? judgedBy.below),
    over: capital(words.faults[judgedBy.above]?.short ?? judgedBy.above),
    struck: `No ${words.one}`,
  };
  const { n, short, over } = countsOf(finds);
  const say = (id: number, as: Judgement) => onFinds(judged(finds, id, as));
  const step = (by: 1 | -1) => {
    const i = finds.findIndex(({ id }) => id === chosen);
    setChosen(finds[Math.min(finds.length - 1, Math.max(0, i + by))]?.id ?? null);
  };
  const addAt = (atMm: Find['atMm']) => {
    const more = added(finds, atMm);
    onFinds(more);
    setChosen(Math.max(...more.map(({ id }) => id)));
  };
  const onKey = (event: KeyboardEvent) => {
    if (event.key === 'ArrowRight') step(1);
    else if (event.key === 'ArrowLeft') step(-1);
    else if (event.key === ' ' && find) say(find.id, find.judged === 'struck' ? 'sound' : 'struck');
    else if (event.key === 'Enter' && find) {
      say(find.id, judgements[(judgements.indexOf(find.judged) + 1) % judgements.length]!);
    } else if (event.key === 'Insert' && chosen !== null) addAt(placeAfter(finds, chosen));
    else return;
    event.preventDefault();
  };
  const { lengthMm } = photo.measured;
  return (
    <div className="grid gap-3">
      <p className="text-lg">
        <b className="big-number text-3xl">{n}</b> {words.counted}
        {face === 'wrong' && (
          <>
            , <b className="big-number text-3xl">{short}</b> {words.short.toLowerCase()}
          </>
        )}
        , <b className="big-number text-3xl">{over}</b> {(words.over ?? names.over).toLowerCase()}.{' '}
        <span className="text-soft">{sureInWords(sureOf(finds))}</span>
      </p>
      <ScrapPicture
        window={photo.window}
        reference={photo.measured.reference}
        ringed={finds.map((one) => ({ ...one, doubtful: isDoubtful(one) }))}
        chosen={chosen}
        label={`The scrap with ${finds.length} finds. Arrows go along them, Enter says what one is, Space strikes it out, Insert adds one after it.`}
        onChoose={setChosen}
        onPlace={addAt}
        onKey={onKey}
      />
      <p className="text-sm text-soft">
        ○ sound, □ {names.short.toLowerCase()}, △ {names.over.toLowerCase()}, dashed: doubtful.
        Click a find to choose it, the cloth to add one. Stitches are {lengths.fine(lengthMm.mean)}{' '}
        long.
        {photo.isByColour &&
          ' Thread and cloth are nearly as light as each other: this is seen through a colour filter.'}
      </p>
      {find && (
        <div aria-live="polite">
          <RadioRow
            label={`${capital(words.one)} ${finds.indexOf(find) + 1} of ${finds.length}${isDoubtful(find) ? ', doubtful' : ''}`}
            value={find.judged}
            itemClass="px-2 py-1.5"
            options={judgements.map((value) => ({ value, shown: names[value] }))}
            onChange={(as) => say(find.id, as)}
          />
        </div>
      )}
      <div className="flex flex-wrap items-center gap-2">
        <Button look="solid" disabled={keeping} onClick={onTake}>
          {face === 'right' ? `Use: ${counted(over, 'shows', 'show')}` : 'Use these counts'}
        </Button>
        {doubtful.length > 0 && (
          <Button
            onClick={() => {
              const next = doubtful.find(({ id }) => id !== chosen) ?? doubtful[0];
              setChosen(next?.id ?? null);
            }}
          >
            Next doubtful ({doubtful.length})
          </Button>
        )}
        <Button onClick={() => addAt(chosen === null ? [50, 30] : placeAfter(finds, chosen))}>
          Add one
        </Button>
        <Button look="quiet" onClick={onAnother}>
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
