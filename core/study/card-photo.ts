import seedrandom from 'seedrandom';
import { cornersOf, scrapCard, type ScrapCard } from '../eye/card';
import type { GreyImage, ScaledImage } from '../eye/grey';
import { homographyOf, type Homography, type Place } from '../eye/homography';
import { fieldsOf } from '../eye/marks';

// Asked for at every pixel.
const { floor, max, min } = Math;

/** How a picture is taken. */
export interface Shot {
  readonly width: number;
  readonly height: number;
  /** Where the window’s corners come to lie, px. */
  readonly windowPx: readonly Place[];
  /** Spread of the blur, px. */
  readonly blurPx?: number;
  /** Spread of the noise, greys. */
  readonly noise?: number;
  /** How much darker the right side is than the left, as a share. */
  readonly falloff?: number;
  readonly black?: number;
  readonly white?: number;
  readonly seed?: string;
}

/** What the card is printed with at a place, 0 black to 1 white; the scrap lies in the window. */
export type Printed = (place: Place) => number;

/** A card as it is printed. @param scrap what lies in the window, by mm of the page */
export function printedCard(card: ScrapCard, scrap: Printed = () => 0.7): Printed {
  const marks = card.marks.map((mark) => ({ ...mark, fields: fieldsOf(mark.code) }));
  const { xMm, yMm, widthMm, heightMm } = card.window;
  const least = min(...marks.map((mark) => mark.yMm));
  const most = max(...marks.map((mark) => mark.yMm + mark.heightMm));
  return (place) => {
    // Asked for millions of times: no taking apart.
    const x = place[0];
    const y = place[1];
    if (x >= xMm && x < xMm + widthMm && y >= yMm && y < yMm + heightMm) return scrap(place);
    // Between the marks there is nothing to look for.
    if (y < least || y > most) return 1;
    for (let i = 0; i < marks.length; i++) {
      const mark = marks[i]!;
      const across = (x - mark.xMm) / mark.widthMm;
      if (across < 0 || across >= 1) continue;
      const down = (y - mark.yMm) / mark.heightMm;
      if (down < 0 || down >= 1) continue;
      const { fields } = mark;
      return fields[floor(down * fields.length)]![floor(across * fields.length)] ? 0 : 1;
    }
    return 1;
  };
}

/** One pass of a bell curve along rows or columns. */
function softened(
  from: Float32Array,
  [width, height]: readonly [number, number],
  bell: readonly number[],
  isAcross: boolean,
): Float32Array {
  const reach = (bell.length - 1) / 2;
  const [step, length] = isAcross ? [1, width] : [width, height];
  const to = new Float32Array(from.length);
  for (let at = 0; at < from.length; at++) {
    const place = isAcross ? at % width : floor(at / width);
    const isWithin = place >= reach && place < length - reach;
    let value = 0;
    for (let k = -reach; k <= reach; k++) {
      const there = isWithin ? k : min(length - 1, max(0, place + k)) - place;
      value += bell[k + reach]! * from[at + there * step]!;
    }
    to[at] = value;
  }
  return to;
}

/** Blurs by a bell curve, rows and then columns. */
function blurred({ width, height, grey }: GreyImage, spread: number): GreyImage {
  if (spread < 0.05) return { width, height, grey };
  const reach = Math.ceil(spread * 3);
  const plain = Array.from({ length: 2 * reach + 1 }, (_, i) =>
    Math.exp(-((i - reach) ** 2) / (2 * spread * spread)),
  );
  const sum = plain.reduce((a, b) => a + b, 0);
  const bell = plain.map((value) => value / sum);
  const across = softened(Float32Array.from(grey), [width, height], bell, true);
  const both = softened(across, [width, height], bell, false);
  const soft = new Uint8Array(both.length);
  for (let at = 0; at < soft.length; at++) soft[at] = both[at]! + 0.5;
  return { width, height, grey: soft };
}

