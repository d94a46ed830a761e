import { useRef, type KeyboardEvent, type PointerEvent } from 'react';
import type { Point } from '../../../core/edge/course';
import { useLengths } from '../../ground/lengths-context';

/** A measure that can be taken hold of on the picture. */
export interface Handle {
  readonly id: string;
  readonly label: string;
  readonly at: Point;
  readonly valueMm: number;
  readonly leastMm: number;
  readonly mostMm: number;
  /** How much the measure grows for each millimetre that the hand goes right, and up. */
  readonly growsMm: { readonly right: number; readonly up: number };
  /** @param done false while the hand is still going */
  set(mm: number, done: boolean): void;
}

interface HandleDotProps {
  readonly handle: Handle;
  readonly place: readonly [x: number, y: number];
  readonly pxPerMm: number;
}

/** Which keys move a measure, and by how much, mm. */
const keySteps: Readonly<Record<string, number>> = {
  ArrowUp: 1,
  ArrowRight: 1,
  ArrowDown: -1,
  ArrowLeft: -1,
  PageUp: 10,
  PageDown: -10,
};

/** A dot that a hand drags and keys move; what it measures follows in whole millimetres. */
export function HandleDot({ handle, place: [x, y], pxPerMm }: HandleDotProps) {
  const { cloth } = useLengths();
  const { label, valueMm, leastMm, mostMm, growsMm, set } = handle;
  // The scale at which it was taken hold of: the picture may fit itself anew while it is dragged.
  const held = useRef<{ x: number; y: number; valueMm: number; pxPerMm: number } | null>(null);
  const within = (mm: number) => Math.min(mostMm, Math.max(leastMm, Math.round(mm)));
  const valueAt = ({ clientX, clientY }: PointerEvent) => {
    const from = held.current;
    if (!from) return valueMm;
    const right = (clientX - from.x) / from.pxPerMm;
    const up = (from.y - clientY) / from.pxPerMm;
    return within(from.valueMm + right * growsMm.right + up * growsMm.up);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const step = keySteps[event.key];
    if (step === undefined) return;
    event.preventDefault();
    // Neither the picture nor the page moves with it.
    event.stopPropagation();
    set(within(Math.round(valueMm) + step), true);
  };
  return (
    <circle
      cx={x}
      cy={y}
      r={9}
      data-part="handle"
      role="slider"
      tabIndex={0}
      // The field beside the picture has the plain name.
      aria-label={`${label}, on the picture`}
      aria-valuenow={Math.round(valueMm)}
      aria-valuemin={leastMm}
      aria-valuemax={mostMm}
      aria-valuetext={cloth(valueMm)}
      className="cursor-grab touch-none fill-slip stroke-pencil outline-offset-2 [stroke-width:3] hover:fill-pencil-wash"
      onKeyDown={onKeyDown}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        held.current = { x: event.clientX, y: event.clientY, valueMm, pxPerMm };
      }}
      onPointerMove={(event) => held.current && set(valueAt(event), false)}
      onPointerUp={(event) => {
        if (!held.current) return;
        const mm = valueAt(event);
        held.current = null;
        set(mm, true);
      }}
      onPointerCancel={() => {
        held.current = null;
      }}
    />
  );
}
