import { useEffect, useRef, useState } from 'react';

interface ColourFieldProps {
  readonly label: string;
  /** As `#rrggbb`; null where none was picked. */
  readonly value: string | null;
  /** What the picker opens at while none was picked. */
  readonly fallback?: string | null;
  onChange(colour: string | null): void;
}

/** Unbleached cloth: what is drawn where no colour is known. */
const unbleached = 'var(--cloth-1)';

/** A colour, picked with the platform's own picker; what is dragged over is kept when it rests. */
export function ColourField({ label, value, fallback, onChange }: ColourFieldProps) {
  const standing = value ?? fallback ?? unbleached;
  const [shown, setShown] = useState<string | null>(null);
  const timer = useRef<ReturnType<typeof setTimeout>>(undefined);
  useEffect(() => () => clearTimeout(timer.current), []);
  const pick = (colour: string) => {
    setShown(colour);
    clearTimeout(timer.current);
    // The picker tells every colour that is dragged over.
    timer.current = setTimeout(() => {
      setShown(null);
      onChange(colour);
    }, 350);
  };
  return (
    <label className="flex min-h-11 items-center gap-2">
      <span className="sr-only">{label}</span>
      <input
        type="color"
        className="h-9 w-11 cursor-pointer rounded-[3px] border border-seam bg-slip p-0.5"
        value={shown ?? standing}
        title={value === null ? `${label}: not picked` : `${label}: ${value}`}
        onChange={(event) => pick(event.target.value)}
      />
      {value !== null && (
        <button
          type="button"
          className="min-h-9 text-sm text-soft underline"
          onClick={() => onChange(null)}
        >
          no colour
        </button>
      )}
    </label>
  );
}
