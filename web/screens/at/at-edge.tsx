import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { WorkStep } from '../../../core/finish/work';
import { stepMinutes } from '../../../core/choose/minutes';
import { stepsOfSecond } from '../../../core/plan/second-of-pair';
import { stepsOf } from '../../../core/plan/work';
import { useLengths } from '../../ground/lengths-context';
import { useOutbox } from '../../ground/outbox';
import { changedOnMachine } from '../../bench/changed-on-machine';
import { coloursOf } from '../../bench/colours-of';
import { tickStep } from '../../bench/plan-change';
import type { Bench } from '../../bench/bench';
import { Button } from '../../controls/button';
import { PutBackList } from '../../controls/put-back-list';
import { finishInSentence } from '../../words/finishes';
import { cautionInWords, placeInWords, stepInWords } from '../../words/steps';
import { useScrapDraft } from '../test-bench/scrap-draft';
import { AtPicture } from './at-picture';
import { AtStage } from './at-stage';
import { NextMove } from './next-move';
import { NumbersInForce } from './numbers-in-force';
import { useStepClock } from './step-clock';
import { Tally } from './tally';

/** The steps of an edge as one walks them, those of the second of a pair after the first's. */
export function walkedSteps({ finish, work }: Pick<Bench, 'finish' | 'work'>): WorkStep[] {
  const first = stepsOf(finish, work);
  const second = stepsOfSecond(first);
  return [...first.filter(({ id }) => second.length === 0 || id !== 'second-leg'), ...second];
}

interface AtStepProps {
  readonly bench: Bench;
  readonly step: WorkStep;
  readonly backTo: string;
  readonly count: string;
  readonly done: boolean;
  readonly isLast: boolean;
  readonly finished: boolean;
  /** @param tookMinutes how long it was looked at */
  onNext(tookMinutes: number): void;
  readonly onBack: (() => void) | null;
  /** Takes the tick back. */
  onUndone(): void;
}

/** One step of an edge, with its picture, its numbers, and the tally where a scrap is sewn. */
export function AtStep(props: AtStepProps) {
  const { bench, step, backTo, count, done, isLast, onNext, onBack, onUndone } = props;
  const lengths = useLengths();
  const minutes = useStepClock(`${bench.edge.id} ${step.id}`);
  const [params, setParams] = useSearchParams();
  const { set } = useScrapDraft(bench.draftKey);
  const waiting = useOutbox(
    ({ waiting: all }) => all.filter(({ scrap }) => scrap.planId === bench.record.id).length,
  );
  const counts = step.phase === 'scrap' && bench.margin !== null && bench.set !== null;
  const tallying = counts && params.get('tally') === 'yes';
  const showTally = (yes: boolean) => setParams(yes ? { tally: 'yes' } : {}, { replace: true });
  return (
    <div className="relative flex min-h-0 grow flex-col">
      <AtStage
        backTo={backTo}
        heading={bench.edge.name}
        count={count}
        done={done}
        finished={props.finished}
        picture={
          <div {...coloursOf(bench)} className="h-full">
            <AtPicture bench={bench} step={step} />
          </div>
        }
        text={stepInWords(step, lengths)}
        numbers={
          <>
            <NumbersInForce bench={bench} step={step} />
            {step.phase === 'put-back' && (
              <div className="text-2xl">
                <PutBackList changes={changedOnMachine(bench)} />
              </div>
            )}
            {counts && waiting === 0 && <NextMove bench={bench} />}
            {counts && waiting > 0 && (
              <p role="status" className="text-xl">
                The scrap is kept here until the server has it; the next move comes then.
              </p>
            )}
            <p className="text-lg text-soft first-letter:uppercase">{placeInWords(step)}</p>
            {bench.proposed && (
              <p className="text-lg text-soft">
                Only proposed yet: {finishInSentence(bench.finish.id, bench.record.fold.variant)}.
                The first step that is done takes it.
              </p>
            )}
          </>
        }
        cautions={step.cautions.map(cautionInWords)}
        more={
          done ? (
            <Button className="min-h-14 text-xl" onClick={onUndone}>
              Not done yet
            </Button>
          ) : counts ? (
            <Button
              className="min-h-14 text-xl"
              onClick={() => {
                set({ n: 0, short: 0, over: 0 });
                showTally(true);
              }}
            >
              Count a scrap
            </Button>
          ) : null
        }
        nextWords={isLast ? 'Done' : 'Done, next'}
        onNext={done && isLast ? null : () => onNext(minutes())}
        onBack={onBack}
      />
      {tallying && <Tally bench={bench} onKept={() => showTally(false)} />}
    </div>
  );
}

/** An edge beside the machine: its steps one at a time; done goes on, back goes back. */
export function AtEdge({ bench }: { bench: Bench }) {
  const { edge, record, finish, work } = bench;
  const all = useMemo(() => walkedSteps({ finish, work }), [finish, work]);
  const [looked, look] = useState<string | null>(null);
  const ticked = (id: string) => record.ticks.includes(id);
  const next = all.findIndex(({ id }) => !ticked(id));
  const at = looked === null ? -1 : all.findIndex(({ id }) => id === looked);
  const index = at >= 0 ? at : next >= 0 ? next : all.length - 1;
  const step = all[index];
  if (!step) return null;
  const go = (to: number) => look(all[Math.max(0, Math.min(all.length - 1, to))]?.id ?? null);
  return (
    <AtStep
      bench={bench}
      step={step}
      backTo={`/edges/${edge.id}`}
      count={`${index + 1} of ${all.length}`}
      done={ticked(step.id)}
      isLast={index === all.length - 1}
      finished={next < 0}
      onNext={(tookMinutes) => {
        if (!ticked(step.id)) {
          tickStep(record.id, step.id, true, {
            minutes: tookMinutes,
            usualMinutes: stepMinutes(step, edge.lengthMm),
          });
        }
        go(index + 1);
      }}
      onBack={index === 0 ? null : () => go(index - 1)}
      onUndone={() => tickStep(record.id, step.id, false)}
    />
  );
}
