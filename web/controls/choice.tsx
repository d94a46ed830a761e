import { RadioRow } from './radio-row';

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
  return (
    <div>
      <RadioRow
        label={label}
        value={value}
        options={options.map((option) => ({
          value: option.value,
          shown: (
            <>
              <span className="flex items-baseline gap-2 font-bold">
                <span aria-hidden className="text-pencil">
                  {option.value === value ? '●' : '○'}
                </span>
                {option.label}
              </span>
              {option.about && <span className="block text-sm text-soft">{option.about}</span>}
            </>
          ),
        }))}
        itemClass="px-3 py-2 text-left"
        onChange={onChange}
      />
    </div>
  );
}
