import { useLengths } from '../../ground/lengths-context';
import type { Bench } from '../../bench/bench';
import { dialName } from '../../words/dials';
import { about } from '../../words/number';
import { moveInWords } from '../../words/moves';
import { change } from '../../ground/records';
import { Button } from '../../controls/button';
import { useAdvice } from '../test-bench/use-advice';

/** The one next move after a scrap, large: what to turn, to where. */
export function NextMove({ bench }: { bench: Bench }) {
  const lengths = useLengths();
  const { moves } = useAdvice(bench);
  const { lesson, attempts, record } = bench;
  if (attempts.length === 0) return null;
  const [first] = moves;
  if (lesson?.enough && !first?.seen) {
    return (
      <p className="text-3xl font-bold text-moss" role="status">
        ✓ Enough. Sew the edge.
      </p>
    );
  }
  const turned = first?.counted?.change;
  if (turned && first.counted) {
    const { settings, predicted } = first.counted;
    return (
      <div className="relative z-20 border-l-4 border-pencil pl-3" role="status">
        <p className="text-xl">{dialName(turned.dial, bench.plan.foot.guidance)}</p>
        <p className="big-number text-6xl leading-none">
          {lengths.fineNumber(turned.fromMm)} <span className="text-3xl text-seam">to</span>{' '}
          {lengths.fineNumber(turned.toMm)}{' '}
          <span className="font-body text-xl font-normal text-soft">{lengths.unit}</span>
        </p>
        <p className="text-lg text-soft">about {about(predicted.expectedFaults)} to resew then</p>
        <Button
          className="mt-2"
          onClick={() => change('plans', record.id, { settings, keptAttemptId: null })}
        >
          I have set it so
        </Button>
      </div>
    );
  }
  if (!first?.seen) return null;
  const { dial, way } = moveInWords(first.seen, lengths);
  return (
    <div className="border-l-4 border-pencil pl-3" role="status">
      <p className="text-xl">{dial}</p>
      <p className="font-head text-4xl font-semibold">{way}</p>
    </div>
  );
}
