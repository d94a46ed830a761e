import type { DatedScrap } from '../../core/book/skill';

/** A scrap as far as something is learned from it. */
export interface TaughtScrap extends DatedScrap {
  readonly id: string;
  readonly clothId: string | null;
  readonly machineId: string | null;
  readonly footId: string | null;
  readonly pinned: boolean;
}
