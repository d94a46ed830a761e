import { useState } from 'react';

/** What a field needs to know of changes elsewhere while somebody types into it. */
export interface Typing<T> {
  /** Whether the stored value is another than when the typing began. */
  readonly overtaken: boolean;
  /** Somebody begins to type, or goes on. */
  begin(): void;
  /** What was typed is kept or put back; or it is to stand whatever was stored since. */
  end(): void;
  readonly stored: T;
}

/** Remembers what a field held when somebody began to type into it. */
export function useTyping<T>(stored: T): Typing<T> {
  const [begunOn, setBegunOn] = useState<{ readonly value: T } | null>(null);
  return {
    stored,
    overtaken: begunOn !== null && begunOn.value !== stored,
    begin: () => setBegunOn((known) => known ?? { value: stored }),
    end: () => setBegunOn(null),
  };
}

/** Says that a field was changed elsewhere while it was typed into, and asks which is to stand. */
export function Meanwhile({
  theirs,
  onMine,
  onTheirs,
}: {
  /** What is stored now, as it would be shown. */
  theirs: string;
  onMine(): void;
  onTheirs(): void;
}) {
  return (
    <div role="alert" className="mt-1 border-l-4 border-ochre bg-ochre-wash px-3 py-1 text-sm">
      Changed elsewhere meanwhile to <b className="break-words">{theirs || 'nothing'}</b>.
      <span className="flex flex-wrap gap-4">
        {/* Pressed before the field is left, so that leaving it does not decide. */}
        <button
          type="button"
          className="min-h-9 font-bold text-pencil underline underline-offset-2"
          onPointerDown={(event) => event.preventDefault()}
          onClick={onMine}
        >
          Set it to mine
        </button>
        <button
          type="button"
          className="min-h-9 font-bold text-pencil underline underline-offset-2"
          onPointerDown={(event) => event.preventDefault()}
          onClick={onTheirs}
        >
          Leave theirs
        </button>
      </span>
    </div>
  );
}
