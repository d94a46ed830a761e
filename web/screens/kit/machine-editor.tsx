import { issuesOf } from '../../../contract/error';
import { firstIssueInWords } from '../../words/refusals';
import { machine as machineSchema } from '../../../contract/kit';
import type { MachineRecord } from '../../../contract/records';
import { dialPositions, dialTravel } from '../../../core/kit/dial-steps';
import {
  machineKinds,
  patternsOf,
  patternsOfKind,
  type MachineKind,
} from '../../../core/kit/machine';
import { shanks } from '../../../core/kit/shank';
import { hasStraightPlate } from '../../../core/stitch/clearance';
import { useLengths } from '../../ground/lengths-context';
import { change, useList } from '../../ground/records';
import { LengthField } from '../../controls/length-field';
import { Choice } from '../../controls/choice';
import { SelectField } from '../../controls/select-field';
import { TextField } from '../../controls/text-field';
import { machineKindNames, shankNames } from '../../words/kit';
import { stitchLabel } from '../../words/stitches';
import { DifferentialFields } from './differential-fields';
import { FitList } from './foot-fits';
import { MachineUsual, MemoryList } from './machine-usual';
import { PutBackCards } from './put-back-card';

type Specs = MachineRecord['specs'];

/** The needle's positions and the widest swing on a line, to scale. */
function NeedleLine({ specs }: { specs: Specs }) {
  const { fineNumber, unit } = useLengths();
  const positions = dialPositions(dialTravel('needlePosition', specs, { atMm: 0 }));
  const half =
    Math.max(
      specs.maxWidthMm / 2,
      ...positions.map(Math.abs),
      ...(specs.plateHoleMm ?? []).map(Math.abs),
      1,
    ) + 0.3;
  const x = (mm: number) => 300 + (mm / half) * 270;
  return (
    <svg
      viewBox="0 0 600 110"
      className="w-full max-w-2xl"
      role="img"
      aria-label="Needle positions and widest swing, to scale"
    >
      {specs.plateHoleMm && (
        <rect
          x={x(specs.plateHoleMm[0])}
          y={30}
          width={x(specs.plateHoleMm[1]) - x(specs.plateHoleMm[0])}
          height={34}
          rx={6}
          fill="var(--color-bed)"
          stroke="var(--color-seam)"
        />
      )}
      <line
        x1={x(-specs.maxWidthMm / 2)}
        x2={x(specs.maxWidthMm / 2)}
        y1={47}
        y2={47}
        stroke="var(--color-graphite)"
        strokeWidth={7}
        strokeLinecap="round"
      />
      {positions.map((mm) => (
        <line
          key={mm}
          x1={x(mm)}
          x2={x(mm)}
          y1={mm === 0 ? 66 : 70}
          y2={84}
          stroke="var(--color-pencil)"
          strokeWidth={mm === 0 ? 3 : 1.5}
        />
      ))}
      <g fontSize={14} fill="var(--color-soft)">
        <text x={300} y={18} textAnchor="middle">
          widest swing, black; needle positions, blue; plate hole, outline
        </text>
        <text x={x(positions[0] ?? 0)} y={102} textAnchor="middle">
          {fineNumber(positions[0] ?? 0)}
        </text>
        <text x={300} y={102} textAnchor="middle">
          0 {unit}
        </text>
        <text x={x(positions.at(-1) ?? 0)} y={102} textAnchor="middle">
          {fineNumber(positions.at(-1) ?? 0)}
        </text>
      </g>
    </svg>
  );
}

