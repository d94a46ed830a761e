import type { CornerPart, CornerStage } from '../../core/strip/mitre';
import type { OnCloth } from '../../core/strip/piece';
import { useLengths } from '../ground/lengths-context';
import { Label } from './label';
import { useBox } from './use-box';
import { RimmedPath } from './rimmed-path';

const looks: Readonly<Record<CornerPart, string>> = {
  cloth: 'fill-(--cloth-1) stroke-(--cloth-line) [stroke-width:1.2]',
  binding: 'fill-strip stroke-graphite [stroke-width:1.5]',
  opened: 'fill-strip/60 stroke-graphite [stroke-width:1.5] [stroke-dasharray:7_4]',
  'fold-under': 'fill-strip-grain/50 stroke-strip-grain [stroke-width:1] [stroke-dasharray:3_4]',
};

const padPx = 14;

/** A bound corner at one step, from the face that is looked at, to scale. */
export function CornerPicture({
  stage,
  mitreMm,
  reachMm,
}: {
  stage: CornerStage;
  /** How long the mitre is. */
  mitreMm: number;
  /** How far from the corner the picture reaches, to both sides and inwards, mm. */
  reachMm: readonly [besideMm: number, inwardsMm: number];
}) {
  const { fine } = useLengths();
  const [ref, { width, height }] = useBox<HTMLDivElement>();
  const [beside, inwards] = reachMm;
  const back = stage.face === 'back';
  // The side that is sewn comes from the left in front, and from the right at the back.
  const loose = stage.id === 'opened' ? 0.62 : 0.12;
  const [fromX, toX] = back ? [-beside * loose, beside] : [-beside, beside * loose];
  const below = stage.id === 'opened' ? beside * 0.32 : beside * 0.06;
  const scale = Math.min(
    (width - 2 * padPx) / (toX - fromX),
    (height - 2 * padPx) / (inwards + below),
  );
  const at = ([x, y]: OnCloth): [number, number] => [
    width / 2 + (x - (fromX + toX) / 2) * scale,
    height - padPx - (y + below) * scale,
  ];
  const path = (points: readonly OnCloth[]) => points.map((point) => at(point).join(',')).join(' ');
  const crease = stage.crease && ([at(stage.crease[0]), at(stage.crease[1])] as const);
  return (
    <div ref={ref} className="h-full w-full overflow-hidden">
      {width > 0 && height > 100 && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={`The corner from the ${stage.face}, to scale; the mitre is ${fine(mitreMm)} long`}
        >
          {stage.shapes.map(({ part, points }, i) => (
            <polygon key={i} data-part={part} points={path(points)} className={looks[part]} />
          ))}
          {stage.seams.map(([from, to], i) => (
            <RimmedPath
              key={i}
              d={`M${at(from).join(',')} L${at(to).join(',')}`}
              className="fill-none stroke-graphite"
              strokeDasharray="9 5"
              strokeWidth={2.5}
            />
          ))}
          {crease && (
            <>
              <RimmedPath
                d={`M${crease[0].join(',')} L${crease[1].join(',')}`}
                className="fill-none stroke-pencil"
                strokeWidth={3.5}
              />
              <Label
                x={crease[1][0] + (back ? -10 : 10)}
                y={crease[1][1] - 10}
                end={back}
                between={[6, width - 6]}
                text={`mitre, ${fine(mitreMm)}`}
                colour="var(--color-pencil)"
                strong
              />
            </>
          )}
          <Label x={14} y={24} text={`from the ${stage.face}`} strong />
        </svg>
      )}
    </div>
  );
}
