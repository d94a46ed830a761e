import {
  differentialLesson,
  leastDifferenceMm,
  type Stretched,
} from '../../../core/loopers/differential';
import { looperMove } from '../../../core/loopers/lock';
import type { AttemptRecord } from '../../../contract/records';
import { useLengths } from '../../ground/lengths-context';
import { percent } from '../../words/number';
import type { LessonPart, SetUpPart } from '../../bench/bench';

/** A measured scrap with what the differential stood at. */
function stretchedOf({ measured, dialValues }: AttemptRecord): Stretched[] {
  if (!measured) return [];
  const { beforeMm, afterMm } = measured;
  return [{ beforeMm, afterMm, differential: Number(dialValues['differential'] ?? 1) }];
}

/** What measured scraps of a looped edge say: the next differential, and which looper to move. */
export function LooperAdvice({ bench: { attempts, plan } }: { bench: SetUpPart & LessonPart }) {
  const { cloth, fine } = useLengths();
  const [first, ...rest] = attempts.flatMap(stretchedOf);
  const last = [...attempts].reverse().find(({ measured }) => measured !== null);
  if (!first || !last?.measured) return null;
  const lesson = differentialLesson([first, ...rest], plan.machine);
  const { beforeMm, afterMm, lockMm } = last.measured;
  const grew = percent((afterMm - beforeMm) / beforeMm);
  const move = lockMm === null ? null : looperMove(lockMm, last.symptoms.includes('edge-tunnels'));
  return (
    <div className="border-b border-line py-3" data-testid="loopers">
      {lesson.enough ? (
        <p className="font-head text-3xl leading-tight font-semibold text-moss">
          Enough: it lies flat
        </p>
      ) : (
        <>
          <p>Differential feed</p>
          <p className="big-number text-5xl">
            {lesson.from} <span className="text-3xl text-seam">to</span> {lesson.to}
          </p>
        </>
      )}
      <p className="pt-1 text-sm text-soft">
        {lesson.last === 'no-difference'
          ? `${cloth(beforeMm)} came out as ${cloth(afterMm)}: no difference that a tape can tell from none, ${fine(leastDifferenceMm)}.`
          : lesson.last === 'grew'
            ? `${cloth(beforeMm)} grew to ${cloth(afterMm)}, by ${grew}: it is gathered by as much.`
            : `${cloth(beforeMm)} drew in to ${cloth(afterMm)}, by ${grew}: it is released by as much.`}
        {lesson.enough &&
          lesson.last !== 'no-difference' &&
          ' No step of the dial comes nearer to flat.'}
      </p>
      {lockMm !== null && (
        <p className="pt-2">
          {move ? (
            <>
              <b>
                {move.looper === 'upper' ? 'Upper' : 'Lower'} looper {move.numbers}{' '}
                {move.numbers === 1 ? 'number' : 'numbers'} {move.direction}
              </b>
              : the threads lock {fine(Math.abs(lockMm))} {lockMm > 0 ? 'on top' : 'underneath'}.
            </>
          ) : (
            <span className="text-moss">✓ The looper threads lock on the edge.</span>
          )}
        </p>
      )}
    </div>
  );
}
