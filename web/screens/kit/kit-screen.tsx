import { ArrowLeftRight, Plus } from 'lucide-react';
import { Suspense, useState } from 'react';
import { later } from '../../ground/later';
import { Link, useSearchParams } from 'react-router';
import { useCreate, useList, useRemove, tellTrouble } from '../../ground/records';
import { LoadState } from '../../controls/trouble';
import { RemoveButton } from '../../controls/remove-button';
import { foldsStrip } from '../../pictures/foot-measures';
import { FootEditor } from './foot-editor';
import { MachineEditor } from './machine-editor';
import { NeedleEditor } from './needle-editor';
import { newAttachment, newFoot, newMachine, newNeedle, newThread } from './new-things';
import { ThreadEditor } from './thread-editor';

const PlainFeet = later(async () => (await import('./plain-feet')).PlainFeet);

interface SectionProps {
  readonly title: string;
  readonly items: readonly {
    readonly id: string;
    readonly name: string;
    readonly beside?: string;
  }[];
  readonly chosen: string | undefined;
  readonly add: string;
  onChoose(id: string): void;
  onAdd(): void;
  readonly also?: { readonly name: string; onPress(): void };
}

const addLook =
  'mt-1 flex min-h-10 w-full items-center gap-2 rounded-[3px] border border-dashed border-seam px-3 text-left hover:bg-slip';

function Section({ title, items, chosen, add, onChoose, onAdd, also }: SectionProps) {
  return (
    <section aria-label={title} className="pb-3">
      <h2 className="px-1 text-lg">{title}</h2>
      <ul className="grid gap-0.5">
        {items.map(({ id, name, beside }) => (
          <li key={id}>
            <button
              type="button"
              aria-current={id === chosen}
              className={`flex min-h-10 w-full items-baseline justify-between gap-2 rounded-[3px] border px-3 py-1.5 text-left font-bold ${id === chosen ? 'border-2 border-pencil bg-pencil-wash' : 'border-transparent hover:bg-slip'}`}
              onClick={() => onChoose(id)}
            >
              <span className="min-w-0 break-words">{name}</span>
              {beside && <span className="shrink-0 text-sm font-normal text-soft">{beside}</span>}
            </button>
          </li>
        ))}
      </ul>
      <button type="button" className={addLook} onClick={onAdd}>
        <Plus size={18} aria-hidden /> {add}
      </button>
      {also && (
        <button type="button" className={addLook} onClick={also.onPress}>
          <Plus size={18} aria-hidden /> {also.name}
        </button>
      )}
    </section>
  );
}

/** The drawer: machines, feet, attachments, needles, threads; measured with a ruler. */
export function KitScreen() {
  const lists = {
    machines: useList('machines'),
    feet: useList('feet'),
    needles: useList('needles'),
    threads: useList('threads'),
  };
  const create = {
    machines: useCreate('machines'),
    feet: useCreate('feet'),
    needles: useCreate('needles'),
    threads: useCreate('threads'),
  };
  const remove = {
    machines: useRemove('machines'),
    feet: useRemove('feet'),
    needles: useRemove('needles'),
    threads: useRemove('threads'),
  };
  const [params, setParams] = useSearchParams();
  const [plain, setPlain] = useState(false);
  const choose = (id?: string) => setParams(id ? { it: id } : {}, { replace: true });
  const machines = lists.machines.data;
  const feet = lists.feet.data;
  const needles = lists.needles.data;
  const threads = lists.threads.data;
  if (!machines || !feet || !needles || !threads) {
    const error = Object.values(lists).find((list) => list.error)?.error ?? null;
    return <LoadState what="kit" error={error} />;
  }
  const id = params.get('it') ?? machines[0]?.id;
  const machine = machines.find((candidate) => candidate.id === id);
  const foot = feet.find((candidate) => candidate.id === id);
  const needle = needles.find((candidate) => candidate.id === id);
  const thread = threads.find((candidate) => candidate.id === id);
  const found = machine ?? foot ?? needle ?? thread;
  const table = machine ? 'machines' : foot ? 'feet' : needle ? 'needles' : 'threads';
  const add = (where: keyof typeof create, draft: object) =>
    void create[where].mutateAsync(draft).then((made) => choose(made.id), tellTrouble);
  const common = { chosen: id, onChoose: choose };
  return (
    <main className="grid min-h-0 grow grid-cols-[minmax(0,1fr)] gap-4 p-4 lg:grid-cols-[18rem_minmax(0,1fr)] lg:px-5">
      <h1 className="sr-only">Kit</h1>
      <div className="sheet min-h-0 overflow-y-auto p-3">
        <Section
          {...common}
          title="Machines"
          items={machines}
          add="Another machine"
          onAdd={() => add('machines', newMachine)}
        />
        <Section
          {...common}
          title="Feet"
          items={feet.filter((one) => !foldsStrip(one))}
          add="Another foot"
          onAdd={() => add('feet', newFoot)}
          also={{ name: 'One of twenty plain feet', onPress: () => setPlain(true) }}
        />
        <Section
          {...common}
          title="Attachments"
          items={feet.filter(foldsStrip)}
          add="Another attachment"
          onAdd={() => add('feet', newAttachment)}
        />
        <Section
          {...common}
          title="Needles"
          items={needles.map((one) => ({ ...one, beside: `${one.left} left` }))}
          add="Another kind of needle"
          onAdd={() => add('needles', newNeedle)}
        />
        <Section
          {...common}
          title="Threads"
          items={threads}
          add="Another thread"
          onAdd={() => add('threads', newThread)}
        />
        <Link
          to="/exchange"
          className="flex min-h-11 items-center gap-2 px-1 text-pencil underline underline-offset-2"
        >
          <ArrowLeftRight size={17} aria-hidden /> Carry it in or out: JSON, CSV
        </Link>
      </div>
      <div className="sheet min-h-0 overflow-y-auto p-5">
        {machine && <MachineEditor key={machine.id} machine={machine} />}
        {foot && <FootEditor key={foot.id} foot={foot} />}
        {needle && <NeedleEditor key={needle.id} needle={needle} />}
        {thread && <ThreadEditor key={thread.id} thread={thread} />}
        {!found && (
          <p className="text-lg">
            {machines.length + feet.length === 0
              ? 'The drawer is empty. Add the machine you sew on, then a foot.'
              : 'Pick something of the drawer, or add to it.'}
          </p>
        )}
        {found && (
          <div className="flex items-center justify-end pt-3 text-soft">
            Take it out of the drawer
            <RemoveButton
              key={found.id}
              what={`“${found.name}”`}
              consequence="What an edge is planned for cannot go."
              onRemove={() => {
                remove[table].mutate(found);
                choose();
              }}
            />
          </div>
        )}
      </div>
      {plain && (
        <Suspense>
          <PlainFeet open onOpenChange={setPlain} onMade={choose} />
        </Suspense>
      )}
    </main>
  );
}
