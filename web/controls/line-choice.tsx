import { ToggleGroup } from 'radix-ui';

interface LineChoiceProps<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly (readonly [value: T, name: string, ...rest: string[]])[];
  onChange(value: T): void;
  readonly className?: string;
}

/** One of a few ways to look at a picture, in a line above it. */
export function LineChoice<T extends string>(props: LineChoiceProps<T>) {
  const { label, value, options, onChange, className = '' } = props;
  return (
    <ToggleGroup.Root
      type="single"
      aria-label={label}
      value={value}
      onValueChange={(next) => next && onChange(next as T)}
      className={`flex ${className}`}
    >
      {options.map(([id, name]) => (
        <ToggleGroup.Item
          key={id}
          value={id}
          className="min-h-9 border-b-3 border-transparent px-2.5 text-sm data-[state=on]:border-pencil data-[state=on]:font-bold data-[state=on]:text-pencil"
        >
          {name}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
