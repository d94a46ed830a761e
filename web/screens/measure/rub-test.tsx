import type { ClothRecord } from '../../../contract/records';
import { Stepper } from '../../controls/stepper';
import { homeTestList } from '../cloths/home-test';
import { useHomeTests } from '../cloths/use-home-tests';
import { TestRoom } from './test-room';

/** More than these are not drawn one by one. */
const mostDrawn = 30;

/** Fifty millimetres of cut edge, four times as large, with every thread that came loose. */
function Drawing({ threads }: { threads: number }) {
  const drawn = Math.min(threads, mostDrawn);
  return (
    <svg
      viewBox="0 0 640 400"
      className="max-h-full w-full"
      role="img"
      aria-label={`${threads} threads loose on 50 mm of cut edge`}
    >
      <rect x={120} y={190} width={400} height={150} fill="var(--cloth-3)" />
      {Array.from({ length: 26 }, (_, i) => (
        <line
          key={i}
          x1={128 + i * 15.4}
          x2={128 + i * 15.4}
          y1={190}
          y2={340}
          stroke="var(--color-seam)"
        />
      ))}
      <line x1={120} x2={520} y1={190} y2={190} stroke="var(--color-graphite)" strokeWidth={2.5} />
      {Array.from({ length: drawn }, (_, i) => {
        const x = 128 + ((i * 7) % 26) * 15.4 + (i >= 26 ? 6 : 0);
        const lean = ((i * 37) % 11) - 5;
        return (
          <path
            key={i}
            d={`M${x},192 q${lean},-34 ${lean * 3},-${50 + ((i * 13) % 28)}`}
            fill="none"
            stroke="var(--color-pencil)"
            strokeWidth={2.5}
            strokeLinecap="round"
          />
        );
      })}
      <g stroke="var(--color-graphite)" strokeWidth={2.5} fill="none">
        <path d="M180,80 h280 m-14,-9 l14,9 l-14,9 M194,71 l-14,9 l14,9" />
      </g>
      <text x={320} y={62} textAnchor="middle" fontSize={18} fill="var(--color-soft)">
        ten times to and fro with a fingernail
      </text>
      <path
        d="M120,356 h400 M120,350 v12 M520,350 v12"
        stroke="var(--color-pencil)"
        strokeWidth={2}
      />
      <text x={320} y={382} textAnchor="middle" fontSize={17} fill="var(--color-pencil)">
        50 mm of cut edge, along the grain
      </text>
    </svg>
  );
}

/** Rubbing a cut edge. */
export function RubTest({ cloth }: { cloth: ClothRecord }) {
  const { number, trouble, take, with: withReading } = useHomeTests(cloth);
  const threads = number('looseThreads');
  return (
    <TestRoom
      test={homeTestList[3]!}
      todo={[
        'Cut an edge clean and mark 50 mm of it.',
        'Rub it ten times with a fingernail.',
        'Count the threads that came loose.',
      ]}
      drawing={<Drawing threads={threads ?? 0} />}
      cloth={withReading({})}
      trouble={trouble('looseThreads')}
    >
      <Stepper
        label="Threads loose"
        about={threads === null ? 'not counted yet' : 'on 50 mm'}
        value={threads ?? 0}
        least={0}
        onChange={(count) => Number.isFinite(count) && take({ looseThreads: count })}
      />
      {threads === null && (
        <button
          type="button"
          className="min-h-11 rounded-[3px] border border-seam px-3 text-left hover:bg-cloth"
          onClick={() => take({ looseThreads: 0 })}
        >
          I counted: none came loose
        </button>
      )}
      {threads !== null && (
        <button
          type="button"
          className="min-h-11 text-left text-pencil underline underline-offset-2"
          onClick={() => take({ looseThreads: null })}
        >
          Forget the count
        </button>
      )}
    </TestRoom>
  );
}
