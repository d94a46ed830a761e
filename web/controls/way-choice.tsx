import { RadioGroup } from 'radix-ui';
import { useId } from 'react';

interface WayChoiceProps {
  readonly label: string;
  readonly value: string;
  readonly options: readonly {
    readonly value: string;
    readonly label: string;
    /** What it costs; shown for the one that is chosen. */
    readonly about: string;
  }[];
  onChange(value: string): void;
}

/** One of several ways, one under the other; the chosen one says what it costs. */
export function WayChoice({ label, value, options, onChange }: WayChoiceProps) {
  const id = useId();
  return (
    <div className="border-b border-line py-2">
      <p id={id} className="text-sm text-soft">
        {label}
      </p>
      <RadioGroup.Root aria-labelledby={id} value={value} onValueChange={onChange}>
        {options.map((option) => {
          const chosen = option.value === value;
          return (
            <RadioGroup.Item
              key={option.value}
              value={option.value}
              className="flex min-h-9 w-full items-baseline gap-2 rounded-[3px] px-1 py-1 text-left hover:bg-cloth"
            >
              <span aria-hidden className="text-pencil">
                {chosen ? '●' : '○'}
              </span>
              <span className="min-w-0">
                <span className={chosen ? 'font-bold' : ''}>{option.label}</span>
                {chosen && option.about && (
                  <span className="block text-sm text-soft">{option.about}</span>
                )}
              </span>
            </RadioGroup.Item>
          );
        })}
      </RadioGroup.Root>
    </div>
  );
}
