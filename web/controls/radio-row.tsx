import { RadioGroup } from 'radix-ui';
import { useId, type ReactNode } from 'react';

interface RadioRowProps<T extends string> {
  readonly label: string;
  /** Null: none is chosen yet, and each may be. */
  readonly value: T | null;
  readonly options: readonly { readonly value: T; readonly shown: ReactNode }[];
  /** How one of them is laid out; how the chosen one looks is the same everywhere. */
  readonly itemClass: string;
  /** Many of them: they go on in the next row. */
  readonly wraps?: boolean;
  /** The person is asked just now: the label stands out. */
  readonly asks?: boolean;
  /** What else can be done, beside the label, where it moves none of them when it comes and goes. */
  readonly beside?: ReactNode;
  onChange(value: T): void;
}

/** How they are laid out: many go on in the next row; more than three are two by two on a phone; a few stay side by side. */
function columnsFor(count: number, wraps: boolean): string {
  if (wraps) return 'grid-cols-[repeat(auto-fill,minmax(5.2rem,1fr))]';
  if (count > 3) return 'max-sm:grid-cols-2 sm:auto-cols-fr sm:grid-flow-col';
  return 'auto-cols-fr grid-flow-col';
}

/** One of a few, side by side and all in sight. */
export function RadioRow<T extends string>(props: RadioRowProps<T>) {
  const { label, value, options, itemClass, wraps = false, asks = false, beside, onChange } = props;
  const id = useId();
  return (
    <>
      <div
        className={`mb-1 flex flex-wrap items-center justify-between gap-x-2 ${beside === undefined ? '' : 'min-h-11'}`}
      >
        <p id={id} className={asks ? 'font-bold' : 'text-sm text-soft'}>
          {label}
        </p>
        {beside}
      </div>
      <RadioGroup.Root
        aria-labelledby={id}
        value={value}
        onValueChange={(next) => onChange(next as T)}
        className={`grid gap-1.5 ${columnsFor(options.length, wraps)}`}
      >
        {options.map((option) => (
          <RadioGroup.Item
            key={option.value}
            value={option.value}
            className={`min-h-11 rounded-[3px] border border-seam bg-slip data-[state=checked]:border-2 data-[state=checked]:border-pencil data-[state=checked]:bg-pencil-wash ${itemClass}`}
          >
            {option.shown}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </>
  );
}
