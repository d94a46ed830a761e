import { Link } from 'react-router';
import type { ProjectRecord } from '../../../contract/records';
import type { TableEdge } from '../../../contract/worktable';
import { useRemove } from '../../ground/records';
import { RemoveButton } from '../../controls/remove-button';
import { GarmentSketch } from '../../pictures/garment-sketch';
import { counted } from '../../words/number';

/** Every project with how far it has come. */
export function ProjectList(props: {
  projects: readonly ProjectRecord[];
  edges: readonly TableEdge[];
}) {
  const { projects, edges } = props;
  const remove = useRemove('projects');
  if (projects.length === 0) return null;
  return (
    <section aria-label="Projects">
      <h2 className="mb-1 text-xl">Projects</h2>
      <ul className="sheet">
        {projects.map((project) => {
          const own = edges.filter(({ projectId }) => projectId === project.id);
          const done = own.reduce((sum, { stepsDone }) => sum + stepsDone, 0);
          const all = own.reduce((sum, { steps }) => sum + steps, 0);
          return (
            <li
              key={project.id}
              className="flex items-center gap-2 border-b border-line pr-1 last:border-0"
            >
              <Link
                to={`/projects/${project.id}`}
                className="flex min-w-0 grow items-center gap-3 p-2.5 hover:bg-slip"
              >
                <span className="size-10 shrink-0">
                  <GarmentSketch kind={project.garment?.kind ?? null} />
                </span>
                <span className="min-w-0 grow">
                  <span className="block font-head text-lg leading-tight font-semibold break-words">
                    {project.name}
                  </span>
                  <span className="block text-sm text-soft">
                    {counted(own.length, 'edge')}
                    {done > 0 && `, ${done} of ${all} steps done`}
                  </span>
                  {project.note && <span className="block text-sm text-soft">{project.note}</span>}
                </span>
              </Link>
              <RemoveButton
                what={`project “${project.name}”`}
                consequence={`Its ${counted(own.length, 'edge')} ${own.length === 1 ? 'goes' : 'go'} with it; what was sewn stays in the sample book.`}
                onRemove={() => remove.mutate(project)}
              />
            </li>
          );
        })}
      </ul>
    </section>
  );
}
