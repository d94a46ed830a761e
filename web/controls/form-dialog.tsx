import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

interface FormDialogProps {
  readonly title: string;
  readonly open: boolean;
  onOpenChange(open: boolean): void;
  /** With room for two fields beside each other, or for a picture beside them. */
  readonly wide?: boolean | 'picture';
  readonly children: ReactNode;
}

/** A small form in front of the page; the cross and Escape leave without a trace. */
export function FormDialog({ title, open, onOpenChange, wide, children }: FormDialogProps) {
  return (
    <Dialog.Root open={open} onOpenChange={onOpenChange}>
      <Dialog.Portal>
        <Dialog.Overlay className="veil" />
        <Dialog.Content
          aria-describedby={undefined}
          className={`slip fixed top-1/2 left-1/2 z-40 max-h-[92vh] max-w-[94vw] -translate-x-1/2 -translate-y-1/2 overflow-y-auto p-5 ${wide === 'picture' ? 'w-[64rem]' : wide ? 'w-[38rem]' : 'w-[30rem]'}`}
        >
          <div className="mb-3 flex items-start justify-between gap-4">
            <Dialog.Title className="text-2xl">{title}</Dialog.Title>
            <Dialog.Close
              aria-label="Close"
              className="flex size-10 shrink-0 items-center justify-center rounded-[3px] hover:bg-cloth"
            >
              <X size={20} aria-hidden />
            </Dialog.Close>
          </div>
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
