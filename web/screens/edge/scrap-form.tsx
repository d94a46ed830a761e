import { useState } from 'react';
import { dialField, dialTravel, type Dial } from '../../../core/kit/dial-steps';
import { judge } from '../../../core/plan/judge';
import { swings } from '../../../core/stitch/needle-path';
import type { AttemptDraft } from '../../../contract/records';
import { ApiError } from '../../app/api';
import { useLengths } from '../../app/lengths-context';
import { notify } from '../../app/notices';
import { useCreate } from '../../app/records';
import { Button } from '../../controls/button';
import { LengthField } from '../../controls/length-field';
import { Stepper } from '../../controls/stepper';
import { dialName } from '../../words/dials';
import { capital } from '../../words/number';
import type { Bench } from './bench';
import { useScrapDraft } from './scrap-draft';

const dials: readonly Dial[] = ['width', 'length', 'needlePosition', 'guide'];

/** A count that is whole and not negative; NaN and null count as missing. */
const counts = (value: number | null): value is number =>
  value !== null && Number.isInteger(value) && value >= 0;

/** What a scrap shows, counted along it, with the setting it was sewn at. */
export function ScrapForm({ bench }: { bench: Bench }) {
  const { margin, record, plan, set, attempts } = bench;
  const lengths = useLengths();
  const create = useCreate('attempts');
  const { draft, set: setDraft, clear, sewnAt } = useScrapDraft(record.id);
  const [tried, setTried] = useState(false);
  const number = Math.max(0, ...attempts.map((attempt) => attempt.number)) + 1;
  if (!margin || !bench.dials || !set)
    return <p className="p-4 text-soft">Needs a setting first; see the margin below.</p>;
  const sewn = sewnAt(bench.dials);
  const { words } = margin;
  const counted = set.checks.find(({ name }) => name === margin.countedCheck);
  // What another drift decides, the back of a binding, is counted beside it.
  const other = set.checks.find(({ source }) => source !== counted?.source);
  if (!counted) return null;
  const blocked = judge(set, sewn).blocked;

  const trouble = {
    n:
      counts(draft.n) && draft.n >= 1
        ? undefined
        : `Count at least one ${words.one}, a whole number.`,
    short: counts(draft.short) ? undefined : 'A whole number, 0 or more.',
    over: counts(draft.over) ? undefined : 'A whole number, 0 or more.',
    also:
      !other || (counts(draft.also) && draft.also <= (draft.n ?? 0))
        ? undefined
        : `A whole number, from 0 to the ${draft.n ?? 0} counted.`,
  };
  const faulty = (draft.short ?? 0) + (draft.over ?? 0);
  const tooMany =
    !trouble.n && faulty > (draft.n ?? 0)
      ? `${faulty} faults are more than the ${draft.n} counted.`
      : undefined;
  const wrong = trouble.n ?? trouble.short ?? trouble.over ?? trouble.also ?? tooMany;

  const record_ = async () => {
    setTried(true);
    if (wrong || blocked || create.isPending) return;
    const body: AttemptDraft = {
      id: draft.id,
      planId: record.id,
      settings: sewn,
      counts: [
        ...(other ? [{ check: other.name, n: draft.n ?? 0, short: draft.also ?? 0, over: 0 }] : []),
        {
          check: margin.countedCheck,
          n: draft.n ?? 0,
          short: draft.short ?? 0,
          over: draft.over ?? 0,
        },
      ],
      note: draft.note,
    };
    await create.mutateAsync(body);
    clear();
    setTried(false);
    notify({ kind: 'info', text: `Scrap ${number} is in the book.` });
  };

  return (
    <form
      className="grid min-h-0 content-start gap-0.5 overflow-y-auto px-4 py-3"
      aria-label={`Scrap ${number}`}
      onSubmit={(event) => {
        event.preventDefault();
        record_().catch(() => undefined);
      }}
    >
      <h2 className="text-xl">Scrap {number}: what it shows</h2>
      <Stepper
        label={`${capital(words.counted)} sewn`}
        about="counted along the scrap"
        value={draft.n ?? NaN}
        least={1}
        trouble={tried ? trouble.n : undefined}
        onChange={(n) => setDraft({ n: Number.isNaN(n) ? null : n })}
      />
      <Stepper
        label={words.short}
        about={words.faults[counted.below]?.long ?? ''}
        value={draft.short ?? NaN}
        least={0}
        trouble={tooMany ?? (tried ? trouble.short : undefined)}
        onChange={(short) => setDraft({ short: Number.isNaN(short) ? null : short })}
      />
      {other && (
        <Stepper
          label={capital(words.faults[other.below]?.short ?? other.below)}
          about={words.faults[other.below]?.long ?? ''}
          value={draft.also ?? NaN}
          least={0}
          trouble={tried ? trouble.also : undefined}
          onChange={(also) => setDraft({ also: Number.isNaN(also) ? null : also })}
        />
      )}
      {words.over !== null && (
        <Stepper
          label={words.over}
          about={words.faults[counted.above]?.long ?? ''}
          value={draft.over ?? NaN}
          least={0}
          trouble={tried ? trouble.over : undefined}
          onChange={(over) => setDraft({ over: Number.isNaN(over) ? null : over })}
        />
      )}
      <details className="border-b border-line py-1.5" open={draft.settings !== null}>
        <summary className="min-h-8 cursor-pointer">
          <b>Sewn at</b> {swings(plan.stitch) && `${lengths.fineNumber(sewn.widthMm)} wide, `}
          {lengths.fineNumber(sewn.lengthMm)} long, needle {lengths.fine(sewn.needlePositionMm)}
          <span className="text-sm text-soft"> · change</span>
        </summary>
        <div className="flex flex-wrap gap-3 pt-1">
          {dials
            .filter((dial) => dial !== 'width' || swings(plan.stitch))
            .filter((dial) => dialTravel(dial, plan.machine, plan.foot.guide).stepMm > 0)
            .map((dial) => (
              <LengthField
                key={dial}
                fine
                label={dialName(dial, plan.foot.guidance)}
                value={sewn[dialField[dial]]}
                refuse={(mm) => {
                  const { fromMm, toMm } = dialTravel(dial, plan.machine, plan.foot.guide);
                  return mm >= fromMm - 1e-6 && mm <= toMm + 1e-6
                    ? null
                    : `This goes from ${lengths.fine(fromMm)} to ${lengths.fine(toMm)}.`;
                }}
                onCommit={(mm) =>
                  mm !== null && setDraft({ settings: { ...sewn, [dialField[dial]]: mm } })
                }
              />
            ))}
        </div>
      </details>
      <label className="flex items-center gap-2 py-1">
        <span className="text-sm text-soft">Note</span>
        <input
          className="field"
          maxLength={2000}
          value={draft.note}
          placeholder="ridge, pits, puckers, thread…"
          onChange={(event) => setDraft({ note: event.target.value })}
        />
      </label>
      {blocked && (
        <p role="alert" className="font-bold text-madder">
          ✕ At this setting the needle would meet metal; it can’t be recorded as sewn.
        </p>
      )}
      {create.error && (
        <p role="alert" className="font-bold text-madder">
          {create.error instanceof ApiError
            ? create.error.message
            : 'The server does not answer. Your counts are kept here; record them again when it is back.'}
        </p>
      )}
      <Button
        type="submit"
        look="solid"
        className="sticky bottom-0"
        disabled={blocked || create.isPending}
      >
        Record scrap {number}
      </Button>
    </form>
  );
}
