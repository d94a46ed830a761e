import { act, renderHook } from '@testing-library/react';
import { finishById } from '../../core/finish/catalogue';
import { examplePlan } from '../../core/plan/example.fixture';
import { setUpOf } from '../../core/plan/set-up-of';
import { startingSetting } from '../../core/plan/starting-setting';
import { writer } from '../ground/records';
import type { TakenPlan } from './use-kept-plan';
import { useTurning } from './use-turning';

const finish = finishById('blind-hem')!;
const set = setUpOf(finish, examplePlan);
const solved = startingSetting(finish, examplePlan, set);
const plan = { id: 'plan-a', machineId: 'm', footId: 'f', settings: null } as TakenPlan;

function turning() {
  const kept = jest.spyOn(writer, 'change').mockImplementation(() => undefined);
  const hook = renderHook(
    ({ record }: { record: TakenPlan }) => useTurning(record, set, solved, true),
    { initialProps: { record: plan } },
  );
  return { kept, hook, now: () => hook.result.current };
}
afterEach(() => jest.restoreAllMocks());

test('dials stand as solved until they are turned; what is turned is kept', () => {
  const { kept, now } = turning();
  expect(now().dials).toEqual(solved);
  act(() => now().turn('width', solved.widthMm + 0.5));
  expect(kept).toHaveBeenCalledWith('plans', 'plan-a', {
    settings: { ...solved, widthMm: solved.widthMm + 0.5 },
  });
});

test('under a finger they are shown and not kept', () => {
  const { kept, now } = turning();
  act(() => now().moveTo({ lengthMm: 3.2 }, true));
  expect(now().dials?.lengthMm).toBe(3.2);
  expect(now().judgement?.settings.lengthMm).toBe(3.2);
  expect(kept).not.toHaveBeenCalled();
  act(() => now().moveTo({ lengthMm: 3.2 }));
  expect(kept).toHaveBeenCalledTimes(1);
});

test('into metal they are shown and not kept, and let go when another foot is on', () => {
  const { kept, hook, now } = turning();
  act(() => now().moveTo({ widthMm: 7, needlePositionMm: -3.5 }));
  expect(now().judgement?.blocked).toBe(true);
  expect(kept).not.toHaveBeenCalled();
  hook.rerender({ record: { ...plan, footId: 'another' } });
  expect(now().dials).toEqual(solved);
});

test('turning always is the same function, so that a dial that stands still is not drawn anew', () => {
  const { hook, now } = turning();
  const { turn, moveTo } = now();
  hook.rerender({ record: { ...plan } });
  expect(now().turn).toBe(turn);
  expect(now().moveTo).toBe(moveTo);
});
