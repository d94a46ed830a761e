import { useEffect, useMemo, useRef, useState } from 'react';
import { refusalInWords } from '../../words/refusals';
import { servesPurpose } from '../../../core/finish/nature';
import type { Purpose } from '../../../core/edge/purpose';
import type { Considered } from '../../../core/choose/consider';
import { placesOf } from '../../../core/choose/places';
import type { Ranked, Ranking } from '../../../core/choose/score';
import { catalogue, finishById } from '../../../core/finish/catalogue';
import { families, type Family, type Finish } from '../../../core/finish/finish';
import { kitGaps } from '../../../core/plan/kit-gaps';
import { useLengths } from '../../ground/lengths-context';
import { Button } from '../../controls/button';
import { SelectField } from '../../controls/select-field';
import { SectionPicture } from '../../pictures/section-picture';
import { familyNames, finishName } from '../../words/finishes';
import { gapInWords } from '../../words/kit';
import { counted, ofHundred } from '../../words/number';
import type { KeptPart, SetUpPart, WorkPart } from '../../bench/bench';
import { CompareTable } from './compare-table';
import { optionFor, tellingStage, useLookedAt, type Option } from './looked-at';
import { useKit } from '../../bench/use-kit';
import { SecondOpinion } from './second-opinion';
import { useRanking, useRankingAsItIs } from './use-ranking';
import { useWhatIf } from './use-what-if';
import { asItIs } from '../../bench/what-if';
import { needInWords } from './why';
import { WishBar } from './wish-bar';

const none: readonly Considered[] = [];

/** Every finish there is, on this cloth and edge; two or three of them side by side. */
export function FinishTable({ bench }: { bench: KeptPart & SetUpPart & WorkPart }) {
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
      <Standing bench={bench} />
      <ul
        className="min-h-0 grow overflow-y-auto"
        aria-label="Finishes, best first"
        aria-busy={answer?.isBusy ?? true}
      >
        {ordered(ranking)
          .filter(({ finish }) => family === 'all' || finish.family === family)
          .map(({ finish, place, best, ranked, out }) => {
            const { group } = finish;
            const seen = group === state.looked.finish.group;
            const option = seen
              ? state.looked
              : optionFor(bench, finish, best ?? undefined, ranked?.wish);
            return (
              <FinishRow
                key={group}
                option={option}
                planned={!bench.proposed && group === bench.finish.group}
                seen={seen}
                place={place}
                was={was && (was.get(group) ?? 'out')}
                ranked={ranked}
                out={out}
                needs={kitGaps(option.finish, option.wish, kit, ranked?.schools ?? out?.schools)}
                compared={state.isCompared(option)}
                onLook={() => state.look(option.finish, option.wish.variant)}
                onCompare={() => state.toggleCompared(option)}
              />
            );
          })}
      </ul>
    </div>
  );
}

const aPurpose: Readonly<Record<Purpose, string>> = {
  hem: 'a hem',
  opening: 'an opening',
  allowance: 'an allowance',
  seam: 'a seam',
};

/** Nothing is chosen yet, or what is planned does not serve what the edge is for now. */
function Standing({ bench }: { bench: KeptPart & SetUpPart & WorkPart }) {
  const { finish, plan, edge, proposed } = bench;
  if (proposed) {
    return (
      <p className="border-b border-line px-4 py-1.5 text-sm" role="status">
        <b>Not chosen yet.</b> Look at the first, or at any other, and take the one you want.
      </p>
    );
  }
  const nature = finish.nature(plan.fold.variant);
  const { purposes } = nature;
  if (servesPurpose(nature, edge.purpose)) return null;
  return (
    <p className="border-b border-line px-4 py-1.5 text-sm font-bold text-ochre" role="status">
      ! {finishName(finish.id, plan.fold.variant)} is planned and kept; it serves{' '}
      {purposes.map((one) => aPurpose[one]).join(' or ')}, and this edge is {aPurpose[edge.purpose]}
      . Choose again here, or say at the edge what it is for.
    </p>
  );
}

/** What a row says of a finish that is ranked. */
function inShort({ chance, minutes }: Ranked): string {
  const time = `about ${counted(Math.max(1, Math.round(minutes.wholeMinutes)), 'minute')} for this edge`;
  return chance === null ? time : `${ofHundred(chance)} of 100 sound with this kit; ${time}`;
}

/** A construction on the list: the finish that makes the best of it. */
interface Place {
  readonly finish: Finish;
  readonly place: number | null;
  /** Its best variant. */
  readonly best: string | null;
  readonly ranked: Ranked | null;
  readonly out: Considered | null;
}

/** The first finish of each construction, in the order of the catalogue. */
const constructions: readonly Finish[] = catalogue.filter(
  ({ group }, i) => catalogue.findIndex((other) => other.group === group) === i,
);

/**
 * Every construction once, at the place of its best variant; those that are out come last, the
 * ones with the least against them first.
 */
function ordered(ranking: Ranking | null): Place[] {
  const unplaced = { place: null, best: null, ranked: null, out: null };
  if (!ranking) return constructions.map((finish) => ({ finish, ...unplaced }));
  const places = placesOf(ranking);
  const placed = [...places].flatMap(([group, place]): Place[] => {
    const ranked = ranking.ranked.find((it) => it.group === group) ?? null;
    const finish = ranked && finishById(ranked.finishId);
    return finish ? [{ finish, place, best: ranked.variant, ranked, out: null }] : [];
  });
  const left = constructions
    .filter(({ group }) => !places.has(group))
    .map(({ group, id }): Place => {
      const out = ranking.ruledOut.find((it) => it.group === group) ?? null;
      const finish = finishById(out?.finishId ?? id) ?? constructions[0]!;
      return { finish, ...unplaced, best: out?.variant ?? null, out };
    });
  const against = ({ out }: Place) => {
    const purpose = out?.hindrances.some(({ because }) => because.about === 'purpose');
    return (purpose ? 100 : 0) + (out?.hindrances.length ?? 0);
  };
  return [...placed, ...left.sort((a, b) => against(a) - against(b))];
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
  const { finish, folds, trouble, wish } = option;
  const variant = finish.variants.find(({ id }) => id === wish.variant);
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
            {variant && finish.variants.length > 1 && (
              <span className="font-body text-sm font-normal text-soft"> {variant.name}</span>
            )}
            {planned && <span className="font-body text-sm text-pencil"> ● planned</span>}
            {was !== null && was !== (place ?? 'out') && <Moved was={was} now={place ?? 'out'} />}
          </span>
          <span className="line-clamp-2 text-sm text-soft">
            {trouble ? refusalInWords(trouble, lengths) : ranked ? inShort(ranked) : finish.about}
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
