import {
  CategoryScale,
  Chart,
  Filler,
  LineElement,
  LinearScale,
  PointElement,
  Tooltip,
  type ChartOptions,
} from 'chart.js';
import { Line } from 'react-chartjs-2';
import { useLengths } from '../ground/lengths-context';
import { NumbersTable } from './numbers-table';
import { themeColour } from './theme-colour';

Chart.register(CategoryScale, LineElement, LinearScale, PointElement, Filler, Tooltip);

/** What was believed at one moment: the middle and nine chances of ten. */
export interface Believed {
  readonly at: string;
  readonly middle: number;
  readonly interval: readonly [number, number];
}

interface BeliefChartProps {
  /** What is believed: “Offset”. */
  readonly name: string;
  readonly points: readonly Believed[];
  /** Lengths are shown in the person's unit; anything else as it is. */
  readonly isLength: boolean;
  /** A level to compare with: no offset, the rule's steadiness. */
  readonly level?: number;
  readonly colour?: string;
}

/** A belief with its band of nine chances of ten, narrowing or wandering from left to right. */
export function BeliefChart(props: BeliefChartProps) {
  const { name, points, isLength, level, colour = themeColour('pencil') } = props;
  const { fineNumber, fine, unit } = useLengths();
  const shown = (value: number) =>
    isLength ? Number(fineNumber(value).replace('−', '-')) : Math.round(value * 100) / 100;
  const font = { family: 'Atkinson Hyperlegible', size: 13 };
  const options: ChartOptions<'line'> = {
    animation: false,
    maintainAspectRatio: false,
    scales: {
      x: { ticks: { font, color: themeColour('soft') }, grid: { color: themeColour('line') } },
      y: {
        title: {
          display: true,
          text: isLength ? `${name}, ${unit}` : name,
          font,
          color: themeColour('graphite'),
        },
        ticks: { font, color: themeColour('soft') },
        grid: { color: themeColour('line') },
      },
    },
  };
  const line = (data: number[], extra: object) => ({
    data,
    pointRadius: 0,
    borderWidth: 1,
    ...extra,
  });
  const words = (value: number) => (isLength ? fine(value) : value.toFixed(2));
  return (
    <div className="h-full w-full">
      <Line
        role="img"
        aria-label={`${name}, with nine chances of ten`}
        options={options}
        data={{
          labels: points.map(({ at }) => at),
          datasets: [
            line(
              points.map(({ interval }) => shown(interval[0])),
              { borderColor: 'transparent', fill: false },
            ),
            line(
              points.map(({ interval }) => shown(interval[1])),
              { borderColor: 'transparent', backgroundColor: `${colour}2e`, fill: '-1' },
            ),
            line(
              points.map(({ middle }) => shown(middle)),
              { borderColor: colour, borderWidth: 2.5, pointRadius: 4, backgroundColor: colour },
            ),
            ...(level !== undefined
              ? [
                  line(
                    points.map(() => shown(level)),
                    { borderColor: themeColour('soft'), borderDash: [5, 4], fill: false },
                  ),
                ]
              : []),
          ],
        }}
      />
      <NumbersTable
        caption={`${name}, with nine chances of ten`}
        rows={points.map(({ at, middle, interval }) => [
          at,
          `${words(middle)} (${words(interval[0])} to ${words(interval[1])})`,
        ])}
      />
    </div>
  );
}
