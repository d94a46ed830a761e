import { ChevronLeft, ChevronRight } from 'lucide-react';
import { useKeys } from '../frame/keys';
import { Button } from './button';

interface StagePlayerProps {
  /** Of how many stages which one is shown, from 0. */
  readonly count: number;
  readonly index: number;
  readonly title: string;
  /** What one goes back and on by: “Fold”. */
  readonly verb: string;
  onIndex(index: number): void;
}

/** Back, on, and what is shown: stages of the work, also by the arrow keys. */
export function StagePlayer({ count, index, title, verb, onIndex }: StagePlayerProps) {
  const last = count - 1;
  useKeys([
    {
      ...{ press: ['ArrowRight'], shown: '→', does: `${verb.toLowerCase()} one step on` },
      act: () => onIndex(Math.min(last, index + 1)),
    },
    {
      ...{ press: ['ArrowLeft'], shown: '←', does: `${verb.toLowerCase()} one step back` },
      act: () => onIndex(Math.max(0, index - 1)),
    },
  ]);
  return (
    <div className="flex items-center gap-3 px-4 pt-2">
      <Button
        aria-label={`${verb} one step back`}
        disabled={index === 0}
        onClick={() => onIndex(index - 1)}
      >
        <ChevronLeft aria-hidden />
      </Button>
      <p aria-live="polite" className="min-w-0 grow text-center">
        <span className="block text-sm text-soft">
          {index + 1} of {count}
        </span>
        <span className="font-head text-xl font-semibold">{title}</span>
      </p>
      <Button
        aria-label={`${verb} one step on`}
        disabled={index === last}
        onClick={() => onIndex(index + 1)}
      >
        <ChevronRight aria-hidden />
      </Button>
    </div>
  );
}
