import { cornersOf, type ScrapCard } from '../../core/eye/card';
import { fieldsOf } from '../../core/eye/marks';
import type { RectMm } from '../../core/eye/rectify';
import { line, rulerStrokes, stroke, type PrintedSheet } from './sheet';

/** The black of a mark: runs of fields, row by row. */
function blackOf({ code, xMm, yMm, widthMm }: RectMm & { readonly code: number }): RectMm[] {
  const fields = fieldsOf(code);
  const fieldMm = widthMm / fields.length;
  return fields.flatMap((row, y) =>
    row.flatMap((isBlack, x): RectMm[] => {
      if (!isBlack || (x > 0 && row[x - 1])) return [];
      const end = row.findIndex((black, at) => at > x && !black);
      const count = (end < 0 ? row.length : end) - x;
      return [
        {
          ...{ xMm: xMm + x * fieldMm, yMm: yMm + y * fieldMm },
          ...{ widthMm: count * fieldMm, heightMm: fieldMm },
        },
      ];
    }),
  );
}

const words = {
  window: [
    'Lay the scrap into the window, the side with the bites up, the stitch line along the long side.',
    'All four black squares stay free. Light from the side; look straight down.',
  ],
  wrap: [
    'Cut the sheet along the window’s lower side and lay the allowance round that edge, its stitch line in the window.',
    'All four black squares stay free. Light from the side; look straight down.',
  ],
} as const;

/** The drawing of a card that a scrap is photographed on, at true scale. */
export function scrapCardSheet(card: ScrapCard): PrintedSheet {
  const { window, marks, rule, pageMm } = card;
  const corners = cornersOf(window);
  const below = rule.yMm + 12;
  return {
    pageMm,
    fills: marks.flatMap(blackOf),
    strokes: [
      ...corners.map((corner, i) => stroke(corner, corners[(i + 1) % corners.length]!, 0.2)),
      ...rulerStrokes([{ unit: 'mm', ...rule }]),
    ],
    words: [
      line(pageMm[0], 24, 'Scrap card', 7),
      ...words[card.kind].map((text, i) => line(pageMm[0], 33 + i * 6, text, 3.6)),
      line(
        pageMm[0],
        below,
        'This rule is 50 mm long. Measure it: a card that was printed smaller measures wrong.',
        3.6,
      ),
    ],
  };
}
