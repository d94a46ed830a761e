import { useState } from 'react';
import { inForce } from '../../../core/garment/work-of';
import { LoadState } from '../../controls/trouble';
import { useLengths } from '../../ground/lengths-context';
import { useList } from '../../ground/records';
import { Button } from '../../controls/button';
import { PutBackList } from '../../controls/put-back-list';
import { useLeftChanged } from '../../ground/use-left-changed';
import { useEdgeBench } from '../../bench/use-edge-bench';
import { useKept, type Kept } from '../../bench/use-kept';
import { cautionInWords } from '../../words/steps';
import { capital } from '../../words/number';
import { placeName, taskInWords } from '../../words/order';
import type { GarmentTask } from '../../../core/garment/garment-task';
import { tickTask, useGarment } from '../garment/use-garment';
import { AtStage } from './at-stage';
import { AtStep, walkedSteps } from './at-edge';
import { useStepClock } from './step-clock';

interface Going {
  readonly backTo: string;
  readonly count: string;
  readonly isLast: boolean;
  readonly finished: boolean;
  onNext(tookMinutes: number | null): void;
  readonly onBack: (() => void) | null;
  onUndone(): void;
}

function WithBench({ kept, task, going }: { kept: Kept; task: GarmentTask; going: Going }) {
  const bench = useEdgeBench(kept);
  // The step as its edge has it by now, with the dials in force.
  const step = walkedSteps(bench).find(({ id }) => id === task.stepId) ?? task.step;
  if (!step) return null;
  return <AtStep bench={bench} step={step} done={task.done} {...going} />;
}

/** A step of one of the garment's edges. */
function EdgeTask({ task, edgeId, going }: { task: GarmentTask; edgeId: string; going: Going }) {
  const kept = useKept(edgeId);
  if (kept.state === 'ready') return <WithBench kept={kept.kept} task={task} going={going} />;
  return <LoadState what="edge" error={kept.state === 'failed' ? kept.error : null} />;
}

/** What was changed on a machine for all that was sewn on it. */
function LeftOn({ machineId }: { machineId: string }) {
  return (
    <div className="text-2xl">
      {useLeftChanged(machineId).map(({ planId, changes }) => (
        <PutBackList key={planId} changes={changes} />
      ))}
    </div>
  );
}

/** A step that belongs to no edge: cutting out, trying on, putting a machine back. */
function OwnTask({ task, going: { onUndone, ...going } }: { task: GarmentTask; going: Going }) {
  const lengths = useLengths();
  const machines = useList('machines').data ?? [];
  const minutes = useStepClock(task.id);
  const where = placeName(task.place, machines);
  return (
    <AtStage
      {...going}
      heading="The whole garment"
      done={task.done}
      picture={
        <p className="flex h-full items-center justify-center p-6 text-center font-head text-5xl">
          {capital(where)}
        </p>
      }
      text={taskInWords(task, lengths)}
      numbers={task.phase === 'put-back' && <LeftOn machineId={task.place} />}
      cautions={task.cautions.map(cautionInWords)}
      more={
        task.done && (
          <Button className="min-h-14 text-xl" onClick={onUndone}>
            Not done yet
          </Button>
        )
      }
      nextWords={going.isLast ? 'Done' : 'Done, next'}
      onNext={task.done && going.isLast ? null : () => going.onNext(minutes())}
    />
  );
}

/** A garment beside the machine, in its order. */
export function AtGarment({ projectId }: { projectId: string }) {
  const { bench, error } = useGarment(projectId, true);
  const [looked, look] = useState<string | null>(null);
  if (!bench) return <LoadState what="project" error={error} />;
  const { work } = bench;
  if (!work) {
    return (
      <p role="status" className="p-6 text-2xl">
        {bench.issues[0]?.message ??
          (bench.edges.length === 0 ? 'This project has no edges yet.' : 'Putting it in order…')}
      </p>
    );
  }
  const tasks = new Map(work.tasks.map((task) => [task.id, task]));
  const order = inForce(work).sequence.flatMap((id) => tasks.get(id) ?? []);
  const next = order.findIndex(({ done }) => !done);
  const at = looked === null ? -1 : order.findIndex(({ id }) => id === looked);
  const index = at >= 0 ? at : next >= 0 ? next : order.length - 1;
  const task = order[index];
  if (!task) return <p className="p-6 text-2xl">This project has no edges yet.</p>;
  const go = (to: number) => look(order[Math.max(0, Math.min(order.length - 1, to))]?.id ?? null);
  const going: Going = {
    backTo: `/projects/${projectId}/order`,
    count: `${index + 1} of ${order.length}`,
    isLast: index === order.length - 1,
    finished: next < 0,
    onNext: (tookMinutes) => {
      if (!task.done) tickTask(bench, task, true, tookMinutes);
      go(index + 1);
    },
    onBack: index === 0 ? null : () => go(index - 1),
    onUndone: () => tickTask(bench, task, false),
  };
  return task.edgeId === null ? (
    <OwnTask key={task.id} task={task} going={going} />
  ) : (
    <EdgeTask key={task.edgeId} task={task} edgeId={task.edgeId} going={going} />
  );
}
