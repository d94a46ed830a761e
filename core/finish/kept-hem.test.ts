import { foldPlanOf } from '../plan/fold-plan';
import { stepsOf } from '../plan/work';
import { workedOut } from '../plan/worked.fixture';
import { placeOf } from '../fold/layer';
import { keptHem } from './kept-hem';
import { foldsOf, workOn } from './wishes.fixture';

const withSetting = workedOut(keptHem, 'seams')!.work.sewn!;

test('the tuck fold is half of what is taken off, from the line that is sewn', () => {
  const plan = foldsOf(keptHem, { variant: 'seams', shortenMm: 24 });
  expect(plan.allowanceMm).toBe(0);
  expect(plan.marks).toEqual([
    { id: 'tuck-fold', name: 'Tuck fold', atMm: 12, action: 'press', from: 'seam-line' },
  ]);
  expect(plan.layersAtStitch).toBe(2);
  expect(plan.trim).toEqual({ needed: false, leaveMm: 12, cutAwayMm: 0 });
});

test('a deep tuck is trimmed to 15 mm, each layer by the rest', () => {
  const { trim } = foldsOf(keptHem, { variant: 'seams', shortenMm: 50 });
  expect(trim).toEqual({ needed: true, leaveMm: 15, cutAwayMm: 10 });
});

test('sewn and turned down, the garment is shorter by just that', () => {
  const { stages } = foldsOf(keptHem, { variant: 'seams', shortenMm: 30, depthMm: 13 });
  const far = (stack: (typeof stages)[number]['stack']) =>
    Math.max(...stack.map(({ toSMm }) => toSMm));
  const lengthOf = ({ stack }: (typeof stages)[number]) =>
    Math.abs((placeOf(stack, far(stack)) ?? 0) - (placeOf(stack, 23) ?? 0));
  const [before, after] = [lengthOf(stages[0]!), lengthOf(stages.at(-1)!)];
  expect(before - after).toBeCloseTo(30, 6);
});

test('trimming comes after trying on', () => {
  const ids = stepsOf(keptHem, workOn(keptHem, 'hand-caught')).map(({ id }) => id);
  expect(ids.indexOf('trim')).toBeGreaterThan(ids.indexOf('try-on'));
  expect(ids).toContain('hold');
});

test('less than a tuck can hold is refused with both numbers', () => {
  const wish = { variant: 'seams', shortenMm: 4 };
  expect(() => foldPlanOf(keptHem, { wish, cloth: { thicknessMm: 0.8 } })).toThrow(
    'Shortening by 4 mm makes a tuck of 2 mm, and a tuck holds from 3 mm; shorten by 6 mm or more.',
  );
});

test('what is asked is what is lost, wherever in the ditch the needle falls', () => {
  for (const ditch of [0.1, 0.65, 1.2]) {
    const request = { ...workOn(keptHem, 'seams'), wish: { variant: 'seams', shortenMm: 50.8 } };
    const plan = foldPlanOf(keptHem, {
      wish: request.wish,
      cloth: request.cloth,
      sewn: { ditch },
    });
    expect(plan.shortensMm).toBeCloseTo(50.8, 9);
    expect(plan.marks[0]).toMatchObject({ atMm: 25.4, from: 'seam-line' });
    // The mark lies as much further from the ridge as the line does.
    const mark = stepsOf(keptHem, {
      ...request,
      sewn: { ...withSetting, checks: { ditch } },
    }).find(({ id }) => id === 'mark');
    expect(mark?.values).toMatchObject({ tuckMm: 25.4, ditchMm: ditch, shortensMm: 50.8 });
    expect(mark?.values['fromRidgeMm']).toBeCloseTo(25.4 + ditch, 9);
  }
});
