import { stepsOf } from '../../../core/plan/work';
import { useLengths } from '../../ground/lengths-context';
import { changePlan, tickStep } from '../../bench/plan-change';
import { cautionInWords, placeInWords, stepInWords } from '../../words/steps';
import { changedOnMachine } from '../../bench/changed-on-machine';
import { WorkSheetLink } from '../../controls/work-sheet-link';
import { PutBackList } from '../../controls/put-back-list';
import type { DialsPart, KeptPart, SetUpPart, WorkPart } from '../../bench/bench';

/** The work from cutting to the last pressing, to be ticked off. */
export function StepList({ bench }: { bench: KeptPart & SetUpPart & WorkPart & DialsPart }) {
  const { finish, work, record } = bench;
  const lengths = useLengths();
  const changed = changedOnMachine(bench);
  const steps = stepsOf(finish, work);
  const done = steps.filter(({ id }) => record.ticks.includes(id)).length;
  const next = steps.find(({ id }) => !record.ticks.includes(id));
  const tick = (id: string, on: boolean) => tickStep(record.id, id, on);
  return (
    <div className="px-4 py-2">
      <div className="flex flex-wrap items-center justify-between gap-x-3">
        <p role="status" className="text-soft">
          <b className="text-graphite">
            {done} of {steps.length}
          </b>{' '}
          done
        </p>
        {!bench.proposed && <WorkSheetLink of={`edges/${bench.edge.id}`} />}
        <button
          type="button"
          disabled={record.ticks.length === 0}
          className="min-h-9 rounded-[3px] px-2 text-sm underline disabled:text-soft disabled:no-underline"
          onClick={() => changePlan(record.id, { ticks: [] })}
        >
          Start over
        </button>
      </div>
      <ol>
        {steps.map((step, i) => {
          const ticked = record.ticks.includes(step.id);
          const current = step.id === next?.id;
          return (
            <li
              key={step.id}
              className={`border-b border-line last:border-0 ${current ? 'border-l-4 border-l-pencil bg-slip' : 'border-l-4 border-l-transparent'}`}
            >
              <label className="flex min-h-11 cursor-pointer items-baseline gap-3 px-3 py-2">
                <input
                  type="checkbox"
                  className="size-5 shrink-0 translate-y-0.5 accent-moss"
                  checked={ticked}
                  onChange={(event) => tick(step.id, event.target.checked)}
                />
                <span className="w-6 shrink-0 text-right text-soft">{i + 1}</span>
                <span className="min-w-0">
                  <span
                    className={`text-lg leading-snug ${ticked ? 'text-soft line-through' : ''}`}
                  >
                    {stepInWords(step, lengths)}
                  </span>
                  <span className="block text-sm text-soft">
                    {placeInWords(step)}
                    {!ticked &&
                      step.cautions.map((caution) => (
                        <b key={caution} className="ml-3 text-ochre">
                          ! {cautionInWords(caution)}
                        </b>
                      ))}
                  </span>
                </span>
              </label>
              {step.phase === 'put-back' && !ticked && (
                <div className="pb-2 pl-18">
                  <PutBackList changes={changed} />
                </div>
              )}
            </li>
          );
        })}
      </ol>
    </div>
  );
}
