import type { ReactNode } from 'react';
import type { Purpose } from '../../core/edge/purpose';
import type { Joining, Pairing } from '../../core/edge/state';

/** A small sketch of a thing, with the edge in question drawn thick. */
function Sketch({ children }: { children: ReactNode }) {
  return (
    <svg
      viewBox="0 0 64 36"
      className="h-full w-full"
      aria-hidden
      fill="none"
      stroke="currentColor"
      strokeWidth="1.4"
      strokeLinejoin="round"
    >
      {children}
    </svg>
  );
}

/** The edge itself. */
const Edge = ({ d }: { d: string }) => (
  <path d={d} className="stroke-pencil" strokeWidth="3.2" strokeLinecap="round" />
);
const Cloth = ({ d }: { d: string }) => <path d={d} className="fill-cloth" />;
const Stitches = ({ d }: { d: string }) => <path d={d} strokeDasharray="3 2" />;

const purposes: Readonly<Record<Purpose, ReactNode>> = {
  // A skirt, its lower end.
  hem: (
    <>
      <Cloth d="M25 4h14l9 27q-16 4-32 0z" />
      <Edge d="M16 31q16 4 32 0" />
    </>
  ),
  // A shirt, its neck.
  opening: (
    <>
      <Cloth d="M23 5q9 9 18 0l13 6-5 8-6-3v17H21V16l-6 3-5-8z" />
      <Edge d="M23 5q9 9 18 0" />
    </>
  ),
  // Two pieces sewn; the allowances stand up inside.
  allowance: (
    <>
      <Cloth d="M4 30h26V8h-4v18H4z" />
      <Cloth d="M60 30H34V8h4v18h22z" />
      <Stitches d="M32 12v16" />
      <Edge d="M26 8h4M34 8h4" />
    </>
  ),
  // Two pieces face to face, not sewn yet.
  seam: (
    <>
      <Cloth d="M4 6h24v24H4z" />
      <Cloth d="M36 6h24v24H36z" />
      <Edge d="M28 6v24M36 6v24" />
      <path d="M30.5 18h3" strokeDasharray="1.5 1.5" />
    </>
  ),
};

const joinings: Readonly<Record<Joining, ReactNode>> = {
  flat: (
    <>
      <Cloth d="M6 8h52v20H6z" />
      <Edge d="M6 28h52" />
    </>
  ),
  round: (
    <>
      <Cloth d="M14 9v16q0 6 18 6t18-6V9" />
      <ellipse cx="32" cy="9" rx="18" ry="5" className="fill-slip" />
      <Edge d="M14 25q0 6 18 6t18-6" />
    </>
  ),
};

const leg = (x: number) => `M${x} 4h14l-1.5 27h-11z`;
const pairings: Readonly<Record<Pairing, ReactNode>> = {
  alone: (
    <>
      <Cloth d={leg(25)} />
      <Edge d="M26.5 31h11" />
    </>
  ),
  pair: (
    <>
      <Cloth d={leg(15)} />
      <Cloth d={leg(35)} />
      <Edge d="M16.5 31h11M36.5 31h11" />
    </>
  ),
};

const hems: Readonly<Record<'none' | 'out' | 'kept', ReactNode>> = {
  none: (
    <>
      <Cloth d="M10 6h44v24H10z" />
      <Edge d="M10 30h44" />
    </>
  ),
  out: (
    <>
      <Cloth d="M10 6h44v24H10z" />
      <Edge d="M10 30h44" />
      <path d="M10 22h44" strokeDasharray="2 3" className="stroke-madder" />
    </>
  ),
  kept: (
    <>
      <Cloth d="M10 6h44v24H10z" />
      <Stitches d="M10 22h44" />
      <Edge d="M10 30h44" />
    </>
  ),
};

export const PurposeSketch = ({ purpose }: { purpose: Purpose }) => (
  <Sketch>{purposes[purpose]}</Sketch>
);
export const JoiningSketch = ({ joining }: { joining: Joining }) => (
  <Sketch>{joinings[joining]}</Sketch>
);
export const PairingSketch = ({ pairing }: { pairing: Pairing }) => (
  <Sketch>{pairings[pairing]}</Sketch>
);
export const OldHemSketch = ({ hem }: { hem: keyof typeof hems }) => <Sketch>{hems[hem]}</Sketch>;
