import { blindHem } from '../finish/blind-hem';
import { examplePlan } from '../plan/example.fixture';
import { ladderOf } from '../plan/ladder-plan';
import { setUpOf } from '../plan/set-up-of';
import { startingSetting } from '../plan/starting-setting';
import { dialField } from '../kit/dial-steps';
import { judge } from '../plan/judge';
import { evenDraws } from '../swatch/draw';
import { testLadder } from './ladder';
import { posteriorGrid } from './posterior-grid';

const plan = {
  ...examplePlan,
  machine: { ...examplePlan.machine, widthStepMm: 0.1, needleStepMm: 0.1 },
};
const set = setUpOf(blindHem, plan);
const start = startingSetting(blindHem, plan, set);
const [bite] = set.checks;
const grid = posteriorGrid(
  set.checks.filter(({ source }) => source === 'guide'),
  [],
  0.2,
);
const ladder = (count: number, seed = 1) =>
  testLadder(set, bite!, grid, start, { count, stitches: 12, random: evenDraws(seed) })!;

test.each([3, 4, 5])(
  '%d rungs: one dial, different places, in its order, none blocked',
  (count) => {
    const { dial, rungs } = ladder(count);
    expect(rungs).toHaveLength(count);
    const field = dialField[dial];
    const places = rungs.map((rung) => rung[field]);
    expect([...places].sort((a, b) => a - b)).toEqual(places);
    expect(new Set(places).size).toBe(count);
    for (const rung of rungs) {
      const others = { ...rung, [field]: start[field], lengthMm: start.lengthMm };
      expect(others).toEqual(start);
      expect(judge(set, { ...rung, lengthMm: start.lengthMm }).blocked).toBe(false);
    }
  },
);

test('each rung adds something, and less than the one before', () => {
  const { gainsNats, gainNats } = ladder(5);
  expect(gainNats).toBe(gainsNats.at(-1));
  const steps = gainsNats.map((gain, i) => gain - (gainsNats[i - 1] ?? 0));
  for (const step of steps) expect(step).toBeGreaterThan(0);
  expect(steps[0]).toBeGreaterThan(steps[4]!);
});

test('the places lie apart: three at one place would tell less', () => {
  const { dial, rungs, gainNats } = ladder(3);
  const field = dialField[dial];
  expect(
    Math.max(...rungs.map((r) => r[field])) - Math.min(...rungs.map((r) => r[field])),
  ).toBeGreaterThan(0.3);
  // The first rung alone, with as many stitches as all three, tells less.
  const alone = testLadder(set, bite!, grid, start, {
    ...{ count: 1, stitches: 36, random: evenDraws(1) },
  })!;
  expect(gainNats).toBeGreaterThan(alone.gainNats);
});

test('the same draws give the same ladder', () => {
  expect(ladder(4)).toEqual(ladder(4));
});

test('nothing to turn, no ladder', () => {
  const still = { ...bite!, v0: { ...bite!.v0, width: 0, needlePosition: 0, guide: 0 } };
  expect(
    testLadder(set, still, grid, start, { count: 3, stitches: 12, random: evenDraws(1) }),
  ).toBeNull();
});

test('what is known already moves the ladder to where the doubt is', () => {
  const middle = (
    rungs: readonly { readonly widthMm: number; readonly needlePositionMm: number }[],
  ) =>
    rungs.reduce((sum, { widthMm, needlePositionMm }) => sum + widthMm - needlePositionMm, 0) /
    rungs.length;
  const fresh = ladderOf(blindHem, plan, [], start, 3)!;
  // All missed: the fold runs to the left, so the places go where the bite is wider.
  const missed = { settings: start, check: 'bite', n: 24, short: 20, over: 0 };
  const taught = ladderOf(blindHem, plan, [missed], start, 3)!;
  expect(middle(taught.rungs)).toBeGreaterThan(middle(fresh.rungs));
  expect(taught.rungs.every(({ lengthMm }) => lengthMm === start.lengthMm)).toBe(true);
});
