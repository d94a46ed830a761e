import type { NeedleRecord } from '../../../contract/records';
import { needlePoints, type NeedlePoint } from '../../../core/kit/needle';
import { change } from '../../ground/records';
import { NoteField } from '../../controls/note-field';
import { NumberField } from '../../controls/number-field';
import { SelectField } from '../../controls/select-field';
import { Stepper } from '../../controls/stepper';
import { TextField } from '../../controls/text-field';
import { needlePointNames } from '../../words/kit';

/** Drawn so many units for a millimetre, so that sizes can be told apart. */
const scale = 20;

/** The needle's shaft from the side, its thickness to scale, its point as it is ground. */
function NeedleDrawing({ size, point }: { size: number; point: NeedlePoint }) {
  const thick = (size / 100) * scale;
  const [x0, x1, y] = [30, 470, 50];
  const tip = point === 'ball' ? 40 : point === 'universal' ? 62 : 84;
  const end =
    point === 'ball'
      ? `Q${x1},${y - thick / 2} ${x1},${y} Q${x1},${y + thick / 2}`
      : `L${x1},${y} L`;
  return (
    <svg
      viewBox="0 0 500 110"
      className="w-full max-w-xl"
      role="img"
      aria-label={`A needle of ${size / 100} mm, with its point`}
    >
      <path
        d={`M${x0},${y - thick / 2} H${x1 - tip} ${end} ${x1 - tip},${y + thick / 2} H${x0} z`}
        fill="var(--color-steel)"
        stroke="var(--color-graphite)"
        strokeWidth={2}
        strokeLinejoin="round"
      />
      <ellipse
        cx={x1 - tip - 40}
        cy={y}
        rx={22}
        ry={thick * 0.2}
        fill="var(--color-paper)"
        stroke="var(--color-graphite)"
        strokeWidth={1.5}
      />
      <path
        d={`M${x0 - 14},${y - thick / 2} v${thick} m-5,0 h10 M${x0 - 19},${y - thick / 2} h10`}
        stroke="var(--color-pencil)"
        strokeWidth={1.6}
      />
      <text x={x0} y={104} fontSize={15} fill="var(--color-pencil)">
        {(size / 100).toFixed(2)} mm through the shaft; drawn larger
      </text>
    </svg>
  );
}

/** Needles of one kind: size, point and how many are left. */
export function NeedleEditor({ needle }: { needle: NeedleRecord }) {
  const set = (patch: Partial<NeedleRecord>) => change('needles', needle.id, patch);
  return (
    <div className="grid max-w-2xl gap-4">
      <TextField label="Needle" value={needle.name} onCommit={(name) => set({ name })} />
      <NeedleDrawing size={needle.size} point={needle.point} />
      <div className="grid gap-4 sm:grid-cols-2">
        <NumberField
          label="Size: hundredths of a millimetre"
          unit=""
          value={needle.size}
          refuse={(size) => (size >= 40 && size <= 140 ? null : 'Sizes run from 40 to 140.')}
          onCommit={(size) => size !== null && set({ size })}
        />
        <SelectField
          label="Point"
          value={needle.point}
          options={needlePoints.map((point) => ({ value: point, label: needlePointNames[point] }))}
          onChange={(point) => set({ point: point as NeedlePoint })}
        />
      </div>
      <Stepper
        label="Left in the drawer"
        about={needle.left === 0 ? 'none: it is not offered' : 'whole ones'}
        value={needle.left}
        least={0}
        onChange={(left) => Number.isFinite(left) && set({ left: Math.min(10_000, left) })}
      />
      <NoteField
        label="Note"
        value={needle.note}
        most={2000}
        rows={2}
        onCommit={(note) => set({ note })}
      />
    </div>
  );
}
