import { useQuery } from '@tanstack/react-query';
import type { Worktable } from '../../contract/worktable';
import { send } from './api';

/** Every edge, or those of a project, with what comes next on it. */
export function useWorktable(projectId?: string) {
  return useQuery({
    queryKey: ['worktable', projectId ?? null],
    queryFn: () =>
      send<Worktable>('GET', projectId ? `worktable?projectId=${projectId}` : 'worktable'),
  });
}
