import { useMemo } from 'react';
import type { Considered } from '../../../core/choose/consider';
import { rankConsidered, type Ranking } from '../../../core/choose/score';
import type { KeptPart } from '../../bench/bench';
import { useConsidered } from '../../bench/use-considered';
import { useWhatIf } from './use-what-if';
import { useWishes } from '../../bench/use-wishes';
import { asItIs } from '../../bench/what-if';

/** A ranking, and what it was worked out from, so that a wish can be tried on it. */
export interface RankedFinishes {
  readonly ranking: Ranking;
  readonly considered: readonly Considered[];
  readonly isBusy: boolean;
}

/** The finishes ranked for this cloth, edge and kit, and for what is changed to see; null until then. */
export function useRanking(bench: KeptPart): RankedFinishes | null {
  const [wishes] = useWishes(bench.record.id);
  const [change] = useWhatIf(bench.record.id);
  const { considered, isBusy } = useConsidered(bench.edge, bench.cloth, change, 'changed');
  return useMemo(
    () => (considered ? { ranking: rankConsidered(considered, wishes), considered, isBusy } : null),
    [considered, wishes, isBusy],
  );
}

/** The ranking as things are, to be held against a second opinion; null until it is there. */
export function useRankingAsItIs(bench: KeptPart): Ranking | null {
  const [wishes] = useWishes(bench.record.id);
  const { considered } = useConsidered(bench.edge, bench.cloth, asItIs, 'asItIs');
  return useMemo(
    () => (considered ? rankConsidered(considered, wishes) : null),
    [considered, wishes],
  );
}
