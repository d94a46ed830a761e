import type { FootRecord } from '../../contract/records';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import { usualStandOffMm } from '../../core/kit/binder';
import { useLengths } from '../ground/lengths-context';
import { Label } from './label';
import { RimmedPath } from './rimmed-path';

interface AttachmentShapeProps {
  readonly attachment: FootRecord;
  readonly plan: SewingPlan;
  readonly foot: FootRecord;
  /** Where the front fold comes out, mm. */
  readonly guideMm: number;
  /** mm to the screen. */
  readonly x: (mm: number) => number;
  readonly y: (mm: number) => number;
  /** Where the picture ends before the machine, px. */
  readonly bottomPx: number;
}

/** How long the scroll of an attachment is, mm. */
export const scrollLengthMm = 14;

/** How far before the toe an attachment's mouth is drawn, mm. */
export function drawnStandOffMm({ fold, binder, edge }: SewingPlan): number {
  const inside = edge.purpose === 'opening' ? edge.minRadiusMm : null;
  return (
    binder?.placing.standOffMm ?? usualStandOffMm(fold.variant === 'fold-over-elastic', inside)
  );
}

/** An attachment from above, before the foot it stands off from, with the flat strip going in. */
export function AttachmentShape(props: AttachmentShapeProps) {
  const { attachment, plan, foot, guideMm, x, y, bottomPx } = props;
  const { fine } = useLengths();
  const widthMm = plan.fold.depthMm ?? 8;
  const standOffMm = drawnStandOffMm(plan);
  const mouthMm = attachment.mouthMm ?? 30;
  const stripMm = Math.min(mouthMm - 1, attachment.stripMm ?? mouthMm * 0.9);
  const toe = -foot.soleMm.toeMm;
  const throat = toe - standOffMm;
  const mouth = throat - scrollLengthMm;
  const middle = guideMm + widthMm / 2;
  const at = (mmX: number, mmY: number) => `${x(mmX).toFixed(1)},${y(mmY).toFixed(1)}`;
  const half = mouthMm / 2;
  const armMm = Math.max(foot.soleMm.widthMm / 2 + 6, middle + half);
  const markX = x(guideMm - 3);
  return (
    <g data-part="attachment" strokeLinejoin="round">
      <rect
        x={x(middle - stripMm / 2)}
        y={y(mouth)}
        width={x(middle + stripMm / 2) - x(middle - stripMm / 2)}
        height={Math.max(0, bottomPx - y(mouth))}
        className="fill-strip stroke-graphite"
        strokeWidth={1}
        strokeDasharray="6 4"
      />
      <RimmedPath
        d={`M${at(middle - half, mouth)} L${at(guideMm, throat)} L${at(guideMm + widthMm, throat)} L${at(middle + half, mouth)} Z`}
        className="fill-soft stroke-graphite"
        fillOpacity={0.35}
        strokeWidth={2.5}
      />
      <RimmedPath
        d={`M${at(middle + half * 0.6, mouth + scrollLengthMm * 0.4)} L${at(armMm, throat)} L${at(armMm, foot.soleMm.heelMm)}`}
        className="fill-none stroke-graphite"
        strokeWidth={4}
      />
      <RimmedPath
        d={`M${markX - 5},${y(toe)} h10 M${markX},${y(toe)} V${y(throat)} M${markX - 5},${y(throat)} h10`}
        className="fill-none stroke-pencil"
        strokeWidth={1.8}
      />
      <Label
        x={markX - 8}
        y={(y(toe) + y(throat)) / 2 + 5}
        text={`${fine(standOffMm)} off the toe`}
        colour="var(--color-pencil)"
        strong
        end
      />
    </g>
  );
}
