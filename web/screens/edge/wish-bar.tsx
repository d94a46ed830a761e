import { useMemo, type ReactNode } from 'react';
import type { Considered } from '../../../core/choose/consider';
import { overtakings, type Overtaking } from '../../../core/choose/overtake';
import { presets, wishNames, type WishName, type Wishes } from '../../../core/choose/request';
import { finishById } from '../../../core/finish/catalogue';
import { LineSlider } from '../../controls/line-slider';
import { SelectField } from '../../controls/select-field';
import { useWishes } from '../../bench/use-wishes';

const names: Readonly<Record<WishName, string>> = {
  hidden: 'not seen',
  sturdy: 'sturdy',
  light: 'light',
  quick: 'quick',
  decorative: 'decorative',
};

/** Where a wish would have to stand for another finish to lead; the wishes run from 0 to 10. */
function overtakingInWords({ at, finishId }: Overtaking, now: number): string {
  const place = Math.round(at * 10);
  return `${at > now ? 'from' : 'down to'} ${place}: ${finishById(finishId)?.name ?? finishId}`;
}

interface WishBarProps {
  readonly planId: string;
  /** What was worked out of every finish; empty until it is there. */
  readonly considered: readonly Considered[];
  /** What stands beside the preset. */
  readonly children: ReactNode;
}

/** What one would like of the finish: a plain preset, or five wishes, and what each would put first. */
export function WishBar({ planId, considered, children }: WishBarProps) {
  const [wishes, setWishes] = useWishes(planId);
  const next = useMemo(() => overtakings(considered, wishes), [considered, wishes]);
  const preset = presets.find((it) =>
    wishNames.every((name) => Math.abs(it.wishes[name] - wishes[name]) < 0.005),
  );
  return (
    <div className="border-b border-line px-3 pt-1">
      <div className="flex flex-wrap items-end gap-2">
        <div className="w-44 xl:w-52">
          <SelectField
            label="What I want"
            value={preset?.name ?? 'own'}
            options={[
              ...presets.map(({ name }) => ({ value: name, label: name })),
              ...(preset ? [] : [{ value: 'own', label: 'My own mixture' }]),
            ]}
            onChange={(name) => {
              const chosen = presets.find((it) => it.name === name);
              if (chosen) setWishes(chosen.wishes);
            }}
          />
        </div>
        {children}
      </div>
      <div className="grid grid-cols-5 gap-x-4 pt-1">
        {wishNames.map((name) => (
          <Wish
            key={name}
            name={name}
            wishes={wishes}
            next={next.find(({ wish }) => wish === name)}
            onChange={(value) => setWishes({ [name]: value })}
          />
        ))}
      </div>
    </div>
  );
}

interface WishProps {
  readonly name: WishName;
  readonly wishes: Wishes;
  readonly next: Overtaking | undefined;
  onChange(value: number): void;
}

function Wish({ name, wishes, next, onChange }: WishProps) {
  return (
    <div className="min-w-0 px-1">
      <span className="flex justify-between text-sm text-soft">
        <span id={`wish-${name}`}>{names[name]}</span>
        <b className="text-graphite">{Math.round(wishes[name] * 10)}</b>
      </span>
      <LineSlider
        labelledBy={`wish-${name}`}
        value={wishes[name]}
        least={0}
        most={1}
        step={0.1}
        onChange={onChange}
        className="h-6!"
      />
      <span className="line-clamp-2 min-h-8 text-xs leading-tight text-pencil">
        {next ? overtakingInWords(next, wishes[name]) : 'no other leads'}
      </span>
    </div>
  );
}
