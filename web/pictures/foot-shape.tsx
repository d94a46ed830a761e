import { memo } from 'react';
import { footParts, type DrawnFoot, type FootPart } from './foot-parts';
import { RimmedPath } from './rimmed-path';

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

/** Two scales are the same when they agree at two places: both are linear. */
const sameScale = (one: FootShapeProps['x'], other: FootShapeProps['x']) =>
  one(0) === other(0) && one(1) === other(1);

function Shape({ foot, guideMm, x, y, seeThrough = false }: FootShapeProps) {
  const parts = footParts(foot, guideMm);
  const soles = parts.filter(({ look }) => look === 'sole' || look === 'clear');
  const holes = parts.filter(({ look }) => look === 'hole');
  const rest = parts.filter(({ look }) => look === 'metal' || look === 'crease');
  const clear = soles.some(({ look }) => look === 'clear');
  return (
    <g strokeLinejoin="round" strokeLinecap="round">
      <RimmedPath
        d={[...soles, ...holes].map((part) => pathOf(part, x, y)).join(' ')}
        fillRule="evenodd"
        fill="var(--color-soft)"
        fillOpacity={clear ? 0.05 : seeThrough ? 0.14 : 0.28}
        stroke="var(--color-graphite)"
        strokeOpacity={0.6}
        strokeWidth={1.5}
        strokeDasharray={clear ? '6 4' : undefined}
      />
      {rest.map((part, i) => (
        <RimmedPath
          key={i}
          d={pathOf(part, x, y)}
          fill={part.open ? 'none' : 'var(--color-soft)'}
          fillOpacity={seeThrough ? 0.3 : 0.45}
          stroke="var(--color-graphite)"
          strokeWidth={part.look === 'crease' ? 1.5 : 3.5}
          strokeDasharray={part.look === 'crease' ? '5 4' : undefined}
        />
      ))}
    </g>
  );
}

/** A foot from above, drawn from its numbers; anew only when it, its guide or the scale moves. */
export const FootShape = memo(
  Shape,
  (one, other) =>
    one.foot === other.foot &&
    one.guideMm === other.guideMm &&
    one.seeThrough === other.seeThrough &&
    sameScale(one.x, other.x) &&
    sameScale(one.y, other.y),
);
