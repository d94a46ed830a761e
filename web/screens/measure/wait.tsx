import { Timer } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Button } from '../../controls/button';

interface WaitProps {
  readonly seconds: number;
  /** What one waits for: “it to come back”. */
  readonly what: string;
  /** Called with how much of the wait is over, 0 to 1. */
  onPassing?(share: number): void;
}

/** A timer where one has to wait; it says when it is over. */
export function Wait({ seconds, what, onPassing }: WaitProps) {
  const [endsAt, setEndsAt] = useState<number | null>(null);
  const [left, setLeft] = useState(seconds);
  useEffect(() => {
    if (endsAt === null) return;
    const timer = setInterval(() => {
      const now = Math.max(0, Math.ceil((endsAt - performance.now()) / 1000));
      setLeft(now);
      onPassing?.(1 - now / seconds);
      if (now === 0) setEndsAt(null);
    }, 200);
    return () => clearInterval(timer);
  }, [endsAt, seconds, onPassing]);
  const running = endsAt !== null;
  const over = !running && left === 0;
  return (
    <div className="flex items-center gap-3">
      <Button
        onClick={() => {
          setLeft(seconds);
          setEndsAt(running ? null : performance.now() + seconds * 1000);
        }}
      >
        <Timer size={18} aria-hidden /> {running ? 'Stop' : `Wait ${seconds} s`}
      </Button>
      <p aria-hidden className="big-number text-2xl">
        {running ? `${left} s` : ''}
      </p>
      <p role="status" className={over ? 'font-bold text-moss' : 'text-sm text-soft'}>
        {over ? '✓ Read it now.' : running ? `for ${what}` : ''}
      </p>
    </div>
  );
}
