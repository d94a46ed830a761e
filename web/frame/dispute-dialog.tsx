import { AlertDialog } from 'radix-ui';
import { Button } from '../controls/button';
import { fieldInWords, valueInWords } from '../words/fields';
import { settleDispute, type Dispute } from '../ground/disputes';
import { useLengths } from '../ground/lengths-context';
import { writer } from '../ground/records';

/** Asks which of two changes of the same field is to stand; shows both. */
export function DisputeDialog({ dispute }: { dispute: Dispute }) {
  const lengths = useLengths();
  const keepMine = () => {
    const patch = Object.fromEntries(dispute.fields.map(({ field, mine }) => [field, mine]));
    writer.change(dispute.resource, dispute.id, patch);
    settleDispute();
  };
  return (
    <AlertDialog.Root open>
      <AlertDialog.Portal>
        <AlertDialog.Overlay className="veil" />
        <AlertDialog.Content className="slip fixed top-1/2 left-1/2 z-40 max-h-[90vh] w-[min(40rem,94vw)] -translate-1/2 overflow-y-auto px-6 py-5">
          <AlertDialog.Title className="font-head text-2xl font-semibold">
            {dispute.name ? `“${dispute.name}” was` : 'This was'} changed elsewhere meanwhile
          </AlertDialog.Title>
          <AlertDialog.Description className="pb-3 text-soft">
            Somebody set the same to something else while you were at it. Which is to stand?
          </AlertDialog.Description>
          <dl className="grid grid-cols-[auto_minmax(0,1fr)_minmax(0,1fr)] gap-x-5 gap-y-2 border-y border-line py-3">
            <dt className="sr-only">Field</dt>
            <dd className="col-start-2 text-sm text-soft">Yours</dd>
            <dd className="text-sm text-soft">Theirs, stored now</dd>
            {dispute.fields.map(({ field, mine, theirs }) => (
              <div key={field} className="contents">
                <dt className="text-soft">{fieldInWords(field)}</dt>
                <dd className="font-bold break-words">{valueInWords(field, mine, lengths)}</dd>
                <dd className="font-bold break-words">{valueInWords(field, theirs, lengths)}</dd>
              </div>
            ))}
          </dl>
          <div className="flex flex-wrap gap-3 pt-4">
            <AlertDialog.Action asChild>
              <Button onClick={keepMine}>Set it to mine</Button>
            </AlertDialog.Action>
            <AlertDialog.Cancel asChild>
              <Button onClick={settleDispute}>Leave theirs</Button>
            </AlertDialog.Cancel>
          </div>
        </AlertDialog.Content>
      </AlertDialog.Portal>
    </AlertDialog.Root>
  );
}
