interface CardMarginProps {
  readonly leftMm: number;
  readonly rightMm: number;
  readonly leftWords: string;
  readonly rightWords: string;
}

const widePx = 360;

/** The margin on paper: how far the edge may wander to either side, to scale. */
export function CardMargin({ leftMm, rightMm, leftWords, rightWords }: CardMarginProps) {
  const most = Math.max(0.1, leftMm, rightMm);
  const x = (mm: number) => widePx / 2 + (mm / most) * (widePx / 2 - 12);
  return (
    <svg viewBox={`0 0 ${widePx} 46`} className="w-full" role="img" aria-label="Margin, to scale">
      <rect
        x={x(-leftMm)}
        y={4}
        width={x(rightMm) - x(-leftMm)}
        height={12}
        className="fill-ink-wash stroke-ink"
      />
      <line x1={x(0)} x2={x(0)} y1={0} y2={20} className="stroke-ink [stroke-width:3]" />
      <text x={6} y={38} fontSize={15}>
        {leftWords}
      </text>
      <text x={widePx - 6} y={38} fontSize={15} textAnchor="end">
        {rightWords}
      </text>
    </svg>
  );
}
