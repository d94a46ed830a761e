import type { DriftBelief } from '../../core/margin/belief';
import type { Margin } from '../../core/margin/margin';
import { hill } from './hill';
import { useBox } from './use-box';

/** One attempt's margin on a common axis, so that attempts can be read under one another. */
export function MiniMargin(props: {
  margin: Margin;
  belief: DriftBelief;
  reachMm: number;
  proposed: boolean;
}) {
  const { margin, belief, reachMm, proposed } = props;
  const [ref, { width }] = useBox<HTMLDivElement>();
  const x = (mm: number) =>
    ((Math.min(reachMm, Math.max(-reachMm, mm)) + reachMm) / (2 * reachMm)) * width;
  const open = margin.toMm > margin.fromMm;
  return (
    <div ref={ref} className="h-12 w-full min-w-0 overflow-hidden" aria-hidden>
      {width > 0 && (
        <svg width={width} height={48}>
          <rect x={0} y={34} width={width} height={10} fill="var(--color-madder-wash)" />
          {open && (
            <rect
              x={x(margin.fromMm)}
              y={34}
              width={Math.max(1, x(margin.toMm) - x(margin.fromMm))}
              height={10}
              fill="var(--color-moss-fill)"
            />
          )}
          <path
            d={hill(belief, reachMm, x, 34, 3)}
            fill="var(--color-pencil)"
            fillOpacity={proposed ? 0.08 : 0.22}
            stroke="var(--color-pencil)"
            strokeDasharray={proposed ? '4 3' : undefined}
          />
          {open &&
            [margin.fromMm, margin.toMm].map((end) => (
              <line
                key={end}
                x1={x(end)}
                x2={x(end)}
                y1={28}
                y2={47}
                stroke="var(--color-graphite)"
                strokeWidth={2.5}
              />
            ))}
        </svg>
      )}
    </div>
  );
}
