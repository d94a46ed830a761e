import { Trash2 } from 'lucide-react';
import { AlertDialog } from 'radix-ui';
import { Button } from './button';

/** Removes something after asking once; undo brings it back. */
export function RemoveButton({
  what,
  consequence,
  onRemove,
}: {
  what: string;
  consequence: string;
  onRemove(): void;
}) {
  return (
    <AlertDialog.Root>
      <AlertDialog.Trigger asChild>
        <button
          type="button"
          aria-label={`Remove ${what}`}
          className="grid size-11 place-items-center rounded-[3px] text-soft hover:bg-cloth hover:text-madder"
        >
          <Trash2 size={18} aria-hidden />
        </button>
      </AlertDialog.Trigger>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="veil" />
        <AlertDialog.Content className="slip fixed top-1/2 left-1/2 z-40 w-[26rem] max-w-[92vw] -translate-x-1/2 -translate-y-1/2 p-6">
          <AlertDialog.Title className="mb-2 text-xl">Remove {what}?</AlertDialog.Title>
          <AlertDialog.Description className="mb-4 text-soft">
            {consequence} Undo brings it back.
          </AlertDialog.Description>
          <div className="flex gap-3">
            <AlertDialog.Action asChild>
              <Button look="danger" onClick={onRemove}>
                Remove
              </Button>
            </AlertDialog.Action>
            <AlertDialog.Cancel asChild>
              <Button>Keep it</Button>
            </AlertDialog.Cancel>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
