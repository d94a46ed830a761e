import { wrap } from 'comlink';
import type { SolverTasks } from './solver-tasks';

/** The sums that take longer than a frame, on a thread of their own. */
export const solver = wrap<SolverTasks>(
  new Worker(new URL('./solver.worker.ts', import.meta.url), { type: 'module' }),
);
