import { Search } from 'lucide-react';
import { useEffect, useState } from 'react';
import type { BookChoices } from '../../../contract/book';
import { LineChoice } from '../../controls/line-choice';
import { isNarrowed, type BookLook } from './use-book';

interface BookFiltersProps {
  readonly look: BookLook;
  readonly choices: BookChoices | undefined;
  onLook(patch: Partial<BookLook>): void;
}

/** A list to pick one of, beside others in a line. */
function Pick(props: {
  label: string;
  value: string;
  all: string;
  options: readonly { readonly id: string; readonly name: string; readonly scraps: number }[];
  onChange(value: string): void;
}) {
  const { label, value, all, options, onChange } = props;
  return (
    <select
      aria-label={label}
      className={`field min-w-0 basis-32 ${value ? 'border-pencil font-bold' : ''}`}
      value={value}
      onChange={(event) => onChange(event.target.value)}
    >
      <option value="">{all}</option>
      {options.map(({ id, name, scraps }) => (
        <option key={id} value={id}>
          {name} ({scraps})
        </option>
      ))}
    </select>
  );
}

/** A moment after the last key, so that not every letter asks the server. */
const typedAfterMs = 180;

/** What of the book to look at: words, a finish, a cloth, a machine, a foot, a verdict. */
export function BookFilters({ look, choices, onLook }: BookFiltersProps) {
  const [typed, setTyped] = useState<string | null>(null);
  useEffect(() => {
    if (typed === null || typed === look.q) return;
    const timer = setTimeout(() => onLook({ q: typed }), typedAfterMs);
    return () => clearTimeout(timer);
  }, [typed, look.q, onLook]);
  return (
    <div className="flex flex-wrap items-center gap-2 border-b border-line px-3 py-2">
      <span className="relative min-w-44 grow">
        <Search
          size={17}
          aria-hidden
          className="pointer-events-none absolute top-1/2 left-2.5 -translate-y-1/2 text-soft"
        />
        <input
          type="search"
          aria-label="Search the book"
          placeholder="Search: cloth, foot, finish, note"
          className="field pl-8!"
          maxLength={120}
          value={typed ?? look.q}
          onChange={(event) => setTyped(event.target.value)}
        />
      </span>
      <Pick
        label="Finish"
        all="every finish"
        value={look.finish}
        options={choices?.finishes ?? []}
        onChange={(finish) => onLook({ finish })}
      />
      <Pick
        label="Cloth"
        all="every cloth"
        value={look.clothId}
        options={choices?.cloths ?? []}
        onChange={(clothId) => onLook({ clothId })}
      />
      <Pick
        label="Foot"
        all="every foot"
        value={look.footId}
        options={choices?.feet ?? []}
        onChange={(footId) => onLook({ footId })}
      />
      <Pick
        label="Machine"
        all="every machine"
        value={look.machineId}
        options={choices?.machines ?? []}
        onChange={(machineId) => onLook({ machineId })}
      />
      <LineChoice<BookLook['verdict'] | 'all'>
        label="Verdict"
        value={look.verdict || 'all'}
        options={[
          ['all', 'all'],
          ['keep', '✓ worked'],
          ['nearly', '≈ nearly'],
          ['no', '✕ no'],
        ]}
        onChange={(verdict) => onLook({ verdict: verdict === 'all' ? '' : verdict })}
      />
      {isNarrowed(look) && (
        <button
          type="button"
          className="min-h-9 px-1 text-pencil underline underline-offset-2"
          onClick={() => {
            setTyped(null);
            onLook({ q: '', finish: '', clothId: '', machineId: '', footId: '', verdict: '' });
          }}
        >
          the whole book
        </button>
      )}
    </div>
  );
}
