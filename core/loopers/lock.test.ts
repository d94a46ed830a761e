import { looperMove } from './lock';

test.each([
  [0, false, null],
  [0.4, true, null],
  [1, false, { looper: 'lower', direction: 'tighter', numbers: 1 }],
  [-1.4, false, { looper: 'upper', direction: 'tighter', numbers: 1.5 }],
  [2, true, { looper: 'upper', direction: 'looser', numbers: 2 }],
  [-0.6, true, { looper: 'lower', direction: 'looser', numbers: 0.5 }],
])('a lock at %d, drawn in %s', (lockMm, drawnIn, move) => {
  expect(looperMove(lockMm, drawnIn)).toEqual(move);
});
