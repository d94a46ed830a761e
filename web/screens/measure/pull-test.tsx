import { useState } from 'react';
import { pullTester } from '../../../core/instrument/instrument';
import { afterPullMm, pulledToMm } from '../../../core/instrument/piece';
import type { ClothRecord } from '../../../contract/records';
import { useLengths } from '../../ground/lengths-context';
import { LengthField } from '../../controls/length-field';
import { homeTestList } from '../cloths/home-test';
import { useHomeTests } from '../cloths/use-home-tests';
import { BenchInstrument } from './bench-instrument';
import { seedOf, simulatedPiece } from './believed';
import { TestRoom } from './test-room';
import { Wait } from './wait';

/** How long a strip is left alone before it is read again, s. */
const restS = 60;

interface Row {
  readonly name: string;
  readonly mm: number | null;
}

/** The marked strip at rest, pulled, and let go, one under the other on one ruler. */
function Drawing({ rows, longestMm }: { rows: readonly Row[]; longestMm: number }) {
  const { cloth } = useLengths();
  const rulerMm = Math.max(longestMm, 110);
  const scale = 470 / rulerMm;
  const step = longestMm > 300 ? 100 : 10;
  const marks = Array.from({ length: Math.floor(rulerMm / step) + 1 }, (_, i) => i * step);
  return (
    <svg
      viewBox="0 0 640 400"
      className="max-h-full w-full"
      role="img"
      aria-label="A marked strip at rest, pulled and let go, to scale"
    >
      {rows.map(({ name, mm }, i) => {
        const y = 40 + i * 96;
        return (
          <g key={name}>
            <text x={70} y={y - 8} fontSize={17} fill="var(--color-soft)">
              {name}
              {mm === null ? ': not read yet' : `: ${cloth(mm)}`}
            </text>
            <rect
              x={70}
              y={y}
              width={(mm ?? 100) * scale}
              height={46}
              fill={mm === null ? 'none' : 'var(--cloth-3)'}
              stroke="var(--cloth-line)"
              strokeWidth={2}
              strokeDasharray={mm === null ? '6 5' : undefined}
            />
            {mm !== null && (
              <path
                d={`M72,${y} v46 M${70 + mm * scale - 2},${y} v46`}
                stroke="var(--color-pencil)"
                strokeWidth={4}
              />
            )}
          </g>
        );
      })}
      <g stroke="var(--color-graphite)">
        <line x1={70} x2={70 + rulerMm * scale} y1={330} y2={330} strokeWidth={2} />
        {marks.map((mm) => (
          <line
            key={mm}
            x1={70 + mm * scale}
            x2={70 + mm * scale}
            y1={330}
            y2={mm % (5 * step) === 0 ? 348 : 340}
          />
        ))}
      </g>
      <g fontSize={16} fill="var(--color-soft)" textAnchor="middle">
        {marks
          .filter((mm) => mm % (5 * step) === 0)
          .map((mm) => (
            <text key={mm} x={70 + mm * scale} y={370}>
              {mm === 0 ? '0' : cloth(mm)}
            </text>
          ))}
      </g>
    </svg>
  );
}

/** Pulling a marked strip along a ruler, and letting it go. */
export function PullTest({ cloth }: { cloth: ClothRecord }) {
  const { number, trouble, take, with: withReading } = useHomeTests(cloth);
  const [live, setLive] = useState<number | null>(null);
  const restMm = number('restMm') ?? 100;
  const piece = simulatedPiece(cloth);
  const pulled = live ?? number('pulledMm');
  const now = live && live >= restMm ? withReading({ restMm, pulledMm: live }) : withReading({});
  return (
    <TestRoom
      test={homeTestList[2]!}
      todo={[
        'Mark 100 mm across the stretchiest way, on an uncut edge.',
        'Pull until it holds against you, and read the marks.',
        'Let go, leave it alone for a minute, and read them again.',
      ]}
      drawing={
        <Drawing
          longestMm={Math.max(restMm, pulled ?? 0)}
          rows={[
            { name: 'At rest', mm: restMm },
            { name: 'Pulled', mm: pulled },
            { name: 'A minute after letting go', mm: number('afterMm') },
          ]}
        />
      }
      cloth={now}
      trouble={trouble('restMm', 'pulledMm', 'afterMm')}
    >
      <BenchInstrument
        instrument={pullTester}
        own="My own hands"
        load={pulledToMm(piece, restMm)}
        seed={seedOf(cloth.id)}
        put="Pull the strip"
        off="Let it go"
        onReading={(value) => setLive(value && value >= restMm ? value : null)}
        onTake={(value) =>
          // The tester reads the strip again a minute later by itself.
          take({
            restMm,
            pulledMm: Math.max(restMm, value),
            afterMm: Math.min(
              Math.max(restMm, value),
              Math.round(afterPullMm(piece, restMm) * 2) / 2,
            ),
          })
        }
      />
      <div className="flex flex-wrap gap-x-4 gap-y-2">
        <LengthField
          label="At rest"
          compact
          optional
          placeholder="100"
          value={number('restMm')}
          onCommit={(mm) => take({ restMm: mm })}
        />
        <LengthField
          label="Pulled"
          compact
          optional
          value={number('pulledMm')}
          onCommit={(mm) =>
            take({ pulledMm: mm, ...(mm !== null && number('restMm') === null ? { restMm } : {}) })
          }
        />
      </div>
      <Wait seconds={restS} what="it to come back" />
      <LengthField
        label="After letting go"
        compact
        optional
        value={number('afterMm')}
        onCommit={(mm) => take({ afterMm: mm })}
      />
    </TestRoom>
  );
}
