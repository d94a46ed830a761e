import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { Considered } from '../../../core/choose/consider';
import { rankConsidered, type Ranking } from '../../../core/choose/rank';
import type { ChooseRequest } from '../../../core/choose/request';
import { useList } from '../../app/records';
import { latestOnly } from '../../workers/latest';
import { solver } from '../../workers/solver';
import type { Bench } from './bench';
import { useWishes } from './use-wishes';

const considerInWorker = latestOnly(async (request: ChooseRequest): Promise<Considered[]> =>
  solver.consider(request),
);

/** The finishes ranked for this cloth, edge and kit; null until they have been considered. */
export function useRanking({ edge, plan, record }: Bench): Ranking | null {
  const [wishes] = useWishes(record.id);
  const machines = useList('machines').data;
  const feet = useList('feet').data;
  const request = useMemo(
    (): Omit<ChooseRequest, 'wishes'> | null =>
      machines && feet
        ? {
            cloth: plan.cloth,
            edge: {
              lengthMm: edge.lengthMm,
              shape: edge.shape,
              minRadiusMm: edge.minRadiusMm,
              turnDegrees: edge.turnDegrees,
              depthMm: null,
              crossings: edge.crossings,
            },
            kit: {
              machines: machines.map(({ specs }) => specs),
              feet: feet.map(({ kind, channelMm, specs }) => ({ kind, channelMm, specs })),
            },
          }
        : null,
    [machines, feet, plan.cloth, edge],
  );
  const considered = useQuery({
    queryKey: ['consider', request],
    queryFn: async (): Promise<Considered[]> => {
      const answer = await considerInWorker({ ...request!, wishes });
      // Overtaken by a newer one, which is what will be shown.
      if (!answer) throw new Error('overtaken');
      return answer;
    },
    enabled: request !== null,
    retry: 2,
    staleTime: Infinity,
    networkMode: 'always',
    placeholderData: keepPreviousData,
  });
  return useMemo(
    () => (considered.data ? rankConsidered(considered.data, wishes) : null),
    [considered.data, wishes],
  );
}
