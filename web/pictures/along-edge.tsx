import type { AlongEdge } from '../../core/seam/crossings';
import type { HandZone } from '../../core/edge/hands';
import { useLengths } from '../app/lengths-context';
import { tickStepMm, ticksWithin } from './axis';
import { NumbersTable } from './numbers-table';
import { widthOf } from './place-labels';
import { useBox } from './use-box';

interface AlongEdgeProps {
  readonly along: AlongEdge;
  readonly lengthMm: number;
  readonly closed: boolean;
  /** Curves and corners. */
  readonly hands: readonly HandZone[];
}

const zoneNames = {
  handwheel: 'handwheel',
  'shim-behind': 'shim behind the heel',
  'shim-front': 'shim before the toe',
} as const;

/** The stack's height round the edge, with where to do what; heights drawn larger than lengths. */
export function AlongEdgePicture({ along, lengthMm, closed, hands }: AlongEdgeProps) {
  const lengths = useLengths();
  const [ref, { width, height }] = useBox<HTMLDivElement>();
  const { profile, zones, maxStackMm, mostStackMm, startAtMm, passes } = along;
  const [left, right] = [64, 24];
  const perMm = (width - left - right) / lengthMm;
  const x = (mm: number) => left + mm * perMm;
  const base = height - 86;
  const top = 64;
  const most = Math.max(maxStackMm, mostStackMm) * 1.12;
  const tall = (base - top) / most;
  const y = (mm: number) => base - mm * tall;
  const outline = profile
    .map(({ fromMm, toMm, stackMm }) => `L${x(fromMm)},${y(stackMm)} L${x(toMm)},${y(stackMm)}`)
    .join(' ');
  const shims = zones.filter(({ kind }) => kind !== 'handwheel');
  const wheels = zones.filter(({ kind }) => kind === 'handwheel');
  const step = tickStepMm(lengths.unit, perMm, 70);

  return (
    <div ref={ref} className="relative h-full w-full overflow-hidden">
      {width > 0 && height > 180 && (
        <svg width={width} height={height} role="img" aria-label="The stack along the edge">
          <defs>
            <pattern id="wheel" width="8" height="8" patternUnits="userSpaceOnUse">
              <path d="M0,8 L8,0" stroke="#7d5410" strokeOpacity="0.45" strokeWidth="1.5" />
            </pattern>
          </defs>
          {wheels.map(({ fromMm, toMm }) => (
            <g key={fromMm}>
              <rect
                x={x(fromMm)}
                y={top - 18}
                width={Math.max(2, (toMm - fromMm) * perMm)}
                height={base - top + 18}
                fill="url(#wheel)"
              />
              <path d={`M${x(fromMm)},${base + 10} H${x(toMm)}`} stroke="#7d5410" strokeWidth={5} />
            </g>
          ))}
          <line
            x1={left}
            x2={width - right}
            y1={y(mostStackMm)}
            y2={y(mostStackMm)}
            stroke={passes ? '#3f5c2a' : '#963226'}
            strokeWidth={2}
            strokeDasharray="9 5"
          />
          <text
            x={left + (width - left - right) * 0.3}
            y={y(mostStackMm) - 6}
            fontSize={14}
            textAnchor="middle"
            fill={passes ? '#3f5c2a' : '#963226'}
            stroke="#fbf7ee"
            strokeWidth={4}
            paintOrder="stroke"
          >
            passes under the foot up to {lengths.fine(mostStackMm)}
          </text>
          <path
            d={`M${x(0)},${base} ${outline} L${x(lengthMm)},${base} Z`}
            fill="var(--cloth-2)"
            stroke="#4d463a"
            strokeWidth={1.5}
          />
          {shims.map(({ kind, fromMm, toMm }) => (
            <rect
              key={kind + String(fromMm)}
              x={x(fromMm)}
              y={base + 16}
              width={Math.max(3, (toMm - fromMm) * perMm)}
              height={8}
              fill={kind === 'shim-behind' ? '#235387' : '#fffdf6'}
              stroke="#235387"
              strokeWidth={1.5}
            />
          ))}
          {hands.map((zone) => (
            <Hand
              key={`${zone.kind} ${zone.fromMm}`}
              zone={zone}
              from={x(zone.fromMm)}
              to={x(zone.toMm)}
              base={base}
            />
          ))}
          {closed && (
            <g stroke="#963226" fill="#963226">
              <line
                x1={x(startAtMm)}
                x2={x(startAtMm)}
                y1={top - 20}
                y2={base + 8}
                strokeWidth={2}
              />
              <path d={`M${x(startAtMm)},${base + 8} l-6,10 h12 Z`} stroke="none" />
              <text
                x={Math.min(width - 60, Math.max(60, x(startAtMm)))}
                y={top - 24}
                fontSize={14}
                fontWeight={700}
                textAnchor="middle"
                stroke="#fbf7ee"
                strokeWidth={4}
                paintOrder="stroke"
              >
                start here
              </text>
            </g>
          )}
          {profile.map(({ fromMm, toMm, layers, stackMm }) => {
            const wide = (toMm - fromMm) * perMm > 70;
            const peak = stackMm > (profile[0]?.stackMm ?? 0) || stackMm === maxStackMm;
            if (!wide && !peak) return null;
            return (
              <text
                key={fromMm}
                x={Math.min(width - 66, Math.max(66, (x(fromMm) + x(toMm)) / 2))}
                y={y(stackMm) - 8}
                fontSize={14}
                fontWeight={700}
                textAnchor="middle"
                fill="#26272b"
                stroke="#fbf7ee"
                strokeWidth={4}
                paintOrder="stroke"
              >
                {lengths.fine(stackMm)}, {layers === 1 ? '1 layer' : `${layers} layers`}
              </text>
            );
          })}
          <line
            x1={left}
            x2={width - right}
            y1={base}
            y2={base}
            stroke="#26272b"
            strokeWidth={1.5}
          />
          {ticksWithin(0, lengthMm, step).map((tick) => (
            <g key={tick}>
              <line x1={x(tick)} x2={x(tick)} y1={base + 28} y2={base + 34} stroke="#57534a" />
              <text x={x(tick)} y={base + 48} fontSize={13} textAnchor="middle" fill="#57534a">
                {lengths.editable(tick)}
              </text>
            </g>
          ))}
          <Legend y={base + 72} x={left} unit={lengths.unit} />
        </svg>
      )}
      <NumbersTable
        caption="Along the edge, in numbers"
        rows={[
          ...profile.map(
            ({ fromMm, toMm, layers, stackMm }, i) =>
              [
                `${i + 1}. ${lengths.cloth(fromMm)} to ${lengths.cloth(toMm)}`,
                `${layers} layers, ${lengths.fine(stackMm)} under the foot`,
              ] as const,
          ),
          ...hands.map(
            ({ kind, fromMm, toMm, everyMm }, i) =>
              [
                kind === 'corner'
                  ? `Corner ${i + 1}: at ${lengths.cloth(fromMm)}`
                  : `Curve ${i + 1}: ${lengths.cloth(fromMm)} to ${lengths.cloth(toMm)}`,
                kind === 'corner'
                  ? 'needle down, turn'
                  : everyMm === null
                    ? 'let it swing'
                    : `let it swing every ${lengths.cloth(everyMm)}`,
              ] as const,
          ),
          ...zones.map(
            ({ kind, fromMm, toMm, shimMm }, i) =>
              [
                `Zone ${i + 1}: ${lengths.cloth(fromMm)} to ${lengths.cloth(toMm)}`,
                `${zoneNames[kind]}${shimMm > 0 ? ` of ${lengths.fine(shimMm)}` : ''}`,
              ] as const,
          ),
        ]}
      />
    </div>
  );
}

