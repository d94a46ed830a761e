import { Plus } from 'lucide-react';
import { Suspense, useState } from 'react';
import { later } from '../../app/later';
import { Link } from 'react-router';
import { useList, useRemove } from '../../app/records';
import { LoadState } from '../../app/trouble';
import { Button } from '../../controls/button';
import { RemoveButton } from '../../controls/remove-button';
import { counted } from '../../words/number';

// The forms' package is loaded when the first form is opened.
const NewProject = later(async () => (await import('./new-project')).NewProject);

/** Every project, each with its edges to open. */
export function ProjectsScreen() {
  const projects = useList('projects');
  const edges = useList('edges');
  const remove = useRemove('projects');
  const [asking, setAsking] = useState(false);
  if (!projects.data || !edges.data) return <LoadState what="projects" error={projects.error} />;
  return (
    <main className="mx-auto w-full max-w-4xl overflow-y-auto p-6">
      <div className="mb-5 flex items-end justify-between gap-4">
        <div>
          <h1 className="text-3xl">Projects</h1>
          <p className="text-soft">
            From a cloth and an edge to the hem that holds, with its margin.
          </p>
        </div>
        <div className="flex items-center gap-4">
          <Link to="/keeping" className="text-pencil underline underline-offset-2">
            Safe keeping
          </Link>
          <Button look="solid" onClick={() => setAsking(true)}>
            <Plus size={18} aria-hidden /> New project
          </Button>
        </div>
      </div>
      {projects.data.length === 0 && (
        <p className="sheet p-6 text-lg">
          Nothing here yet. Make a project for what you are sewing, then add the edges that need
          finishing.
        </p>
      )}
      <ul className="grid gap-4">
        {projects.data.map((project) => {
          const own = edges.data.filter(({ projectId }) => projectId === project.id);
          return (
            <li key={project.id} className="sheet p-5">
              <div className="flex items-start justify-between gap-3">
                <div className="min-w-0">
                  <h2 className="text-2xl break-words">
                    <Link to={`/projects/${project.id}`} className="hover:underline">
                      {project.name}
                    </Link>
                  </h2>
                  <p className="text-soft">
                    {counted(own.length, 'edge')}
                    {project.note && ` · ${project.note}`}
                  </p>
                </div>
                <RemoveButton
                  what={`project “${project.name}”`}
                  consequence={`Its ${counted(own.length, 'edge')} ${own.length === 1 ? 'goes' : 'go'} with it; what was sewn stays in the sample book.`}
                  onRemove={() => remove.mutate(project)}
                />
              </div>
              <ul className="mt-2 flex flex-wrap gap-x-5 gap-y-1">
                {own.map((edge) => (
                  <li key={edge.id}>
                    <Link
                      to={`/edges/${edge.id}`}
                      className="text-pencil underline underline-offset-2"
                    >
                      {edge.name}
                    </Link>
                  </li>
                ))}
              </ul>
            </li>
          );
        })}
      </ul>
      {asking && (
        <Suspense>
          <NewProject open onOpenChange={setAsking} />
        </Suspense>
      )}
    </main>
  );
}
