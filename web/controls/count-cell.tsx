import { useId } from 'react';

interface CountCellProps {
  readonly label: string;
  /** What it was counted on, for those who can't see the row. */
  readonly of: string;
  readonly value: number | null;
  onChange(value: number | null): void;
}

/** A count in a row of several, to be typed one after another. */
export function CountCell({ label, of, value, onChange }: CountCellProps) {
  const id = useId();
  return (
    <span className="w-20">
      <label htmlFor={id} className="sr-only">
        {label} on {of}
      </label>
      <input
        id={id}
        type="number"
        inputMode="numeric"
        min={0}
        step={1}
        className="field big-number text-center text-2xl"
        value={value ?? ''}
        onChange={(event) =>
          onChange(Number.isNaN(event.target.valueAsNumber) ? null : event.target.valueAsNumber)
        }
      />
    </span>
  );
}