/** A curve under its stretch of the edge, with how often to let the cloth swing; a corner at its place. */
function Hand(props: { zone: HandZone; from: number; to: number; base: number }) {
  const { zone, from, to, base } = props;
  const { cloth } = useLengths();
  if (zone.kind === 'corner') {
    return (
      <path
        data-part="corner"
        d={`M${from},${base - 7}l6,7l-6,7l-6,-7z`}
        className="fill-moss stroke-paper [stroke-width:1.5]"
      />
    );
  }
  const fits = (text: string) => to - from > widthOf(text, 14);
  const every = zone.everyMm === null ? null : cloth(zone.everyMm);
  const words = [every ? `curve: swing every ${every}` : 'curve', every ? `↻ ${every}` : ''].find(
    fits,
  );
  return (
    <g data-part="curve">
      <path d={`M${from},${base - 4}H${to}`} className="fill-none stroke-moss [stroke-width:6]" />
      {words && (
        <text
          x={(from + to) / 2}
          y={base - 12}
          fontSize={14}
          textAnchor="middle"
          className="fill-moss stroke-paper font-bold [paint-order:stroke] [stroke-width:4]"
        >
          {words}
        </text>
      )}
    </g>
  );
}

function Legend({ x, y, unit }: { x: number; y: number; unit: string }) {
  return (
    <g fontSize={13} fill="#26272b">
      <path d={`M${x},${y - 4} h22`} stroke="#7d5410" strokeWidth={5} />
      <text x={x + 28} y={y}>
        by handwheel
      </text>
      <rect x={x + 130} y={y - 9} width={22} height={8} fill="#235387" stroke="#235387" />
      <text x={x + 158} y={y}>
        shim behind the heel
      </text>
      <rect x={x + 304} y={y - 9} width={22} height={8} fill="#fffdf6" stroke="#235387" />
      <text x={x + 332} y={y}>
        shim before the toe
      </text>
      <text x={x + 470} y={y} fill="#57534a">
        {unit} from where the edge begins
      </text>
    </g>
  );
}
