import { Impossible, refusal } from '../impossible';
import type { PageSize } from '../fold/gauge';
import { cornersOf, kindOfCode, scrapCard, type CardKind, type ScrapCard } from './card';
import type { GreyImage } from './grey';
import { homographyOf, mapped, pxPerUnitAt, type Homography, type Place } from './homography';
import { findMarks, mirrored, type FoundMark } from './marks';
import { isPrintedSmall, paperBorder } from './paper-size';

/** The card as it lies in a picture. */
export interface LocatedCard {
  readonly card: ScrapCard;
  /** From mm of the card to px of the picture. */
  readonly toPicture: Homography;
  readonly pxPerMm: number;
  /** How steeply it was looked at, degrees from straight down. */
  readonly tiltDegrees: number;
  /** How far the marks’ corners lie from where a flat card has them, mm, root of the mean square. */
  readonly offMm: number;
  /** Over how many mm black turns to white. */
  readonly blurMm: number;
  /** Grey of the marks’ black and of the paper. */
  readonly black: number;
  readonly white: number;
}

/** A picture with fewer px a mm than this shows no stitch. */
const leastPxPerMm = 6;
/** More blur than this, and a hole is no longer told from the thread beside it, mm. */
const mostBlurMm = 0.5;
/** Less difference between paper and black than this is a picture in the dark. */
const leastContrast = 45;
/** A card that is bent further than this is not measured on, mm. */
const mostOffMm = 0.6;
/** Seen flatter than this, too little of it is seen. */
const mostTiltDegrees = 50;

const refuse = (code: string, message: string, values: Record<string, number> = {}) => {
  throw new Impossible([refusal('picture', code, message, values)]);
};

const ours = (marks: readonly FoundMark[]) => marks.filter(({ code }) => kindOfCode(code) !== null);

/** The marks of one card: those of the kind that more of them belong to. */
function marksOfOne(marks: readonly FoundMark[]): { kind: CardKind; marks: FoundMark[] } {
  const of = (kind: CardKind) => marks.filter(({ code }) => kindOfCode(code) === kind);
  const [flat, wrap] = [of('window'), of('wrap')];
  return flat.length >= wrap.length
    ? { kind: 'window', marks: flat }
    : { kind: 'wrap', marks: wrap };
}

/** The lens of a phone sees so wide along the picture’s long side, degrees. */
const usualLensDegrees = 65;

/**
 * How steeply a flat thing was looked at, degrees. The lens is told by what a map of a flat thing
 * must keep, that its two axes stand square and are equally long; where the picture tells too little
 * of that, it is that of a phone. Source: Zhang, “A flexible new technique for camera calibration”,
 * with the lens’s axis in the middle of the picture.
 */
