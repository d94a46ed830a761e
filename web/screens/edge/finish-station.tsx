import { useEffect, useMemo, useRef, useState } from 'react';
import type { Considered } from '../../../core/choose/consider';
import { placesOf } from '../../../core/choose/places';
import type { Ranked, Ranking } from '../../../core/choose/rank';
import { catalogue, finishById } from '../../../core/finish/catalogue';
import { families, type Family, type Finish } from '../../../core/finish/finish';
import { kitGaps } from '../../../core/plan/kit-gaps';
import { useLengths } from '../../app/lengths-context';
import { Button } from '../../controls/button';
import { SelectField } from '../../controls/select-field';
import { SectionPicture } from '../../pictures/section-picture';
import { familyNames, finishName } from '../../words/finishes';
import { gapInWords } from '../../words/kit';
import { counted, ofHundred } from '../../words/number';
import type { Bench } from './bench';
import { CompareTable } from './compare-table';
import { optionFor, tellingStage, useLookedAt, type Option } from './looked-at';
import { useKit } from './use-kit';
import { SecondOpinion } from './second-opinion';
import { useRanking, useRankingAsItIs } from './use-ranking';
import { useWhatIf } from './use-what-if';
import { asItIs } from './what-if';
import { needInWords } from './why';
import { WishBar } from './wish-bar';

const none: readonly Considered[] = [];

/** Every finish there is, on this cloth and edge; two or three of them side by side. */
export function FinishTable({ bench }: { bench: Bench }) {
  const state = useLookedAt(bench);
  const kit = useKit();
  const answer = useRanking(bench);
  const ranking = answer?.ranking ?? null;
  const planId = bench.record.id;
  const [change, setChange] = useWhatIf(planId);
  const [asking, setAsking] = useState(change !== asItIs);
  const before = useRankingAsItIs(bench);
  const was = useMemo(() => (asking && before ? placesOf(before) : null), [asking, before]);
  const [family, setFamily] = useState<Family | 'all'>('all');
  const { compared, showing } = state;
  if (showing) {
    return <CompareTable bench={bench} options={compared} onBack={() => state.show(false)} />;
  }
  return (
    <div className="flex h-full flex-col">
      <WishBar planId={planId} considered={answer?.considered ?? none}>
        <div className="w-32">
          <SelectField
            label="Kind of finish"
            value={family}
            options={(['all', ...families] as const).map((name) => ({
              value: name,
              label: name === 'all' ? 'All' : familyNames[name],
            }))}
            onChange={(name) => setFamily(name as Family | 'all')}
          />
        </div>
        <span className="grow" />
        <Button
          className={`min-h-10! px-3! py-1! ${asking ? 'border-2! border-pencil! text-pencil' : ''}`}
          aria-expanded={asking}
          onClick={() => {
            if (asking) setChange(asItIs);
            setAsking(!asking);
          }}
        >
          Second opinion
        </Button>
        <Button
          className="min-h-10! px-3! py-1!"
          disabled={compared.length < 2}
          title={compared.length < 2 ? 'Tick two or three to compare' : undefined}
          onClick={() => state.show(true)}
        >
          {compared.length < 2 ? 'Compare' : `Compare ${compared.length}`}
        </Button>
      </WishBar>
      {asking && <SecondOpinion planId={planId} cloth={bench.plan.cloth} />}
      <ul
        className="min-h-0 grow overflow-y-auto"
        aria-label="Finishes, best first"
        aria-busy={answer?.isBusy ?? true}
      >
        {ordered(ranking)
          .filter(({ finish }) => family === 'all' || finish.family === family)
          .map(({ finish, place, best, ranked, out }) => {
            const seen = finish.id === state.looked.finish.id;
            const option = seen
              ? state.looked
              : optionFor(bench, finish, best ?? undefined, ranked?.wish);
            return (
              <FinishRow
                key={finish.id}
                option={option}
                planned={finish.id === bench.record.finish}
                seen={seen}
                place={place}
                was={was && (was.get(finish.id) ?? 'out')}
                ranked={ranked}
                out={out}
                needs={kitGaps(finish, option.wish, kit)}
                compared={state.isCompared(option)}
                onLook={() => state.look(finish, option.wish.variant)}
                onCompare={() => state.toggleCompared(option)}
              />
            );
          })}
      </ul>
    </div>
  );
}

/** What a row says of a finish that is ranked. */
function inShort({ chance, minutesPerMetre }: Ranked): string {
  const minutes = `about ${counted(Math.round(minutesPerMetre), 'minute')} a metre`;
  return chance === null ? minutes : `${ofHundred(chance)} of 100 sound with this kit; ${minutes}`;
}

interface Place {
  readonly finish: Finish;
  readonly place: number | null;
  /** Its best variant. */
  readonly best: string | null;
  readonly ranked: Ranked | null;
  readonly out: Considered | null;
}

