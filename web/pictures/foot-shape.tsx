import { footParts, type DrawnFoot, type FootPart } from './foot-parts';

interface FootShapeProps {
  readonly foot: DrawnFoot;
  /** Where the guide stands, mm. */
  readonly guideMm: number;
  /** mm to the screen. */
  readonly x: (mm: number) => number;
  readonly y: (mm: number) => number;
  /** See-through, for a foot that lies on cloth. */
  readonly seeThrough?: boolean;
}

function pathOf({ points, open }: FootPart, x: FootShapeProps['x'], y: FootShapeProps['y']) {
  const places = points.map(([px, py]) => `${x(px).toFixed(1)},${y(py).toFixed(1)}`);
  return `M${places.join(' L')}${open ? '' : ' Z'}`;
}

/** A foot from above, drawn from its numbers. */
export function FootShape({ foot, guideMm, x, y, seeThrough = false }: FootShapeProps) {
  const parts = footParts(foot, guideMm);
  const soles = parts.filter(({ look }) => look === 'sole' || look === 'clear');
  const holes = parts.filter(({ look }) => look === 'hole');
  const rest = parts.filter(({ look }) => look === 'metal' || look === 'crease');
  const clear = soles.some(({ look }) => look === 'clear');
  return (
    <g className="haloed" strokeLinejoin="round" strokeLinecap="round">
      <path
        d={[...soles, ...holes].map((part) => pathOf(part, x, y)).join(' ')}
        fillRule="evenodd"
        fill="#57534a"
        fillOpacity={clear ? 0.05 : seeThrough ? 0.14 : 0.28}
        stroke="#26272b"
        strokeOpacity={0.6}
        strokeWidth={1.5}
        strokeDasharray={clear ? '6 4' : undefined}
      />
      {rest.map((part) => (
        <path
          key={pathOf(part, x, y)}
          d={pathOf(part, x, y)}
          fill={part.open ? 'none' : '#57534a'}
          fillOpacity={seeThrough ? 0.3 : 0.45}
          stroke="#26272b"
          strokeWidth={part.look === 'crease' ? 1.5 : 3.5}
          strokeDasharray={part.look === 'crease' ? '5 4' : undefined}
        />
      ))}
    </g>
  );
}
