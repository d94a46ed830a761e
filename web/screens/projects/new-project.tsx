import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import * as z from 'zod';
import { title } from '../../../contract/title';
import type { ProjectRecord } from '../../../contract/records';
import { garmentKinds, type GarmentKind } from '../../../core/garment/garment';
import { usualGarment } from '../../../core/garment/kinds';
import { send } from '../../ground/api';
import { reloadAll, useCreate, useList, writer } from '../../ground/records';
import { Button } from '../../controls/button';
import { FormDialog } from '../../controls/form-dialog';
import { PictureChoice } from '../../controls/picture-choice';
import { SelectField } from '../../controls/select-field';
import { FormField } from '../../controls/text-field';
import { GarmentSketch } from '../../pictures/garment-sketch';
import { garmentNames } from '../../words/order';
import { capital, counted } from '../../words/number';

type Kind = GarmentKind | 'none';

/** What a garment of a kind begins with, in a line. */
const beginsWith = (kind: Kind): string => {
  if (kind === 'none') return 'Empty; add edges one by one.';
  const { edges } = usualGarment(kind);
  const seams = edges.filter(({ edge }) => edge.purpose === 'seam').length;
  const rest = counted(edges.length - seams, 'edge');
  return `Begins with ${rest}${seams > 0 ? ` and ${counted(seams, 'seam')}` : ''} in their usual order; all of it can be changed.`;
};

/** Asks for a new project's name and what it is. */
export function NewProject({
  open,
  onOpenChange,
}: {
  open: boolean;
  onOpenChange(open: boolean): void;
}) {
  const create = useCreate('projects');
  const cloths = (useList('cloths').data ?? []).filter(({ readyMade }) => !readyMade);
  const navigate = useNavigate();
  const [kind, setKind] = useState<Kind>('none');
  const [picked, pick] = useState('');
  const clothId = picked || (cloths[0]?.id ?? '');
  const [refused, setRefused] = useState<string | null>(null);
  const form = useForm({
    resolver: zodResolver(
      z.object({ name: title('project'), note: z.string().max(2000, 'At most 2000 characters.') }),
    ),
    defaultValues: { name: '', note: '' },
  });
  const { errors } = form.formState;
  const make = async ({ name, note }: { name: string; note: string }) => {
    setRefused(null);
    const { id } =
      kind === 'none'
        ? await create.mutateAsync({ name, note })
        : await writer.during(async () => {
            const project = await send<ProjectRecord>('POST', 'garments', {
              ...{ kind, name, note, clothId },
            });
            await reloadAll();
            return project;
          });
    await navigate(kind === 'none' ? `/projects/${id}` : `/projects/${id}/order`);
  };
  const chooseKind = (next: Kind) => {
    const usual = (of: Kind) => (of === 'none' ? '' : capital(garmentNames[of]));
    if (form.getValues('name') === usual(kind)) form.setValue('name', usual(next));
    setKind(next);
  };
  return (
    <FormDialog title="New project" open={open} onOpenChange={onOpenChange} wide>
      <form
        className="grid gap-4"
        onSubmit={form.handleSubmit((draft) =>
          make(draft).catch((error: unknown) =>
            setRefused(error instanceof Error ? error.message : String(error)),
          ),
        )}
      >
        <PictureChoice
          wraps
          label="What is it?"
          value={kind}
          options={(['none', ...garmentKinds] as const).map((one) => ({
            value: one,
            label: one === 'none' ? 'something else' : garmentNames[one],
            picture: <GarmentSketch kind={one === 'none' ? null : one} />,
            about: beginsWith(one),
          }))}
          onChange={chooseKind}
        />
        <FormField
          label="Name"
          placeholder="Winter coat"
          trouble={errors.name?.message}
          {...form.register('name')}
        />
        <FormField label="Note" trouble={errors.note?.message} {...form.register('note')} />
        {kind !== 'none' &&
          (cloths.length === 0 ? (
            <p role="alert" className="font-bold text-madder">
              The cloth shelf is empty: put the cloth on it first.
            </p>
          ) : (
            <SelectField
              label="Cloth"
              value={clothId}
              options={cloths.map(({ id, name }) => ({ value: id, label: name }))}
              onChange={pick}
            />
          ))}
        {refused && (
          <p role="alert" className="font-bold text-madder">
            {refused}
          </p>
        )}
        <Button
          type="submit"
          look="solid"
          disabled={
            create.isPending || form.formState.isSubmitting || (kind !== 'none' && clothId === '')
          }
        >
          Make the project
        </Button>
      </form>
    </FormDialog>
  );
}
