import type { ReactNode } from 'react';
import { RadioRow } from './radio-row';

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
  /** Many of them: they go on in the next row. */
  readonly wraps?: boolean;
  onChange(value: T): void;
}

/** One of a few things, each with a small picture; the chosen one says what it is. */
export function PictureChoice<T extends string>(props: PictureChoiceProps<T>) {
  const { label, value, options, wraps = false, onChange } = props;
  const about = options.find((option) => option.value === value)?.about;
  return (
    <div>
      <RadioRow
        label={label}
        wraps={wraps}
        value={value}
        options={options.map((option) => ({
          value: option.value,
          shown: (
            <>
              <span className="block h-9 w-full">{option.picture}</span>
              <span className="leading-tight">{option.label}</span>
            </>
          ),
        }))}
        itemClass="flex flex-col items-center px-1 pt-1 pb-0.5 text-sm data-[state=checked]:font-bold"
        onChange={onChange}
      />
      {about && <p className="pt-0.5 text-sm text-soft">{about}</p>}
    </div>
  );
}
