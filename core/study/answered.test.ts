import { evenDraws } from '../swatch/draw';
import { answered } from './answered';
import { eyeCases } from './eye-cases';
import { drawnPhoto } from './drawn-photo';
import { countsAt } from '../eye/likeliest-counts';
import { isWithinOne, measuredOf } from './true-stitch';

const round = 'blind hem over a round fold, wrong side, checked, soft';
const it = { ...eyeCases().find(({ name }) => name === round)!, pxPerMm: 10 };
/** Photos by how they come out, so that some have doubtful bites. */
const photos = [71, 72, 73, 74].flatMap((seed) => {
  const photo = drawnPhoto(it, evenDraws(seed));
  const measured = measuredOf(photo);
  return measured ? [{ photo, measured }] : [];
});

test('a photo that is asked about nothing comes to what was measured; asked about all, to what is true', () => {
  for (const { photo, measured } of photos) {
    const { short, over } = measured.counts;
    expect(answered(photo, measured, 0)).toEqual({ answers: 0, short, over });
    const all = answered(photo, measured, 99);
    expect(isWithinOne(all, countsAt(photo.truth, photo.expected.judged), 'wrong')).toBe(true);
  }
});

test('each answer settles more than the one it was given for', () => {
  const doubtful = photos.map(
    ({ measured }) => measured.stitches.filter(({ counted, sure }) => counted && sure < 0.9).length,
  );
  const answers = photos.map(({ photo, measured }) => answered(photo, measured, 99).answers);
  const of = (some: readonly number[]) => some.reduce((sum, one) => sum + one, 0);
  expect(of(doubtful)).toBeGreaterThan(8);
  expect(of(answers)).toBeLessThan(0.9 * of(doubtful));
});
