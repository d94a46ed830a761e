import { act, renderHook } from '@testing-library/react';
import { useToday } from './use-today';

test('a page left open over midnight has the new day once it is looked at again', () => {
  jest.useFakeTimers({ now: new Date(2026, 0, 31, 23, 59) });
  const { result } = renderHook(useToday);
  expect(result.current).toBe('2026-01-31');
  jest.setSystemTime(new Date(2026, 1, 1, 0, 1));
  act(() => void window.dispatchEvent(new Event('focus')));
  expect(result.current).toBe('2026-02-01');
  jest.useRealTimers();
});
