import type { ReactNode } from 'react';
import type { Grade } from '../../core/cloth/cloth';

interface PropertyScaleProps {
  /** What is shown, for those who can't see it. */
  readonly label: string;
  readonly value: number;
  readonly least: number;
  readonly most: number;
  /** Equal steps are equal shares: for what runs over tens and hundreds. */
  readonly byShare?: boolean;
  /** Marks under the line: where, and what is written there. */
  readonly marks: readonly (readonly [at: number, text: string])[];
  /** The same property of the other cloths. */
  readonly others: readonly number[];
  /** A guess is drawn hollow. */
  readonly guessed: boolean;
}

const [widthPx, heightPx, padPx] = [300, 54, 24];
/** More ticks than this are one grey line; every so many are left out. */
const mostTicks = 300;

/** A property on a line, among the other cloths of the shelf. */
export function PropertyScale(props: PropertyScaleProps) {
  const { label, value, least, most, byShare = false, marks, others, guessed } = props;
  const along = (at: number) => {
    const inside = Math.min(most, Math.max(least, at));
    const share = byShare
      ? Math.log(inside / least) / Math.log(most / least)
      : (inside - least) / (most - least);
    return padPx + share * (widthPx - 2 * padPx);
  };
  const every = Math.ceil(others.length / mostTicks);
  return (
    <svg
      viewBox={`0 0 ${widthPx} ${heightPx}`}
      className="w-full"
      role="img"
      aria-label={`${label}, among ${others.length} other cloths`}
    >
      <line
        x1={padPx}
        x2={widthPx - padPx}
        y1={30}
        y2={30}
        stroke="var(--color-seam)"
        strokeWidth={1.5}
      />
      {others
        .filter((_, i) => i % every === 0)
        .map((other, i) => (
          <line
            key={i}
            x1={along(other)}
            x2={along(other)}
            y1={21}
            y2={29}
            stroke="var(--color-seam)"
            strokeOpacity={0.7}
            strokeWidth={1.5}
          />
        ))}
      {marks.map(([at, text]) => (
        <g key={text}>
          <line x1={along(at)} x2={along(at)} y1={30} y2={35} stroke="var(--color-soft)" />
          <text x={along(at)} y={50} textAnchor="middle" fontSize={13} fill="var(--color-soft)">
            {text}
          </text>
        </g>
      ))}
      <path
        d={`M${along(value)},28 l-7,-16 h14 z`}
        fill={guessed ? 'var(--color-slip)' : 'var(--color-pencil)'}
        stroke="var(--color-pencil)"
        strokeWidth={2.2}
        strokeDasharray={guessed ? '3 2.4' : undefined}
        strokeLinejoin="round"
      />
    </svg>
  );
}

interface GradeScaleProps {
  readonly value: Grade;
  readonly names: readonly string[];
  readonly guessed: boolean;
}

/** A habit in four steps, the cloth's own filled. */
export function GradeScale({ value, names, guessed }: GradeScaleProps): ReactNode {
  const own = guessed
    ? 'border-2 border-dashed border-pencil bg-pencil-wash'
    : 'border-pencil bg-pencil';
  return (
    <div aria-hidden>
      <div className="grid grid-cols-4 gap-1">
        {names.map((name, grade) => (
          <span
            key={name}
            className={`h-3 border ${grade === value ? own : 'border-line bg-paper'}`}
          />
        ))}
      </div>
      <p className="flex justify-between text-sm text-soft">
        <span>{names[0]}</span>
        <span>{names.at(-1)}</span>
      </p>
    </div>
  );
}
