import type { EdgeForm } from '../../../../core/edge/form';
import { NumberField } from '../../../controls/number-field';
import { FormLength, type FieldsOf } from './form-length';

type Taper = Extract<EdgeForm, { kind: 'taper' }>;
/** A leg or sleeve that tapers. */
export function TaperFields({ form, set, refuse }: FieldsOf<Taper>) {
  const field = (name: 'rawFlatMm' | 'landingFlatMm' | 'insideAllowanceMm', label: string) => (
    <FormLength
      label={label}
      value={form[name]}
      leastMm={name === 'insideAllowanceMm' ? 0 : 20}
      mostMm={name === 'insideAllowanceMm' ? 100 : 5000}
      make={(mm) => ({ ...form, [name]: mm })}
      {...{ set, refuse }}
    />
  );
  return (
    <>
      {field('rawFlatMm', 'Flat across the raw edge')}
      {field('landingFlatMm', 'Flat across where it lands')}
      {field('insideAllowanceMm', 'Allowance inside each seam')}
      <NumberField
        label="Seams that share it"
        unit=""
        value={form.seams}
        refuse={(n) => (Number.isInteger(n) && n >= 1 && n <= 8 ? null : 'One to eight seams.')}
        onCommit={(seams) => seams !== null && set({ ...form, seams })}
      />
    </>
  );
}
