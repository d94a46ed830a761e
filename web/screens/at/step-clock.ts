import { useEffect, useRef } from 'react';

/**
 * How long something has been looked at: only while it is in sight, and by a clock that nobody sets,
 * so that a wrong date or a change to summer time counts for nothing.
 */
export class StepClock {
  private seenMs = 0;
  private since: number | null = null;

  constructor(private readonly nowMs: () => number = () => performance.now()) {}

  /** Begins anew. @param inSight whether it is looked at from now on */
  begin(inSight: boolean): void {
    this.seenMs = 0;
    this.since = inSight ? this.nowMs() : null;
  }

  /** It comes into sight, or goes out of it. */
  seen(inSight: boolean): void {
    if (inSight) this.since ??= this.nowMs();
    else {
      this.seenMs = this.totalMs;
      this.since = null;
    }
  }

  /** Minutes in sight so far. */
  get minutes(): number {
    return this.totalMs / 60_000;
  }

  private get totalMs(): number {
    return this.seenMs + (this.since === null ? 0 : this.nowMs() - this.since);
  }
}

/** Times the step one looks at. @returns minutes it has been in sight */
export function useStepClock(stepId: string | null): () => number {
  const clock = useRef(new StepClock());
  useEffect(() => {
    clock.current.begin(document.visibilityState === 'visible');
  }, [stepId]);
  useEffect(() => {
    const onChange = () => clock.current.seen(document.visibilityState === 'visible');
    document.addEventListener('visibilitychange', onChange);
    return () => document.removeEventListener('visibilitychange', onChange);
  }, []);
  return () => clock.current.minutes;
}
