import type { Kit } from '../../core/plan/kit-gaps';
import { useList } from '../ground/records';

/** The kit as choosing a finish sees it. */
export function useKit(): Kit {
  const machines = useList('machines').data ?? [];
  const feet = useList('feet').data ?? [];
  return { machines: machines.map(({ specs }) => specs), feet };
}
