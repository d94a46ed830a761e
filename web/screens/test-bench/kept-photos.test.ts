import type { Find } from './finds';
import { photosWith } from './kept-photos';

const none = { photoId: null };
const found: readonly Find[] = [];

test('what is counted first is the photo, whichever face it is', () => {
  expect(photosWith(none, {}, 'wrong', 'w')).toEqual({ photoId: 'w' });
  expect(photosWith(none, {}, 'right', 'r')).toEqual({ photoId: 'r' });
});

test('of both faces the wrong side’s is the one with the depths, in whatever order they come', () => {
  const both = { photoId: 'w', otherFacePhotoId: 'r' };
  expect(photosWith({ photoId: 'w' }, { wrong: found }, 'right', 'r')).toEqual(both);
  expect(photosWith({ photoId: 'r' }, { right: found }, 'wrong', 'w')).toEqual(both);
});

test('another photo of a face takes the place of its last, and of nothing else', () => {
  const counted = { wrong: found, right: found };
  const both = { photoId: 'w', otherFacePhotoId: 'r' };
  expect(photosWith(both, counted, 'wrong', 'w2')).toEqual({ ...both, photoId: 'w2' });
  expect(photosWith(both, counted, 'right', 'r2')).toEqual({ ...both, otherFacePhotoId: 'r2' });
  expect(photosWith({ photoId: 'w' }, { wrong: found }, 'wrong', 'w2')).toEqual({ photoId: 'w2' });
});

test('a photo of the wrong side that was taken away does not make room for the right side’s', () => {
  expect(photosWith(none, { wrong: found }, 'right', 'r')).toEqual({
    photoId: null,
    otherFacePhotoId: 'r',
  });
});
