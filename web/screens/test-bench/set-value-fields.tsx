import { LengthField } from '../../controls/length-field';
import { NumberField } from '../../controls/number-field';
import { TextField } from '../../controls/text-field';
import { codeInWords, codeOfWords } from '../../words/value-codes';
import type { ScrapDraft } from './scrap-draft';
import type { SetValue } from './set-values';

/** What is set or put in besides the solved dials, as it stands now; a scrap remembers it. */
export function SetValueFields(props: {
  values: readonly SetValue[];
  draft: ScrapDraft;
  set: (patch: Partial<ScrapDraft>) => void;
}) {
  const { values, draft, set } = props;
  return values.map(({ id, name, unit, now }) => {
    const commit = (value: number | string) =>
      set({ dialValues: { ...draft.dialValues, [id]: value } });
    if (typeof now !== 'number') {
      return (
        <div key={id} className="col-span-2">
          <TextField
            label={name}
            value={codeInWords(id, now)}
            most={200}
            onCommit={(typed) => commit(codeOfWords(id, typed))}
          />
        </div>
      );
    }
    return unit === 'mm' ? (
      <LengthField
        key={id}
        fine
        label={name}
        value={now}
        refuse={(mm) => (mm >= 0 && mm <= 100 ? null : 'This cannot be so on a machine.')}
        onCommit={(mm) => mm !== null && commit(mm)}
      />
    ) : (
      <NumberField
        key={id}
        label={name}
        unit=""
        value={now}
        refuse={(it) => (it >= 0 && it <= 1000 ? null : 'From 0 to 1000.')}
        onCommit={(it) => it !== null && commit(it)}
      />
    );
  });
}
