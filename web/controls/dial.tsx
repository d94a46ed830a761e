import { Minus, Plus } from 'lucide-react';
import { memo, useId, useState, type KeyboardEvent } from 'react';
import { Impossible } from '../../core/impossible';
import { snapToDial, type DialTravel } from '../../core/kit/dial-steps';
import { parseLength } from '../../core/measure/parse-length';
import { useLengths } from '../ground/lengths-context';

interface DialProps<Name extends string> {
  readonly name: string;
  /** Marks the row for the keys `[` and `]`. */
  readonly dial: Name;
  readonly valueMm: number;
  readonly travel: DialTravel;
  readonly because: string;
  readonly changed: boolean;
  /** Shows the sign, as needle positions have one. */
  readonly signed?: boolean;
  readonly onMove: (dial: Name, mm: number) => void;
}

// The same ones for every dial and every turn of it.
const minus = <Minus size={18} aria-hidden />;
const plus = <Plus size={18} aria-hidden />;

const button =
  'grid size-9 shrink-0 place-items-center rounded-[3px] border border-seam bg-slip hover:bg-cloth disabled:border-line disabled:text-line';

/**
 * A number on the slip that is a control: one machine step by button, arrow key or bracket, or
 * any length typed, which goes to the nearest step and says so.
 */
function DialRow<Name extends string>(props: DialProps<Name>) {
  const { name, dial, valueMm, travel, because, changed, signed = false, onMove } = props;
  const lengths = useLengths();
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const [note, setNote] = useState<string | null>(null);
  const still = travel.stepMm === 0;

  const sign = signed && valueMm > 0 ? '+' : '';
  const shown = sign + lengths.stepped(valueMm, travel.stepMm);
  const move = (steps: number) => {
    const next = snapToDial(valueMm + steps * travel.stepMm, travel);
    setTyped(null);
    setNote(null);
    if (next !== valueMm) onMove(dial, next);
  };
  const commit = () => {
    if (typed === null || typed === shown) return setTyped(null);
    try {
      const wish = parseLength(typed, lengths.unit);
      const next = snapToDial(wish, travel);
      const off = Math.abs(next - wish) > 1e-6;
      setNote(off ? `Nearest step: ${lengths.fine(next)}.` : null);
      setTyped(null);
      if (next !== valueMm) onMove(dial, next);
    } catch (error) {
      if (!(error instanceof Impossible)) throw error;
      setNote(error.message);
    }
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const steps = { ArrowUp: 1, ']': 1, ArrowDown: -1, '[': -1 }[event.key];
    if (steps !== undefined) {
      event.preventDefault();
      event.stopPropagation();
      move(steps);
    }
    if (event.key === 'Enter') commit();
    if (event.key === 'Escape') {
      setTyped(null);
      setNote(null);
    }
  };

  return (
    <div
      data-dial={dial}
      className={`border-b border-line py-1.5 ${changed ? '-mx-3 border-l-4 border-l-pencil bg-pencil-wash pr-3 pl-2' : ''}`}
      onKeyDown={still ? undefined : onKeyDown}
    >
      <div className="flex items-center gap-2">
        <label htmlFor={id} className="w-14 shrink-0">
          {name}
        </label>
        {still ? (
          <output id={id} className="big-number grow text-2xl">
            {shown}{' '}
            <span className="font-body text-sm font-normal text-soft">{lengths.unit}, fixed</span>
          </output>
        ) : (
          <>
            <span className="flex grow items-baseline gap-1 whitespace-nowrap">
              <input
                id={id}
                className="big-number rounded-[3px] border border-transparent bg-transparent px-1 text-2xl hover:border-line focus:border-pencil"
                style={{ width: `${(typed ?? shown).length * 0.78 + 1}rem`, maxWidth: '7rem' }}
                value={typed ?? shown}
                autoComplete="off"
                onChange={(event) => setTyped(event.target.value)}
                onBlur={commit}
              />
              <span className="text-sm text-soft">
                {lengths.unit}
                {lengths.unit !== 'mm' && ` · ${Number(valueMm.toFixed(2))} mm`}
              </span>
            </span>
            <button
              type="button"
              className={button}
              aria-label={`${name} one step less`}
              disabled={valueMm - travel.stepMm < travel.fromMm - 1e-6}
              onClick={() => move(-1)}
            >
              {minus}
            </button>
            <button
              type="button"
              className={button}
              aria-label={`${name} one step more`}
              disabled={valueMm + travel.stepMm > travel.toMm + 1e-6}
              onClick={() => move(1)}
            >
              {plus}
            </button>
          </>
        )}
      </div>
      <p
        className={`text-sm ${note ? 'font-bold text-ochre' : 'text-soft'}`}
        role={note ? 'status' : undefined}
      >
        {note ?? because}
      </p>
    </div>
  );
}

// Remembering a row loses which names its dial may have; it takes the same ones.
export const Dial = memo(DialRow) as typeof DialRow;
