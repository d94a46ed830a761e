import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import { useNavigate } from 'react-router';
import { projectDraft } from '../../../contract/records';
import { useCreate } from '../../app/records';
import { Button } from '../../controls/button';
import { FormDialog } from '../../controls/form-dialog';
import { FormField } from '../../controls/text-field';

/** Asks for a new project's name. */
export function NewProject({
  open,
  onOpenChange,
}: {
  open: boolean;
  onOpenChange(open: boolean): void;
}) {
  const create = useCreate('projects');
  const navigate = useNavigate();
  const form = useForm({
    resolver: zodResolver(projectDraft),
    defaultValues: { name: '', note: '' },
  });
  const { errors } = form.formState;
  return (
    <FormDialog title="New project" open={open} onOpenChange={onOpenChange}>
      <form
        className="grid gap-4"
        onSubmit={form.handleSubmit(async (draft) => {
          const { id } = await create.mutateAsync(draft);
          await navigate(`/projects/${id}`);
        })}
      >
        <FormField
          label="Name"
          placeholder="Winter coat"
          trouble={errors.name?.message}
          {...form.register('name')}
        />
        <FormField label="Note" trouble={errors.note?.message} {...form.register('note')} />
        {create.error && (
          <p role="alert" className="font-bold text-madder">
            {create.error.message}
          </p>
        )}
        <Button type="submit" look="solid" disabled={create.isPending}>
          Make the project
        </Button>
      </form>
    </FormDialog>
  );
}
