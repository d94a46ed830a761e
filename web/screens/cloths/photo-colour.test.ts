import { meanColour } from './photo-colour';

test('the mean of pixels, their opacity left out', () => {
  expect(meanColour([255, 0, 0, 255, 0, 0, 255, 0])).toBe('#800080');
  expect(meanColour([1, 2, 3, 255])).toBe('#010203');
});
