import type { EdgeForm } from '../../../../core/edge/form';
import type { CurveZone } from '../../../../core/edge/form';
import { Button } from '../../../controls/button';
import { SelectField } from '../../../controls/select-field';
import { FormLength, type FieldsOf } from './form-length';
import { ThreePoints } from './three-points';

type Curved = Extract<EdgeForm, { kind: 'curved' }>;
const curveSides = [
  { value: 'outside', label: 'outward' },
  { value: 'inside', label: 'inward' },
];
/** Where curves begin and end along an edge, and how tight they are. */
export function CurvedFields({ form, edge, set, refuse }: FieldsOf<Curved>) {
  const with_ = (i: number, patch: Partial<CurveZone>): Curved => ({
    ...form,
    curves: form.curves.map((curve, k) => (k === i ? { ...curve, ...patch } : curve)),
  });
  const last = Math.max(0, ...form.curves.map(({ toMm }) => toMm));
  const room = edge.lengthMm - last;
  return (
    <div className="col-span-full grid gap-2">
      {form.curves.map((curve, i) => (
        <fieldset key={i} className="grid grid-cols-2 gap-2 border-b border-line pb-2">
          <legend className="font-bold">Curve {i + 1}</legend>
          {(
            [
              ['fromMm', 'Begins at'],
              ['toMm', 'Ends at'],
              ['radiusMm', 'Radius'],
            ] as const
          ).map(([name, label]) => (
            <FormLength
              key={name}
              label={label}
              value={curve[name]}
              leastMm={name === 'radiusMm' ? 5 : 0}
              mostMm={100_000}
              make={(mm) => with_(i, { [name]: mm })}
              {...{ set, refuse }}
            />
          ))}
          <SelectField
            label="It curves"
            value={curve.side}
            options={curveSides}
            onChange={(side) => set(with_(i, { side: side as CurveZone['side'] }))}
          />
          <ThreePoints
            curve={`Curve ${i + 1}`}
            onRadius={(radiusMm) => set(with_(i, { radiusMm }))}
          />
          {form.curves.length > 1 && (
            <Button onClick={() => set({ ...form, curves: form.curves.filter((_, k) => k !== i) })}>
              Leave out curve {i + 1}
            </Button>
          )}
        </fieldset>
      ))}
      {room > 20 && (
        <Button
          onClick={() =>
            set({
              ...form,
              curves: [
                ...form.curves,
                {
                  ...{ fromMm: last + room * 0.25, toMm: last + room * 0.75 },
                  ...{ radiusMm: Math.max(50, room), side: 'outside' as const },
                },
              ],
            })
          }
        >
          Add a curve
        </Button>
      )}
    </div>
  );
}
