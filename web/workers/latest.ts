/**
 * Lets only the newest of many calls through: one is under way at a time, and of those that come
 * meanwhile the last one waits. What was overtaken resolves to null and is never worked out.
 */
export function latestOnly<A extends readonly unknown[], T>(
  work: (...args: A) => Promise<T>,
): (...args: A) => Promise<T | null> {
  let running = false;
  let waiting: { args: A; settle(result: Promise<T> | null): void } | null = null;
  const next = () => {
    if (running || !waiting) return;
    const { args, settle } = waiting;
    waiting = null;
    running = true;
    const result = work(...args);
    settle(result);
    result
      .catch(() => undefined)
      .finally(() => {
        running = false;
        next();
      });
  };
  return (...args) =>
    new Promise((resolve) => {
      waiting?.settle(null);
      waiting = { args, settle: resolve };
      next();
    });
}
