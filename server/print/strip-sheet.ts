import { gaugeOf, type PageSize } from '../../core/fold/gauge';
import type { OnCloth, StripPiece } from '../../core/strip/piece';
import { tubeDrawn } from '../../core/strip/tube';
import type { StripWay } from '../../core/strip/cut';
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

/** What a sheet of strips shows. */
export interface CutStrip {
  readonly name: string;
  readonly way: StripWay;
  readonly clothMm: OnCloth;
  readonly stripMm: number;
  readonly wantedMm: number;
  readonly leftMm: number;
  readonly pieces: readonly StripPiece[];
  /** So many of them are cut. */
  readonly cutting: number;
}

const leftMm = 20;
const planTopMm = 46;
const planHighMm = 70;

/** A line at 45° to the page's own edge, to be laid against the selvedge, at true scale. */
function biasLine(pageMm: readonly [number, number], topMm: number): [Stroke[], Words[]] {
  const longMm = Math.min(90, pageMm[0] - 2 * leftMm - 40);
  const foot: OnCloth = [leftMm, topMm + longMm];
  return [
    [
      stroke([leftMm, topMm - 4], foot, 0.6),
      stroke(foot, [leftMm + longMm, topMm], 0.6),
      stroke(foot, [leftMm + longMm, foot[1]], 0.3, true),
    ],
    [
      { at: [leftMm + 3, topMm], text: 'selvedge', sizeMm: 3.6, middle: false, mostMm: 40 },
      {
        at: [leftMm + longMm + 3, topMm + 3],
        text: 'the bias: 45°',
        sizeMm: 3.6,
        middle: false,
        mostMm: 40,
      },
    ],
  ];
}

/** The cloth with its strips, small, and each with its number. */
function planOf(
  { clothMm, pieces, cutting, way, stripMm }: CutStrip,
  pageWidthMm: number,
): [Stroke[], Words[]] {
  const tube = way === 'tube' ? tubeDrawn(clothMm, stripMm) : null;
  const wide = clothMm[0] + (tube ? clothMm[1] : 0);
  const scale = Math.min((pageWidthMm - 2 * leftMm) / wide, planHighMm / clothMm[1]);
  const at = ([x, y]: OnCloth): OnCloth => [
    leftMm + x * scale,
    planTopMm + (clothMm[1] - y) * scale,
  ];
  const round = (corners: readonly OnCloth[], widthMm: number, dashed = false): Stroke[] =>
    corners.map((corner, i) =>
      stroke(at(corner), at(corners[(i + 1) % corners.length] ?? corner), widthMm, dashed),
    );
  if (tube) {
    return [
      [...round(tube.outline, 0.5), ...tube.lines.map(([a, b]) => stroke(at(a), at(b), 0.2))],
      [],
    ];
  }
  const [w, h] = clothMm;
  return [
    [
      ...round(
        [
          [0, 0],
          [w, 0],
          [w, h],
          [0, h],
        ],
        0.5,
      ),
      ...pieces.flatMap(({ corners }, i) => round(corners, i < cutting ? 0.3 : 0.15, i >= cutting)),
    ],
    pieces.slice(0, cutting).map(({ fromMm: [a, b] }, i): Words => {
      const [x, y] = at([(a[0] + b[0]) / 2, (a[1] + b[1]) / 2]);
      return { at: [x, y + 1.5], text: String(i + 1), sizeMm: 4, middle: true, mostMm: 12 };
    }),
  ];
}

const wayNames: Readonly<Record<StripWay, string>> = {
  bias: 'on the bias',
  across: 'across the grain',
  tube: 'as a continuous tube',
};

/** A sheet for cutting strips: the plan, every piece with its length, and a line at 45°. */
export function stripSheet(cut: CutStrip, page: PageSize): PrintedSheet {
  const { pageMm, rulers } = gaugeOf([], page);
  const [pageWidthMm] = pageMm;
  const [plan, numbers] = planOf(cut, pageWidthMm);
  const strips = cut.pieces.slice(0, cut.cutting);
  const listTopMm = planTopMm + planHighMm + 14;
  const rows = Math.ceil(strips.length / 2);
  const list = strips.slice(0, 24).map(({ lengthMm }, i): Words => {
    const column = Math.floor(i / Math.max(1, Math.min(12, rows)));
    const row = i - column * Math.max(1, Math.min(12, rows));
    return {
      at: [leftMm + column * 85, listTopMm + row * 5.6],
      text: `${i + 1}   ${both(lengthMm)}`,
      sizeMm: 3.8,
      middle: false,
      mostMm: 80,
    };
  });
  const biasTopMm = listTopMm + Math.min(12, Math.max(1, rows)) * 5.6 + 6;
  const [bias, biasWords] =
    cut.way === 'across' || biasTopMm + 96 > (rulers[0]?.yMm ?? pageMm[1]) - 12
      ? [[], []]
      : biasLine(pageMm, biasTopMm);
  return {
    pageMm,
    strokes: [...plan, ...bias, ...rulerStrokes(rulers)],
    words: [
      line(pageWidthMm, 18, `Strips for ${cut.name}`, 6),
      line(
        pageWidthMm,
        26,
        `${both(cut.stripMm)} wide, ${wayNames[cut.way]}, from ${both(cut.clothMm[0])} across by ${both(cut.clothMm[1])} along the grain`,
        3.8,
      ),
      line(
        pageWidthMm,
        33,
        cut.leftMm >= 0
          ? `${both(cut.wantedMm)} wanted with both ends; ${strips.length === 1 || cut.way === 'tube' ? 'no join to sew' : `${strips.length - 1} joins`}`
          : `${both(cut.wantedMm)} wanted with both ends: ${both(-cut.leftMm)} missing`,
        3.8,
      ),
      line(pageWidthMm, 40, 'The plan is not to scale; the line at 45° and the rulers are.', 3.2),
      ...numbers,
      ...list,
      ...biasWords,
      ...rulerWords(rulers),
    ],
  };
}
