import type { ReactNode } from 'react';
import type { TestId } from './home-test';

const line = { fill: 'none', stroke: 'var(--color-graphite)', strokeWidth: 1.8 } as const;
const clothLine = {
  fill: 'var(--cloth-2)',
  stroke: 'var(--cloth-line)',
  strokeWidth: 1.5,
} as const;
const mark = { fill: 'none', stroke: 'var(--color-pencil)', strokeWidth: 1.8 } as const;

const drawings: Readonly<Record<TestId, ReactNode>> = {
  weigh: (
    <>
      <rect x="18" y="12" width="28" height="10" {...clothLine} />
      <path d="M10,26 h44 M14,26 l3,8 h30 l3,-8" {...line} />
      <rect x="14" y="34" width="36" height="18" rx="2" {...line} />
      <path d="M26,43 h12" {...mark} />
    </>
  ),
  stack: (
    <>
      {[0, 1, 2, 3, 4, 5].map((i) => (
        <rect key={i} x="10" y={22 + i * 5} width="38" height="4" {...clothLine} />
      ))}
      <path d="M6,19 h50" {...line} strokeWidth={3} />
      <path d="M54,22 v30 M51,22 h6 M51,52 h6" {...mark} />
    </>
  ),
  pull: (
    <>
      <rect x="12" y="20" width="40" height="16" {...clothLine} />
      <path d="M12,28 h-8 m3,-3 l-3,3 l3,3 M52,28 h8 m-3,-3 l3,3 l-3,3" {...line} />
      <path d="M8,46 h48 M8,42 v8 M56,42 v8 M24,44 v4 M40,44 v4" {...mark} />
    </>
  ),
  rub: (
    <>
      <path d="M8,36 h48 v16 h-48 z" {...clothLine} />
      <path d="M14,36 v-8 M22,36 l2,-9 M32,36 v-7 M42,36 l-2,-8 M50,36 v-9" {...mark} />
      <path d="M18,16 h26 m-4,-4 l4,4 l-4,4 M22,12 l-4,4 l4,4" {...line} />
    </>
  ),
  curl: (
    <>
      <path
        d="M6,50 h34 c14,0 16,-20 4,-20 c-8,0 -8,11 0,11"
        {...line}
        stroke="var(--cloth-line)"
        strokeWidth={4}
      />
      <path d="M58,50 v-20 M55,30 h6 M55,50 h6" {...mark} />
    </>
  ),
  slip: (
    <>
      <path d="M6,52 h52 M6,52 L54,26" {...line} />
      <path d="M18,43 L46,28" stroke="var(--cloth-3)" strokeWidth="7" />
      <path d="M30,52 a26,26 0 0 0 -3,-11" {...mark} />
    </>
  ),
};

/** A small drawing of what the hands do in a home test. */
export function TestDrawing({ name, small = false }: { name: TestId; small?: boolean }) {
  return (
    <svg
      width={small ? 40 : 56}
      height={small ? 38 : 52}
      viewBox="0 0 64 60"
      aria-hidden
      className="shrink-0"
    >
      {drawings[name]}
    </svg>
  );
}
