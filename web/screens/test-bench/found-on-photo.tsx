import { SunMedium } from 'lucide-react';
import { useDeferredValue, useState, type KeyboardEvent } from 'react';
import type { SymptomId } from '../../../core/diagnose/symptom';
import type { Face } from '../../../core/eye/seen-on';
import type { MarginWords } from '../../../core/finish/finish-margin';
import type { Check } from '../../../core/margin/check';
import { Button } from '../../controls/button';
import { RadioRow } from '../../controls/radio-row';
import { RingKey } from '../../pictures/find-rings';
import { ScrapPicture } from '../../pictures/scrap-picture';
import type { ShownPhoto } from '../../workers/eye-tasks';
import { capital, counted } from '../../words/number';
import { useLengths } from '../../ground/lengths-context';
import {
  added,
  countsOf,
  isDoubtful,
  isSaid,
  judged,
  judgements,
  placeAfter,
  takenBack,
  type Find,
  type Judgement,
} from './finds';
import { doubtedLength } from './doubted-length';
import type { EdgeTrouble } from './edge-seen';
import { EdgeTicks } from './edge-ticks';
import type { TakenCounts } from './joined-finds';
import type { JoinedLights } from './joined-lights';

interface FoundOnPhotoProps {
  readonly photo: ShownPhoto;
  /** What stands once all is known that the person said. */
  readonly finds: readonly Find[];
  /** So many are doubtful no more by what was said of others. */
  readonly settled: number;
  readonly face: Face;
  readonly words: MarginWords;
  readonly judgedBy: Check;
  /** What the scrap would be written down with, and how sure that is to within one, 0 … 1. */
  readonly used: TakenCounts;
  readonly sure: number;
  /** How two photos under either light came together; null where it is one. */
  readonly lights: Pick<JoinedLights, 'onBoth' | 'alone'> | null;
  /** The other face: whether there is one to look at, or how the two lie together. */
  readonly other: 'none' | 'waits' | OtherFace;
  /** What is wrong with the edge itself, and what of it the person lets stand. */
  readonly atEdge: readonly EdgeTrouble[];
  readonly ticked: readonly SymptomId[];
  readonly trouble: string | null;
  /** The photo is on its way. */
  readonly keeping: boolean;
  onFinds(change: (finds: readonly Find[]) => readonly Find[]): void;
  onTick(ticked: readonly SymptomId[]): void;
  onAnother(): void;
  /** One more photo with the lamp on the other side is to be joined with this one; null where that tells nothing. */
  readonly onOtherLight: (() => void) | null;
  /** @param andOther the other face comes next */
  onTake(andOther: boolean): void;
}

/** How what was found lies to what the other face showed. */
interface OtherFace {
  /** So many are seen on both; null where which is which can’t be told. */
  readonly onBoth: number | null;
  /** Finds here whose depth the other face contradicts. */
  readonly disagree: readonly number[];
}

/** Surer than this, nothing more is asked for. */
const sureEnough = 0.95;
const fairlySure = 0.75;

/** What would make the counts surer. */
interface Surer {
  /** Whether some of them are asked about. */
  readonly asked: boolean;
  /** Whether one more photo, lit from the other side, tells more. */
  readonly otherLight: boolean;
}

/**
 * How sure the counts are, in words, and what would make them surer.
 *
 * @param one what is counted
 * @param surer false where something else is asked, that hangs on none of this
 */
function sureInWords(sure: number, one: string, surer: Surer | false): string {
  if (sure > sureEnough) return 'Sure to within one.';
  if (!surer) return sure > fairlySure ? 'Fairly sure to within one.' : 'Not sure.';
  const { asked, otherLight } = surer;
  const say = asked ? ` Say what a dashed ${one} is: that tells of the others.` : '';
  if (sure > fairlySure) {
    const light = otherLight ? ' Once more, lit from the other side, makes it surer.' : '';
    return `Fairly sure to within one.${say || light}`;
  }
  return otherLight
    ? `Not sure.${say} Once more, lit from the other side, makes it surer too; so does another colour in the bobbin.`
    : `Not sure.${say} Light from the side, or another colour in the bobbin, would make it surer.`;
}