/** A picture of a card, with its map from mm to px. */
export function pictureOf(
  card: ScrapCard,
  printed: Printed,
  shot: Shot,
): { readonly picture: GreyImage; readonly toPicture: Homography } {
  const { width, height, windowPx, black = 30, white = 225, falloff = 0, noise = 0 } = shot;
  const toPicture = homographyOf(cornersOf(card.window), windowPx)!;
  const toCard = homographyOf(windowPx, cornersOf(card.window))!;
  const random = seedrandom(shot.seed ?? 'card');
  const grey = new Uint8Array(width * height);
  const [w, h] = card.pageMm;
  const [h0, h1, h2, h3, h4, h5, h6, h7] = toCard;
  const place: [number, number] = [0, 0];
  const light = (x: number, y: number): number => {
    const far = h6! * x + h7! * y + 1;
    place[0] = (h0! * x + h1! * y + h2!) / far;
    place[1] = (h3! * x + h4! * y + h5!) / far;
    const onPage = place[0] >= 0 && place[1] >= 0 && place[0] < w && place[1] < h;
    return onPage ? printed(place) : 0.4;
  };
  const columns = width + 1;
  const along = (y: number): Float32Array => {
    const row = new Float32Array(columns);
    for (let x = 0; x < columns; x++) row[x] = light(x, y);
    return row;
  };
  let above = along(0);
  for (let y = 0; y < height; y++) {
    const below = along(y + 1);
    for (let x = 0; x < width; x++) {
      const here = above[x]!;
      const isEven = here === above[x + 1] && here === below[x] && here === below[x + 1];
      // Four looks where its corners differ: print has no stairs.
      const mean = isEven
        ? here
        : (light(x + 0.25, y + 0.25) +
            light(x + 0.75, y + 0.25) +
            light(x + 0.25, y + 0.75) +
            light(x + 0.75, y + 0.75)) /
          4;
      grey[y * width + x] = (black + (white - black) * mean) * (1 - (falloff * x) / width) + 0.5;
    }
    above = below;
  }
  const soft = blurred({ width, height, grey }, shot.blurPx ?? 0);
  if (noise === 0) return { picture: soft, toPicture };
  const spread = noise * Math.sqrt(3);
  for (let at = 0; at < soft.grey.length; at++) {
    const bell = random.quick() + random.quick() + random.quick() + random.quick() - 2;
    soft.grey[at] = min(255, max(0, soft.grey[at]! + spread * bell));
  }
  return { picture: soft, toPicture };
}

/** The window’s corners in a picture: looked at from a side, turned, as large as asked. */
export function windowSeen(
  card: ScrapCard,
  { pxPerMm, tilt = 0, turn = 0, at }: { pxPerMm: number; tilt?: number; turn?: number; at: Place },
): Place[] {
  const { window } = card;
  const [mx, my] = [window.xMm + window.widthMm / 2, window.yMm + window.heightMm / 2];
  const [cos, sin] = [Math.cos(tilt), Math.sin(tilt)];
  const awayMm = 350;
  return cornersOf(window).map(([x, y]): Place => {
    const [dx, dy] = [x - mx, y - my];
    const [tx, ty] = [
      dx * Math.cos(turn) - dy * Math.sin(turn),
      dx * Math.sin(turn) + dy * Math.cos(turn),
    ];
    const near = awayMm / (awayMm + ty * sin);
    return [at[0] + tx * pxPerMm * near, at[1] + ty * cos * pxPerMm * near];
  });
}

/** How a phone is held over a card: leant by so much, turned by so much, radians. */
export interface Held {
  readonly tilt: number;
  readonly turn: number;
  /** So much more is in the picture on every side than the card needs from straight above, px. */
  readonly roundPx?: number;
}

/** A scrap, as it looks from straight above, in the window of a card that a phone was held over. */
export function scrapOnCard(
  window: ScaledImage,
  { tilt, turn, roundPx = 0 }: Held = { tilt: 0.1, turn: 0.03 },
): GreyImage {
  const card = scrapCard('a4');
  const [left, top] = cornersOf(card.window)[0]!;
  const scrap: Printed = ([x, y]) => {
    const column = min(window.width - 1, floor((x - left) * window.pxPerMm));
    const row = min(window.height - 1, floor((y - top) * window.pxPerMm));
    return (window.grey[row * window.width + column]! - 20) / 215;
  };
  return pictureOf(card, printedCard(card, scrap), {
    ...{ width: 1560 + 2 * roundPx, height: 1240 + 2 * roundPx },
    windowPx: windowSeen(card, { pxPerMm: 10, tilt, turn, at: [780 + roundPx, 620 + roundPx] }),
    ...{ blurPx: 0.6, noise: 3, falloff: 0.2 },
  }).picture;
}
