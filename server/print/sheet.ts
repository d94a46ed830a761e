import type { RectMm } from '../../core/eye/rectify';
import type { Gauge } from '../../core/fold/gauge';
import { formatDecimal, formatInchFraction } from '../../core/measure/format-length';

/** A line on the sheet, mm from the page's upper left corner. */
export interface Stroke {
  readonly from: readonly [xMm: number, yMm: number];
  readonly to: readonly [xMm: number, yMm: number];
  readonly widthMm: number;
  readonly dashed: boolean;
}

/** A line of words; x is its start or its middle, y its foot. */
export interface Words {
  readonly at: readonly [xMm: number, yMm: number];
  readonly text: string;
  readonly sizeMm: number;
  readonly middle: boolean;
  /** Words longer than this are squeezed into it. */
  readonly mostMm: number;
}

/** What a printed sheet looks like, for any kind of file. */
export interface PrintedSheet {
  readonly pageMm: readonly [number, number];
  readonly strokes: readonly Stroke[];
  /** What is printed black all over. */
  readonly fills?: readonly RectMm[];
  readonly words: readonly Words[];
}

/** A length in both units, as it is written on paper. */
export const both = (mm: number) =>
  `${formatDecimal(mm, 'mm', 1).text} mm · ${formatInchFraction(mm, 16).text} in`;

/** A line from a place to another. */
export function stroke(
  from: Stroke['from'],
  to: Stroke['to'],
  widthMm = 0.3,
  dashed = false,
): Stroke {
  return { from, to, widthMm, dashed };
}

type Rulers = Gauge['rulers'];

/** The two rulers by which one sees that a sheet was printed at its size. */
export function rulerStrokes(rulers: Rulers): Stroke[] {
  return rulers.flatMap(({ unit, xMm, yMm, lengthMm }) => {
    const [parts, whole] = unit === 'mm' ? [50, 10] : [16, 8];
    const ticks = Array.from({ length: parts + 1 }, (_, i) => {
      const x = xMm + (lengthMm * i) / parts;
      const tall = i % whole === 0 ? 6 : i % (whole / 2) === 0 ? 4.2 : 2.6;
      return stroke([x, yMm], [x, yMm - tall], 0.2);
    });
    return [stroke([xMm, yMm], [xMm + lengthMm, yMm], 0.4), ...ticks];
  });
}

/** What stands below the rulers. */
export const rulerWords = (rulers: Rulers): Words[] =>
  rulers.map(({ unit, xMm, yMm }) => ({
    at: [xMm, yMm + 5],
    text: unit === 'mm' ? 'This must measure 50 mm.' : 'This must measure 2 in.',
    sizeMm: 3.4,
    middle: false,
    mostMm: 70,
  }));

/** Words from a place at the left margin, squeezed into the page where they are long. */
export const line = (pageWidthMm: number, yMm: number, text: string, sizeMm: number): Words => ({
  at: [15, yMm],
  text,
  sizeMm,
  middle: false,
  mostMm: pageWidthMm - 30,
});
