import { gaugeOf, type Gauge, type PageSize } from '../../core/fold/gauge';
import type { FoldMark } from '../../core/fold/mark';
import {
  both,
  line,
  rulerStrokes,
  rulerWords,
  stroke,
  type PrintedSheet,
  type Stroke,
  type Words,
} from './sheet';

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

/**
 * The drawing of a fold gauge: a stair with a step for each mark, a 50 mm and a 2 in check ruler,
 * and what it is for.
 *
 * @param title what the hem is on, as its owner calls it
 */
export function gaugeSheet(
  title: string,
  marks: readonly FoldMark[],
  page: PageSize,
): PrintedSheet {
  const gauge = gaugeOf(marks, page);
  const [width] = gauge.pageMm;
  const at = (yMm: number, text: string, sizeMm: number) => line(width, yMm, text, sizeMm);
  const low = gauge.baseYMm;
  return {
    pageMm: gauge.pageMm,
    strokes: [...stairs(gauge), ...rulerStrokes(gauge.rulers)],
    words: [
      at(18, `Fold gauge: ${title}`, 6),
      at(
        25,
        'Cut out along the lines. Lay the raw edge on the lower edge, fold over an upper edge, press.',
        3.4,
      ),
      ...gauge.tooLong.map((mark, i) =>
        at(
          31 + i * 4.5,
          `${mark.name}: ${both(mark.atMm)} is longer than this page; use a tape.`,
          3.4,
        ),
      ),
      ...stepWords(gauge),
      at(low + 6, 'lower edge', 3),
      ...rulerWords(gauge.rulers),
      at(
        low + 40,
        'Print at actual size, not fitted to the page. If a ruler is off, do not use the gauge.',
        3.4,
      ),
    ],
  };
}
