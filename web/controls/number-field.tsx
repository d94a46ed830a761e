import { useId, useState } from 'react';

interface NumberFieldProps {
  readonly label: string;
  readonly unit: string;
  readonly value: number | null;
  readonly trouble?: string | undefined;
  /** Why a number can't be taken; null when it can. */
  refuse?(value: number): string | null;
  readonly optional?: boolean;
  onCommit(value: number | null): void;
}

/** A number with its unit; decimals with point or comma. */
export function NumberField(props: NumberFieldProps) {
  const { label, unit, value, trouble, refuse, optional = false, onCommit } = props;
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const [own, setOwn] = useState<string | null>(null);
  const commit = () => {
    if (typed === null) return;
    const text = typed.trim().replace(',', '.');
    if (text === '' && optional) {
      setTyped(null);
      setOwn(null);
      if (value !== null) onCommit(null);
      return;
    }
    const number = /^[-+−]?(\d+\.?\d*|\.\d+)$/.test(text) ? Number(text.replace('−', '-')) : NaN;
    const reason = Number.isNaN(number)
      ? `“${typed.slice(0, 30)}” is not a number. Try for example 2.5.`
      : (refuse?.(number) ?? null);
    setOwn(reason);
    if (reason) return;
    setTyped(null);
    if (number !== value) onCommit(number);
  };
  const shown = own ?? trouble;
  return (
    <div>
      <label htmlFor={id} className="mb-1 block text-sm text-soft">
        {label}
      </label>
      <div className="flex items-center gap-2">
        <input
          id={id}
          className="field max-w-28 font-bold"
          inputMode="decimal"
          autoComplete="off"
          value={typed ?? (value === null ? '' : String(value))}
          aria-invalid={shown !== undefined && shown !== null}
          aria-describedby={shown ? `${id}-trouble` : undefined}
          onChange={(event) => {
            setTyped(event.target.value);
            setOwn(null);
          }}
          onBlur={commit}
          onKeyDown={(event) => {
            if (event.key === 'Enter') commit();
            if (event.key === 'Escape') {
              setTyped(null);
              setOwn(null);
            }
          }}
        />
        <span className="text-sm text-soft">{unit}</span>
      </div>
      {shown && (
        <p id={`${id}-trouble`} role="alert" className="mt-1 text-sm font-bold text-madder">
          {shown}
        </p>
      )}
    </div>
  );
}
