import { Check } from 'lucide-react';
import { useState } from 'react';
import type { TableSet } from '../../../contract/set-table';
import { genericCloths } from '../../../core/cloth/generic-cloths';
import { genericFeet } from '../../../core/kit/generic-feet';
import { genericMachines } from '../../../core/kit/generic-machines';
import { machineKinds, type MachineKind } from '../../../core/kit/machine';
import { ownFootOf } from '../../../core/kit/own-foot';
import { send } from '../../ground/api';
import { useLengths } from '../../ground/lengths-context';
import { reloadAll, writer } from '../../ground/records';
import { Button } from '../../controls/button';
import { NumberField } from '../../controls/number-field';
import { PictureChoice } from '../../controls/picture-choice';
import { MachineSketch } from '../../pictures/machine-sketch';
import { SmallFoot } from '../../pictures/small-foot';
import { machineKindNames } from '../../words/kit';
import { capital } from '../../words/number';
import { refusalInWords } from '../../words/refusals';
import { likeDraft } from '../cloths/like-draft';
import { plainKinds } from '../cloths/plain-kinds';

/** What most machines are sold with. */
const usualFeet = ['zigzag', 'straight', 'blind'];

/** The numbers that one reads off a machine's dials. */
interface Dials {
  readonly maxWidthMm: number;
  readonly maxLengthMm: number;
  readonly needleMm: number;
}

const dialsOf = (kind: MachineKind): Dials => {
  const { maxWidthMm, maxLengthMm, needleRangeMm } = genericMachines[kind];
  return { maxWidthMm, maxLengthMm, needleMm: needleRangeMm[1] };
};

function Question(props: { number: number; title: string; children: React.ReactNode }) {
  const { number, title, children } = props;
  return (
    <section className="sheet grid content-start gap-3 p-4">
      <h2 className="text-2xl">
        <span className="text-seam">{number}</span> {title}
      </h2>
      {children}
    </section>
  );
}

const within = (least: number, most: number) => (mm: number) =>
  mm >= least && mm <= most ? null : `From ${least} to ${most}.`;

