import { dialField, dialTravel, type Dial, type DialSettings } from '../../../core/kit/dial-steps';
import { swings } from '../../../core/stitch/needle-path';
import { useLengths } from '../../ground/lengths-context';
import { LengthField } from '../../controls/length-field';
import { dialName } from '../../words/dials';
import { codeInWords } from '../../words/value-codes';
import type { LessonPart, SetUpPart, WorkPart } from '../../bench/bench';
import { isLooped } from '../edge/looped';
import { useScrapDraft } from './scrap-draft';
import { SetValueFields } from './set-value-fields';
import { placedIds, setValuesOf } from './set-values';

/** What can be turned; the needles and the foot of loopers stay where they are. */
const dials: readonly Dial[] = ['width', 'length', 'needlePosition', 'guide'];
const dialsOfLoopers: readonly Dial[] = ['length'];

/** A dial or value, and where it stood on the scrap before when it stands otherwise now. */
function Stands({ name, now, before }: { name: string; now: string; before: string | null }) {
  return (
    <span
      className={`inline-block pr-3 ${before === null ? '' : 'font-bold text-pencil'}`}
      data-changed={before !== null}
    >
      {before !== null && <span aria-hidden>● </span>}
      {name} {before !== null && <span className="font-normal">{before} → </span>}
      {now}
      {before !== null && <span className="sr-only"> (changed)</span>}
    </span>
  );
}

/** Where everything stood when the scrap was sewn: as planned, and to be changed if it was not. */
export function SewnAt({
  bench,
  sewn,
}: {
  bench: SetUpPart & WorkPart & LessonPart;
  sewn: DialSettings | null;
}) {
  const { plan, attempts } = bench;
  const lengths = useLengths();
  const { draft, set } = useScrapDraft(bench.draftKey);
  const before = attempts.at(-1)?.settings ?? null;
  const values = setValuesOf(bench, draft);
  const shown = sewn
    ? (isLooped(plan) ? dialsOfLoopers : dials)
        .filter((dial) => dial !== 'width' || swings(plan.stitch))
        .filter((dial) => dialTravel(dial, plan.machine, plan.foot.guide).stepMm > 0)
    : [];
  const changedValues = values.filter(({ now, before: was }) => now !== was);
  const touched = draft.settings !== null || Object.keys(draft.dialValues).length > 0;
  return (
    <details className="border-b border-line py-1.5" open={touched}>
      <summary className="min-h-8 cursor-pointer">
        <b>Sewn at</b>{' '}
        {sewn &&
          shown.map((dial) => {
            const field = dialField[dial];
            const moved = before !== null && Math.abs(before[field] - sewn[field]) > 1e-6;
            return (
              <Stands
                key={dial}
                name={dialName(dial, plan.foot.guidance).toLowerCase()}
                now={lengths.fineNumber(sewn[field])}
                before={moved ? lengths.fineNumber(before[field]) : null}
              />
            );
          })}
        {!sewn && changedValues.length === 0 && 'the starting values '}
        {changedValues.map((value) => (
          <Stands
            key={value.id}
            name={value.name.toLowerCase()}
            now={codeInWords(value.id, String(value.now))}
            before={codeInWords(value.id, String(value.before))}
          />
        ))}
        <span className="text-sm text-soft">
          {sewn ? `${lengths.unit} · change` : '· change what stood otherwise'}
        </span>
      </summary>
      <div
        className="grid grid-cols-2 gap-3 pt-1"
        onKeyDown={(event) => {
          // Enter takes what was typed; the scrap is recorded by its own button.
          if (event.key === 'Enter') event.preventDefault();
        }}
      >
        {sewn &&
          shown.map((dial) => (
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
                mm !== null && set({ settings: { ...sewn, [dialField[dial]]: mm } })
              }
            />
          ))}
        <SetValueFields
          values={values.filter(({ id }) => !placedIds.includes(id))}
          draft={draft}
          set={set}
        />
      </div>
    </details>
  );
}
