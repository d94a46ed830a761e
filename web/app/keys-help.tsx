import { Dialog } from 'radix-ui';
import type { useKeysHelp } from './use-keys-help';
import { Button } from '../controls/button';

const keys: readonly (readonly [key: string, does: string])[] = [
  ['1 – 6', 'go to a station of the edge'],
  ['[ and ]', 'move the dial in focus by one machine step'],
  ['↑ ↓', 'the same, while a dial is being typed in'],
  ['↑ ↓ ← →', 'on the margin map: move width and needle by one step'],
  ['t', 'log a test scrap'],
  ['← →', 'fold one step back or on, at the folds; turn the cards of the book'],
  ['Space', 'turn a card of the book over'],
  ['↑ ↓ Home End', 'go through the table of the book'],
  ['Ctrl Z', 'undo; with Shift, redo'],
  ['Enter', 'take what was typed; Esc leaves it as it was'],
  ['?', 'this list'],
];

/** The list of keys. */
export function KeysHelp({ isOpen, close }: ReturnType<typeof useKeysHelp>) {
  return (
    <Dialog.Root open={isOpen} onOpenChange={(open) => !open && close()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 bg-black/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="slip fixed top-1/2 left-1/2 w-[28rem] max-w-[92vw] -translate-x-1/2 -translate-y-1/2 p-6"
        >
          <Dialog.Title className="mb-3 text-2xl">Keys</Dialog.Title>
          <dl className="mb-5 grid grid-cols-[6rem_1fr] gap-y-2">
            {keys.map(([key, does]) => (
              <div key={key} className="contents">
                <dt>
                  <kbd className="rounded-[3px] border border-seam bg-paper px-2 py-0.5 font-bold">
                    {key}
                  </kbd>
                </dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
          <Dialog.Close asChild>
            <Button look="solid">Close</Button>
          </Dialog.Close>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
