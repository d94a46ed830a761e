import type { Check } from '../../../core/margin/check';
import type { MarginWords } from '../../../core/finish/finish-margin';
import { Stepper } from '../../controls/stepper';
import { capital } from '../../words/number';
import type { ScrapDraft } from './scrap-draft';

/** A count that is whole and not negative; NaN and null count as missing. */
const isCount = (value: number | null): value is number =>
  value !== null && Number.isInteger(value) && value >= 0;

/** What is wrong with the counts of a draft, by field; all undefined when nothing is. */
export function troubleOf(draft: ScrapDraft, words: MarginWords, other: Check | undefined) {
  const heaped = Object.entries(draft.more).find(
    ([, { short, over }]) => short + over > (draft.n ?? 0),
  );
  const whole = 'A whole number, 0 or more.';
  const trouble = {
    n:
      isCount(draft.n) && draft.n >= 1
        ? undefined
        : `Count at least one ${words.one}, a whole number.`,
    short: isCount(draft.short) ? undefined : whole,
    over: isCount(draft.over) ? undefined : whole,
    also:
      !other || (isCount(draft.also) && draft.also <= (draft.n ?? 0))
        ? undefined
        : `A whole number, from 0 to the ${draft.n ?? 0} counted.`,
  };
  const faulty = (draft.short ?? 0) + (draft.over ?? 0);
  const tooMany =
    !trouble.n && faulty > (draft.n ?? 0)
      ? `${faulty} faults are more than the ${draft.n} counted.`
      : undefined;
  const tooManyMore =
    heaped &&
    `${heaped[1].short + heaped[1].over} faults of the ${words.checks[heaped[0]] ?? heaped[0]} are more than the ${draft.n ?? 0} counted.`;
  const first =
    trouble.n ?? trouble.short ?? trouble.over ?? trouble.also ?? tooMany ?? tooManyMore;
  return { ...trouble, tooMany, tooManyMore, first };
}

interface CountsFieldsProps {
  readonly words: MarginWords;
  readonly counted: Check;
  /** What another drift decides, the back of a binding, is counted beside it. */
  readonly other: Check | undefined;
  /** The rest, counted only when one wants to. */
  readonly more: readonly Check[];
  readonly draft: ScrapDraft;
  /** Whether to show what is missing; what contradicts itself is shown at once. */
  readonly tried: boolean;
  set(patch: Partial<ScrapDraft>): void;
}

const orNull = (value: number) => (Number.isNaN(value) ? null : value);

/** How many were sewn, and how many of them fell short or went over; big enough for a knuckle. */
export function CountsFields({
  words,
  counted,
  other,
  more,
  draft,
  tried,
  set,
}: CountsFieldsProps) {
  const trouble = troubleOf(draft, words, other);
  return (
    <>
      <Stepper
        label={`${capital(words.counted)} sewn`}
        about="counted along the scrap"
        value={draft.n ?? NaN}
        least={1}
        trouble={tried ? trouble.n : undefined}
        onChange={(n) => set({ n: orNull(n) })}
      />
      <Stepper
        label={words.short}
        about={words.faults[counted.below]?.long ?? ''}
        value={draft.short ?? NaN}
        least={0}
        trouble={trouble.tooMany ?? (tried ? trouble.short : undefined)}
        onChange={(short) => set({ short: orNull(short) })}
      />
      {other && (
        <Stepper
          label={capital(words.faults[other.below]?.short ?? other.below)}
          about={words.faults[other.below]?.long ?? ''}
          value={draft.also ?? NaN}
          least={0}
          trouble={tried ? trouble.also : undefined}
          onChange={(also) => set({ also: orNull(also) })}
        />
      )}
      {words.over !== null && (
        <Stepper
          label={words.over}
          about={words.faults[counted.above]?.long ?? ''}
          value={draft.over ?? NaN}
          least={0}
          trouble={tried ? trouble.over : undefined}
          onChange={(over) => set({ over: orNull(over) })}
        />
      )}
      {more.length > 0 && (
        <details className="border-b border-line py-1" open={Object.keys(draft.more).length > 0}>
          <summary className="min-h-8 cursor-pointer">
            <b>Count more</b>{' '}
            <span className="text-sm text-soft">
              · {more.map(({ name }) => words.checks[name] ?? name).join(', ')}
            </span>
          </summary>
          {more.map((check) => (
            <MoreCounts key={check.name} words={words} check={check} draft={draft} set={set} />
          ))}
          {trouble.tooManyMore && (
            <p role="alert" className="text-sm font-bold text-madder">
              {trouble.tooManyMore}
            </p>
          )}
        </details>
      )}
    </>
  );
}

/** A check that is counted when one wants to: how many of the same stitches fell below or above. */
function MoreCounts(props: {
  words: MarginWords;
  check: Check;
  draft: ScrapDraft;
  set(patch: Partial<ScrapDraft>): void;
}) {
  const { words, check, draft, set } = props;
  const now = draft.more[check.name] ?? { short: 0, over: 0 };
  const put = (patch: Partial<typeof now>) =>
    set({ more: { ...draft.more, [check.name]: { ...now, ...patch } } });
  const side = (which: 'short' | 'over', fault: string, bound: number) =>
    Number.isFinite(bound) && (
      <Stepper
        label={capital(words.faults[fault]?.short ?? fault)}
        about={words.faults[fault]?.long ?? ''}
        value={now[which]}
        least={0}
        onChange={(value) => put({ [which]: Number.isNaN(value) ? 0 : value })}
      />
    );
  return (
    <>
      {side('short', check.below, check.loMm)}
      {side('over', check.above, check.hiMm)}
    </>
  );
}
