import { useId } from 'react';

interface DayFieldProps {
  readonly label: string;
  /** 2026-11-25 */
  readonly value: string;
  /** The last day that can be taken. */
  readonly latest: string;
  readonly trouble?: string | undefined;
  onCommit(day: string): void;
}

/** A day that has come already. */
export function DayField({ label, value, latest, trouble, onCommit }: DayFieldProps) {
  const id = useId();
  const own = value > latest ? `${value} has not come yet.` : undefined;
  const shown = own ?? trouble;
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm text-soft">
        {label}
      </label>
      <input
        id={id}
        type="date"
        className="field"
        value={value}
        max={latest}
        aria-invalid={shown !== undefined}
        aria-describedby={shown ? `${id}-trouble` : undefined}
        onChange={(event) => event.target.value && onCommit(event.target.value)}
      />
      {shown && (
        <p id={`${id}-trouble`} role="alert" className="pt-1 text-sm font-bold text-madder">
          {shown}
        </p>
      )}
    </div>
  );
}
