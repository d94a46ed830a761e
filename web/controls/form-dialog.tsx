import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

interface FormDialogProps {
  readonly title: string;
  readonly open: boolean;
  onOpenChange(open: boolean): void;
  readonly children: ReactNode;
}

/** A small form in front of the page; Escape leaves without a trace. */
export function FormDialog({ title, open, onOpenChange, children }: FormDialogProps) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="slip fixed top-1/2 left-1/2 max-h-[90vh] w-[30rem] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 overflow-y-auto p-6"
        >
          <Dialog.Title className="mb-4 text-2xl">{title}</Dialog.Title>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
