/** The steps of loading a binder that have a drawing. */
export const loadingSteps = [
  'lay-attachment',
  'set-flange',
  'centre-elastic',
  'point-strip',
  'coax-strip',
  'even-folds',
  'strip-alone',
  'hold-start',
  'lost-back',
] as const;
export type LoadingStep = (typeof loadingSteps)[number];

interface Loaded {
  /** Where the strip ends, behind the foot or before the mouth; the picture's own units. */
  readonly endsAt: number;
  readonly pointed: boolean;
  readonly cloth: boolean;
  readonly sewnTo: number | null;
  /** The folded strip opens again behind the throat. */
  readonly lost: boolean;
}

const [mouth, throat, needle, right] = [70, 108, 150, 220] as const;
const empty: Loaded = { endsAt: 34, pointed: false, cloth: false, sewnTo: null, lost: false };

const states: Readonly<Record<LoadingStep, Loaded>> = {
  'lay-attachment': { ...empty, endsAt: 0 },
  'set-flange': { ...empty, endsAt: 0 },
  'centre-elastic': { ...empty, endsAt: 40, pointed: false },
  'point-strip': { ...empty, endsAt: 62, pointed: true },
  'coax-strip': { ...empty, endsAt: 128, pointed: true },
  'even-folds': { ...empty, endsAt: 205, pointed: true },
  'strip-alone': { ...empty, endsAt: 215, pointed: true, sewnTo: 206 },
  'hold-start': { ...empty, endsAt: 218, pointed: true, sewnTo: 212, cloth: true },
  'lost-back': { ...empty, endsAt: 218, pointed: true, sewnTo: 212, cloth: true, lost: true },
};

const middle = 62;
const [flat, folded] = [22, 8] as const;

/** The strip's outline from the left edge: flat before the mouth, folded behind the throat. */
function stripPath({ endsAt, pointed, lost }: Loaded): string {
  if (endsAt === 0) return '';
  const half = (x: number): number => {
    if (x <= mouth) return flat;
    if (x >= throat) return lost && x < needle + 6 ? folded * 1.7 : folded;
    return flat + ((folded - flat) * (x - mouth)) / (throat - mouth);
  };
  const turns = [0, mouth, throat, needle + 6, endsAt].filter((x) => x <= endsAt);
  const point = pointed ? Math.min(14, half(endsAt)) : 0;
  const top = turns.map((x) => `${Math.min(x, endsAt - point)},${middle - half(x)}`);
  const bottom = turns.map((x) => `${x},${middle + half(x)}`).reverse();
  return `M${top.join(' L')} L${bottom.join(' L')} Z`;
}

/** Loading a binder from above, sewn to the right: strip, mouth, foot, and what is done. */
export function LoadingPicture({ step, foot }: { step: LoadingStep; foot: boolean }) {
  const at = states[step];
  const label = (x: number, y: number, text: string) => (
    <text x={x} y={y} fontSize={8} className="fill-soft" textAnchor="middle">
      {text}
    </text>
  );
  return (
    <svg
      viewBox="0 4 234 116"
      className="h-full w-full"
      role="img"
      aria-label={`Loading: ${step.replace('-', ' ')}`}
    >
      {at.cloth && (
        <path
          d={`M0,${middle - 46} H240 V${middle - 2} H0 Z`}
          className="fill-(--cloth-1) stroke-(--cloth-line)"
        />
      )}
      <path d={stripPath(at)} className="fill-strip stroke-graphite [stroke-width:1.2]" />
      {at.endsAt > throat && (
        <path
          d={`M${throat},${middle} H${at.endsAt - 6}`}
          className="fill-none stroke-strip-grain [stroke-dasharray:4_3]"
        />
      )}
      <path
        d={`M${mouth},${middle - flat - 5} L${throat},${middle - folded - 3} V${middle + folded + 3} L${mouth},${middle + flat + 5} Z`}
        className="fill-soft/40 stroke-graphite [stroke-width:2]"
      />
      <path
        d={`M${throat + (foot ? 2 : 14)},${middle - 15} H${right - 26} V${middle + 15} H${throat + (foot ? 2 : 14)} Z`}
        className="fill-soft/15 stroke-graphite [stroke-width:1.6]"
      />
      <circle cx={needle} cy={middle} r={3} className="fill-graphite" />
      {at.sewnTo !== null && (
        <path
          d={`M${needle},${middle} H${at.sewnTo}`}
          className="fill-none stroke-graphite [stroke-dasharray:6_3] [stroke-width:2]"
        />
      )}
      {step === 'lay-attachment' && (
        <>
          <path
            d={`M${throat},${middle + 34} v8 M${throat},${middle + 38} H${throat + 14} M${throat + 14},${middle + 34} v8`}
            className="fill-none stroke-pencil [stroke-width:1.6]"
          />
          {label(throat + 7, middle + 52, 'stand-off')}
        </>
      )}
      {step === 'set-flange' && (
        <>
          <path
            d={`M${mouth - 6},${middle - flat} V${middle + flat} M${mouth - 10},${middle - flat} h8 M${mouth - 10},${middle + flat} h8`}
            className="fill-none stroke-pencil [stroke-width:1.6]"
          />
          {label(mouth - 8, middle + flat + 14, 'as wide as the strip')}
        </>
      )}
      {step === 'centre-elastic' && (
        <>
          {[-1, 1].map((side) => (
            <rect
              key={side}
              x={mouth - 2}
              y={middle + side * (flat + 1) - 3}
              width={20}
              height={6}
              className="fill-ochre"
            />
          ))}
          {label(mouth + 10, middle + flat + 18, 'tape on both sides')}
        </>
      )}
      {(step === 'coax-strip' || step === 'hold-start') && (
        <>
          <path
            d={
              step === 'coax-strip'
                ? `M${throat - 8},18 L128,${middle - 6}`
                : `M196,18 L${needle + 14},${middle - 6}`
            }
            className="stroke-pencil [stroke-linecap:round] [stroke-width:4]"
          />
          {label(step === 'coax-strip' ? throat - 8 : 196, 13, 'blunt tool')}
        </>
      )}
      {step === 'even-folds' && (
        <path
          d={`M170,${middle + 26} h44 m-7,-5 l7,5 l-7,5 M164,${middle + 26} h-44 m7,-5 l-7,5 l7,5`}
          className="fill-none stroke-pencil [stroke-width:2]"
        />
      )}
      {step === 'lost-back' && (
        <>
          <circle
            cx={throat + 22}
            cy={middle}
            r={20}
            className="fill-none stroke-madder [stroke-width:2.5]"
          />
          {label(throat + 22, middle + 32, 'wider: the back is out')}
        </>
      )}
      {at.endsAt > 30 && label(26, middle + flat + 12, 'wrong side to you')}
      {at.cloth && label(26, middle - 36, 'cloth, up in the mouth')}
    </svg>
  );
}
