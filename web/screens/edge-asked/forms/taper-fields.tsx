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
  const right = form.right ?? null;
  const other = (name: 'rawFlatMm' | 'landingFlatMm', label: string) =>
    right && (
      <FormLength
        label={label}
        value={right[name]}
        leastMm={20}
        mostMm={5000}
        make={(mm) => ({ ...form, right: { ...right, [name]: mm } })}
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
      <label className="col-span-full flex min-h-11 items-center gap-2">
        <input
          type="checkbox"
          className="size-5 accent-pencil"
          checked={right !== null}
          onChange={(event) => {
            const { rawFlatMm, landingFlatMm } = form;
            set({ ...form, right: event.target.checked ? { rawFlatMm, landingFlatMm } : null });
          }}
        />
        The right leg differs
      </label>
      {other('rawFlatMm', 'Right leg, across the raw edge')}
      {other('landingFlatMm', 'Right leg, where it lands')}
    </>
  );
}
