import { useId } from 'react';

interface SelectFieldProps {
  readonly label: string;
  readonly value: string;
  readonly options: readonly { readonly value: string; readonly label: string }[];
  onChange(value: string): void;
  /** The label beside the list instead of above it. */
  readonly beside?: boolean;
}

/** One of many, from a list. */
export function SelectField({ label, value, options, onChange, beside = false }: SelectFieldProps) {
  const id = useId();
  return (
    <div className={beside ? 'flex items-center gap-2' : ''}>
      <label
        htmlFor={id}
        className={`block text-sm text-soft ${beside ? 'w-16 shrink-0' : 'mb-1'}`}
      >
        {label}
      </label>
      <select
        id={id}
        className="field font-bold"
        value={value}
        onChange={(event) => onChange(event.target.value)}
      >
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </select>
    </div>
  );
}
