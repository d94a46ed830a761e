import { useState } from 'react';
import type { ClothRecord } from '../../../contract/records';
import { LineSlider } from '../../controls/line-slider';
import { NumberField } from '../../controls/number-field';
import { homeTestList } from '../cloths/home-test';
import { useHomeTests } from '../cloths/use-home-tests';
import { TestRoom } from './test-room';

/** The board at the very tilt, with one layer fixed and one free. */
function Drawing({ degrees }: { degrees: number }) {
  const [x0, y0, long] = [110, 340, 400];
  const rad = (degrees * Math.PI) / 180;
  const [dx, dy] = [Math.cos(rad), -Math.sin(rad)];
  const at = (along: number, above: number) =>
    `${x0 + along * dx + above * dy},${y0 + along * dy - above * dx}`;
  const arc = 120;
  return (
    <svg
      viewBox="0 0 640 400"
      className="max-h-full w-full"
      role="img"
      aria-label={`A board tilted by ${Math.round(degrees)} degrees`}
    >
      <line x1={60} x2={600} y1={y0} y2={y0} stroke="var(--color-graphite)" strokeWidth={3} />
      <path
        d={`M${at(0, 4)} L${at(long, 4)}`}
        stroke="var(--color-graphite)"
        strokeWidth={8}
        strokeLinecap="round"
      />
      <path d={`M${at(60, 14)} L${at(long - 20, 14)}`} stroke="var(--color-seam)" strokeWidth={9} />
      <path d={`M${at(150, 25)} L${at(290, 25)}`} stroke="var(--cloth-3)" strokeWidth={10} />
      <path d={`M${at(150, 25)} L${at(290, 25)}`} stroke="var(--cloth-line)" strokeWidth={1.5} />
      <path
        d={`M${x0 + arc},${y0} A${arc},${arc} 0 0 0 ${x0 + arc * dx},${y0 + arc * dy}`}
        fill="none"
        stroke="var(--color-pencil)"
        strokeWidth={2.5}
      />
      <text
        x={x0 + arc + 14}
        y={y0 - 14}
        fontSize={24}
        fontFamily="Vollkorn, serif"
        fontWeight={600}
        fill="var(--color-pencil)"
      >
        {Math.round(degrees)}°
      </text>
    </svg>
  );
}

/** Tilting one layer on another. */
export function SlipTest({ cloth }: { cloth: ClothRecord }) {
  const { number, trouble, take, with: withReading } = useHomeTests(cloth);
  const [tilt, setTilt] = useState<number | null>(null);
  const degrees = tilt ?? number('slipDegrees');
  return (
    <TestRoom
      test={homeTestList[5]!}
      todo={[
        'Fix one layer to a board, lay a hand-sized piece on it.',
        'Lift one end slowly until the piece slides.',
        'Hold the board there and read the tilt: a phone can.',
      ]}
      drawing={<Drawing degrees={degrees ?? 0} />}
      cloth={withReading(tilt === null ? {} : { slipDegrees: tilt })}
      trouble={trouble('slipDegrees')}
    >
      <NumberField
        label="It slides at"
        unit="°"
        optional
        value={number('slipDegrees')}
        onCommit={(slipDegrees) => {
          setTilt(null);
          take({ slipDegrees });
        }}
      />
      <div>
        <span id="tilt-words" className="block text-sm text-soft">
          or lift the board here, and take it where it slides
        </span>
        <LineSlider
          labelledBy="tilt-words"
          value={degrees ?? 0}
          least={0}
          most={70}
          step={1}
          onChange={setTilt}
        />
        <button
          type="button"
          disabled={tilt === null}
          className="min-h-11 rounded-[3px] border border-graphite px-4 font-bold hover:bg-cloth disabled:border-line disabled:text-soft"
          onClick={() => {
            take({ slipDegrees: tilt });
            setTilt(null);
          }}
        >
          {tilt === null ? 'Take the tilt' : `Take ${Math.round(tilt)}°`}
        </button>
      </div>
    </TestRoom>
  );
}
