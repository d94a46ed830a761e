/** What a find is taken for. */
export type Taken = 'sound' | 'short' | 'over' | 'struck';

/** A ring where it is sound, a square where it falls short, a point up where it goes over; mm of the window. */
export const ringShapes: Readonly<Record<Taken, string>> = {
  sound: 'M-2.3,0A2.3,2.3 0 1 1 2.3,0A2.3,2.3 0 1 1 -2.3,0Z',
  short: 'M-2.1,-2.1H2.1V2.1H-2.1Z',
  over: 'M0,-2.8L2.7,1.9H-2.7Z',
  struck: 'M-1.3,-1.3L1.3,1.3M1.3,-1.3L-1.3,1.3',
};

/** Its colour says whether it is sound, its shape the same once more. */
export const ringColour = (taken: Taken): string =>
  taken === 'sound' ? 'var(--color-pencil)' : 'var(--color-madder)';

const explained = ['sound', 'short', 'over'] as const;

/** Which ring means what, and which are doubtful. */
export function RingKey({
  names,
}: {
  names: Readonly<Record<(typeof explained)[number], string>>;
}) {
  return (
    <>
      {explained.map((taken) => (
        <span key={taken} className="mr-2 whitespace-nowrap">
          {/* Drawn: the app's letters have no such signs, and looking for others takes a third of a frame. */}
          <svg
            viewBox="-3.4 -3.4 6.8 6.8"
            className="mr-1 inline size-3.5 align-[-0.15em]"
            aria-hidden
          >
            <path d={ringShapes[taken]} fill="none" stroke={ringColour(taken)} strokeWidth={0.9} />
          </svg>
          {names[taken].toLowerCase()}
        </span>
      ))}
    </>
  );
}
