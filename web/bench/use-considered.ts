import { useMemo } from 'react';
import type { Considered } from '../../core/choose/consider';
import { chosenEdgeOf } from '../../core/choose/of-records';
import type { ChooseRequest } from '../../core/choose/request';
import type { ClothRecord, EdgeRecord } from '../../contract/records';
import { useList } from '../ground/records';
import { latestOnly } from '../workers/latest';
import { solver } from '../workers/solver';
import { useLatestAnswer } from '../workers/use-latest-answer';
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
    const facts = { cloth: properties, edge: chosenEdgeOf(edge, cloth) };
    return requestWith(facts, machines, feet, change);
  }, [machines, feet, edge, cloth, change]);
  const query = useLatestAnswer(
    ['consider', request],
    () => questions[question](request!),
    request !== null,
  );
  return { request, considered: query.data, isBusy: query.isFetching };
}
