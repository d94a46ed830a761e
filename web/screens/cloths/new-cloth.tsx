import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import * as z from 'zod';
import { constructions } from '../../../core/cloth/cloth';
import { weightClasses } from '../../../core/cloth/guesses';
import { clothDraft } from '../../../contract/cloth';
import { useCreate } from '../../app/records';
import { Button } from '../../controls/button';
import { FormDialog } from '../../controls/form-dialog';
import { FormField } from '../../controls/text-field';

const byTouch = z.object({
  name: clothDraft.shape.name,
  construction: z.enum(constructions),
  weightClass: z.enum(weightClasses),
});

const constructionWords = {
  woven: 'woven',
  knit: 'knit',
  pile: 'pile: towelling, velvet, plush',
  felted: 'felted or boiled',
  sheer: 'sheer',
};

/** A cloth described by touch; the home tests can follow at leisure. */
export function NewCloth(props: {
  open: boolean;
  onOpenChange(open: boolean): void;
  onMade(id: string): void;
}) {
  const { open, onOpenChange, onMade } = props;
  const create = useCreate('cloths');
  const form = useForm({
    resolver: zodResolver(byTouch),
    defaultValues: { name: '', construction: 'woven' as const, weightClass: 'medium' as const },
  });
  return (
    <FormDialog title="A new cloth" open={open} onOpenChange={onOpenChange}>
      <form
        className="grid gap-4"
        onSubmit={form.handleSubmit(async ({ name, construction, weightClass }) => {
          const cloth = await create.mutateAsync({
            name,
            weightClass,
            tests: { construction },
            note: '',
          });
          form.reset();
          onOpenChange(false);
          onMade(cloth.id);
        })}
      >
        <FormField
          label="Name"
          placeholder="Cotton shirting, blue stripe"
          trouble={form.formState.errors.name?.message}
          {...form.register('name')}
        />
        <label className="block">
          <span className="mb-1 block text-sm text-soft">How it is made</span>
          <select className="field font-bold" {...form.register('construction')}>
            {constructions.map((value) => (
              <option key={value} value={value}>
                {constructionWords[value]}
              </option>
            ))}
          </select>
        </label>
        <label className="block">
          <span className="mb-1 block text-sm text-soft">How it weighs in the hand</span>
          <select className="field font-bold" {...form.register('weightClass')}>
            {weightClasses.map((value) => (
              <option key={value}>{value}</option>
            ))}
          </select>
        </label>
        <p className="text-sm text-soft">
          Weight, thickness and the rest are guessed from this until you test them.
        </p>
        {create.error && (
          <p role="alert" className="font-bold text-madder">
            {create.error.message}
          </p>
        )}
        <Button type="submit" look="solid" disabled={create.isPending}>
          Put it on the shelf
        </Button>
      </form>
    </FormDialog>
  );
}
