import type { Face } from '../../../core/eye/seen-on';
import type { FindsByFace } from './joined-finds';
import type { ScrapPhotos } from '../../controls/scrap-photos-field';

/**
 * What is kept once a face was counted in a photo. Depths have their places on the wrong side; on the right
 * side they have them only until the wrong one is counted.
 *
 * @param counted the faces that were counted before
 * @param id the new photo's
 */
export function photosWith(
  kept: ScrapPhotos,
  counted: FindsByFace,
  face: Face,
  id: string,
): ScrapPhotos {
  if (face === 'right' && counted.wrong) return { ...kept, otherFacePhotoId: id };
  const isTurnedOver = face === 'wrong' && counted.right && !counted.wrong;
  return isTurnedOver ? { photoId: id, otherFacePhotoId: kept.photoId } : { ...kept, photoId: id };
}
