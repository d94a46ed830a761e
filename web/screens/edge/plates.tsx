import { mostPlates, platesFor } from '../../../core/seam/plates';
import { useLengths } from '../../ground/lengths-context';
import { change, useRecord } from '../../ground/records';
import { LengthField } from '../../controls/length-field';

const unowned: readonly number[] = [];

/** The levelling plates one owns, each by how thick it is, mm. */
export const usePlates = (): readonly number[] =>
  useRecord('preferences', 'mine').data?.platesMm ?? unowned;

/** A shim told in the plates one owns; nothing where one owns none. */
export function Plates({ shimMm }: { shimMm: number }) {
  const { fine } = useLengths();
  const owned = usePlates();
  const stack = platesFor(shimMm, owned);
  if (!stack) return null;
  const sum = stack.platesMm.length > 1 ? `, ${fine(stack.heightMm)} together` : '';
  return (
    <>
      , or of your plates {stack.platesMm.map((mm) => fine(mm)).join(' and ')}
      {sum}
    </>
  );
}

/** The plates one owns, to be named once. */
export function PlatesOwned() {
  const lengths = useLengths();
  const owned = usePlates();
  const set = (platesMm: readonly number[]) =>
    change('preferences', 'mine', { platesMm: [...platesMm] });
  return (
    <details className="border-t border-line pt-1 text-sm">
      <summary className="min-h-8 cursor-pointer pt-1 text-soft">
        Levelling plates you own:{' '}
        {owned.length === 0 ? 'none named' : owned.map((mm) => lengths.fine(mm)).join(', ')}
      </summary>
      <div className="flex flex-wrap items-end gap-2 pb-1">
        {owned.map((plateMm, i) => (
          <LengthField
            key={`${i} ${owned.length}`}
            fine
            optional
            label={`Plate ${i + 1}`}
            value={plateMm}
            refuse={refuse}
            onCommit={(mm) =>
              set(
                mm === null
                  ? owned.filter((_, k) => k !== i)
                  : owned.map((other, k) => (k === i ? mm : other)),
              )
            }
          />
        ))}
        {owned.length < mostPlates && (
          <LengthField
            key={`more ${owned.length}`}
            fine
            optional
            label="One more"
            placeholder="thickness"
            value={null}
            refuse={refuse}
            onCommit={(mm) => mm !== null && set([...owned, mm])}
          />
        )}
      </div>
      <p className="text-soft">Empty a field to take a plate out.</p>
    </details>
  );
}

/** Why a plate can't be so thick. */
const refuse = (mm: number): string | null =>
  mm >= 0.3 && mm <= 12 ? null : 'A plate is 0.3 to 12 mm thick.';
