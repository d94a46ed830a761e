import type { ReactNode } from 'react';
import type { MeasuredCloth } from '../../../core/cloth/cloth';
import { useLengths } from '../../ground/lengths-context';
import { meanings } from '../../words/cloth';
import type { HomeTest } from '../cloths/home-test';

interface TestRoomProps {
  readonly test: HomeTest;
  /** What the hands do, a line each. */
  readonly todo: readonly string[];
  /** The drawing of it, to scale. */
  readonly drawing: ReactNode;
  /** The fields and instruments. */
  readonly children: ReactNode;
  /** The cloth as it would be with what was read so far; null where that can't be. */
  readonly cloth: MeasuredCloth | null;
  readonly trouble?: string | undefined;
}

/** One home test: the drawing on the table, what to do and what it came to on the slip. */
export function TestRoom(props: TestRoomProps) {
  const { test, todo, drawing, children, cloth, trouble } = props;
  const lengths = useLengths();
  const guessed = cloth?.estimated.includes(test.property) ?? true;
  return (
    <div className="grid min-h-0 grow grid-cols-[minmax(0,1fr)] gap-4 lg:grid-cols-[minmax(0,1fr)_23rem]">
      <div className="sheet flex min-h-72 flex-col overflow-hidden">
        <div className="flex min-h-0 grow items-center justify-center p-2">{drawing}</div>
        <div
          role="status"
          aria-label="Result"
          className="flex shrink-0 flex-wrap items-baseline gap-x-5 border-t border-line px-5 py-2"
        >
          <p className={`big-number text-4xl ${guessed ? 'text-soft' : ''}`}>
            {cloth && guessed && <span className="font-body text-lg font-normal">about </span>}
            {cloth ? test.result(cloth, lengths) : '–'}
          </p>
          <p className="min-w-60 grow">
            {cloth
              ? meanings[test.property](cloth, lengths)
              : 'The readings contradict each other.'}{' '}
            {guessed && cloth && <span className="text-ochre">A guess: not tested yet.</span>}
          </p>
        </div>
      </div>
      <section
        aria-label={test.name}
        className="slip flex min-h-0 flex-col overflow-y-auto px-5 py-3"
      >
        <ol className="list-decimal pl-5 leading-snug">
          {todo.map((line) => (
            <li key={line} className="py-0.5">
              {line}
            </li>
          ))}
        </ol>
        <div className="grid gap-3 py-3">{children}</div>
        {trouble && (
          <p role="alert" className="pb-2 text-sm font-bold text-madder">
            {trouble}
          </p>
        )}
      </section>
    </div>
  );
}
