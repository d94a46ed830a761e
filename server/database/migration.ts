import type { Tables } from './tables';

/**
 * One step of the database's history. Every statement of it may find its work done already: a
 * folder that an older app was killed over is half way, and is brought on by the same steps.
 */
export interface Migration {
  readonly name: string;
  up(tables: Tables): Promise<void>;
}
