import { useState } from 'react';
import { kitchenScale } from '../../../core/instrument/instrument';
import { squareGrams } from '../../../core/instrument/piece';
import type { ClothRecord } from '../../../contract/records';
import { useLengths } from '../../ground/lengths-context';
import { LengthField } from '../../controls/length-field';
import { NumberField } from '../../controls/number-field';
import { homeTestList } from '../cloths/home-test';
import { useHomeTests } from '../cloths/use-home-tests';
import { BenchInstrument } from './bench-instrument';
import { seedOf, simulatedPiece } from './believed';
import { TestRoom } from './test-room';

/** A kitchen scale's plate, mm; the square lies on it to scale. */
const plateMm = 190;
const pxPerMm = 1.35;

/** A square of cloth on a kitchen scale, from above and to scale. */
function Drawing({ sideMm, grams }: { sideMm: number; grams: number | null }) {
  const { cloth } = useLengths();
  const side = Math.min(300, sideMm * pxPerMm);
  const [x, y] = [320, 152];
  const label = `${cloth(sideMm)} each way`;
  return (
    <svg
      viewBox="0 0 640 410"
      className="max-h-full w-full"
      role="img"
      aria-label={`A square of cloth, ${label}, on a kitchen scale, to scale`}
    >
      <rect
        x={180}
        y={8}
        width={280}
        height={394}
        rx={26}
        fill="var(--color-bed)"
        stroke="var(--color-graphite)"
        strokeWidth={2.5}
      />
      <circle
        cx={x}
        cy={y}
        r={(plateMm / 2) * pxPerMm}
        fill="var(--cloth-1)"
        stroke="var(--color-graphite)"
        strokeWidth={2}
      />
      <rect
        x={x - side / 2}
        y={y - side / 2}
        width={side}
        height={side}
        fill="var(--cloth-3)"
        stroke="var(--cloth-line)"
        strokeWidth={2}
      />
      <path
        d={`M${x - side / 2},${y + side / 2 + 14} h${side} m0,-6 v12 M${x - side / 2},${y + side / 2 + 8} v12`}
        stroke="var(--color-pencil)"
        strokeWidth={2}
        fill="none"
      />
      <text x={476} y={y + 6} fontSize={18} fill="var(--color-pencil)">
        {label}
      </text>
      <rect
        x={216}
        y={306}
        width={208}
        height={72}
        rx={6}
        fill="var(--color-cloth)"
        stroke="var(--color-graphite)"
        strokeWidth={2}
      />
      <text
        x={408}
        y={356}
        textAnchor="end"
        fontSize={40}
        fontFamily="Vollkorn, serif"
        fontWeight={600}
        fill="var(--color-graphite)"
      >
        {grams === null ? '–' : grams.toFixed(1)} g
      </text>
    </svg>
  );
}

/** Weighing a square. */
export function WeighTest({ cloth }: { cloth: ClothRecord }) {
  const { tests, number, trouble, take, with: withReading } = useHomeTests(cloth);
  const [live, setLive] = useState<number | null>(null);
  const sideMm = tests.sampleSideMm ?? 100;
  const grams = live ?? number('sampleGrams');
  const now =
    live === null || live === 0
      ? withReading({})
      : withReading({ sampleGrams: live, sampleSideMm: sideMm });
  return (
    <TestRoom
      test={homeTestList[0]!}
      todo={[
        'Cut a square along the grain, 100 mm each way.',
        'Zero the scale; lay the square on, folded if it hangs over.',
        'Wait until the number stands, and read it.',
      ]}
      drawing={<Drawing sideMm={sideMm} grams={grams} />}
      cloth={now}
      trouble={trouble('sampleGrams', 'sampleSideMm', 'ozPerSqYd')}
    >
      <BenchInstrument
        instrument={kitchenScale}
        own="My own scale"
        load={squareGrams(simulatedPiece(cloth), sideMm)}
        seed={seedOf(cloth.id)}
        put="Put the square on"
        off="Take it off"
        onReading={setLive}
        onTake={(value) => take({ sampleGrams: value, sampleSideMm: sideMm })}
      />
      <div className="flex flex-wrap gap-x-5 gap-y-2">
        <NumberField
          label="It weighs"
          unit="g"
          optional
          value={number('sampleGrams')}
          onCommit={(sampleGrams) => take({ sampleGrams })}
        />
        <LengthField
          label="Side of the square"
          compact
          optional
          placeholder="100"
          value={number('sampleSideMm')}
          onCommit={(sampleSideMm) => take({ sampleSideMm })}
        />
        <NumberField
          label="or, from the bolt"
          unit="oz/yd²"
          optional
          value={number('ozPerSqYd')}
          onCommit={(ozPerSqYd) => take({ ozPerSqYd })}
        />
      </div>
    </TestRoom>
  );
}
