import type { Find } from './finds';
import { photosWith } from './kept-photos';

const found: readonly Find[] = [];

test('what is counted first is the photo, whichever face it is', () => {
  expect(photosWith(null, {}, 'wrong', 'w')).toEqual({ photoId: 'w' });
  expect(photosWith(null, {}, 'right', 'r')).toEqual({ photoId: 'r' });
});

test('of both faces the wrong side’s is the one with the depths, in whatever order they come', () => {
  expect(photosWith('w', { wrong: found }, 'right', 'r')).toEqual({ otherFacePhotoId: 'r' });
  expect(photosWith('r', { right: found }, 'wrong', 'w')).toEqual({
    ...{ photoId: 'w', otherFacePhotoId: 'r' },
  });
});

test('another photo of a face takes the place of its last, and of nothing else', () => {
  const counted = { wrong: found, right: found };
  expect(photosWith('w', counted, 'wrong', 'w2')).toEqual({ photoId: 'w2' });
  expect(photosWith('w', counted, 'right', 'r2')).toEqual({ otherFacePhotoId: 'r2' });
  expect(photosWith('w', { wrong: found }, 'wrong', 'w2')).toEqual({ photoId: 'w2' });
});

test('a photo of the wrong side that was taken away does not make room for the right side’s', () => {
  expect(photosWith(null, { wrong: found }, 'right', 'r')).toEqual({ otherFacePhotoId: 'r' });
});
