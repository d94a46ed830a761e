import { photoFields, photoId as photoIdSchema } from '../../contract/photo';
import { Refusal } from '../http/refusal';
import type { KeptPhoto } from '../photos/keep-photo';
import type { ReadFile } from './read-file';

/** The photos a file brings, and those that are here already. */
export interface SentPhotos {
  readonly whole: readonly KeptPhoto[];
  /** The id a photo is kept under here; null when it can't be had. */
  keptAs(id: string): string | null;
  /** Why a photo cannot be had. */
  why(id: string): string;
}

/** What photos are looked at with. */
export interface PhotoHelp {
  /** Those of some photos that are kept here. */
  here(ids: readonly string[]): Promise<readonly string[]>;
  /** A photo as it will be kept. @throws Refusal at `path` */
  sent(bytes: Buffer, path: string): Promise<KeptPhoto>;
}

/** The bytes of a text in base64; null when it is something else. */
function bytesOf(text: string): Buffer | null {
  const plain = text.split(/\s/).join('');
  return /^[A-Za-z0-9+/]*={0,2}$/.test(plain) ? Buffer.from(plain, 'base64') : null;
}

/** Looks at the photos of a file: each must be a picture, and be what its id says. */
export async function sentPhotos(help: PhotoHelp, file: ReadFile): Promise<SentPhotos> {
  const whole = new Map<string, KeptPhoto>();
  const troubles = new Map<string, string>();
  for (const { place, id, base64 } of file.photos) {
    try {
      const bytes = bytesOf(base64);
      if (!bytes) throw new Refusal(400, 'no-picture', 'It is not base64.');
      const photo = await help.sent(bytes, place);
      if (photo.sentId === id) whole.set(id, photo);
      else troubles.set(id, `${place} is another picture than its id says.`);
    } catch (error) {
      if (!(error instanceof Refusal) || error.status !== 400) throw error;
      troubles.set(id, `${place}: ${error.message}`);
    }
  }
  const asked = file.rows.flatMap(({ record }) => {
    return photoFields.flatMap((field) => {
      const id = photoIdSchema.safeParse(record[field]);
      return id.success && !whole.has(id.data) ? [id.data] : [];
    });
  });
  const here = new Set(await help.here([...new Set(asked)]));
  return {
    whole: [...whole.values()],
    keptAs: (id) => whole.get(id)?.id ?? (here.has(id) ? id : null),
    why: (id) =>
      troubles.get(id) ??
      'The photo is not in this file, and not here. JSON carries photos, CSV only their ids.',
  };
}
