import type { ReactNode } from 'react';
import type { SymptomId } from '../../core/diagnose/symptom';

const cloth = { fill: 'var(--cloth-1)', stroke: 'var(--color-seam)' };
const folded = { fill: 'var(--color-fold)', stroke: 'var(--color-seam)' };
const thread = { fill: 'none', stroke: 'var(--color-graphite)', strokeWidth: 1.6 };
const dashed = { ...thread, strokeDasharray: '5 3' };
const fault = { fill: 'none', stroke: 'var(--color-madder)', strokeWidth: 2 };
const solidFault = { fill: 'var(--color-madder)' };

/** A piece of cloth, flat, from above. */
const Piece = ({ y = 2, height = 36 }: { y?: number; height?: number }) => (
  <rect x={1} y={y} width={62} height={height} {...cloth} />
);
/** A hem folded up along the foot of the picture. */
const Hem = () => (
  <>
    <Piece />
    <rect x={1} y={22} width={62} height={16} {...folded} />
  </>
);
const Seam = ({ y = 22 }: { y?: number }) => <path d={`M2 ${y}H62`} {...dashed} />;

/** What each fault looks like; madder is what is wrong. */
const drawings: Readonly<Record<SymptomId, ReactNode>> = {
  'bite-missed': (
    <>
      <Hem />
      <path d="M4 26h8l3-9 3 9h10l3-2 3 2h10l3-9 3 9h8" {...thread} />
      <circle cx={31} cy={24} r={6} {...fault} />
    </>
  ),
  'bite-shows': (
    <>
      <Piece />
      <path d="M8 20h3M28 20h8M53 20h3" {...thread} strokeWidth={2.4} />
      <ellipse cx={32} cy={20} rx={8} ry={6} {...fault} />
    </>
  ),
  ridge: (
    <>
      <Piece />
      <path d="M2 20q4-5 8 0t8 0 8 0 8 0 8 0 8 0 8 0 6 0" {...fault} />
      <path d="M6 24h52" stroke="var(--color-seam)" strokeDasharray="1 7" strokeWidth={3} />
    </>
  ),
  'hem-tight': (
    <>
      <path d="M4 2h56l-4 20H8z" {...cloth} />
      <path d="M8 22h48l-7 16H15z" {...folded} />
      <path d="M12 24q8 5 20 0t20 0" {...fault} />
    </>
  ),
  'hem-full': (
    <>
      <Hem />
      <path d="M12 22l4 16 4-16M30 22l4 16 4-16M48 22l3 16 4-16" {...fault} />
    </>
  ),
  'crease-puckers': (
    <>
      <Piece height={32} />
      <path d="M2 36q3-7 7 0t7 0 7-1 7 1 7-1 7 1 7-1 7 1" {...fault} />
      <Seam y={20} />
    </>
  ),
  crooked: (
    <>
      <path d="M10 2h44v24L10 36z" {...cloth} />
      <path d="M10 36L54 26" {...fault} />
      <path d="M4 38h56" stroke="var(--color-seam)" strokeDasharray="3 3" />
    </>
  ),
  whiskers: (
    <>
      <Piece height={24} />
      <path d="M3 24l5-12 5 12 5-12 5 12 5-12 5 12 5-12 5 12 5-12 5 12 5-12 3 12" {...thread} />
      <path d="M12 26v8M15 26l2 10M34 26l-2 9M49 26v10M52 26l3 7" {...fault} strokeWidth={1.4} />
    </>
  ),
  'edge-tunnels': (
    <>
      <Piece height={22} />
      <path d="M2 30a6 6 0 0 1 12 0 6 6 0 0 1-10 3M14 24h48M14 36h48a6 6 0 0 0 0-12" {...fault} />
    </>
  ),
  'edge-waves': (
    <>
      <path d="M1 2h62v28q-5 8-10 0t-11 0-11 0-10 0-10 0-10 0z" {...cloth} />
      <path d="M1 30q5 8 10 0t10 0 10 0 11 0 11 0 10 0" {...fault} />
    </>
  ),
  'roll-runs-out': (
    <>
      <Piece height={28} />
      <path d="M2 26h26" stroke="var(--color-seam)" strokeWidth={7} />
      <Seam y={22} />
      <path d="M28 30l4 5 4-4 5 5 4-4 5 4 5-4 6 4" {...fault} />
    </>
  ),
  'roll-crams': (
    <>
      <Piece height={24} />
      <path d="M2 26h22M44 26h18" stroke="var(--color-seam)" strokeWidth={6} />
      <ellipse cx={34} cy={27} rx={12} ry={9} {...folded} />
      <path d="M25 27q4-7 9 0t9 0" {...fault} />
    </>
  ),
  'lump-in-scroll': (
    <>
      <Piece height={28} />
      <rect x={25} y={2} width={14} height={28} {...folded} />
      <path d="M2 27h20M42 27h20" stroke="var(--color-seam)" strokeWidth={6} />
      <path d="M24 20v16h16V20" {...fault} />
    </>
  ),
  'back-missed': (
    <>
      <Piece height={22} />
      <path d="M1 18h62v10H1z" {...folded} />
      <Seam y={16} />
      <path d="M22 19v14M42 19v14M22 33h20" {...fault} />
    </>
  ),
  'strip-jams': (
    <>
      <path d="M2 8h24l10 10-10 12H2z" {...cloth} />
      <path d="M36 18l8-8 6 18 6-16 6 6" {...fault} />
    </>
  ),
  'binding-wanders': (
    <>
      <path d="M4 4q2 26 56 30" stroke="var(--color-fold)" strokeWidth={10} fill="none" />
      <path d="M8 6q3 20 20 22" {...dashed} />
      <path d="M28 28q16 0 20-8" {...fault} />
    </>
  ),
  'opening-small': (
    <>
      <ellipse cx={32} cy={22} rx={24} ry={16} {...folded} />
      <ellipse cx={32} cy={22} rx={14} ry={8} fill="var(--color-bed)" stroke="var(--color-seam)" />
      <path d="M4 22h12M60 22H48M12 18l5 4-5 4M52 18l-5 4 5 4" {...fault} />
    </>
  ),
  'ten-layers': (
    <>
      <path d="M2 32h60M2 28h60" stroke="var(--color-seam)" strokeWidth={2} />
      <path d="M22 24h20M22 20h20M22 16h20M22 12h20M22 8h20" {...fault} />
    </>
  ),
  'uneven-over-lump': (
    <>
      <path d="M1 32h18l6-14h14l6 14h18v6H1z" {...cloth} />
      <path d="M3 28h6M12 28h6" {...thread} strokeWidth={2.4} />
      <path d="M20 25l1-3M22 20l1-3M24 15l2-2" {...fault} />
      <path d="M41 16l6 12" {...fault} />
      <path d="M52 28h6" {...thread} strokeWidth={2.4} />
    </>
  ),
  skipped: (
    <>
      <Piece />
      <path d="M4 20h8M15 20h8M41 20h8M52 20h8" {...thread} strokeWidth={2.4} />
      <path d="M25 19q7-6 14 0" {...fault} />
    </>
  ),
  'needle-breaks': (
    <>
      <rect x={1} y={28} width={62} height={10} {...cloth} />
      <path d="M32 1v14M32 15l-2 3" stroke="var(--color-graphite)" strokeWidth={3} />
      <path d="M38 21l4 11" stroke="var(--color-madder)" strokeWidth={3} />
      <path d="M26 18l-6-3M30 22l-5 3M40 16l6-3" {...fault} />
    </>
  ),
  'loops-show': (
    <>
      <Piece />
      <path d="M4 20h56" {...thread} />
      <path d="M8 20q3-8 6 0M20 20q3-8 6 0M32 20q3-8 6 0M44 20q3-8 6 0" {...fault} />
    </>
  ),
  'bobbin-puckers': (
    <>
      <Piece />
      <Seam y={20} />
      <path
        d="M8 12v5M8 24v6M18 10v7M18 24v5M28 12v5M28 24v7M38 10v7M38 24v5M48 12v5M48 24v6M58 11v6M58 24v5"
        {...fault}
        strokeWidth={1.5}
      />
    </>
  ),
  'start-chewed': (
    <>
      <Piece />
      <path d="M22 20h40" {...dashed} />
      <path d="M6 16q8-8 10 3t-8 3q-2-8 8-6t-4 10" {...fault} />
    </>
  ),
  'ends-miss': (
    <>
      <Piece />
      <path d="M2 16h30" {...dashed} />
      <path d="M32 25h30" {...dashed} />
      <path d="M32 13v15" {...fault} />
    </>
  ),
  'trimmed-too-soon': (
    <>
      <path d="M6 2h52v18H6z" {...cloth} />
      <path d="M6 24h52v12H6z" fill="none" stroke="var(--color-seam)" strokeDasharray="4 3" />
      <path d="M2 22h60" {...fault} />
      <circle cx={58} cy={22} r={3} {...solidFault} />
    </>
  ),
  shine: (
    <>
      <Piece />
      <path d="M14 32L30 8M22 34L38 10M30 34L46 10" stroke="var(--color-bed)" strokeWidth={4} />
      <rect x={10} y={6} width={42} height={30} {...fault} strokeDasharray="4 3" />
    </>
  ),
};

/** A small picture of something that went wrong. */
export function SymptomPicture({ id }: { id: SymptomId }) {
  return (
    <svg viewBox="0 0 64 40" className="h-11 w-full" aria-hidden>
      {drawings[id]}
    </svg>
  );
}
