import { solverTasks } from '../workers/solver-tasks';

/** The solver's sums in the page itself, a task later, as a thread would answer. */
export const solver = solverTasks;
