import { Link } from 'react-router';
import type { TableEdge } from '../../../contract/worktable';
import { useLengths } from '../../ground/lengths-context';
import { finishName } from '../../words/finishes';
import { nextInWords, nextPlace } from '../../words/next-move';

/** An edge under way: its name, and its next move as the way to it. */
function UnderWayRow({ edge, project }: { edge: TableEdge; project: string }) {
  const lengths = useLengths();
  const { edgeId, name, clothName, finish, variant, next, steps, stepsDone } = edge;
  return (
    <li className="border-b border-line last:border-0">
      <Link
        to={nextPlace(edgeId, next)}
        className="grid gap-x-4 px-4 py-2.5 hover:bg-slip sm:grid-cols-[minmax(0,1fr)_auto] sm:items-center"
      >
        <span className="min-w-0">
          <span className="block text-sm text-soft">{project}</span>
          <span className="block font-head text-xl leading-tight font-semibold break-words">
            {name}
          </span>
          <span className="block text-sm text-soft">
            {clothName}
            {finish && ` · ${finishName(finish, variant)}`}
          </span>
        </span>
        <span className="text-lg font-bold text-pencil sm:max-w-56 sm:text-right">
          {nextInWords(next, lengths)}
        </span>
        {steps > 0 && stepsDone > 0 && (
          <span
            role="img"
            aria-label={`${stepsDone} of ${steps} steps done`}
            className="mt-1.5 block h-1.5 bg-cloth sm:col-span-2"
          >
            <span
              className="block h-full bg-moss-fill"
              style={{ width: `${(100 * stepsDone) / steps}%` }}
            />
          </span>
        )}
      </Link>
    </li>
  );
}

/** What is under way, what was touched last first. */
export function UnderWay(props: {
  edges: readonly TableEdge[];
  projectName: (id: string) => string;
  most: number;
}) {
  const { edges, projectName, most } = props;
  // What was begun comes before what only waits; within both what was touched last.
  const begun = ({ scraps, stepsDone }: TableEdge) => (scraps > 0 || stepsDone > 0 ? 0 : 1);
  const open = edges.filter(({ next }) => next.kind !== 'done').sort((a, b) => begun(a) - begun(b));
  return (
    <section aria-label="Under way">
      <h2 className="mb-1 text-2xl">Under way</h2>
      {open.length === 0 ? (
        <p className="sheet p-4 text-lg">Everything is done. What edge lies before you?</p>
      ) : (
        <ul className="sheet">
          {open.slice(0, most).map((edge) => (
            <UnderWayRow key={edge.edgeId} edge={edge} project={projectName(edge.projectId)} />
          ))}
        </ul>
      )}
      {open.length > most && (
        <p className="pt-1 text-sm text-soft">and {open.length - most} more, in their projects</p>
      )}
    </section>
  );
}
