import { Download, Plus } from 'lucide-react';
import { Suspense, useState } from 'react';
import { later } from '../../app/later';
import { Link, useParams } from 'react-router';
import type { AttemptRecord, ClothRecord, EdgeRecord, PlanRecord } from '../../../contract/records';
import { finishById } from '../../../core/finish/catalogue';
import type { Finish } from '../../../core/finish/finish';
import { Impossible } from '../../../core/impossible';
import { isClosed } from '../../../core/edge/shape';
import { foldPlanOf } from '../../../core/plan/fold-plan';
import { useLengths } from '../../app/lengths-context';
import { change, useList, useRecord, useRemove } from '../../app/records';
import { LoadState } from '../../app/trouble';
import { Button } from '../../controls/button';
import { RemoveButton } from '../../controls/remove-button';
import { TextField } from '../../controls/text-field';
import { SectionPicture } from '../../pictures/section-picture';
import { counted } from '../../words/number';
import { finishName } from '../../words/finishes';

// What an edge can be measured by is loaded when somebody makes one.
const NewEdge = later(async () => (await import('./new-edge')).NewEdge);

/** The folds of a plan, as long as its lengths agree with the cloth. */
function foldsIfAny(finish: Finish, plan: PlanRecord, cloth: ClothRecord) {
  try {
    return foldPlanOf(finish, { wish: plan.fold, cloth: cloth.properties });
  } catch (error) {
    if (error instanceof Impossible) return null;
    throw error;
  }
}

/** An edge in the list: its section, cloth, length, and how far it has come. */
function EdgeRow({
  edge,
  plan,
  attempts,
}: {
  edge: EdgeRecord;
  plan: PlanRecord | undefined;
  attempts: readonly AttemptRecord[];
}) {
  const lengths = useLengths();
  const cloth = useList('cloths').data?.find(({ id }) => id === edge.clothId);
  const remove = useRemove('edges');
  const finish = plan?.finish ? finishById(plan.finish) : undefined;
  const folds = cloth && plan && finish ? foldsIfAny(finish, plan, cloth) : null;
  const last = folds?.stages.find(({ id }) => id === 'stitch') ?? folds?.stages.at(-1);
  const kept = attempts.find(({ id }) => id === plan?.keptAttemptId);
  const counts = plan && finish?.margin(plan.fold.variant);
  const state = kept
    ? `setting of scrap ${kept.number} kept`
    : plan?.finish === null
      ? 'no finish chosen yet'
      : attempts.length > 0
        ? counted(attempts.length, 'scrap')
        : counts
          ? 'no scrap yet'
          : 'starting values';
  return (
    <li className="sheet flex items-center gap-4 pr-2">
      <Link
        to={`/edges/${edge.id}`}
        className="flex min-w-0 grow items-center gap-5 p-3 hover:bg-slip"
      >
        <span className="h-14 w-48 shrink-0">
          {last && <SectionPicture stage={last} marks={[]} exaggeration={2} small />}
        </span>
        <span className="min-w-0 grow">
          <span className="block font-head text-xl font-semibold break-words">{edge.name}</span>
          <span className="block text-soft">
            {cloth?.name} · {lengths.cloth(edge.lengthMm)} {isClosed(edge) ? 'round' : 'long'}
            {plan?.finish && ` · ${finishName(plan.finish, plan.fold.variant)}`}
          </span>
        </span>
        <span className={`shrink-0 ${kept ? 'font-bold text-moss' : 'text-soft'}`}>
          {kept ? '✓ ' : ''}
          {state}
        </span>
      </Link>
      <RemoveButton
        what={`edge “${edge.name}”`}
        consequence={
          attempts.length === 0
            ? 'No scrap was sewn for it.'
            : `Its ${counted(attempts.length, 'scrap')} ${attempts.length === 1 ? 'stays' : 'stay'} in the sample book.`
        }
        onRemove={() => remove.mutate(edge)}
      />
    </li>
  );
}

/** One project: its edges, and making a new one. */
export function ProjectScreen() {
  const { projectId = '' } = useParams();
  const project = useRecord('projects', projectId);
  const edges = useList('edges', { projectId });
  const plans = useList('plans');
  const attempts = useList('attempts');
  const [asking, setAsking] = useState(false);
  if (!project.data || !edges.data) {
    return <LoadState what="project" error={project.error ?? edges.error} />;
  }
  return (
    <main className="mx-auto w-full max-w-4xl overflow-y-auto p-6">
      <div className="mb-5 flex items-end justify-between gap-6">
        <div className="grow">
          <h1 className="sr-only">{project.data.name}</h1>
          <TextField
            label="Project"
            value={project.data.name}
            onCommit={(name) => change('projects', projectId, { name })}
          />
        </div>
        <a
          href={`/api/projects/${projectId}/archive`}
          download
          className="flex min-h-11 items-center gap-2 text-pencil underline underline-offset-2"
        >
          <Download size={18} aria-hidden /> Save as an archive
        </a>
        <Button look="solid" onClick={() => setAsking(true)}>
          <Plus size={18} aria-hidden /> New edge
        </Button>
      </div>
      {edges.data.length === 0 && (
        <p className="sheet p-6 text-lg">
          No edges yet. Add the first one that needs finishing: what it is on, its cloth, its
          length.
        </p>
      )}
      <ul className="grid gap-3">
        {edges.data.map((edge) => {
          const plan = plans.data?.find(({ edgeId }) => edgeId === edge.id);
          return (
            <EdgeRow
              key={edge.id}
              edge={edge}
              plan={plan}
              attempts={attempts.data?.filter(({ planId }) => planId === plan?.id) ?? []}
            />
          );
        })}
      </ul>
      {asking && (
        <Suspense>
          <NewEdge projectId={projectId} open onOpenChange={setAsking} />
        </Suspense>
      )}
    </main>
  );
}
