import { X } from 'lucide-react';
import type { MachineRecord } from '../../../contract/records';
import { plainUsual } from '../../../core/kit/put-back';
import { useLengths } from '../../ground/lengths-context';
import { change } from '../../ground/records';
import { LengthField } from '../../controls/length-field';
import { NumberField } from '../../controls/number-field';
import { SelectField } from '../../controls/select-field';
import { finishName } from '../../words/finishes';
import { settingName, setToInWords } from '../../words/set-to';

const words = {
  pressure: ['normal', 'less', 'more'],
  tension: ['normal', 'less', 'half-less', 'half-more'],
  hover: ['off', 'on'],
  plate: ['zigzag', 'straight-stitch'],
} as const;

/** How the machine usually stands, so that what some work changes is put back to it. */
export function MachineUsual({ machine }: { machine: MachineRecord }) {
  const lengths = useLengths();
  const { usual, specs } = machine;
  const set = (patch: Partial<MachineRecord['usual']>) =>
    change('machines', machine.id, { usual: { ...usual, ...patch } });
  const looped = specs.kind === 'overlocker' || specs.kind === 'coverstitch';
  const asked = looped
    ? (['pressure'] as const)
    : (['pressure', 'tension', 'hover', 'plate'] as const);
  return (
    <fieldset>
      <legend className="mb-1 text-lg font-bold">How it usually stands</legend>
      <div className="grid gap-3 sm:grid-cols-2 xl:grid-cols-4">
        {asked.map((id) => (
          <SelectField
            key={id}
            label={settingName(id)}
            value={String(usual[id] ?? plainUsual[id] ?? words[id][0])}
            options={words[id].map((value) => ({
              value,
              label: setToInWords(id, value, lengths),
            }))}
            onChange={(value) => set({ [id]: value })}
          />
        ))}
        {looped && (
          <>
            <NumberField
              label={settingName('differential')}
              unit=""
              value={Number(usual.differential ?? plainUsual.differential)}
              refuse={(it) => (it >= 0.2 && it <= 4 ? null : 'From 0.2 to 4.')}
              onCommit={(it) => it !== null && set({ differential: it })}
            />
            <LengthField
              fine
              optional
              label={settingName('cutting-width')}
              value={typeof usual['cutting-width'] === 'number' ? usual['cutting-width'] : null}
              refuse={(mm) => (mm >= 0 && mm <= 20 ? null : 'From 0 to 20 mm.')}
              onCommit={(mm) => set({ 'cutting-width': mm ?? undefined })}
            />
          </>
        )}
      </div>
    </fieldset>
  );
}

/** Settings saved on the machine, to be looked through and taken out. */
export function MemoryList({ machine }: { machine: MachineRecord }) {
  const lengths = useLengths();
  if (machine.memory.length === 0) {
    return (
      <p className="text-soft">Its memory is empty. At a setting, save it here under a name.</p>
    );
  }
  return (
    <section aria-label="Saved settings">
      <h3 className="mb-1 text-lg font-bold">Saved settings</h3>
      <ul className="slip">
        {machine.memory.map(({ id, name, cloth, finish, variant, settings }) => (
          <li key={id} className="flex items-center gap-2 border-b border-line px-3 last:border-0">
            <span className="min-w-0 grow py-1.5">
              <b className="break-words">{name}</b>{' '}
              <span className="text-sm text-soft">
                {cloth} · {finishName(finish, variant)}
              </span>
              {settings && (
                <span className="block text-sm">
                  width {setToInWords('width', settings.widthMm, lengths)}, length{' '}
                  {setToInWords('length', settings.lengthMm, lengths)}, needle{' '}
                  {setToInWords('needle-position', settings.needlePositionMm, lengths)}
                </span>
              )}
            </span>
            <button
              type="button"
              aria-label={`Take “${name}” out of the memory`}
              className="flex size-11 shrink-0 items-center justify-center rounded-[3px] hover:bg-cloth"
              onClick={() =>
                change('machines', machine.id, {
                  memory: machine.memory.filter((one) => one.id !== id),
                })
              }
            >
              <X size={18} aria-hidden />
            </button>
          </li>
        ))}
      </ul>
    </section>
  );
}
