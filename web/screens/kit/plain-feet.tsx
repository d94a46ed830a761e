import { useState } from 'react';
import { genericFeet } from '../../../core/kit/generic-feet';
import { useCreate } from '../../ground/records';
import { Button } from '../../controls/button';
import { FormDialog } from '../../controls/form-dialog';
import { SmallFoot } from '../../pictures/small-foot';
import { footKindNames } from '../../words/kit';

interface PlainFeetProps {
  readonly open: boolean;
  onOpenChange(open: boolean): void;
  onMade(id: string): void;
}

/** Twenty plain feet and attachments, each put into the drawer with one press. */
export function PlainFeet({ open, onOpenChange, onMade }: PlainFeetProps) {
  const create = useCreate('feet');
  const [put, setPut] = useState<readonly string[]>([]);
  return (
    <FormDialog title="A foot of a plain kind" open={open} onOpenChange={onOpenChange}>
      <ul aria-label="Plain feet" className="h-96 overflow-y-auto border-y border-line">
        {genericFeet.map((foot) => (
          <li
            key={foot.id}
            className="flex items-center gap-3 border-b border-line py-1 last:border-0"
          >
            <SmallFoot foot={foot} />
            <span className="min-w-0 grow">
              <span className="block font-bold">{foot.name}</span>
              <span className="block text-sm text-soft">{footKindNames[foot.kind]}</span>
            </span>
            <Button
              className="min-h-10! px-3! py-1!"
              disabled={create.isPending}
              aria-label={`Put ${foot.name} into the drawer`}
              onClick={() => {
                const { id, ...draft } = foot;
                create.mutate(
                  { ...draft, note: '' },
                  {
                    onSuccess: (made) => {
                      setPut([...put, id]);
                      onMade(made.id);
                    },
                  },
                );
              }}
            >
              {put.includes(foot.id) ? '✓ there' : 'Put there'}
            </Button>
          </li>
        ))}
      </ul>
      {create.error && (
        <p role="alert" className="pt-2 font-bold text-madder">
          {create.error.message}
        </p>
      )}
      <p className="pt-2 text-sm text-soft">
        Their measures are what such feet usually have. Lay a ruler on yours and correct them.
      </p>
    </FormDialog>
  );
}
