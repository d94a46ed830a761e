import type { EdgeForm } from '../../../../core/edge/form';
import type { LegMarks } from '../../../../core/edge/form';
import { FormLength, type FieldsOf } from './form-length';

type Slant = Extract<EdgeForm, { kind: 'slant' }>;
/** A leg with a slanting hem; both legs where they differ. */
export function SlantFields({ form, set, refuse }: FieldsOf<Slant>) {
  const marks = (leg: 'left' | 'right', of: LegMarks, name: string) =>
    (['frontMm', 'backMm'] as const).map((end) => (
      <FormLength
        key={`${leg} ${end}`}
        label={`${end === 'frontMm' ? 'Front' : 'Back'} mark${name}`}
        value={of[end]}
        leastMm={10}
        mostMm={3000}
        make={(mm) => ({ ...form, [leg]: { ...of, [end]: mm } })}
        {...{ set, refuse }}
      />
    ));
  return (
    <>
      <FormLength
        label="Leg, flat across"
        value={form.flatWidthMm}
        leastMm={20}
        mostMm={5000}
        make={(flatWidthMm) => ({ ...form, flatWidthMm })}
        {...{ set, refuse }}
      />
      <label className="flex min-h-11 items-center gap-2 self-end">
        <input
          type="checkbox"
          className="size-5 accent-pencil"
          checked={form.right !== null}
          onChange={(event) => set({ ...form, right: event.target.checked ? form.left : null })}
        />
        The right leg differs
      </label>
      {marks('left', form.left, form.right ? ', left leg' : ', from the waist')}
      {form.right && marks('right', form.right, ', right leg')}
    </>
  );
}
