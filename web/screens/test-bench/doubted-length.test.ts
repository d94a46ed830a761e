import { doubtedLength } from './doubted-length';

test('a row is asked about where it may well be of another stitch length, and only there', () => {
  expect(doubtedLength(null)).toBeNull();
  expect(doubtedLength({ is: 'closer', asSet: 0.97 })).toBeNull();
  expect(doubtedLength({ is: 'closer', asSet: 0.6 })).toContain('shorter stitch than is set');
  expect(doubtedLength({ is: 'farther', asSet: 0.6 })).toContain('longer stitch than is set');
});
