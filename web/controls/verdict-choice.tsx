import { verdicts, type Verdict } from '../../contract/records';
import { verdictWords } from '../words/verdicts';

interface VerdictChoiceProps {
  readonly value: Verdict | null;
  onChange(value: Verdict | null): void;
}

/** Keep, nearly, no: one of three, or none yet; pressing again takes it back. */
export function VerdictChoice({ value, onChange }: VerdictChoiceProps) {
  return (
    <div role="group" aria-label="Your verdict" className="grid grid-cols-3 gap-1.5 py-1.5">
      {verdicts.map((verdict) => {
        const { name, sign, text, frame } = verdictWords[verdict];
        const chosen = value === verdict;
        return (
          <button
            key={verdict}
            type="button"
            aria-pressed={chosen}
            className={`min-h-11 rounded-[3px] border bg-slip ${chosen ? `border-2 font-bold ${frame} ${text}` : 'border-seam hover:bg-cloth'}`}
            onClick={() => onChange(chosen ? null : verdict)}
          >
            <span aria-hidden>{sign} </span>
            {name}
          </button>
        );
      })}
    </div>
  );
}
