import { useState } from 'react';
import type { ClothRecord } from '../../../contract/records';
import { useLengths } from '../../ground/lengths-context';
import { LengthField } from '../../controls/length-field';
import { homeTestList } from '../cloths/home-test';
import { useHomeTests } from '../cloths/use-home-tests';
import { TestRoom } from './test-room';
import { Wait } from './wait';

const lieS = 30;

/** The cut edge from the side, its curl eight times as high as it is. */
function Drawing({ curlMm, rolls }: { curlMm: number; rolls: boolean }) {
  const { fine } = useLengths();
  const high = Math.min(220, (rolls ? 14 : curlMm) * 8);
  const base = 320;
  const end = 470;
  const curve = rolls
    ? `M60,${base} H${end - 40} C${end + 60},${base} ${end + 60},${base - 120} ${end - 20},${base - 120} C${end - 90},${base - 120} ${end - 90},${base - 30} ${end - 20},${base - 36}`
    : `M60,${base} H${end - high} Q${end},${base} ${end},${base - high}`;
  return (
    <svg
      viewBox="0 0 640 400"
      className="max-h-full w-full"
      role="img"
      aria-label={rolls ? 'The cut edge rolls over' : `The cut edge curls up by ${fine(curlMm)}`}
    >
      <line
        x1={40}
        x2={600}
        y1={base + 6}
        y2={base + 6}
        stroke="var(--color-graphite)"
        strokeWidth={3}
      />
      <path
        d={curve}
        fill="none"
        stroke="var(--cloth-line)"
        strokeWidth={12}
        strokeLinejoin="round"
      />
      <path d={curve} fill="none" stroke="var(--cloth-3)" strokeWidth={8} strokeLinejoin="round" />
      {!rolls && (
        <>
          <path
            d={`M520,${base} v${-high} M512,${base} h16 M512,${base - high} h16`}
            stroke="var(--color-pencil)"
            strokeWidth={2}
            fill="none"
          />
          <text x={536} y={base - high / 2 + 6} fontSize={18} fill="var(--color-pencil)">
            {fine(curlMm)}
          </text>
        </>
      )}
      <text x={320} y={372} textAnchor="middle" fontSize={17} fill="var(--color-soft)">
        from the side, eight times as high as it is
      </text>
    </svg>
  );
}

/** Letting a cut edge lie. */
export function CurlTest({ cloth }: { cloth: ClothRecord }) {
  const { tests, number, trouble, take, with: withReading } = useHomeTests(cloth);
  const [share, setShare] = useState(0);
  const rolls = tests.rollsOver ?? false;
  return (
    <TestRoom
      test={homeTestList[4]!}
      todo={[
        'Cut an edge across the stretch and lay it flat, free.',
        'Smooth it once, take the hands away, and let it lie.',
        'Stand a ruler at the edge: how high does it come up?',
      ]}
      drawing={
        <Drawing
          curlMm={(number('curlMm') ?? 0) * (share > 0 && share < 1 ? share : 1)}
          rolls={rolls}
        />
      }
      cloth={withReading({})}
      trouble={trouble('curlMm', 'rollsOver')}
    >
      <Wait seconds={lieS} what="it to settle" onPassing={setShare} />
      <div className="flex flex-wrap items-start gap-x-5 gap-y-2">
        <LengthField
          label="It curls up by"
          fine
          optional
          value={number('curlMm')}
          onCommit={(mm) => take({ curlMm: mm })}
        />
        <label className="flex min-h-11 items-center gap-2 pt-5">
          <input
            type="checkbox"
            className="size-5 accent-pencil"
            checked={rolls}
            onChange={(event) => take({ rollsOver: event.target.checked || null })}
          />
          it rolls all the way over
        </label>
      </div>
    </TestRoom>
  );
}
