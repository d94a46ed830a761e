import type { FoldMark } from './mark';

/** Paper that a gauge is printed on, width and height in mm. */
export const pageSizesMm = { a4: [210, 297], letter: [215.9, 279.4] } as const;
export type PageSize = keyof typeof pageSizesMm;

/** One step of the card: a column whose upper edge is pressed against. */
export interface GaugeStep {
  readonly mark: FoldMark;
  /** What its height is measured from: what the mark is, or the mark before it. */
  readonly from: FoldMark | null;
  readonly leftMm: number;
  readonly widthMm: number;
  readonly heightMm: number;
}

/** A fold gauge at true scale on a page; y counts down from the page's upper edge. */
export interface Gauge {
  readonly pageMm: readonly [width: number, height: number];
  /** The lower edge of every step: here lies the raw edge. */
  readonly baseYMm: number;
  readonly steps: readonly GaugeStep[];
  /** Marks that no page holds; they are measured with a tape. */
  readonly tooLong: readonly FoldMark[];
  /** The two check rulers, from their left ends. */
  readonly rulers: readonly {
    readonly unit: 'mm' | 'in';
    readonly xMm: number;
    readonly yMm: number;
    readonly lengthMm: number;
  }[];
}

const sideMm = 15;
/** Room for the title above, for the rulers and the note below. */
const aboveMm = 42;
const belowMm = 58;
const widestStepMm = 42;

/**
 * Lays out a card with a step for every mark, in press order, each as high as the mark is from
 * where it is measured; one that is higher than the page is measured from the mark before it.
 */
export function gaugeOf(marks: readonly FoldMark[], page: PageSize): Gauge {
  const [width, height] = pageSizesMm[page];
  const baseYMm = height - belowMm;
  const mostMm = baseYMm - aboveMm;
  const tooLong: FoldMark[] = [];
  const fitting = marks.flatMap((mark, i): Pick<GaugeStep, 'mark' | 'from' | 'heightMm'>[] => {
    if (mark.atMm <= mostMm) return [{ mark, from: null, heightMm: mark.atMm }];
    const before = marks[i - 1];
    const onward = mark.atMm - (before?.atMm ?? 0);
    if (before && before.from === mark.from && onward > 0 && onward <= mostMm) {
      return [{ mark, from: before, heightMm: onward }];
    }
    tooLong.push(mark);
    return [];
  });
  const stepMm = Math.min(widestStepMm, (width - 2 * sideMm) / Math.max(1, fitting.length));
  return {
    pageMm: [width, height],
    baseYMm,
    steps: fitting.map((step, i) => ({ ...step, leftMm: sideMm + i * stepMm, widthMm: stepMm })),
    tooLong,
    rulers: [
      { unit: 'mm', xMm: sideMm, yMm: baseYMm + 26, lengthMm: 50 },
      { unit: 'in', xMm: sideMm + 80, yMm: baseYMm + 26, lengthMm: 50.8 },
    ],
  };
}
