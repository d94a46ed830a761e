import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { Considered } from '../../../core/choose/consider';
import { rankConsidered, type Ranking } from '../../../core/choose/rank';
import type { ChooseRequest } from '../../../core/choose/request';
import { useList } from '../../app/records';
import { latestOnly } from '../../workers/latest';
import { solver } from '../../workers/solver';
import type { Bench } from './bench';
import { useWhatIf } from './use-what-if';
import { useWishes } from './use-wishes';
import { asItIs, requestWith, type WhatIf } from './what-if';

type Asked = Omit<ChooseRequest, 'wishes'>;

const consider = async (request: Asked): Promise<Considered[]> =>
  solver.consider({
    ...request,
    wishes: { hidden: 0, sturdy: 0, light: 0, quick: 0, decorative: 0 },
  });
// A question of its own each, so that neither overtakes the other.
const considerAsItIs = latestOnly(consider);
const considerChanged = latestOnly(consider);

function useConsidered(
  { edge, plan, cloth }: Bench,
  change: WhatIf,
  ask: typeof considerAsItIs,
): { readonly considered: Considered[] | undefined; readonly isBusy: boolean } {
  const machines = useList('machines').data;
  const feet = useList('feet').data;
  const request = useMemo((): Asked | null => {
    if (!machines || !feet) return null;
    const { widthMm, lengthLeftMm } = cloth;
    const facts = {
      cloth: plan.cloth,
      edge: {
        lengthMm: edge.lengthMm,
        shape: edge.shape,
        minRadiusMm: edge.minRadiusMm,
        turnDegrees: edge.turnDegrees,
        depthMm: null,
        crossings: edge.crossings,
        forChild: edge.forChild,
        spareMm: edge.spareMm,
        clothLeft:
          widthMm === null || lengthLeftMm === null ? null : { widthMm, lengthMm: lengthLeftMm },
      },
    };
    return requestWith(facts, machines, feet, change);
  }, [machines, feet, plan.cloth, edge, cloth, change]);
  const query = useQuery({
    queryKey: ['consider', request],
    queryFn: async (): Promise<Considered[]> => {
      const answer = await ask(request!);
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
  return { considered: query.data, isBusy: query.isFetching };
}

/** A ranking, and what it was worked out from, so that a wish can be tried on it. */
export interface RankedFinishes {
  readonly ranking: Ranking;
  readonly considered: readonly Considered[];
  readonly isBusy: boolean;
}

/** The finishes ranked for this cloth, edge and kit, and for what is changed to see; null until then. */
export function useRanking(bench: Bench): RankedFinishes | null {
  const [wishes] = useWishes(bench.record.id);
  const [change] = useWhatIf(bench.record.id);
  const { considered, isBusy } = useConsidered(bench, change, considerChanged);
  return useMemo(
    () => (considered ? { ranking: rankConsidered(considered, wishes), considered, isBusy } : null),
    [considered, wishes, isBusy],
  );
}

/** The ranking as things are, to be held against a second opinion; null until it is there. */
export function useRankingAsItIs(bench: Bench): Ranking | null {
  const [wishes] = useWishes(bench.record.id);
  const { considered } = useConsidered(bench, asItIs, considerAsItIs);
  return useMemo(
    () => (considered ? rankConsidered(considered, wishes) : null),
    [considered, wishes],
  );
}
