import type { QueryClient } from '@tanstack/react-query';
import type { Patch } from './waiting';

/** What every stored record has. */
export type Stored = { readonly id: string; readonly version: number };
export type StoredFields = Stored & Patch;

/** The records as this page has them: each alone, and in every list it stands in. */
export class Copies {
  constructor(private readonly cache: QueryClient) {}

  /** The newest copy of a record: what nobody looks at may be older than what is on the screen. */
  newest(resource: string, id: string): StoredFields | undefined {
    return this.all(resource, id).reduce<StoredFields | undefined>(
      (newest, copy) => (newest && newest.version >= copy.version ? newest : copy),
      undefined,
    );
  }

  /** Shows a record otherwise wherever it is. */
  show(resource: string, id: string, update: (record: Stored) => Stored): void {
    this.cache.setQueryData<Stored>([resource, id], (record) => record && update(record));
    this.cache.setQueriesData<Stored[]>({ queryKey: [resource, 'list'] }, (records) =>
      records?.map((record) => (record.id === id ? update(record) : record)),
    );
  }

  /** Keeps a record alone, whether or not it was there. */
  keep(resource: string, record: Stored): void {
    this.cache.setQueryData([resource, record.id], record);
  }

  /** Loads a table anew. */
  async reload(resource: string): Promise<void> {
    await this.cache.invalidateQueries({ queryKey: [resource] });
  }

  private all(resource: string, id: string): StoredFields[] {
    const single = this.cache.getQueryData<StoredFields>([resource, id]);
    const lists = this.cache.getQueriesData<StoredFields[]>({ queryKey: [resource, 'list'] });
    const listed = lists.flatMap(([, records]) => records ?? []).filter((one) => one.id === id);
    return single ? [single, ...listed] : listed;
  }
}
