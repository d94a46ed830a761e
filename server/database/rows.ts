import type { Model } from 'sequelize';
import type { ClothDraft } from '../../contract/cloth';
import type { FootDraft, MachineDraft, NeedleDraft, ThreadDraft } from '../../contract/kit';
import type {
  BookEntry,
  EdgeDraft,
  PlanDraft,
  PreferencesDraft,
  ProjectDraft,
} from '../../contract/records';
import type { RecordTable } from './models';

/** What a record of each table says. */
export interface Kept {
  cloths: ClothDraft;
  machines: MachineDraft;
  feet: FootDraft;
  needles: NeedleDraft;
  threads: ThreadDraft;
  projects: ProjectDraft;
  edges: EdgeDraft;
  plans: PlanDraft;
  attempts: BookEntry;
  preferences: PreferencesDraft;
}

/** What every record has beside that. A type, since an interface is no record of unknown fields. */
export type Stored = {
  readonly id: string;
  /** Rises with each write. */
  readonly version: number;
  readonly createdAt: string;
  readonly updatedAt: string;
};

/** A record that is to be stored, with the id it will have. */
export type Entry = {
  readonly [T in RecordTable]: { readonly table: T; readonly id: string; readonly draft: Kept[T] };
}[RecordTable];

/** A stored record of a table. */
export type RowOf<T extends RecordTable = RecordTable> = Kept[T] & Stored;

/**
 * A row of the object mapper as plain data. What stands in the tables was judged by the contract's
 * schemas when it was written, and brought along by the migrations since; this is where that is
 * taken at its word.
 */
export const plainRow = <T extends RecordTable>(_table: T, row: Model): RowOf<T> =>
  row.get({ plain: true }) as RowOf<T>;

/** A photo as it is stored; its id is the hash of its bytes. */
export interface StoredPhoto {
  readonly id: string;
  readonly bytes: Buffer;
  readonly widthPx: number;
  readonly heightPx: number;
}

/** A row of photos as plain data, taken at its word as above. */
export const plainPhoto = (row: Model): StoredPhoto => row.get({ plain: true }) as StoredPhoto;
