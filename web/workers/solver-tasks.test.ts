import { finishById } from '../../core/finish/catalogue';
import { examplePlan } from '../../core/plan/example.fixture';
import { judge } from '../../core/plan/judge';
import { learnedFrom } from '../../core/plan/learn-plan';
import { setUpOf } from '../../core/plan/set-up-of';
import { startingSetting } from '../../core/plan/starting-setting';
import { solverTasks, type Outcome } from './solver-tasks';

const finish = finishById('blind-hem')!;
const set = setUpOf(finish, examplePlan);
const carried = {};
const learned = learnedFrom(finish, examplePlan, [], carried);
/** Neither foot nor needle leaves room: the slot is narrower than the needle. */
const tooNarrow = { ...examplePlan, foot: { ...examplePlan.foot, slotMm: [-0.1, 0.1] as const } };

const value = <T>(outcome: Outcome<T>): T => {
  if (!outcome.ok) throw new Error(outcome.issues.map(({ message }) => message).join(' '));
  return outcome.value;
};

test('the best setting and its chance are those that the sums give', () => {
  const solved = value(solverTasks.solve('blind-hem', examplePlan, learned));
  expect(solved.settings).toEqual(startingSetting(finish, examplePlan, set));
  expect(solved.chance).toBeCloseTo(judge(set, solved.settings).chance, 12);
});

test('what is impossible comes back as issues at their fields, and not as an error', () => {
  for (const outcome of [
    solverTasks.solve('blind-hem', tooNarrow, learned),
    solverTasks.map('blind-hem', tooNarrow, learned, null),
  ]) {
    expect(outcome.ok).toBe(false);
    if (outcome.ok) continue;
    expect(outcome.issues[0]).toMatchObject({ path: 'foot.slotMm', code: 'slot-too-narrow' });
    // It crosses to another thread as it is.
    expect(structuredClone(outcome)).toEqual(outcome);
  }
});

test('a finish that there is none of is said', () => {
  const outcome = solverTasks.solve('ruffle', examplePlan, learned);
  expect(outcome).toEqual({ ok: false, issues: [{ path: 'finish', message: 'No such finish.' }] });
});

test('without a scrap nothing is taught; with one there is a lesson, and both are plain data', () => {
  const none = value(solverTasks.lesson('blind-hem', examplePlan, [], carried, 0.05));
  expect(none.lesson).toBeNull();
  const dials = startingSetting(finish, examplePlan, set);
  const sample = { settings: dials, check: 'bite', n: 24, short: 5, over: 0 };
  const one = value(solverTasks.lesson('blind-hem', examplePlan, [sample], carried, 0.05));
  expect(one.lesson).not.toBeNull();
  expect(structuredClone(one)).toEqual(one);
  // Bites that miss the fold: it lies farther off than was thought, or the hand is less steady.
  expect(one.learned).not.toEqual(none.learned);
});

test('beliefs are told before the first scrap and after each', () => {
  const dials = startingSetting(finish, examplePlan, set);
  const scraps = [0, 6].map((short) => [{ settings: dials, check: 'bite', n: 24, short, over: 0 }]);
  const beliefs = value(solverTasks.beliefs('blind-hem', examplePlan, scraps, carried));
  expect(beliefs).toHaveLength(3);
  expect(beliefs[0]).toEqual(learned);
  expect(beliefs[1]).not.toEqual(beliefs[2]);
});

test('a map has a chance or a gap for every setting', () => {
  const map = value(solverTasks.map('blind-hem', examplePlan, learned, null));
  const numbers = JSON.stringify(map).match(/-?\d+\.\d+/g) ?? [];
  expect(numbers.length).toBeGreaterThan(20);
  expect(structuredClone(map)).toEqual(map);
});