function tiltDegreesOf(h: Homography, { width, height }: GreyImage): number {
  const long = Math.max(width, height);
  // The card’s axes as the map has them, from the middle of the picture, in its long sides.
  const axis = (i: number) =>
    [
      (h[i]! - (width / 2) * h[6 + i]!) / long,
      (h[3 + i]! - (height / 2) * h[6 + i]!) / long,
      h[6 + i]!,
    ] as const;
  const [u, v] = [axis(0), axis(1)];
  const square = [u[0] * v[0] + u[1] * v[1], u[2] * v[2]] as const;
  const alike = [u[0] ** 2 + u[1] ** 2 - v[0] ** 2 - v[1] ** 2, u[2] ** 2 - v[2] ** 2] as const;
  const perFocal2 =
    -(square[0] * square[1] + alike[0] * alike[1]) / (square[0] ** 2 + alike[0] ** 2);
  const told = 1 / Math.sqrt(perFocal2);
  const isLens = told > 0.4 && told < 6;
  const focal = isLens ? told : 0.5 / Math.tan((usualLensDegrees / 2 / 180) * Math.PI);
  const [a, b] = [u, v].map(([x, y, w]) => [x / focal, y / focal, w] as const) as [
    readonly [number, number, number],
    readonly [number, number, number],
  ];
  const normal = [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
  const upright = Math.abs(normal[2]!) / Math.hypot(...normal);
  return (Math.acos(Math.min(1, upright)) * 180) / Math.PI;
}

/**
 * Finds the scrap card in a picture.
 *
 * @param page the paper it was printed on; the marks lie the same on every page, the window too
 * @throws Impossible that says what is wrong with the picture and what to do
 */
export function locateCard(picture: GreyImage, page: PageSize = 'a4'): LocatedCard {
  const found = ours(findMarks(picture));
  if (found.length === 0) {
    if (ours(findMarks(mirrored(picture))).length > 0) {
      refuse(
        'mirrored',
        'The card is seen in a mirror: turn mirroring off in the camera, and take the picture again.',
      );
    }
    refuse(
      'no-marks',
      'No mark of the scrap card is to be seen. Lay the scrap into the card’s window and take the whole card into the picture, sharp and in good light.',
    );
  }
  const { kind, marks } = marksOfOne(found);
  const card = scrapCard(page, kind);
  const missing = card.marks.filter(({ code }) => !marks.some((mark) => mark.code === code));
  if (missing.length > 0) {
    const where = missing.map(({ corner }) => corner.replace('-', ' ')).join(' and ');
    const are = missing.length === 1 ? 'one is' : 'ones are';
    refuse(
      'marks-missing',
      `Only {count} of the card’s four marks are to be seen; the ${where} ${are} covered or outside of the picture. Take all four in, none under cloth or thumb.`,
      { count: marks.length },
    );
  }
  const from: Place[] = [];
  const to: Place[] = [];
  for (const mark of card.marks) {
    from.push(...cornersOf(mark));
    to.push(...marks.find(({ code }) => code === mark.code)!.corners);
  }
  const toPicture = homographyOf(from, to);
  if (!toPicture)
    throw new Impossible([refusal('picture', 'no-marks', 'The marks lie in a line.')]);
  const { xMm, yMm, widthMm, heightMm } = card.window;
  const pxPerMm = pxPerUnitAt(toPicture, [xMm + widthMm / 2, yMm + heightMm / 2]);
  const offPx = from.map((place, i) => {
    const [x, y] = mapped(toPicture, place);
    return Math.hypot(x - to[i]![0], y - to[i]![1]);
  });
  const offMm = Math.sqrt(offPx.reduce((sum, px) => sum + px * px, 0) / offPx.length) / pxPerMm;
  const mean = (of: (mark: FoundMark) => number) =>
    marks.reduce((sum, mark) => sum + of(mark), 0) / marks.length;
  const located: LocatedCard = {
    ...{ card, toPicture, pxPerMm, offMm },
    tiltDegrees: tiltDegreesOf(toPicture, picture),
    blurMm: mean(({ blurPx }) => blurPx) / pxPerMm,
    black: mean(({ black }) => black),
    white: mean(({ white }) => white),
  };
  refuseUseless(located);
  const border = paperBorder(picture, toPicture, card, located.white - located.black);
  if (isPrintedSmall(card, border)) {
    refuse(
      'printed-small',
      'By the paper around it this card was printed smaller than it is, so nothing on it can be measured. Print it again at 100 % (“actual size”); its rule must be 50 mm long.',
    );
  }
  return located;
}

/** @throws Impossible where nothing could be measured in it */
function refuseUseless({ pxPerMm, white, black, blurMm, offMm, tiltDegrees }: LocatedCard): void {
  if (pxPerMm < leastPxPerMm) {
    refuse(
      'too-small',
      'A millimetre is only {px} px in this picture; stitches begin to show at {least}. Go nearer, or send the picture in full size.',
      { px: Math.round(pxPerMm * 10) / 10, least: leastPxPerMm },
    );
  }
  if (white - black < leastContrast) {
    refuse(
      'too-dark',
      'The picture is too dark: paper and print are hardly told apart. More light, from the side.',
    );
  }
  if (blurMm > mostBlurMm) {
    refuse(
      'blurred',
      'The picture is blurred over {blurMm}: no stitch is told from the next. Hold still, tap on the scrap so that the camera looks there, and take it again.',
      { blurMm },
    );
  }
  if (tiltDegrees > mostTiltDegrees) {
    refuse('too-steep', 'The card is looked at from {degrees} degrees aside. Look straight down.', {
      degrees: Math.round(tiltDegrees),
    });
  }
  if (offMm > mostOffMm) {
    refuse(
      'bent',
      'The card is bent: its marks lie {offMm} from where a flat one has them. Lay it flat, and weigh its corners down.',
      { offMm },
    );
  }
}
