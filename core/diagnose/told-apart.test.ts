import { blindHem } from '../finish/blind-hem';
import { examplePlan } from '../plan/example.fixture';
import { setUpOf } from '../plan/set-up-of';
import { compareScraps, movedDials, type ComparedScrap } from './told-apart';

const [bite] = setUpOf(blindHem, examplePlan).checks;
const before: ComparedScrap = {
  settings: { widthMm: 2, lengthMm: 2, needlePositionMm: 0.5, guideMm: -1 },
  dialValues: { needle: '80', differential: 1 },
  symptoms: ['ridge', 'skipped'],
};
const now = (
  settings: Partial<NonNullable<ComparedScrap['settings']>>,
  rest: Partial<ComparedScrap> = {},
): ComparedScrap => ({ ...before, settings: { ...before.settings!, ...settings }, ...rest });

test('nothing moved, nothing to tell apart', () => {
  const comparison = compareScraps(now({}), before, bite!);
  expect(comparison).toMatchObject({ moved: [], together: [], netMm: 0, came: [], went: [] });
});

test('one dial: what it did to the bite', () => {
  const { together, netMm, aloneMm } = compareScraps(now({ widthMm: 2.5 }), before, bite!);
  expect(together).toEqual([]);
  // v0 = x_g − p + W for the blind hem.
  expect(netMm).toBeCloseTo(0.5, 12);
  expect(aloneMm).toEqual({ width: expect.closeTo(0.5, 12) });
});

test('two at once: each alone, both together, and that they can’t be told apart', () => {
  const both = compareScraps(now({ widthMm: 2.5, needlePositionMm: 0 }), before, bite!);
  expect(both.together).toEqual(['width', 'needlePosition']);
  expect(both.netMm).toBeCloseTo(1, 12);
  expect(both.aloneMm.width).toBeCloseTo(0.5, 12);
  expect(both.aloneMm.needlePosition).toBeCloseTo(0.5, 12);
  // Against each other they may cancel: then the counts see nothing at all.
  const against = compareScraps(now({ widthMm: 2.5, needlePositionMm: 1 }), before, bite!);
  expect(against.netMm).toBeCloseTo(0, 12);
});

test('values beside the dials count as moved too; what was not noted before does not', () => {
  const moved = movedDials(
    now({}, { dialValues: { needle: '90', differential: 1, thread: 'fine' } }),
    before,
  );
  expect(moved).toEqual([{ dial: 'needle', from: '80', to: '90' }]);
});

test('what came and what went', () => {
  const { came, went } = compareScraps(now({}, { symptoms: ['ridge', 'shine'] }), before, null);
  expect([came, went]).toEqual([['shine'], ['skipped']]);
});

test('without dials on one of them there is no net move', () => {
  expect(compareScraps({ ...before, settings: null }, before, bite!).netMm).toBeNull();
});
