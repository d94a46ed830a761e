import type { EdgeForm } from '../../../../core/edge/form';
import type { Side } from '../../../../core/edge/form';
import { NumberField } from '../../../controls/number-field';
import { FormLength, type FieldsOf } from './form-length';

type Cornered = Extract<EdgeForm, { kind: 'cornered' }>;
/** Sides and corners; of a rectangle two sides say all four. */
export function CorneredFields({ form, set, refuse }: FieldsOf<Cornered>) {
  const { sides } = form;
  const with_ = (patch: (side: Side, i: number) => Partial<Side>): Cornered => ({
    ...form,
    sides: sides.map((side, i) => ({ ...side, ...patch(side, i) })),
  });
  const rectangle = sides.length === 4 && sides.every(({ angleDegrees }) => angleDegrees === 90);
  const allMitred = sides.every(({ mitred }) => mitred);
  // Of a rectangle two sides say all four; of anything else each is asked.
  const asked = rectangle ? sides.slice(0, 2) : sides;
  const same = (i: number, k: number) => (rectangle ? i % 2 === k % 2 : i === k);
  return (
    <>
      {asked.map((side, i) => (
        <FormLength
          key={i}
          label={rectangle ? (i === 0 ? 'Width' : 'Height') : `Side ${i + 1}`}
          value={side.lengthMm}
          leastMm={5}
          make={(lengthMm) => with_((_, k) => (same(i, k) ? { lengthMm } : {}))}
          {...{ set, refuse }}
        />
      ))}
      {!rectangle &&
        sides.map((side, i) => (
          <NumberField
            key={`angle ${i}`}
            label={`Corner after side ${i + 1}`}
            unit="°"
            value={side.angleDegrees}
            refuse={(angleDegrees) =>
              angleDegrees >= 1 && angleDegrees <= 359
                ? refuse(with_((_, k) => (k === i ? { angleDegrees } : {})))
                : 'A corner is 1 to 359°.'
            }
            onCommit={(angleDegrees) =>
              angleDegrees !== null && set(with_((_, k) => (k === i ? { angleDegrees } : {})))
            }
          />
        ))}
      <label className="flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5 accent-pencil"
          checked={allMitred}
          onChange={(event) => set(with_(() => ({ mitred: event.target.checked })))}
        />
        Corners are mitred
      </label>
    </>
  );
}
