import { sectionOf, type Section } from '../../core/fold/section';
import type { FoldStage } from '../../core/finish/fold-plan';

/** The section of a stage by its own measures, so that it is there on paper without a layout. */
export function CardSection({ stage }: { stage: FoldStage }) {
  const { legs, widthMm, heightMm }: Section = sectionOf(stage.stack);
  const [left, right] = widthMm;
  const edge = Math.max(1, (right - left) * 0.03);
  return (
    <svg
      viewBox={`${left - edge} ${-heightMm - edge} ${right - left + 2 * edge} ${heightMm + 2 * edge}`}
      className="max-h-[26mm] w-full"
      role="img"
      aria-label="Section, to scale"
    >
      {legs.map(({ piece, thicknessMm, centreLine }, i) => (
        <polyline
          key={piece + i}
          points={centreLine.map(({ xMm, zMm }) => `${xMm},${-zMm}`).join(' ')}
          className="fill-none stroke-ink-cloth"
          strokeWidth={thicknessMm * 0.85}
        />
      ))}
      <line
        x1={left - edge}
        x2={right + edge}
        y1={0}
        y2={0}
        className="stroke-ink"
        strokeWidth={edge * 0.08}
      />
    </svg>
  );
}
