import { Plus } from 'lucide-react';
import { Suspense, useState } from 'react';
import { Link } from 'react-router';
import { edgeThings, usualEdge, type EdgeThing } from '../../../core/edge/things';
import type { DemoMoved } from '../../../contract/set-table';
import { later } from '../../ground/later';
import { notify } from '../../ground/notices';
import { send } from '../../ground/api';
import { reloadAll, tellTrouble, useList, writer } from '../../ground/records';
import { LoadState } from '../../controls/trouble';
import { useWorktable } from '../../ground/use-worktable';
import { Button } from '../../controls/button';
import { SmallAbove } from '../../pictures/above/small-above';
import { thingNames } from '../../words/forms';
import { KeptLately, ShelfAndDrawer } from './at-a-glance';
import { ProjectList } from './project-list';
import { UnderWay } from './under-way';

// The forms' packages are loaded when the first form is opened.
const NewProject = later(async () => (await import('../projects/new-project')).NewProject);
const NewEdge = later(async () => (await import('../projects/new-edge')).NewEdge);
const SetTable = later(async () => (await import('./set-table')).SetTable);

/** More edges than this are no table but a heap. */
const mostUnderWay = 7;
const demoProject = 'project-lantern-parade';

/** Puts the demo away, or brings it back; one undo takes that back. */
async function moveDemo(here: boolean): Promise<void> {
  try {
    await writer.during(async () => {
      const { kept } = await send<DemoMoved>('POST', 'demo', { here });
      await reloadAll();
      const stays = kept.length > 0 ? ` Still used by your own work: ${kept.join(', ')}.` : '';
      notify({
        kind: 'info',
        text: here ? 'The demo is back.' : `The demo is put away; Undo brings it back.${stays}`,
      });
    });
  } catch (error) {
    tellTrouble(error);
  }
}

/** What edge lies before you: a picture each. */
function WhichEdge({ onPick }: { onPick(thing: EdgeThing): void }) {
  return (
    <section aria-label="What edge lies before you?">
      <h2 className="mb-2 text-2xl">What edge lies before you?</h2>
      <ul className="grid grid-cols-[repeat(auto-fill,minmax(7rem,1fr))] gap-2">
        {edgeThings.map((thing) => (
          <li key={thing}>
            <button
              type="button"
              className="sheet flex h-28 w-full flex-col items-center justify-end gap-1 p-2 hover:bg-slip"
              onClick={() => onPick(thing)}
            >
              <span className="min-h-0 w-full grow">
                <SmallAbove edge={{ ...usualEdge(thing), crossings: [] }} />
              </span>
              <span className="leading-tight">{thingNames[thing]}</span>
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** The worktable: what is under way and its next move, what was kept, what lies at hand. */
export function WorktableScreen() {
  const projects = useList('projects');
  const machines = useList('machines');
  const feet = useList('feet');
  const cloths = useList('cloths');
  const table = useWorktable();
  const [asking, ask] = useState<'project' | EdgeThing | null>(null);
  if (!projects.data || !machines.data || !feet.data || !cloths.data || !table.data) {
    return <LoadState what="worktable" error={projects.error ?? table.error} />;
  }
  const { edges } = table.data;
  const unset = machines.data.length === 0 || feet.data.length === 0 || cloths.data.length === 0;
  const hasDemo = projects.data.some(({ id }) => id === demoProject);
  const nameOf = (id: string) => projects.data.find((project) => project.id === id)?.name ?? '';
  return (
    <main className="mx-auto w-full max-w-6xl overflow-y-auto p-4 md:p-6">
      <div className="mb-4 flex flex-wrap items-end justify-between gap-x-6 gap-y-3">
        <div>
          <h1 className="text-3xl">Worktable</h1>
          <p className="text-soft">
            {unset
              ? 'Three questions, and it is set.'
              : 'From a cloth and an edge to the hem that holds, with its margin.'}
          </p>
        </div>
        {!unset && (
          <div className="flex flex-wrap gap-3">
            <Button onClick={() => ask('project')}>
              <Plus size={18} aria-hidden /> New project
            </Button>
            <Button look="solid" onClick={() => ask('other')}>
              <Plus size={18} aria-hidden /> New edge
            </Button>
          </div>
        )}
      </div>
      {unset ? (
        <Suspense>
          <SetTable onSet={() => notify({ kind: 'info', text: 'The table is set.' })} />
        </Suspense>
      ) : edges.length === 0 ? (
        <div className="grid gap-6">
          <WhichEdge onPick={ask} />
          <ProjectList projects={projects.data} edges={edges} />
          <ShelfAndDrawer />
        </div>
      ) : (
        <div className="grid items-start gap-6 lg:grid-cols-[minmax(0,1fr)_21rem]">
          <UnderWay edges={edges} projectName={nameOf} most={mostUnderWay} />
          <div className="grid gap-6">
            <ProjectList projects={projects.data} edges={edges} />
            <KeptLately />
            <ShelfAndDrawer />
          </div>
        </div>
      )}
      <p className="mt-8 flex flex-wrap items-center gap-x-6 gap-y-1 border-t border-line pt-2">
        <Link to="/keeping" className="inline-flex min-h-11 items-center underline">
          Safe keeping
        </Link>
        <Link to="/devices" className="inline-flex min-h-11 items-center underline">
          Devices
        </Link>
        <button
          type="button"
          className="min-h-11 underline"
          onClick={() => void moveDemo(!hasDemo)}
        >
          {hasDemo ? 'Put the demo away' : 'Bring the demo here'}
        </button>
      </p>
      <Suspense>
        {asking === 'project' && <NewProject open onOpenChange={() => ask(null)} />}
        {asking !== null && asking !== 'project' && (
          <NewEdge projectId={null} startWith={asking} open onOpenChange={() => ask(null)} />
        )}
      </Suspense>
    </main>
  );
}
