import { finishById } from '../../core/finish/catalogue';
import { everyVariant, startingWish } from '../../core/finish/wishes.fixture';
import { examplePlan } from '../../core/plan/example.fixture';
import { lessonOf } from '../../core/plan/learn-plan';
import { startingSetting } from '../../core/plan/starting-setting';
import { judge } from '../../core/plan/judge';
import { foldsAt, setUpOrIssues, type Sewn } from './set-up';

const use = { purpose: 'hem', oldHem: null } as const;
const blind: Sewn = { finish: finishById('blind-hem')!, plan: examplePlan, use };

test('what can’t be folded says why, at its field, and has neither set-up nor folds', () => {
  const fold = { variant: 'flat', depthMm: 4000, extensionMm: 8 };
  const wrong: Sewn = { ...blind, plan: { ...examplePlan, fold } };
  const [set, issues] = setUpOrIssues(wrong, {});
  expect(set).toBeNull();
  expect(issues.map(({ path }) => path)).toEqual([expect.stringContaining('depthMm')]);
  expect(foldsAt(wrong, null)).toBeNull();
});

test('a finish without a margin has no set-up, and is refused all the same', () => {
  const finish = finishById('pinked')!;
  const plan = { ...examplePlan, fold: startingWish(finish, finish.variants[0]!.id) };
  expect(setUpOrIssues({ finish, plan, use }, {})).toEqual([null, []]);
  const wrong = { ...plan, fold: { ...plan.fold, channelMm: 3 } };
  expect(setUpOrIssues({ finish, plan: wrong, use }, {})[1]).toHaveLength(1);
});

test('what was learned of the hand is in the set-up', () => {
  const [plain] = setUpOrIssues(blind, {});
  const settings = startingSetting(blind.finish, examplePlan, plain!);
  const sample = { settings, plan: examplePlan, check: 'bite', n: 24, short: 12, over: 0 };
  const { learned } = lessonOf(blind.finish, examplePlan, [sample]);
  const [now] = setUpOrIssues(blind, learned);
  const dials = { widthMm: 2.5, lengthMm: 2.5, needlePositionMm: 0, guideMm: -1 };
  expect(judge(plain!, dials).chance).not.toBe(judge(now!, dials).chance);
});

test('the needle is drawn where the setting puts it', () => {
  const [set] = setUpOrIssues(blind, {});
  const at = (widthMm: number) => {
    const dials = { widthMm, lengthMm: 2.5, needlePositionMm: 0, guideMm: -1 };
    const stages = foldsAt(blind, judge(set!, dials))!.stages;
    return stages.flatMap(({ stitchesXMm }) => stitchesXMm);
  };
  expect(at(2)).not.toEqual(at(3));
});

test.each(everyVariant)('%s folds at its start', (_, finish, variant) => {
  const plan = { ...examplePlan, fold: startingWish(finish, variant) };
  expect(foldsAt({ finish, plan, use }, null)?.stages.length).toBeGreaterThan(0);
});
