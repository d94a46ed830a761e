import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useMemo } from 'react';
import type { Considered } from '../../core/choose/consider';
import type { ChooseRequest } from '../../core/choose/request';
import type { ClothRecord, EdgeRecord } from '../../contract/records';
import { useList } from '../app/records';
import { latestOnly } from '../workers/latest';
import { solver } from '../workers/solver';
import { requestWith, type WhatIf } from './what-if';

/** Everything a ranking is worked out from, but for the wishes. */
export type Asked = Omit<ChooseRequest, 'wishes'>;

const consider = async (request: Asked): Promise<Considered[]> =>
  solver.consider({
    ...request,
    wishes: { hidden: 0, sturdy: 0, light: 0, quick: 0, decorative: 0 },
  });

/** A question of its own each, so that neither overtakes the other. */
export const questions = {
  asItIs: latestOnly(consider),
  changed: latestOnly(consider),
} as const;

/** The edge as choosing sees it. */
function chosenEdge(edge: EdgeRecord, { widthMm, lengthLeftMm }: ClothRecord) {
  const { lengthMm, shape, joined, minRadiusMm, turnDegrees, crossings } = edge;
  const { purpose, oldHem, depthMm, seamAllowanceMm, forChild, spareMm, form, pair } = edge;
  return {
    ...{ lengthMm, shape, joined, minRadiusMm, turnDegrees, crossings },
    ...{ purpose, oldHem, depthMm, seamAllowanceMm, forChild, spareMm, form, pair },
    clothLeft:
      widthMm === null || lengthLeftMm === null ? null : { widthMm, lengthMm: lengthLeftMm },
  };
}

/** Every finish considered for an edge, its cloth and the kit; undefined until it is there. */
export function useConsidered(
  edge: EdgeRecord | undefined,
  cloth: ClothRecord | undefined,
  change: WhatIf,
  question: keyof typeof questions,
): {
  readonly request: Asked | null;
  readonly considered: Considered[] | undefined;
  readonly isBusy: boolean;
} {
  const machines = useList('machines').data;
  const feet = useList('feet').data;
  const request = useMemo((): Asked | null => {
    if (!edge || !cloth || !machines || !feet) return null;
    const { recoveryPercent: _recovery, estimated: _estimated, ...properties } = cloth.properties;
    const facts = { cloth: properties, edge: chosenEdge(edge, cloth) };
    return requestWith(facts, machines, feet, change);
  }, [machines, feet, edge, cloth, change]);
  const query = useQuery({
    queryKey: ['consider', request],
    queryFn: async (): Promise<Considered[]> => {
      const answer = await questions[question](request!);
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
  return { request, considered: query.data, isBusy: query.isFetching };
}
