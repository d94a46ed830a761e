/** What a tab is told of a change that reached the disk. */
export interface ChangedEvent {
  /** The tab that made it. */
  readonly tab: string;
  /** Which records, as table and id; null when everything may be different. */
  readonly records: readonly (readonly [table: string, id: string])[] | null;
}
