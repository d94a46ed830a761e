import { ChevronLeft, ChevronRight, Moon, Sun, X } from 'lucide-react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { useKeys } from '../../frame/keys';
import { useKeptHere } from '../../ground/kept-here';
import { useWakeLock } from './use-wake-lock';

interface AtStageProps {
  /** Where one came from. */
  readonly backTo: string;
  readonly heading: string;
  readonly count: string;
  readonly done: boolean;
  readonly picture: ReactNode;
  readonly text: string;
  readonly numbers?: ReactNode;
  readonly cautions: readonly string[];
  /** Whether nothing is left to do. */
  readonly finished?: boolean;
  /** Buttons that stand above the halves. */
  readonly more?: ReactNode;
  readonly nextWords: string;
  /** Null at the last step. */
  readonly onNext: (() => void) | null;
  /** Null at the first. */
  readonly onBack: (() => void) | null;
}

const isYes = (kept: unknown) => kept === true;

/**
 * One step, to be read at two metres and gone on from with a knuckle: anywhere on the right half is
 * done and next, on the left half back. Space and the arrows do the same.
 *
 * A letter is legible at 2 m from about 3 mm on: 28 px on most screens; the numbers are twice that.
 */
export function AtStage(props: AtStageProps) {
  const { backTo, heading, count, done, picture, text, numbers, cautions, more } = props;
  const { nextWords, onNext, onBack, finished = false } = props;
  const [dark, setDark] = useKeptHere('dark room', isYes);
  useWakeLock();
  useKeys([
    {
      ...{ press: [' ', 'ArrowRight'], shown: 'Space →', does: 'done, the next step' },
      act: () => onNext?.(),
    },
    { press: ['ArrowLeft'], shown: '←', does: 'one step back', act: () => onBack?.() },
  ]);
  const toggle = () => setDark(!dark);
  return (
    <main
      data-room={dark ? 'dark' : 'bright'}
      className="relative flex min-h-0 grow flex-col overflow-hidden bg-cloth text-graphite"
    >
      <header className="z-20 flex shrink-0 items-center gap-3 border-b border-line px-3">
        <Link
          to={backTo}
          aria-label="Leave the machine"
          className="flex size-12 shrink-0 items-center justify-center rounded-[3px] hover:bg-paper"
        >
          <X size={26} aria-hidden />
        </Link>
        <h1 className="min-w-0 grow truncate text-xl" title={heading}>
          {heading}
        </h1>
        <p role="status" className="shrink-0 text-xl font-bold whitespace-nowrap">
          {count}
        </p>
        <button
          type="button"
          aria-label={dark ? 'The room is bright' : 'The room is dark'}
          className="flex size-12 shrink-0 items-center justify-center rounded-[3px] hover:bg-paper"
          onClick={toggle}
        >
          {dark ? <Sun size={24} aria-hidden /> : <Moon size={24} aria-hidden />}
        </button>
      </header>
      <div className="min-h-0 grow overflow-y-auto">
        <div className="relative flex min-h-full flex-col landscape:flex-row">
          {/* What a picture offers to be pressed lies under a knuckle here. */}
          <div className="flex h-[34dvh] shrink-0 items-center border-line bg-paper max-landscape:border-b landscape:sticky landscape:top-0 landscape:h-auto landscape:w-[46%] landscape:border-r [&_button]:hidden">
            <div className="h-full max-h-104 min-h-0 w-full">{picture}</div>
          </div>
          <div className="flex min-w-0 grow flex-col gap-3 p-4">
            <p
              className={`text-[1.75rem] leading-tight lg:text-4xl ${done ? 'text-soft' : 'font-bold'}`}
            >
              {done && '✓ '}
              {text}
            </p>
            {numbers}
            {cautions.map((caution) => (
              <p key={caution} className="text-xl font-bold text-ochre">
                ! {caution}
              </p>
            ))}
          </div>
          {/* For a knuckle; who goes by keys or hears the page has the buttons below. */}
          <div
            aria-hidden
            data-testid="left half"
            className="absolute inset-y-0 left-0 z-10 w-1/2"
            onClick={() => onBack?.()}
          />
          <div
            aria-hidden
            data-testid="right half"
            className="absolute inset-y-0 right-0 z-10 w-1/2"
            onClick={() => onNext?.()}
          />
        </div>
      </div>
      {more && (
        <div className="flex shrink-0 justify-center gap-3 border-t border-line px-3 py-2">
          {more}
        </div>
      )}
      {finished && (
        <p role="status" className="shrink-0 border-t border-line px-4 py-3 text-2xl font-bold">
          ✓ All of it is done.{' '}
          <Link className="inline-flex min-h-11 items-center underline" to="/">
            To the worktable
          </Link>
        </p>
      )}
      <footer className="flex shrink-0 gap-3 border-t border-line p-3">
        <button
          type="button"
          aria-label="One step back"
          disabled={!onBack}
          className="flex min-h-14 grow basis-0 items-center gap-1 rounded-[3px] border border-line bg-paper px-4 text-xl disabled:text-seam"
          onClick={() => onBack?.()}
        >
          <ChevronLeft aria-hidden /> Back
        </button>
        <button
          type="button"
          disabled={!onNext}
          className="flex min-h-14 grow-[2] basis-0 items-center justify-end gap-1 rounded-[3px] border border-graphite bg-graphite px-5 text-xl font-bold text-slip disabled:border-line disabled:bg-cloth disabled:text-soft"
          onClick={() => onNext?.()}
        >
          {nextWords} <ChevronRight aria-hidden />
        </button>
      </footer>
    </main>
  );
}
