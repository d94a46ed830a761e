import { expose } from 'comlink';
import { solverTasks } from './solver-tasks';

expose(solverTasks);
