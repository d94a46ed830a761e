// A photo of 12 megapixels of a blind hem on its card, drawn: for the bench and for the readme.
import sharp from 'sharp';

const pxPerMm = 22;
const [widthPx, heightPx] = [4000, 3000];
/** As the cape of the demo is sewn: five stitches beside the fold, and a bite into it, mm. */
export const dials = { lengthMm: 2.5, widthMm: 2.2, repeatMm: 15 };
const scrapMm = { width: 100, height: 60, fold: 30, run: 1.6, bite: 0.6 };

/** A blind hem as it looks from above: the fold with its shadow, and a light thread over it. */
function scrap() {
  const { width, height, fold, run, bite } = scrapMm;
  const points = [];
  for (let x = 4; x < width - dials.repeatMm; x += dials.repeatMm) {
    for (let i = 0; i < 5; i++) points.push(`${x + i * dials.lengthMm},${fold + run}`);
    // No hand bites twice alike, and one bite hardly catches the fold.
    const deep = points.length === 11 ? 0.2 : bite + 0.3 * Math.sin(x * 7);
    points.push(`${x + 5 * dials.lengthMm},${fold - deep}`);
  }
  return Buffer.from(
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width * pxPerMm}" height="${height * pxPerMm}" viewBox="0 0 ${width} ${height}">
      <defs><linearGradient id="s" x1="0" y1="0" x2="0" y2="1">
        <stop offset="0" stop-color="#333" stop-opacity="0.7"/><stop offset="1" stop-color="#333" stop-opacity="0"/>
      </linearGradient></defs>
      <rect width="${width}" height="${height}" fill="#6d6d6d"/>
      <rect y="${fold}" width="${width}" height="${height - fold}" fill="#626262"/>
      <rect y="${fold}" width="${width}" height="1.2" fill="url(#s)"/>
      <polyline points="${points.join(' ')}" fill="none" stroke="#c8c8c8" stroke-width="0.28" stroke-linejoin="round"/>
    </svg>`,
  );
}

/** The card from the server with the scrap in its window, as a phone held over it takes it. */
export async function cardPhoto(address) {
  const told = await fetch(`${address}/api/print/scrap-card.json`);
  const { window, page } = await told.json();
  const svg = await (await fetch(`${address}/api/print/scrap-card.svg`)).arrayBuffer();
  const drawn = sharp(Buffer.from(svg), { density: 200 })
    .resize({ width: Math.round(page.widthMm * pxPerMm) })
    .flatten({ background: '#fff' });
  const left = Math.round((window.xMm + window.widthMm / 2) * pxPerMm - widthPx / 2);
  const top = Math.round((window.yMm + window.heightMm / 2) * pxPerMm - heightPx / 2);
  const laid = await drawn
    .composite([
      {
        input: scrap(),
        left: Math.round(window.xMm * pxPerMm),
        top: Math.round(window.yMm * pxPerMm),
      },
    ])
    .png({ compressionLevel: 0 })
    .toBuffer();
  return sharp(laid)
    .extract({ left, top, width: widthPx, height: heightPx })
    .blur(1.2)
    .jpeg({ quality: 88 })
    .toBuffer();
}