/** How both faces came together. */
function matchedInWords(
  { onBoth, disagree }: OtherFace,
  { one, counted: many }: MarginWords,
): string {
  if (onBoth === null) {
    return `Which ${one} is which on the other side can’t be told: those that missed are counted on the wrong side, those that show on the right.`;
  }
  const both = `Matched with the other side: ${counted(onBoth, one, many)} seen on both, each as deep as both say together.`;
  return disagree.length === 0
    ? both
    : `${both} ${disagree.length === 1 ? 'One is dashed because the sides differ' : `${disagree.length} are dashed because the sides differ`}.`;
}

/** The scrap laid flat, every find ringed, and what each of them is taken for. */
export function FoundOnPhoto(props: FoundOnPhotoProps) {
  const { photo, finds, settled, face, words, judgedBy, used, sure, lights, other } = props;
  const { trouble, keeping, onOtherLight } = props;
  const { atEdge, ticked, onFinds, onTick, onAnother, onTake } = props;
  const lengths = useLengths();
  const matched = typeof other === 'object' ? other : null;
  const asksAbout = (one: Find) =>
    isDoubtful(one) || (!isSaid(one) && !!matched?.disagree.includes(one.id));
  const doubtful = finds.filter(asksAbout);
  // What is said of the least sure one tells most of the others.
  const [leastSure] = doubtful.toSorted((a, b) => a.sure - b.sure);
  const [chosen, setChosen] = useState<number | null>((leastSure ?? finds[0])?.id ?? null);
  const find = finds.find(({ id }) => id === chosen) ?? null;
  // From one that is left open on along the seam, and round to the first; none where the only one is chosen.
  const at = finds.findIndex(({ id }) => id === chosen);
  const onAlong = [...finds.slice(at + 1), ...finds.slice(0, Math.max(0, at))].find(asksAbout);
  const nextDoubtful = find && asksAbout(find) ? onAlong : leastSure;
  const names: Readonly<Record<Judgement, string>> = {
    sound: 'Sound',
    short: capital(words.faults[judgedBy.below]?.short ?? judgedBy.below),
    over: capital(words.faults[judgedBy.above]?.short ?? judgedBy.above),
    struck: `No ${words.one}`,
  };
  const { n, short, over } = used;
  const say = (id: number, as: Judgement) => onFinds((all) => judged(all, id, as));
  const takeBack = (id: number) => onFinds((all) => takenBack(all, id));
  const step = (by: 1 | -1) => {
    const i = finds.findIndex(({ id }) => id === chosen);
    setChosen(finds[Math.min(finds.length - 1, Math.max(0, i + by))]?.id ?? null);
  };
  const addAt = (atMm: Find['atMm']) => {
    onFinds((all) => added(all, atMm));
    setChosen(Math.max(...added(finds, atMm).map(({ id }) => id)));
  };
  const onKey = (event: KeyboardEvent) => {
    if (event.key === 'ArrowRight') step(1);
    else if (event.key === 'ArrowLeft') step(-1);
    else if (event.key === ' ' && find) {
      if (find.judged !== 'struck') say(find.id, 'struck');
      else if (find.found) takeBack(find.id);
      else say(find.id, 'sound');
    } else if (event.key === 'Enter' && find) {
      const next = judgements[(judgements.indexOf(find.judged) + 1) % judgements.length]!;
      // Asked about, it is said to be what it is taken for first.
      say(find.id, asksAbout(find) ? find.judged : next);
    } else if (event.key === 'Insert' && chosen !== null) addAt(placeAfter(finds, chosen));
    else return;
    event.preventDefault();
  };
  const { lengthMm, otherLength } = photo.measured;
  const doubt = doubtedLength(otherLength);
  // The picture first, then what a find is taken for, then what is done with them: together they are more than a frame.
  const isSeen = useDeferredValue(true, false);
  const isNamed = useDeferredValue(isSeen, false);
  const isAsked = useDeferredValue(isNamed, false);
  return (
    <div className="grid gap-3">
      <p className="text-lg">
        <b className="big-number text-3xl">{n ?? countsOf(finds).n}</b> {words.counted}
        {short !== undefined && (
          <>
            , <b className="big-number text-3xl">{short}</b> {words.short.toLowerCase()}
          </>
        )}
        , <b className="big-number text-3xl">{over}</b> {(words.over ?? names.over).toLowerCase()}.{' '}
        <span className="text-soft">
          {sureInWords(
            sure,
            words.one,
            doubt === null && { asked: doubtful.length > 0, otherLight: onOtherLight !== null },
          )}
        </span>
      </p>
      {doubt && <p role="status">{doubt}</p>}
      {lights && (
        <p role="status">
          {capital(counted(lights.onBoth, words.one, words.counted))} seen under both lights, each
          as deep as both say together.
          {lights.alone > 0 && ' What only one photo shows is dashed.'}
        </p>
      )}
      {matched && <p role="status">{matchedInWords(matched, words)}</p>}
      {settled > 0 && <p role="status">What you said settles {counted(settled, 'other')} too.</p>}
      <ScrapPicture
        window={photo.window}
        reference={photo.measured.reference}
        ringed={finds.map((one) => ({ ...one, doubtful: asksAbout(one) }))}
        whiskers={photo.measured.edge?.whiskers.map(({ atMm }) => atMm)}
        chosen={chosen}
        label={`The scrap with ${finds.length} finds. Arrows go along them, Enter says what one is, Space strikes it out, Insert adds one after it.`}
        onChoose={setChosen}
        onPlace={addAt}
        onKey={onKey}
      />
      {isSeen && (
        <p className="text-sm text-soft">
          <RingKey names={names} />
          Dashed: doubtful. Click a find to choose it, the cloth to add one. Stitches are{' '}
          {lengths.fine(lengthMm.mean)} long.
          {photo.isByColour &&
            ' Thread and cloth are nearly as light as each other: this is seen through a colour filter.'}
        </p>
      )}
      {isNamed && find && (
        <div aria-live="polite">
          <RadioRow
            label={`${face === 'wrong' ? capital(words.one) : 'Place'} ${finds.indexOf(find) + 1} of ${finds.length}${asksAbout(find) ? ', doubtful: see on the scrap what it is' : ''}`}
            // What it is taken for shows in its ring; to say so as well is an answer.
            value={asksAbout(find) ? null : find.judged}
            asks={asksAbout(find)}
            itemClass="px-2 py-1.5"
            options={judgements.map((value) => ({ value, shown: names[value] }))}
            beside={
              <span className="flex gap-2">
                {find.found && (
                  <Button look="quiet" onClick={() => takeBack(find.id)}>
                    Take it back
                  </Button>
                )}
                {nextDoubtful && (
                  <Button onClick={() => setChosen(nextDoubtful.id)}>
                    Next doubtful ({doubtful.length})
                  </Button>
                )}
              </span>
            }
            onChange={(as) => say(find.id, as)}
          />
        </div>
      )}
      {isAsked && (
        <>
          <EdgeTicks found={atEdge} ticked={ticked} onTick={onTick} />
          <div className="flex flex-wrap items-center gap-2">
            <Button
              // What is asked comes first, while the answer may change the counts.
              look={sure > sureEnough || doubtful.length === 0 ? 'solid' : 'outline'}
              disabled={keeping}
              onClick={() => onTake(false)}
            >
              {n === undefined ? `Use: ${counted(over, 'shows', 'show')}` : 'Use these counts'}
            </Button>
            {other === 'waits' && (
              <Button disabled={keeping} onClick={() => onTake(true)}>
                Use, then the {face === 'wrong' ? 'right' : 'wrong'} side
              </Button>
            )}
            {onOtherLight && (sure <= sureEnough || doubtful.length > 0) && (
              <Button disabled={keeping} onClick={onOtherLight}>
                <SunMedium size={18} aria-hidden />
                Once more, lit from the other side
              </Button>
            )}
            <Button onClick={() => addAt(chosen === null ? [50, 30] : placeAfter(finds, chosen))}>
              Add one
            </Button>
            <Button look="quiet" onClick={onAnother}>
              Another photo
            </Button>
          </div>
        </>
      )}
      {trouble && (
        <p role="alert" className="font-bold text-madder">
          {trouble}
        </p>
      )}
    </div>
  );
}