/** Every finish once, at the place of its best variant; those that are out come last. */
function ordered(ranking: Ranking | null): Place[] {
  const unplaced = { place: null, best: null, ranked: null, out: null };
  if (!ranking) return catalogue.map((finish) => ({ finish, ...unplaced }));
  const places = placesOf(ranking);
  const placed = [...places].flatMap(([id, place]): Place[] => {
    const finish = finishById(id);
    const ranked = ranking.ranked.find(({ finishId }) => finishId === id) ?? null;
    return finish ? [{ finish, place, best: ranked?.variant ?? null, ranked, out: null }] : [];
  });
  const left = catalogue.filter(({ id }) => !places.has(id));
  return [
    ...placed,
    ...left.map((finish): Place => {
      const out = ranking.ruledOut.find(({ finishId }) => finishId === finish.id) ?? null;
      return { finish, ...unplaced, best: out?.variant ?? null, out };
    }),
  ];
}

/** Where a finish stood before, and which way it went. */
function Moved({ was, now }: { was: number | 'out'; now: number | 'out' }) {
  const up = was === 'out' || (now !== 'out' && now < was);
  return (
    <span className={`font-body text-sm font-bold ${up ? 'text-moss' : 'text-madder'}`}>
      {' '}
      <span aria-hidden>{up ? '▲' : '▼'}</span> was {was === 'out' ? 'out' : `number ${was}`}
    </span>
  );
}

interface FinishRowProps {
  /** 1 for the best; null while nothing is ranked, or when it is out. */
  readonly place: number | null;
  /** Where it stood before a fact was changed to see; null while none is. */
  readonly was: number | 'out' | null;
  /** What was worked out for its best variant. */
  readonly ranked: Ranked | null;
  /** Why it is out, when all its variants are. */
  readonly out: Considered | null;
  readonly option: Option;
  readonly planned: boolean;
  readonly seen: boolean;
  readonly needs: ReturnType<typeof kitGaps>;
  readonly compared: boolean;
  onLook(): void;
  onCompare(): void;
}

function FinishRow(props: FinishRowProps) {
  const { option, planned, seen, place, was, ranked, out, needs, compared } = props;
  const { onLook, onCompare } = props;
  const { finish, folds, trouble } = option;
  const seenAtFirst = useRef(seen);
  const lengths = useLengths();
  const stage = folds && tellingStage(folds);
  const row = useRef<HTMLLIElement>(null);
  useEffect(() => {
    // Only when the list is opened: later the person scrolls for themselves.
    if (seenAtFirst.current) row.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  return (
    <li
      ref={row}
      className={`flex items-stretch border-b border-line ${seen ? 'bg-pencil-wash' : 'hover:bg-slip'}`}
    >
      <button
        type="button"
        aria-pressed={seen}
        onClick={onLook}
        className={`flex min-w-0 grow items-center gap-4 border-l-4 px-3 py-2 text-left ${seen ? 'border-pencil' : 'border-transparent'}`}
      >
        <span
          aria-hidden
          data-place={place ?? '–'}
          className="big-number w-7 shrink-0 text-center text-2xl text-soft before:content-[attr(data-place)]"
        />
        <span className={`h-14 w-40 shrink-0 ${out ? 'opacity-50' : ''}`}>
          {stage && <SectionPicture stage={stage} marks={[]} exaggeration={2} small />}
        </span>
        <span className="min-w-0 grow">
          <span className="block font-head text-lg font-semibold">
            {finish.name}
            {planned && <span className="font-body text-sm text-pencil"> ● planned</span>}
            {was !== null && was !== (place ?? 'out') && <Moved was={was} now={place ?? 'out'} />}
          </span>
          <span className="line-clamp-2 text-sm text-soft">
            {trouble ?? (ranked ? inShort(ranked) : finish.about)}
          </span>
          {needs.length === 0 && out && (
            <span className="line-clamp-2 text-sm font-bold text-ochre">
              would need{' '}
              {out.hindrances.map((hindrance) => needInWords(hindrance, lengths)).join(', and ')}
            </span>
          )}
          {needs.length > 0 && (
            <span className="block text-sm font-bold text-ochre">
              needs {needs.map((gap) => gapInWords(gap, lengths)).join(', and ')}
            </span>
          )}
        </span>
        <span className="hidden w-32 shrink-0 text-right text-sm text-soft sm:block">
          {folds ? (
            <>
              <b className="block text-base text-graphite">
                {folds.allowanceMm < 0
                  ? `${lengths.cloth(-folds.allowanceMm)} off`
                  : folds.strip
                    ? `${lengths.cloth(folds.strip.widthMm)} strip`
                    : `${lengths.cloth(folds.allowanceMm)} on`}
              </b>
              {counted(folds.layersAtStitch, 'layer')}, {lengths.fine(folds.stackMm)}
            </>
          ) : (
            '–'
          )}
        </span>
      </button>
      <label className="flex w-14 shrink-0 cursor-pointer items-center justify-center">
        <input
          type="checkbox"
          className="size-5 accent-pencil"
          checked={compared}
          disabled={!folds}
          aria-label={`Compare ${finishName(finish.id, option.wish.variant)}`}
          onChange={onCompare}
        />
      </label>
    </li>
  );
}
