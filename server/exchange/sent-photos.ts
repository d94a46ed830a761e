import { photoId as photoIdSchema } from '../../contract/photo';
import { Refusal } from '../http/refusal';
import { sentPhoto, type KeptPhoto } from '../photos/keep-photo';
import type { Change } from '../store/store';
import type { ReadFile } from './read-file';

/** The photos a file brings, and those that are here already. */
export interface SentPhotos {
  readonly whole: readonly KeptPhoto[];
  has(id: string): boolean;
  /** Why a photo cannot be had. */
  why(id: string): string;
}

const base64 = /^[A-Za-z0-9+/\s]*={0,2}\s*$/;

/** Looks at the photos of a file: each must be a picture, and be what its id says. */
export async function sentPhotos(change: Change, file: ReadFile): Promise<SentPhotos> {
  const whole = new Map<string, KeptPhoto>();
  const troubles = new Map<string, string>();
  for (const { place, id, base64: text } of file.photos) {
    try {
      if (!base64.test(text)) throw new Refusal(400, 'no-picture', 'It is not base64.');
      const photo = await sentPhoto(Buffer.from(text, 'base64'), place);
      if (photo.id === id) whole.set(id, photo);
      else troubles.set(id, `${place} is another picture than its id says.`);
    } catch (error) {
      if (!(error instanceof Refusal)) throw error;
      troubles.set(id, `${place}: ${error.message}`);
    }
  }
  const asked = file.rows.flatMap(({ record }) => {
    const id = photoIdSchema.safeParse(record['photoId']);
    return id.success && !whole.has(id.data) ? [id.data] : [];
  });
  const here = new Set<string>();
  for (const id of new Set(asked)) if (await change.hasPhoto(id)) here.add(id);
  return {
    whole: [...whole.values()],
    has: (id) => whole.has(id) || here.has(id),
    why: (id) =>
      troubles.get(id) ??
      'The photo is not in this file, and not here. JSON carries photos, CSV only their ids.',
  };
}
