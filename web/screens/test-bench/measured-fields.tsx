import type { AttemptDraft } from '../../../contract/records';
import type { Issue } from '../../../core/impossible';
import { useLengths } from '../../ground/lengths-context';
import { LengthField } from '../../controls/length-field';
import { issueInWords } from '../../words/refusals';
import type { ScrapDraft } from './scrap-draft';

type Measured = AttemptDraft['measured'];

/** What was measured on a looped edge; null where the length after was left out. */
export function measuredOf({ beforeMm, afterMm, lockMm }: ScrapDraft): Measured {
  return beforeMm === null || afterMm === null ? null : { beforeMm, afterMm, lockMm };
}

/** Whether trouble belongs to what was measured, by its path. */
export const isMeasured = (path: string): boolean => /^measured|^dialValues/.test(path);

interface MeasuredFieldsProps {
  readonly draft: ScrapDraft;
  set(patch: Partial<ScrapDraft>): void;
  readonly issues: readonly Issue[];
}

/** A looped edge is measured, not guessed at: a marked length, and where the threads lock. */
export function MeasuredFields({ draft, set, issues }: MeasuredFieldsProps) {
  const lengths = useLengths();
  const wrong = issues.filter(({ path }) => isMeasured(path));
  return (
    <section aria-label="Measured" className="border-b border-line py-1.5">
      <b>Measure it</b>{' '}
      <span className="text-sm text-soft">
        two marks before sewing; after it lay the scrap down without pulling
      </span>
      <div className="grid grid-cols-2 gap-x-3 gap-y-1 pt-1">
        <LengthField
          compact
          label="Marks, before"
          value={draft.beforeMm}
          optional
          refuse={(mm) =>
            mm >= 20 && mm <= 5000 ? null : `From ${lengths.cloth(20)} to ${lengths.cloth(5000)}.`
          }
          onCommit={(beforeMm) => set({ beforeMm })}
        />
        <LengthField
          compact
          label="Marks, after"
          value={draft.afterMm}
          optional
          placeholder="–"
          refuse={(mm) =>
            mm >= 5 && mm <= 10_000 ? null : `From ${lengths.cloth(5)} to ${lengths.cloth(10_000)}.`
          }
          onCommit={(afterMm) => set({ afterMm })}
        />
      </div>
      <div className="grid grid-cols-2 items-end gap-x-3 pt-1">
        <LengthField
          fine
          compact
          label="Loopers lock"
          value={draft.lockMm}
          optional
          placeholder="–"
          refuse={(mm) => (mm >= -10 && mm <= 10 ? null : 'Within a finger’s width of the edge.')}
          onCommit={(lockMm) => set({ lockMm })}
        />
        <span className="pb-1 text-sm leading-tight text-soft">
          from the edge: + on top, − underneath
        </span>
      </div>
      {wrong.map((issue) => (
        <p key={issue.path} role="alert" className="text-sm font-bold text-madder">
          {issueInWords(issue, lengths)}
        </p>
      ))}
    </section>
  );
}
