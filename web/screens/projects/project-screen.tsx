import { Download, Plus } from 'lucide-react';
import { Suspense, useState } from 'react';
import { later } from '../../ground/later';
import { NavLink, useParams } from 'react-router';
import { change } from '../../ground/records';
import { useWorktable } from '../../ground/use-worktable';
import { LoadState, NotThere } from '../../controls/trouble';
import { Button } from '../../controls/button';
import { TextField } from '../../controls/text-field';
import { garmentInWords } from '../../words/order';
import { useLengths } from '../../ground/lengths-context';
import { issueInWords } from '../../words/refusals';
import type { EdgeRecord } from '../../../contract/records';
import { inForce } from '../../../core/garment/work-of';
import { changeGarment, useGarment, type GarmentBench } from '../garment/use-garment';
import { EdgeRow } from './edge-row';

// What an edge can be measured by is loaded when somebody makes one.
const NewEdge = later(async () => (await import('./new-edge')).NewEdge);
const OrderPanel = later(async () => (await import('../garment/order-panel')).OrderPanel);
const SeamsPanel = later(async () => (await import('../garment/seams-panel')).SeamsPanel);
const EveningsPanel = later(async () => (await import('../garment/evenings-panel')).EveningsPanel);
const ReadyPanel = later(async () => (await import('../garment/ready-panel')).ReadyPanel);

const parts = [
  ['', 'Edges'],
  ['seams', 'Seams and pieces'],
  ['order', 'Order of work'],
  ['evenings', 'Evenings'],
  ['ready', 'Have ready'],
] as const;

/** Parts that show nothing of the order. */
const unordered: readonly string[] = ['', 'seams'];

/** The edges as they are begun in the order of work; as they were made until that is known. */
function inWorkingOrder({ edges, work, garment }: GarmentBench): readonly EdgeRecord[] {
  // Where nothing says what comes before what, the order of the steps is no order of edges.
  if (!work || garment.meets.length === 0) return edges;
  const begun = new Map<string | null, number>();
  const tasks = new Map(work.tasks.map(({ id, edgeId }) => [id, edgeId]));
  inForce(work).sequence.forEach((id, i) => {
    const edgeId = tasks.get(id) ?? null;
    if (!begun.has(edgeId)) begun.set(edgeId, i);
  });
  return [...edges].sort((a, b) => (begun.get(a.id) ?? Infinity) - (begun.get(b.id) ?? Infinity));
}

/** A part that needs the order: or why there is none. */
function Ordered({ bench, part }: { bench: GarmentBench; part: string }) {
  const lengths = useLengths();
  if (bench.edges.length === 0) {
    return (
      <p className="sheet p-6 text-lg">
        No edges yet: make the first one, and its steps stand here.
      </p>
    );
  }
  if (bench.issues.length > 0) {
    const { before } = bench.garment;
    return (
      <div className="sheet grid justify-items-start gap-3 p-6">
        {bench.issues.map((issue) => (
          <p key={issue.message} role="alert" className="text-lg font-bold text-madder">
            {issueInWords(issue, lengths)}
          </p>
        ))}
        {before.length > 0 && (
          <Button onClick={() => changeGarment(bench, { before: before.slice(0, -1) })}>
            Take the last “this before that” back
          </Button>
        )}
      </div>
    );
  }
  const { work } = bench;
  if (!work) {
    return (
      <p role="status" className="p-6 text-lg text-soft">
        Putting {bench.edges.length} edges in order…
      </p>
    );
  }
  if (part === 'order') return <OrderPanel bench={bench} work={work} />;
  if (part === 'evenings') return <EveningsPanel bench={bench} work={work} />;
  return <ReadyPanel bench={bench} work={work} />;
}

/** One project: its edges, the order of their work, when it is done, and what it takes. */
export function ProjectScreen() {
  const { projectId = '', part = '' } = useParams();
  const { bench, error } = useGarment(projectId, !unordered.includes(part));
  const table = useWorktable(projectId);
  const [asking, setAsking] = useState(false);
  if (!parts.some(([id]) => id === part)) return <NotThere />;
  if (!bench) return <LoadState what="project" error={error} />;
  const { project, edges, plans, garment } = bench;
  const about = garmentInWords(garment);
  return (
    <main className="mx-auto w-full max-w-6xl overflow-y-auto p-4 md:p-6">
      <div className="mb-3 flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
        <div className="min-w-56 grow">
          <h1 className="sr-only">{project.name}</h1>
          <TextField
            label="Project"
            value={project.name}
            onCommit={(name) => change('projects', projectId, { name })}
          />
        </div>
        <a
          href={`/api/projects/${projectId}/archive`}
          download
          className="no-print flex min-h-11 items-center gap-2 text-pencil underline underline-offset-2"
        >
          <Download size={18} aria-hidden /> Save as an archive
        </a>
        <Button look="solid" className="no-print" onClick={() => setAsking(true)}>
          <Plus size={18} aria-hidden /> New edge
        </Button>
      </div>
      {about && <p className="mb-2 text-soft first-letter:uppercase">{about}</p>}
      <nav
        aria-label="Parts of the project"
        className="no-print mb-4 flex flex-wrap gap-x-1 border-b border-line"
      >
        {parts.map(([id, name]) => (
          <NavLink
            key={id}
            end
            to={`/projects/${projectId}${id && `/${id}`}`}
            className={({ isActive }) =>
              `inline-flex min-h-11 items-center px-3 ${isActive ? 'border-b-4 border-pencil font-bold text-pencil' : 'hover:bg-slip'}`
            }
          >
            {name}
          </NavLink>
        ))}
      </nav>
      {part === '' && (
        <>
          {edges.length === 0 && (
            <p className="sheet p-6 text-lg">
              No edges yet. Add the first one that needs finishing: what it is on, its cloth, its
              length.
            </p>
          )}
          <ul className="grid gap-3">
            {inWorkingOrder(bench).map((edge) => (
              <EdgeRow
                key={edge.id}
                edge={edge}
                plan={plans.find(({ edgeId }) => edgeId === edge.id)}
                table={table.data?.edges.find(({ edgeId }) => edgeId === edge.id)}
              />
            ))}
          </ul>
        </>
      )}
      <Suspense fallback={<p className="p-6 text-soft">Loading…</p>}>
        {part === 'seams' && <SeamsPanel bench={bench} />}
        {part !== '' && part !== 'seams' && <Ordered bench={bench} part={part} />}
      </Suspense>
      {asking && (
        <Suspense>
          <NewEdge projectId={projectId} open onOpenChange={setAsking} />
        </Suspense>
      )}
    </main>
  );
}