/** Three questions with pictures, and a table is set: machine, feet, cloth. */
export function SetTable({ onSet }: { onSet(): void }) {
  const lengths = useLengths();
  const [kind, setKind] = useState<MachineKind>('lockstitch');
  const [dials, setDials] = useState(dialsOf('lockstitch'));
  const [feet, setFeet] = useState<readonly string[]>(() =>
    genericFeet.filter((foot) => usualFeet.includes(foot.kind)).map(({ id }) => id),
  );
  const [search, setSearch] = useState('');
  const [clothId, setClothId] = useState<string | null>(null);
  const [state, setState] = useState<'asking' | 'setting'>('asking');
  const [trouble, setTrouble] = useState<string | null>(null);
  const swings = genericMachines[kind].needleRangeMm[1] > 0;
  const keepsOwn = ownFootOf(kind) !== null;
  const cloth = genericCloths.find(({ id }) => id === clothId);
  const shown = plainKinds(search);
  const set = async () => {
    setState('setting');
    setTrouble(null);
    const { maxWidthMm, maxLengthMm, needleMm } = dials;
    try {
      await writer.during(async () => {
        await send<TableSet>('POST', 'table', {
          machine: {
            name: `My ${machineKindNames[kind]}`,
            specs: {
              ...genericMachines[kind],
              ...{ maxWidthMm, maxLengthMm, needleRangeMm: [-needleMm, needleMm] },
            },
            note: '',
          },
          // An edge is planned for a machine and a foot; one that is never changed needs none of these.
          feet: genericFeet
            .filter(({ id }) => (keepsOwn ? id === genericFeet[0]!.id : feet.includes(id)))
            .map(({ id: _id, ...foot }) => ({ ...foot, note: '' })),
          ...(cloth ? { cloth: likeDraft(cloth) } : {}),
        });
        await reloadAll();
      });
      onSet();
    } catch (error) {
      setTrouble(refusalInWords(error, lengths));
      setState('asking');
    }
  };
  return (
    <div className="grid gap-4">
      <div className="grid items-start gap-4 lg:grid-cols-3">
        <Question number={1} title="Which machine stands there?">
          <PictureChoice
            wraps
            label="Its kind"
            value={kind}
            options={machineKinds.map((one) => ({
              value: one,
              label: capital(machineKindNames[one].replace(/ machine$/, '')),
              picture: <MachineSketch kind={one} />,
            }))}
            onChange={(next) => {
              setKind(next);
              setDials(dialsOf(next));
            }}
          />
          <div className="grid grid-cols-2 gap-3">
            {genericMachines[kind].maxWidthMm > 0 && (
              <NumberField
                label="Widest stitch"
                unit="mm"
                value={dials.maxWidthMm}
                refuse={within(0.5, 20)}
                onCommit={(mm) => mm !== null && setDials({ ...dials, maxWidthMm: mm })}
              />
            )}
            <NumberField
              label="Longest stitch"
              unit="mm"
              value={dials.maxLengthMm}
              refuse={within(1, 20)}
              onCommit={(mm) => mm !== null && setDials({ ...dials, maxLengthMm: mm })}
            />
            {swings && (
              <NumberField
                label="Needle to either side"
                unit="mm"
                value={dials.needleMm}
                refuse={within(0, 20)}
                onCommit={(mm) => mm !== null && setDials({ ...dials, needleMm: mm })}
              />
            )}
          </div>
          <p className="text-sm text-soft">Read off its dials; the rest can be measured later.</p>
        </Question>
        <Question number={2} title="Which feet lie beside it?">
          {keepsOwn ? (
            <p>It keeps its own foot on. Nothing to lay out.</p>
          ) : (
            <ul aria-label="Feet" className="grid max-h-96 grid-cols-2 gap-1.5 overflow-y-auto">
              {genericFeet.map((foot) => {
                const on = feet.includes(foot.id);
                return (
                  <li key={foot.id}>
                    <button
                      type="button"
                      aria-pressed={on}
                      className={`flex h-full min-h-24 w-full flex-col items-center rounded-[3px] border p-1 text-center text-sm leading-tight ${on ? 'border-2 border-pencil bg-pencil-wash font-bold' : 'border-seam bg-slip'}`}
                      onClick={() =>
                        setFeet(on ? feet.filter((id) => id !== foot.id) : [...feet, foot.id])
                      }
                    >
                      <SmallFoot foot={foot} />
                      {foot.name}
                    </button>
                  </li>
                );
              })}
            </ul>
          )}
          <p className="text-sm text-soft">
            They have the measures such feet usually have. Lay a ruler on yours later.
          </p>
        </Question>
        <Question number={3} title="Which cloth is in your hands?">
          <input
            type="search"
            aria-label="Search the plain kinds"
            placeholder="denim, knit, silk …"
            className="field"
            value={search}
            onChange={(event) => setSearch(event.target.value)}
          />
          <ul aria-label="Plain kinds of cloth" className="grid max-h-80 gap-1 overflow-y-auto">
            {shown.map(({ id, name, construction, weightGsm }) => (
              <li key={id}>
                <button
                  type="button"
                  aria-pressed={id === clothId}
                  className={`flex min-h-11 w-full items-center gap-2 rounded-[3px] border px-3 text-left ${id === clothId ? 'border-2 border-pencil bg-pencil-wash' : 'border-line bg-slip'}`}
                  onClick={() => setClothId(id === clothId ? null : id)}
                >
                  <b className="min-w-0 grow">{name}</b>
                  <span className="shrink-0 text-sm text-soft">
                    {construction}, {weightGsm} g/m²
                  </span>
                </button>
              </li>
            ))}
            {shown.length === 0 && <li className="py-2 text-soft">None is called that.</li>}
          </ul>
        </Question>
      </div>
      {trouble && (
        <p role="alert" className="font-bold text-madder">
          {trouble}
        </p>
      )}
      <Button
        look="solid"
        className="min-h-14 text-xl"
        disabled={!cloth || (!keepsOwn && feet.length === 0) || state === 'setting'}
        onClick={() => void set()}
      >
        <Check size={20} aria-hidden />{' '}
        {!cloth
          ? 'Pick the cloth'
          : !keepsOwn && feet.length === 0
            ? 'Pick a foot'
            : state === 'setting'
              ? 'Setting the table…'
              : 'Set the table'}
      </Button>
    </div>
  );
}
