import { RadioGroup } from 'radix-ui';
import { useId, type ReactNode } from 'react';

interface PictureChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly {
    readonly value: T;
    readonly label: string;
    readonly picture: ReactNode;
    /** Said of the one that is chosen. */
    readonly about?: string;
  }[];
  onChange(value: T): void;
}

/** One of a few things, each with a small picture; the chosen one says what it is. */
export function PictureChoice<T extends string>(props: PictureChoiceProps<T>) {
  const { label, value, options, onChange } = props;
  const id = useId();
  const about = options.find((option) => option.value === value)?.about;
  return (
    <div>
      <p id={id} className="mb-1 text-sm text-soft">
        {label}
      </p>
      <RadioGroup.Root
        aria-labelledby={id}
        value={value}
        onValueChange={(next) => onChange(next as T)}
        className="grid auto-cols-fr grid-flow-col gap-1.5"
      >
        {options.map((option) => (
          <RadioGroup.Item
            key={option.value}
            value={option.value}
            className="flex min-h-11 flex-col items-center rounded-[3px] border border-seam bg-slip px-1 pt-1 pb-0.5 text-sm data-[state=checked]:border-2 data-[state=checked]:border-pencil data-[state=checked]:bg-pencil-wash data-[state=checked]:font-bold"
          >
            <span className="block h-9 w-full">{option.picture}</span>
            <span className="leading-tight">{option.label}</span>
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
      {about && <p className="pt-0.5 text-sm text-soft">{about}</p>}
    </div>
  );
}
