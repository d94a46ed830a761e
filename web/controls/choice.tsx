import { RadioGroup } from 'radix-ui';
import { useId } from 'react';

interface ChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly {
    readonly value: T;
    readonly label: string;
    readonly about?: string;
  }[];
  onChange(value: T): void;
}

/** One of a few ways, all in sight, each with what it costs. */
export function Choice<T extends string>({ label, value, options, onChange }: ChoiceProps<T>) {
  const id = useId();
  return (
    <div>
      <p id={id} className="mb-1 text-sm text-soft">
        {label}
      </p>
      <RadioGroup.Root
        aria-labelledby={id}
        value={value}
        onValueChange={(next) => onChange(next as T)}
        className="grid auto-cols-fr grid-flow-col gap-2"
      >
        {options.map((option) => (
          <RadioGroup.Item
            key={option.value}
            value={option.value}
            className="min-h-11 rounded-[3px] border border-seam bg-slip px-3 py-2 text-left data-[state=checked]:border-2 data-[state=checked]:border-pencil data-[state=checked]:bg-pencil-wash"
          >
            <span className="flex items-baseline gap-2 font-bold">
              <span aria-hidden className="text-pencil">
                {option.value === value ? '●' : '○'}
              </span>
              {option.label}
            </span>
            {option.about && <span className="block text-sm text-soft">{option.about}</span>}
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
    </div>
  );
}
