import { Minus, Plus } from 'lucide-react';
import { useId } from 'react';

interface StepperProps {
  readonly label: string;
  readonly about: string;
  readonly value: number;
  readonly least: number;
  readonly trouble?: string | undefined;
  onChange(value: number): void;
}

const round =
  'grid size-11 shrink-0 place-items-center rounded-[3px] border border-seam bg-slip hover:bg-cloth';

/** A count with big plus and minus, and typing; for one knuckle or the arrow keys. */
export function Stepper({ label, about, value, least, trouble, onChange }: StepperProps) {
  const id = useId();
  const set = (next: number) => onChange(Math.max(least, Math.min(100_000, Math.round(next))));
  return (
    <div className="border-b border-line py-1">
      <div className="flex items-center gap-1.5">
        <label htmlFor={id} className="min-w-0 grow leading-tight">
          <span className="block font-bold">{label}</span>
          <span className="block text-sm text-soft">{about}</span>
        </label>
        <button
          type="button"
          aria-label={`${label}: one fewer`}
          className={round}
          onClick={() => set(value - 1)}
        >
          <Minus aria-hidden />
        </button>
        <input
          id={id}
          type="number"
          inputMode="numeric"
          className="big-number w-14 shrink-0 rounded-[3px] border border-transparent bg-transparent text-center text-3xl [appearance:textfield] aria-invalid:border-madder [&::-webkit-inner-spin-button]:appearance-none"
          value={Number.isNaN(value) ? '' : value}
          min={least}
          step={1}
          aria-invalid={trouble !== undefined}
          aria-describedby={trouble ? `${id}-trouble` : undefined}
          onChange={(event) => onChange(event.target.valueAsNumber)}
        />
        <button
          type="button"
          aria-label={`${label}: one more`}
          className={round}
          onClick={() => set(Number.isNaN(value) ? least : value + 1)}
        >
          <Plus aria-hidden />
        </button>
      </div>
      {trouble && (
        <p id={`${id}-trouble`} role="alert" className="pt-1 text-sm font-bold text-madder">
          {trouble}
        </p>
      )}
    </div>
  );
}
