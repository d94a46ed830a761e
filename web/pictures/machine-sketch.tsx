import type { MachineKind } from '../../core/kit/machine';

/** Outlines in 60 by 40: body, and what tells it from the others. */
const outlines: Readonly<Record<MachineKind, readonly [body: string, own: string]>> = {
  lockstitch: [
    'M6,36 V32 H54 V36 Z M42,32 V8 H54 V32 Z M10,8 H42 V16 H10 Z M10,16 H17 V24 H10 Z',
    'M12,28 l2,3 l2,-3 l2,3 M48,12 h3 M13.5,24 V30',
  ],
  'straight-stitch': [
    'M6,36 V32 H54 V36 Z M43,32 V8 H54 V32 Z M10,8 H43 V15 H10 Z M10,15 H16 V24 H10 Z',
    'M8,31 H20 M13,24 V30',
  ],
  overlocker: [
    'M14,36 V31 H50 V36 Z M26,31 V10 H50 V31 Z M14,31 V20 H26 V31 Z',
    'M30,10 L28,2 M35,10 L34,2 M40,10 L41,2 M45,10 L47,2 M18,20 V28 M21,20 V28',
  ],
  coverstitch: [
    'M10,36 V31 H52 V36 Z M40,31 V9 H52 V31 Z M12,9 H40 V17 H12 Z M12,17 H20 V25 H12 Z',
    'M14,25 V30 M16,25 V30 M18,25 V30 M44,9 L43,2 M48,9 L49,2',
  ],
};

/** A small outline of a machine of a kind: where its needles are, and how many threads it takes. */
export function MachineSketch({ kind }: { kind: MachineKind }) {
  const [body, own] = outlines[kind];
  return (
    <svg viewBox="0 0 60 40" className="mx-auto h-full" aria-hidden>
      <path d={body} className="fill-cloth stroke-seam [stroke-width:1.2]" />
      <path d={own} className="fill-none stroke-pencil [stroke-width:1.8]" />
    </svg>
  );
}
