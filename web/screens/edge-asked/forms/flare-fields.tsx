import type { EdgeForm } from '../../../../core/edge/form';
import { NumberField } from '../../../controls/number-field';
import { SelectField } from '../../../controls/select-field';
import { FormLength, type FieldsOf } from './form-length';

type Flare = Extract<EdgeForm, { kind: 'flare' }>;
const flareWays = [
  { value: 'fraction', label: 'part of a circle' },
  { value: 'radius', label: 'radius' },
  { value: 'hip', label: 'hips and hem' },
];
/** A part of a circle, by whichever measure there is. */
export function FlareFields({ form, edge, set, refuse }: FieldsOf<Flare>) {
  const radiusMm = edge.minRadiusMm ?? edge.lengthMm;
  const begun: Readonly<Record<string, Flare>> = {
    fraction: {
      ...{ kind: 'flare', by: 'fraction' },
      fraction: Math.round((100 * edge.lengthMm) / (2 * Math.PI * radiusMm)) / 100,
    },
    radius: { kind: 'flare', by: 'radius', radiusMm: Math.round(radiusMm) },
    hip: { kind: 'flare', by: 'hip', hipMm: Math.round(edge.lengthMm / 2), heightMm: 500 },
  };
  return (
    <>
      <SelectField
        label="Measured by"
        value={form.by}
        options={flareWays}
        onChange={(by) => begun[by] && set(begun[by])}
      />
      {form.by === 'fraction' && (
        <NumberField
          label="Part of a circle (1: all of it)"
          unit=""
          value={form.fraction}
          refuse={(fraction) =>
            fraction >= 0.05 && fraction <= 3
              ? refuse({ ...form, fraction })
              : 'A part is between 0.05 and 3 circles.'
          }
          onCommit={(fraction) => fraction !== null && set({ ...form, fraction })}
        />
      )}
      {form.by === 'radius' && (
        <FormLength
          label="Radius of the hem"
          value={form.radiusMm}
          leastMm={5}
          make={(mm) => ({ ...form, radiusMm: mm })}
          {...{ set, refuse }}
        />
      )}
      {form.by === 'hip' && (
        <>
          <FormLength
            label="Round the hips"
            value={form.hipMm}
            leastMm={10}
            make={(hipMm) => ({ ...form, hipMm })}
            {...{ set, refuse }}
          />
          <FormLength
            label="From hips to hem"
            value={form.heightMm}
            leastMm={10}
            mostMm={5000}
            make={(heightMm) => ({ ...form, heightMm })}
            {...{ set, refuse }}
          />
        </>
      )}
    </>
  );
}
