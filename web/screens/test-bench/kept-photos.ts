import type { Face } from '../../../core/eye/seen-on';
import type { ScrapPhotos } from '../../controls/scrap-photos-field';
import type { FindsByFace } from './joined-finds';

/**
 * What changes of a scrap’s photos once a face was counted in one. Depths have their places on the wrong side;
 * on the right side they have them only until the wrong one is counted.
 *
 * @param before the photo in which the depths had their places
 * @param counted the faces that were counted before
 * @param id the new photo’s
 */
export function photosWith(
  before: string | null,
  counted: FindsByFace,
  face: Face,
  id: string,
): Partial<ScrapPhotos> {
  if (face === 'right' && counted.wrong) return { otherFacePhotoId: id };
  const isTurnedOver = face === 'wrong' && counted.right && !counted.wrong;
  return isTurnedOver ? { photoId: id, otherFacePhotoId: before } : { photoId: id };
}
