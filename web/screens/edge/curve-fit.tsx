import { fullnessesOf, type Fullness } from '../../../core/edge/fullness';
import { releaseCuts } from '../../../core/edge/release';
import { pressedAwayShare } from '../../../core/fold/fullness';
import { useLengths } from '../../ground/lengths-context';
import type { Bench } from '../../bench/bench';

/** What the curves do to a hem of this depth, each in words and one number. */
export function CurveFit({ bench }: { bench: Pick<Bench, 'edge' | 'plan' | 'folds'> }) {
  const { edge, plan, folds } = bench;
  const depthMm = folds?.finishedDepthMm ?? plan.fold.depthMm ?? 0;
  // Only what is turned up is too full on a curve; a strip and a held edge follow it.
  if (folds && folds.allowanceMm <= 0) return null;
  const pressed = pressedAwayShare[plan.cloth.construction];
  return fullnessesOf(edge, depthMm, plan.cloth).map((it) => {
    if (it.kind === 'fits') return null;
    return it.kind === 'short' ? (
      <Short key="short" {...{ it, depthMm }} />
    ) : (
      <Full key="full" {...{ it, pressed }} />
    );
  });
}

function Row(props: { number: string; bad: boolean; children: React.ReactNode }) {
  const { number, bad, children } = props;
  return (
    <div
      className="flex shrink-0 flex-wrap items-baseline gap-x-4 border-t border-line px-4 py-2 sm:flex-nowrap"
      role="status"
    >
      <p className={`big-number shrink-0 text-2xl ${bad ? 'text-madder' : ''}`}>{number}</p>
      <p>{children}</p>
    </div>
  );
}

function Full({ it, pressed }: { it: Fullness & { kind: 'full' }; pressed: number }) {
  const { cloth } = useLengths();
  const { share, way, deepestMm, radiusMm } = it;
  const tooFull = way === 'too full';
  const where = radiusMm === null ? 'on this leg' : 'on this curve';
  const verdict = {
    pressed: 'It presses away.',
    eased: 'It is eased in; the slip asks how.',
    'too full': `Too full to lie flat: ${where} a hem can be ${cloth(deepestMm)} deep.`,
  }[way];
  return (
    <Row
      number={
        Number.isFinite(share) ? `${(share * 100).toFixed(1)} % fuller` : 'deeper than the curve'
      }
      bad={tooFull}
    >
      {tooFull ? '✕ ' : ''}
      The raw edge is longer than where it lands. {verdict}{' '}
      <span className="text-sm text-soft">
        Starting guess: up to {Math.round(pressed * 100)} % presses away in this cloth.
      </span>
    </Row>
  );
}

/** Round a neck it is the other way: the turned-in edge is too short to lie. */
function Short({ it, depthMm }: { it: Fullness & { kind: 'short' }; depthMm: number }) {
  const { cloth } = useLengths();
  const { everyMm, longMm } = releaseCuts(it.radiusMm, depthMm, 'inside');
  return (
    <Row number={`${(it.share * 100).toFixed(1)} % shorter`} bad={false}>
      The raw edge is shorter than where it lands on this inside curve. Clipped, every{' '}
      {cloth(everyMm)} and {cloth(longMm)} long, it lies; or stretch it in, or bind the edge
      instead.
    </Row>
  );
}
