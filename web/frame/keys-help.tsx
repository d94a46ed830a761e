import { Dialog } from 'radix-ui';
import { useKeysInForce } from './keys';
import type { useKeysHelp } from './use-keys-help';
import { Button } from '../controls/button';

/** The list of keys that do something here, as the parts of the page have given them. */
export function KeysHelp({ isOpen, close }: ReturnType<typeof useKeysHelp>) {
  const keys = useKeysInForce();
  return (
    <Dialog.Root open={isOpen} onOpenChange={(open) => !open && close()}>
      <Dialog.Portal>
        <Dialog.Overlay className="veil" />
        <Dialog.Content
          aria-describedby={undefined}
          className="slip fixed top-1/2 left-1/2 z-40 w-[28rem] max-w-[92vw] -translate-x-1/2 -translate-y-1/2 p-6"
        >
          <Dialog.Title className="mb-3 text-2xl">Keys</Dialog.Title>
          <dl className="mb-5 grid grid-cols-[auto_1fr] gap-x-4 gap-y-2">
            {keys.map(({ shown: key, does }) => (
              <div key={key + does} className="contents">
                <dt>
                  <kbd className="inline-block rounded-[3px] whitespace-nowrap border border-seam bg-paper px-2 py-0.5 font-bold">
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
