import { useId } from 'react';

interface MomentFieldProps {
  readonly label: string;
  readonly type: 'date' | 'time';
  /** 2026-11-25, or 19:30. */
  readonly value: string;
  /** The last one that can be taken; any when left out. */
  readonly latest?: string;
  readonly trouble?: string | undefined;
  onCommit(value: string): void;
}

/** A day, or a time of one. */
export function MomentField(props: MomentFieldProps) {
  const { label, type, value, latest, trouble, onCommit } = props;
  const id = useId();
  const own = latest !== undefined && value > latest ? `${value} has not come yet.` : undefined;
  const shown = own ?? trouble;
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm text-soft">
        {label}
      </label>
      <input
        id={id}
        type={type}
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
