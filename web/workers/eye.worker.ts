import { expose } from 'comlink';
import { eyeTasks } from './eye-tasks';

expose(eyeTasks);
