import { useId, useState, type KeyboardEvent } from 'react';
import { Impossible } from '../../core/impossible';
import { parseLength } from '../../core/measure/parse-length';
import { useLengths } from '../ground/lengths-context';

interface LengthFieldProps {
  readonly label: string;
  /** mm; null when nothing is set. */
  readonly value: number | null;
  /** Called with mm once what was typed can be read and is allowed; null when emptied. */
  onCommit(mm: number | null): void;
  /** Why a length can't be taken; null when it can. */
  refuse?(mm: number): string | null;
  readonly optional?: boolean;
  readonly hint?: string;
  readonly placeholder?: string;
  /** A length on the machine: decimals in every unit, and little room. */
  readonly fine?: boolean;
  /** Little room: a short field, without the other unit beside it. */
  readonly compact?: boolean;
}

/**
 * A length as people type it, in their own unit, with the other beside it. What can't be read
 * stays as typed, with the reason under it; nothing stored changes.
 */
export function LengthField(props: LengthFieldProps) {
  const {
    label,
    value,
    onCommit,
    refuse,
    optional = false,
    hint,
    placeholder,
    fine = false,
  } = props;
  const compact = props.compact ?? fine;
  const lengths = useLengths();
  const id = useId();
  const shown = value === null ? '' : fine ? lengths.fineNumber(value) : lengths.editable(value);
  const [typed, setTyped] = useState<string | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);

  const commit = () => {
    if (typed === null || typed.trim() === shown) {
      setTyped(null);
      setTrouble(null);
      return;
    }
    if (typed.trim() === '' && optional) {
      setTyped(null);
      setTrouble(null);
      onCommit(null);
      return;
    }
    try {
      const mm = parseLength(typed, lengths.unit);
      const reason = refuse?.(mm) ?? null;
      setTrouble(reason);
      if (reason) return;
      setTyped(null);
      onCommit(mm);
    } catch (error) {
      if (!(error instanceof Impossible)) throw error;
      setTrouble(error.message);
    }
  };
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.key === 'Enter') {
      // Takes what was typed, and does not send the form it may stand in.
      event.preventDefault();
      commit();
    }
    if (event.key === 'Escape') {
      setTyped(null);
      setTrouble(null);
    }
  };

  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm text-soft">
        {label}
      </label>
      <div className="flex items-center gap-3">
        <input
          id={id}
          className={`field font-bold ${compact ? 'max-w-24' : 'max-w-36'}`}
          value={typed ?? shown}
          placeholder={placeholder}
          inputMode="text"
          autoComplete="off"
          aria-invalid={trouble !== null}
          aria-describedby={trouble ? `${id}-trouble` : undefined}
          onChange={(event) => {
            setTyped(event.target.value);
            // Gone before the field is left, so that nothing moves under a finger going for a button.
            setTrouble(null);
          }}
          onBlur={commit}
          onKeyDown={onKeyDown}
        />
        <span className="text-sm text-soft">
          {lengths.unit}
          {value !== null && !trouble && !compact && <> · {lengths.beside(value)}</>}
        </span>
      </div>
      {trouble && (
        <p id={`${id}-trouble`} role="alert" className="mt-1 text-sm font-bold text-madder">
          {trouble}
        </p>
      )}
      {hint && !trouble && <p className="mt-1 text-sm text-soft">{hint}</p>}
    </div>
  );
}
