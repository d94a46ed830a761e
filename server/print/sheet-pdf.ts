import { beginPdf } from './pdf';
import type { PrintedSheet } from './sheet';

/** A PDF point is 1/72 in. */
const ptPerMm = 72 / 25.4;

/**
 * A sheet as a PDF of one page at true scale.
 *
 * @param fontFile a font with the letters people use in names
 */
export async function sheetPdf(
  { pageMm, strokes, fills = [], words }: PrintedSheet,
  fontFile: string,
): Promise<Buffer> {
  const [width, height] = pageMm;
  const options = {
    size: [width * ptPerMm, height * ptPerMm],
    margin: 0,
    // Left readable: whoever doubts a line can look its coordinates up.
    compress: false,
    info: { Title: words[0]?.text ?? 'Fold gauge' },
  };
  const { document, bytes } = await beginPdf(options, fontFile);
  document.lineCap('butt').strokeColor('#000');
  for (const { from, to, widthMm, dashed } of strokes) {
    document.lineWidth(widthMm * ptPerMm);
    if (dashed) document.dash(3 * ptPerMm, { space: 2 * ptPerMm });
    else document.undash();
    document
      .moveTo(from[0] * ptPerMm, from[1] * ptPerMm)
      .lineTo(to[0] * ptPerMm, to[1] * ptPerMm)
      .stroke();
  }
  document.fillColor('#000');
  for (const { xMm, yMm, widthMm, heightMm } of fills) {
    document.rect(xMm * ptPerMm, yMm * ptPerMm, widthMm * ptPerMm, heightMm * ptPerMm).fill();
  }
  for (const { at, text, sizeMm, middle, mostMm } of words) {
    document.fontSize(sizeMm * ptPerMm);
    const long = document.widthOfString(text);
    const size = Math.min(1, (mostMm * ptPerMm) / long);
    document.fontSize(sizeMm * size * ptPerMm);
    const start = at[0] * ptPerMm - (middle ? (long * size) / 2 : 0);
    document.text(text, start, at[1] * ptPerMm, { lineBreak: false, baseline: 'alphabetic' });
  }
  document.end();
  return bytes;
}
