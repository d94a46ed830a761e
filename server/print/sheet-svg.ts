import type { PrintedSheet } from './sheet';

const escaped = (text: string) =>
  text.replace(
    /[&<>"]/g,
    (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c] ?? c,
  );
const number = (mm: number) => String(Math.round(mm * 1000) / 1000);

/** A gauge as an SVG document whose unit is the millimetre. */
export function sheetSvg({
  pageMm: [width, height],
  strokes,
  fills = [],
  words,
}: PrintedSheet): string {
  const blacks = fills.map(
    ({ xMm, yMm, widthMm, heightMm }) =>
      `<rect x="${number(xMm)}" y="${number(yMm)}" width="${number(widthMm)}" height="${number(heightMm)}"/>`,
  );
  const lines = strokes.map(({ from, to, widthMm, dashed }) => {
    const dashes = dashed ? ' stroke-dasharray="3 2"' : '';
    return `<line x1="${number(from[0])}" y1="${number(from[1])}" x2="${number(to[0])}" y2="${number(to[1])}" stroke-width="${widthMm}"${dashes}/>`;
  });
  const texts = words.map(({ at, text, sizeMm, middle, mostMm }) => {
    // A letter is about half as wide as it is high; what would be too long is squeezed.
    const squeezed =
      text.length * sizeMm * 0.52 > mostMm
        ? ` textLength="${number(mostMm)}" lengthAdjust="spacingAndGlyphs"`
        : '';
    return `<text x="${number(at[0])}" y="${number(at[1])}" font-size="${sizeMm}"${middle ? ' text-anchor="middle"' : ''}${squeezed}>${escaped(text)}</text>`;
  });
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${number(width)}mm" height="${number(height)}mm" viewBox="0 0 ${number(width)} ${number(height)}">`,
    `<g fill="none" stroke="#000" stroke-linecap="butt">${lines.join('')}</g>`,
    ...(blacks.length > 0
      ? [`<g fill="#000" shape-rendering="crispEdges">${blacks.join('')}</g>`]
      : []),
    `<g font-family="Atkinson Hyperlegible, sans-serif" fill="#000">${texts.join('')}</g>`,
    '</svg>',
    '',
  ].join('\n');
}