/** A machine's ranges and steps, as its dials show them. */
export function MachineEditor({ machine }: { machine: MachineRecord }) {
  const lengths = useLengths();
  const { specs } = machine;
  const feet = useList('feet').data ?? [];
  const refusal = (patch: Partial<Specs>) => {
    const result = machineSchema.safeParse({ ...specs, ...patch });
    return result.success ? null : firstIssueInWords(issuesOf(result.error), lengths);
  };
  const set = (patch: Partial<Specs>) =>
    change('machines', machine.id, { specs: { ...specs, ...patch } });
  const field = (label: string, value: number, patch: (mm: number) => Partial<Specs>) => (
    <LengthField
      fine
      label={label}
      value={value}
      refuse={(mm) => refusal(patch(mm))}
      onCommit={(mm) => mm !== null && set(patch(mm))}
    />
  );
  const [left, right] = specs.needleRangeMm;
  const plate = specs.plateHoleMm;
  const has = patternsOf(specs);
  return (
    <div className="grid gap-4">
      <PutBackCards machine={machine} />
      <div className="grid gap-4 sm:grid-cols-2">
        <TextField
          label="Machine"
          value={machine.name}
          onCommit={(name) => change('machines', machine.id, { name })}
        />
        <SelectField
          label="Kind"
          value={specs.kind}
          options={machineKinds.map((kind) => ({ value: kind, label: machineKindNames[kind] }))}
          // Stitches of another kind mean nothing on this one.
          onChange={(kind) => set({ kind: kind as MachineKind, patterns: null })}
        />
      </div>
      <NeedleLine specs={specs} />
      <p className="text-soft">
        Read the ranges off the dials; a step is what one click or one tap changes.
      </p>
      <div className="grid gap-4 sm:grid-cols-2 xl:grid-cols-3">
        {field('Widest stitch', specs.maxWidthMm, (maxWidthMm) => ({ maxWidthMm }))}
        {field('Width step', specs.widthStepMm, (widthStepMm) => ({ widthStepMm }))}
        {field('Longest stitch', specs.maxLengthMm, (maxLengthMm) => ({ maxLengthMm }))}
        {field('Length step', specs.lengthStepMm, (lengthStepMm) => ({ lengthStepMm }))}
        {field('Needle furthest left', left, (mm) => ({ needleRangeMm: [mm, right] }))}
        {field('Needle furthest right', right, (mm) => ({ needleRangeMm: [left, mm] }))}
        {field('Needle step', specs.needleStepMm, (needleStepMm) => ({ needleStepMm }))}
        {plate &&
          field('Plate hole, left end', plate[0], (mm) => ({ plateHoleMm: [mm, plate[1]] }))}
        {plate &&
          field('Plate hole, right end', plate[1], (mm) => ({ plateHoleMm: [plate[0], mm] }))}
        <LengthField
          fine
          optional
          label="Presser foot lifts"
          placeholder="about 6"
          value={specs.presserLiftMm ?? null}
          refuse={(mm) => refusal({ presserLiftMm: mm })}
          onCommit={(presserLiftMm) => set({ presserLiftMm })}
        />
        <LengthField
          fine
          optional
          label="Lever pushed further"
          placeholder={`${lengths.fine(2)} more`}
          value={specs.presserLiftHighMm ?? null}
          refuse={(mm) => refusal({ presserLiftHighMm: mm })}
          onCommit={(presserLiftHighMm) => set({ presserLiftHighMm })}
        />
      </div>
      {(specs.kind === 'overlocker' || specs.kind === 'coverstitch') && (
        <DifferentialFields specs={specs} refusal={refusal} set={set} />
      )}
      <Choice
        label="The length dial means"
        value={specs.lengthMeans ?? 'stitch'}
        options={[
          { value: 'stitch', label: 'one stitch' },
          { value: 'repeat', label: 'a whole repeat' },
        ]}
        onChange={(lengthMeans) => set({ lengthMeans })}
      />
      <fieldset>
        <legend className="mb-1 text-sm text-soft">Stitches it has</legend>
        <div className="grid gap-x-4 sm:grid-cols-2 xl:grid-cols-3">
          {patternsOfKind(specs.kind).map((pattern) => (
            <label key={pattern} className="flex min-h-9 items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                checked={has.includes(pattern)}
                disabled={has.length === 1 && has.includes(pattern)}
                onChange={(event) =>
                  set({
                    patterns: patternsOfKind(specs.kind).filter((one) =>
                      one === pattern ? event.target.checked : has.includes(one),
                    ),
                  })
                }
              />
              {stitchLabel(pattern)}
            </label>
          ))}
        </div>
      </fieldset>
      <fieldset>
        <legend className="mb-1 text-sm text-soft">
          How its feet are held; with none ticked any foot goes on
        </legend>
        <div className="flex flex-wrap gap-x-6">
          {shanks.map((shank) => (
            <label key={shank} className="flex min-h-9 items-center gap-2">
              <input
                type="checkbox"
                className="size-5"
                checked={specs.shanks?.includes(shank) ?? false}
                onChange={(event) => {
                  const next = shanks.filter((one) =>
                    one === shank ? event.target.checked : specs.shanks?.includes(one),
                  );
                  set({ shanks: next.length > 0 ? next : null });
                }}
              />
              {shankNames[shank]}
            </label>
          ))}
        </div>
      </fieldset>
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5"
          checked={Boolean(plate)}
          onChange={(event) =>
            set({
              plateHoleMm: event.target.checked
                ? [-specs.maxWidthMm / 2 - 1, specs.maxWidthMm / 2 + 1]
                : null,
            })
          }
        />
        The plate’s hole is measured
      </label>
      {hasStraightPlate(specs) && (
        <p className="text-soft">
          So small a hole is a straight-stitch plate: no stitch may swing.
        </p>
      )}
      <MachineUsual machine={machine} />
      <MemoryList machine={machine} />
      <FitList
        title="Feet that go on it"
        pairs={feet.map((foot) => ({ name: foot.name, machine, foot }))}
      />
    </div>
  );
}
