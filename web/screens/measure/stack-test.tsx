import { useState } from 'react';
import { fewestLayers } from '../../../core/cloth/home-tests';
import { thicknessGauge } from '../../../core/instrument/instrument';
import { stackHeightMm } from '../../../core/instrument/piece';
import type { ClothRecord } from '../../../contract/records';
import { useLengths } from '../../ground/lengths-context';
import { LengthField } from '../../controls/length-field';
import { NumberField } from '../../controls/number-field';
import { homeTestList } from '../cloths/home-test';
import { useHomeTests } from '../cloths/use-home-tests';
import { BenchInstrument } from './bench-instrument';
import { seedOf, simulatedPiece } from './believed';
import { TestRoom } from './test-room';

/** The stack under a ruler, from the side and to scale: ten times as large as it is. */
function Drawing({ heightMm, layers }: { heightMm: number; layers: number }) {
  const { fine } = useLengths();
  const scale = Math.min(10, 250 / heightMm);
  const height = heightMm * scale;
  const each = height / layers;
  const base = 340;
  return (
    <svg
      viewBox="0 0 640 400"
      className="max-h-full w-full"
      role="img"
      aria-label={`${layers} layers under a ruler, to scale`}
    >
      <line x1={60} x2={580} y1={base} y2={base} stroke="var(--color-graphite)" strokeWidth={3} />
      {Array.from({ length: Math.min(layers, 120) }, (_, i) => (
        <rect
          key={i}
          x={150 + (i % 3) * 4}
          y={base - (i + 1) * each}
          width={300}
          height={Math.max(0.6, each - 0.8)}
          fill="var(--cloth-3)"
          stroke="var(--cloth-line)"
          strokeWidth={Math.min(1.2, each / 5)}
        />
      ))}
      <rect
        x={110}
        y={base - height - 14}
        width={400}
        height={14}
        fill="var(--color-bed)"
        stroke="var(--color-graphite)"
        strokeWidth={2}
      />
      <g stroke="var(--color-pencil)" strokeWidth={2}>
        <line x1={534} x2={534} y1={base - height} y2={base} />
        <line x1={526} x2={542} y1={base - height} y2={base - height} />
        <line x1={526} x2={542} y1={base} y2={base} />
      </g>
      <text x={550} y={base - height / 2 + 6} fontSize={19} fill="var(--color-pencil)">
        {fine(heightMm)}
      </text>
      <text x={310} y={base + 30} textAnchor="middle" fontSize={17} fill="var(--color-soft)">
        {layers} layers, drawn {Math.round(scale * 10) / 10} times as high as they are
      </text>
    </svg>
  );
}

/** Measuring a stack of layers. */
export function StackTest({ cloth }: { cloth: ClothRecord }) {
  const { number, trouble, take, with: withReading } = useHomeTests(cloth);
  const [live, setLive] = useState<number | null>(null);
  const layers = number('stackLayers') ?? fewestLayers;
  const now = live ? withReading({ stackHeightMm: live, stackLayers: layers }) : withReading({});
  const heightMm =
    live || number('stackHeightMm') || (now ?? cloth.properties).thicknessMm * layers;
  return (
    <TestRoom
      test={homeTestList[1]!}
      todo={[
        `Fold or cut at least ${fewestLayers} layers and lay them flat.`,
        'Lay a ruler on top: its weight alone presses them.',
        'Stand a second ruler beside it and read the height.',
      ]}
      drawing={<Drawing heightMm={Math.max(0.2, heightMm)} layers={Math.max(1, layers)} />}
      cloth={now}
      trouble={trouble('stackHeightMm', 'stackLayers')}
    >
      <BenchInstrument
        instrument={thicknessGauge}
        own="My own ruler"
        load={stackHeightMm(simulatedPiece(cloth), layers)}
        seed={seedOf(cloth.id)}
        put={`Lay ${layers} layers under`}
        off="Take them out"
        onReading={setLive}
        onTake={(value) => take({ stackHeightMm: value, stackLayers: layers })}
      />
      <div className="flex flex-wrap gap-x-5 gap-y-2">
        <LengthField
          label="Height of the stack"
          fine
          optional
          value={number('stackHeightMm')}
          onCommit={(mm) => take({ stackHeightMm: mm })}
        />
        <NumberField
          label={`Layers, ${fewestLayers} or more`}
          unit="layers"
          optional
          value={number('stackLayers')}
          onCommit={(stackLayers) => take({ stackLayers })}
        />
      </div>
    </TestRoom>
  );
}
