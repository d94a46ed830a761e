import {
  Chart,
  Filler,
  LineElement,
  LinearScale,
  PointElement,
  Tooltip,
  type ChartOptions,
} from 'chart.js';
import { Line } from 'react-chartjs-2';
import type { DialSweep } from '../../core/margin/map';
import { useLengths } from '../ground/lengths-context';
import { NumbersTable } from './numbers-table';
import { themeColour } from './theme-colour';

Chart.register(LineElement, LinearScale, PointElement, Filler, Tooltip);

interface DialChartProps {
  readonly name: string;
  readonly sweep: DialSweep;
  readonly nowMm: number;
}

/** The chance against one dial while the others stand; gaps are blocked. */
export function DialChart({ name, sweep, nowMm }: DialChartProps) {
  const lengths = useLengths();
  const points = sweep.positionsMm.map((mm, i) => ({
    x: Number(lengths.fineNumber(mm).replace('−', '-')),
    y: Number.isNaN(sweep.chances[i]) ? null : Math.round((sweep.chances[i] ?? 0) * 1000) / 10,
  }));
  const isNow = sweep.positionsMm.map((mm) => Math.abs(mm - nowMm) < 1e-6);
  const font = { family: 'Atkinson Hyperlegible', size: 13 };
  const options: ChartOptions<'line'> = {
    animation: false,
    maintainAspectRatio: false,
    scales: {
      x: {
        type: 'linear',
        title: {
          display: true,
          text: `${name}, ${lengths.unit}`,
          font,
          color: themeColour('graphite'),
        },
        ticks: { font, color: themeColour('soft') },
        grid: { color: themeColour('line') },
      },
      y: {
        min: 0,
        max: 100,
        title: {
          display: true,
          text: 'sound stitches of 100',
          font,
          color: themeColour('graphite'),
        },
        ticks: { font, color: themeColour('soft') },
        grid: { color: themeColour('line') },
      },
    },
  };
  return (
    <div className="h-full w-full p-3">
      <Line
        role="img"
        aria-label={`Chance against the ${name.toLowerCase()}`}
        options={options}
        data={{
          datasets: [
            {
              data: points,
              borderColor: themeColour('moss'),
              backgroundColor: 'rgb(139 162 111 / 0.25)',
              fill: true,
              borderWidth: 2,
              pointRadius: isNow.map((now) => (now ? 8 : 3)),
              pointBackgroundColor: isNow.map((now) =>
                now ? themeColour('pencil') : themeColour('moss'),
              ),
            },
          ],
        }}
      />
      <NumbersTable
        caption={`Chance against the ${name.toLowerCase()}`}
        rows={sweep.positionsMm.map((mm, i) => {
          const y = points[i]?.y ?? null;
          return [lengths.fine(mm), y === null ? 'blocked' : `${y} of 100`] as const;
        })}
      />
    </div>
  );
}
