import { Plus } from 'lucide-react';
import { useState } from 'react';
import type { FootDraft, MachineDraft } from '../../../contract/kit';
import { useCreate, useList, useRemove, tellTrouble } from '../../app/records';
import { LoadState } from '../../app/trouble';
import { RemoveButton } from '../../controls/remove-button';
import { FootEditor } from './foot-editor';
import { MachineEditor } from './machine-editor';

const newMachine: MachineDraft = {
  name: 'New machine',
  specs: {
    kind: 'lockstitch',
    maxWidthMm: 5,
    widthStepMm: 0.5,
    maxLengthMm: 4,
    lengthStepMm: 0.5,
    needleRangeMm: [-2.5, 2.5],
    needleStepMm: 0.5,
    plateHoleMm: null,
  },
  note: '',
};

const newFoot: FootDraft = {
  name: 'New foot',
  kind: 'blind',
  channelMm: null,
  mouthMm: null,
  stripMm: null,
  specs: { slotMm: [-3.5, 3.5], guidance: 'blade', guide: { atMm: 0 } },
  soleMm: { widthMm: 18, toeMm: 12, heelMm: 14 },
  note: '',
};

function Shelf(props: {
  title: string;
  items: readonly { id: string; name: string }[];
  chosen: string | undefined;
  add: string;
  onChoose(id: string): void;
  onAdd(): void;
}) {
  const { title, items, chosen, add, onChoose, onAdd } = props;
  return (
    <section aria-label={title} className="pb-4">
      <h2 className="px-1 pb-1 text-lg">{title}</h2>
      <ul className="grid gap-1">
        {items.map(({ id, name }) => (
          <li key={id}>
            <button
              type="button"
              aria-current={id === chosen}
              className={`min-h-11 w-full rounded-[3px] border px-3 py-1 text-left font-bold ${id === chosen ? 'border-2 border-pencil bg-pencil-wash' : 'border-transparent hover:bg-slip'}`}
              onClick={() => onChoose(id)}
            >
              {name}
            </button>
          </li>
        ))}
      </ul>
      <button
        type="button"
        className="mt-2 flex min-h-11 w-full items-center gap-2 rounded-[3px] border border-dashed border-seam px-3 hover:bg-slip"
        onClick={onAdd}
      >
        <Plus size={18} aria-hidden /> {add}
      </button>
    </section>
  );
}

/** Machines and feet: what each can do, measured with a ruler. */
export function KitScreen() {
  const machines = useList('machines');
  const feet = useList('feet');
  const createMachine = useCreate('machines');
  const createFoot = useCreate('feet');
  const removeMachine = useRemove('machines');
  const removeFoot = useRemove('feet');
  const [chosenId, choose] = useState<string>();
  if (!machines.data || !feet.data)
    return <LoadState what="kit" error={machines.error ?? feet.error} />;
  const id = chosenId ?? machines.data[0]?.id;
  const machine = machines.data.find((candidate) => candidate.id === id);
  const foot = feet.data.find((candidate) => candidate.id === id);
  return (
    <main className="grid min-h-0 grow gap-4 p-4 lg:grid-cols-[19rem_minmax(0,1fr)] lg:px-5">
      <h1 className="sr-only">Kit</h1>
      <div className="sheet min-h-0 overflow-y-auto p-3">
        <Shelf
          title="Machines"
          items={machines.data}
          chosen={id}
          add="Another machine"
          onChoose={choose}
          onAdd={() =>
            createMachine.mutateAsync(newMachine).then((made) => choose(made.id), tellTrouble)
          }
        />
        <Shelf
          title="Feet"
          items={feet.data}
          chosen={id}
          add="Another foot"
          onChoose={choose}
          onAdd={() => createFoot.mutateAsync(newFoot).then((made) => choose(made.id), tellTrouble)}
        />
      </div>
      <div className="sheet min-h-0 overflow-y-auto p-5">
        {machine && <MachineEditor key={machine.id} machine={machine} />}
        {foot && <FootEditor key={foot.id} foot={foot} />}
        {!machine && !foot && (
          <p className="text-lg">The drawer is empty. Add the machine you sew on, then a foot.</p>
        )}
        {(machine ?? foot) && (
          <div className="flex items-center justify-end pt-4 text-soft">
            Take it out of the drawer
            <RemoveButton
              key={id}
              what={`“${(machine ?? foot)?.name ?? ''}”`}
              consequence="What an edge is planned for cannot go."
              onRemove={() => {
                if (machine) removeMachine.mutate(machine);
                if (foot) removeFoot.mutate(foot);
                choose(undefined);
              }}
            />
          </div>
        )}
      </div>
    </main>
  );
}
