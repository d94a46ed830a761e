import { gaugeOf, type Gauge, type PageSize } from '../../core/fold/gauge';
import type { FoldMark } from '../../core/fold/mark';
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

/** What a gauge looks like, for any kind of file. */
export interface GaugeSheet {
  readonly pageMm: readonly [number, number];
  readonly strokes: readonly Stroke[];
  readonly words: readonly Words[];
}

const both = (mm: number) =>
  `${formatDecimal(mm, 'mm', 1).text} mm · ${formatInchFraction(mm, 16).text} in`;
const origins: Readonly<Record<FoldMark['from'], string>> = {
  'raw-edge': 'raw edge',
  'seam-line': 'line you sew',
  'first-seam': 'first seam',
};
const actions: Readonly<Record<FoldMark['action'], string>> = {
  press: 'press',
  temporary: 'fold, don’t press',
  stitch: 'stitch',
  cut: 'cut',
};

function stroke(from: Stroke['from'], to: Stroke['to'], widthMm = 0.3, dashed = false): Stroke {
  return { from, to, widthMm, dashed };
}

/** The stair of the card: cut along it, press against its upper edges. */
function stairs({ steps, baseYMm }: Gauge): Stroke[] {
  return steps.flatMap((step, i) => {
    const { leftMm, widthMm, heightMm, mark } = step;
    const top = baseYMm - heightMm;
    const right = leftMm + widthMm;
    const before = baseYMm - (steps[i - 1]?.heightMm ?? 0);
    return [
      stroke([leftMm, before], [leftMm, top]),
      stroke([leftMm, top], [right, top], 0.5, mark.action === 'temporary'),
      ...(i === steps.length - 1 ? [stroke([right, top], [right, baseYMm])] : []),
      stroke([leftMm, baseYMm], [right, baseYMm], 0.5),
    ];
  });
}

function stepWords({ steps, baseYMm }: Gauge): Words[] {
  return steps.flatMap(({ mark, from, leftMm, widthMm, heightMm }) => {
    const lines: readonly (readonly [string, number])[] = [
      [mark.name, 4.2],
      [both(heightMm), 3.4],
      [
        `${actions[mark.action]}; from the ${from ? from.name.toLowerCase() : origins[mark.from]}`,
        2.8,
      ],
    ];
    // A low step has no room inside: its words stand above it.
    const top = baseYMm - heightMm;
    const first = heightMm >= 18 ? top + 6 : top - 11;
    return lines.map(([text, sizeMm], i) => ({
      at: [leftMm + widthMm / 2, first + i * 5] as const,
      text,
      sizeMm,
      middle: true,
      mostMm: widthMm - 2,
    }));
  });
}

function rulerStrokes({ rulers }: Gauge): Stroke[] {
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

/**
 * The drawing of a fold gauge: a stair with a step for each mark, a 50 mm and a 2 in check ruler,
 * and what it is for.
 *
 * @param title what the hem is on, as its owner calls it
 */
export function gaugeSheet(title: string, marks: readonly FoldMark[], page: PageSize): GaugeSheet {
  const gauge = gaugeOf(marks, page);
  const [width] = gauge.pageMm;
  const mostMm = width - 30;
  const line = (yMm: number, text: string, sizeMm: number): Words => ({
    at: [15, yMm],
    text,
    sizeMm,
    middle: false,
    mostMm,
  });
  const low = gauge.baseYMm;
  return {
    pageMm: gauge.pageMm,
    strokes: [...stairs(gauge), ...rulerStrokes(gauge)],
    words: [
      line(18, `Fold gauge: ${title}`, 6),
      line(
        25,
        'Cut out along the lines. Lay the raw edge on the lower edge, fold over an upper edge, press.',
        3.4,
      ),
      ...gauge.tooLong.map((mark, i) =>
        line(
          31 + i * 4.5,
          `${mark.name}: ${both(mark.atMm)} is longer than this page; use a tape.`,
          3.4,
        ),
      ),
      ...stepWords(gauge),
      line(low + 6, 'lower edge', 3),
      ...gauge.rulers.map(({ unit, xMm, yMm }): Words => ({
        at: [xMm, yMm + 5],
        text: unit === 'mm' ? 'This must measure 50 mm.' : 'This must measure 2 in.',
        sizeMm: 3.4,
        middle: false,
        mostMm: 70,
      })),
      line(
        low + 40,
        'Print at actual size, not fitted to the page. If a ruler is off, do not use the gauge.',
        3.4,
      ),
    ],
  };
}
