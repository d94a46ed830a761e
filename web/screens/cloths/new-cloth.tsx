import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import * as z from 'zod';
import { constructions } from '../../../core/cloth/cloth';
import { weightClasses } from '../../../core/cloth/guesses';
import { clothDraft } from '../../../contract/cloth';
import { useLengths } from '../../ground/lengths-context';
import { useCreate } from '../../ground/records';
import { Button } from '../../controls/button';
import { FormDialog } from '../../controls/form-dialog';
import { LineChoice } from '../../controls/line-choice';
import { FormField } from '../../controls/text-field';
import { constructionNames } from '../../words/cloth';
import { likeDraft } from './like-draft';
import { plainKinds } from './plain-kinds';

const byTouch = z.object({
  name: clothDraft.shape.name,
  construction: z.enum(constructions),
  weightClass: z.enum(weightClasses),
});

interface NewClothProps {
  readonly open: boolean;
  onOpenChange(open: boolean): void;
  onMade(id: string): void;
}

/** A cloth described by touch. */
function ByTouch({ onOpenChange, onMade }: NewClothProps) {
  const create = useCreate('cloths');
  const form = useForm({
    resolver: zodResolver(byTouch),
    defaultValues: { name: '', construction: 'woven' as const, weightClass: 'medium' as const },
  });
  return (
    <form
      className="grid gap-4"
      onSubmit={form.handleSubmit(async ({ name, construction, weightClass }) => {
        const cloth = await create.mutateAsync({
          name,
          weightClass,
          tests: { construction },
          note: '',
        });
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
              {constructionNames[value]}
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
  );
}

/** Forty plain kinds, each put on the shelf with one press. */
function ByLikeness({ onMade, onOpenChange }: NewClothProps) {
  const create = useCreate('cloths');
  const { fine } = useLengths();
  const [text, setText] = useState('');
  const [put, setPut] = useState<readonly string[]>([]);
  const shown = plainKinds(text);
  return (
    <div className="flex min-h-0 flex-col gap-3">
      <input
        type="search"
        aria-label="Search the plain kinds"
        placeholder="Search forty plain kinds: denim, knit, silk …"
        className="field"
        value={text}
        onChange={(event) => setText(event.target.value)}
      />
      <ul aria-label="Plain kinds of cloth" className="h-72 overflow-y-auto border-y border-line">
        {shown.map((kind) => (
          <li
            key={kind.id}
            className="flex items-center gap-3 border-b border-line py-1 last:border-0"
          >
            <span className="min-w-0 grow">
              <span className="block truncate font-bold">{kind.name}</span>
              <span className="block truncate text-sm text-soft">
                about {kind.weightGsm} g/m² · {fine(kind.thicknessMm)} · {kind.construction}
              </span>
            </span>
            <Button
              className="min-h-10! px-3! py-1!"
              disabled={create.isPending}
              aria-label={`Put ${kind.name} on the shelf`}
              onClick={() =>
                create.mutate(likeDraft(kind), {
                  onSuccess: ({ id }) => {
                    setPut([...put, kind.name]);
                    onMade(id);
                  },
                })
              }
            >
              {put.includes(kind.name) ? '✓ there' : 'Put there'}
            </Button>
          </li>
        ))}
        {shown.length === 0 && <li className="py-3 text-soft">None is called that.</li>}
      </ul>
      {create.error && (
        <p role="alert" className="font-bold text-madder">
          {create.error.message}
        </p>
      )}
      <p className="text-sm text-soft" role="status">
        {put.length > 0
          ? `On the shelf now: ${put.join(', ')}. Rename and test them as you like.`
          : 'Their numbers are what such cloths usually have, until you test yours.'}
      </p>
      <Button look={put.length > 0 ? 'solid' : 'outline'} onClick={() => onOpenChange(false)}>
        {put.length > 0 ? `Go on with ${put.at(-1)}` : 'Leave the shelf as it is'}
      </Button>
    </div>
  );
}

/** A new cloth: by touch, or like one of forty plain kinds. */
export function NewCloth(props: NewClothProps) {
  const [way, setWay] = useState<'touch' | 'like'>('touch');
  return (
    <FormDialog title="A cloth for the shelf" open={props.open} onOpenChange={props.onOpenChange}>
      <div className="mb-4 border-b border-line">
        <LineChoice<'touch' | 'like'>
          label="How to describe it"
          value={way}
          options={[
            ['touch', 'By touch'],
            ['like', 'Like a plain kind'],
          ]}
          onChange={setWay}
        />
      </div>
      {way === 'touch' ? <ByTouch {...props} /> : <ByLikeness {...props} />}
    </FormDialog>
  );
}
