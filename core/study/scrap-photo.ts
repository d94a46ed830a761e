import seedrandom from 'seedrandom';
import type { ScaledImage } from '../eye/grey';
import type { Swatch } from '../swatch/swatch';
import { drawThread, lyingOnTop, usualThread, type DrawnThread } from './drawn-thread';
import { foldLight, type RoundFold } from './round-fold';

// Asked for at every pixel.
const { ceil, cos, exp, floor, hypot, max, min, PI, sin, sqrt } = Math;

/** What cloth and thread look like in a drawn picture; greys from 0 black to 1 white. */
export interface ScrapLook {
  readonly cloth: number;
  readonly thread: number;
  /** How much the weave’s yarns differ from one another, as a share of the cloth’s grey. */
  readonly weave: number;
  readonly print: 'plain' | 'striped' | 'checked' | 'spotted';
  /** How dark the shadow beside a fold is, as a share. */
  readonly shadow: number;
  /** Beyond its edge the cloth goes on under a fold, or ends, and paper is seen. */
  readonly beyond: 'under' | 'paper';
  /** On which side across that is. */
  readonly beyondSide: 1 | -1;
  /** What it was folded to under a lamp; sharp as a knife, and in its own shadow, where nothing is said. */
  readonly fold?: RoundFold | null;
  /** How a raw edge runs that is not straight and clean. */
  readonly edge?: DrawnEdge;
  readonly sewnWith: DrawnThread;
  readonly seed: string;
}

/** A raw edge that was stretched, and threads of its cloth that stand out of it. */
export interface DrawnEdge {
  /** How far it swings to either side, mm, and how often. */
  readonly waveMm: number;
  readonly everyMm: number;
  readonly whiskers: readonly {
    readonly alongMm: number;
    readonly lengthMm: number;
    /** How far its end lies along from where it starts, mm. */
    readonly leanMm: number;
  }[];
}

/** How a scrap lies in the window. */
export interface Lying {
  /** Where the seam’s start lies and which way it runs, mm and radians. */
  readonly middleMm: readonly [number, number];
  readonly angle: number;
  readonly turned: readonly [along: 1 | -1, across: 1 | -1];
}

const yarnMm = 0.42;
/** Even noise of a place, the same for the same place, −1 … 1. */
function speckle(i: number, j: number, salt: number): number {
  const mixed = sin(i * 127.1 + j * 311.7 + salt * 74.7) * 43758.5453;
  return 2 * (mixed - floor(mixed)) - 1;
}

/** Cloth without thread at a place in its own mm: the weave’s yarns, and what is printed on it. */
function clothAt(look: ScrapLook, salt: number, x: number, y: number): number {
  const [i, j] = [floor(x / yarnMm), floor(y / yarnMm)];
  const over = (i + j) % 2 === 0;
  const [fx, fy] = [x / yarnMm - i - 0.5, y / yarnMm - j - 0.5];
  const round = over ? cos(fy * PI) : cos(fx * PI);
  const yarn = over ? speckle(0, j, salt) : speckle(i, 0, salt + 1);
  const weave = look.weave * (0.7 * (round - 0.64) + 0.3 * yarn + 0.2 * speckle(i, j, salt + 2));
  let print = 0;
  if (look.print === 'striped') print = sin((2 * PI * y) / 5) > 0.3 ? -0.25 : 0;
  else if (look.print === 'checked') {
    print = (sin((2 * PI * x) / 8) > 0.5 ? -0.15 : 0) + (sin((2 * PI * y) / 8) > 0.5 ? -0.15 : 0);
  } else if (look.print === 'spotted') {
    const [cx, cy] = [x - 9 * floor(x / 9 + 0.5), y - 9 * floor(y / 9 + 0.5)];
    print = hypot(cx, cy) < 1.6 ? -0.3 : 0;
  }
  return look.cloth * (1 + weave + print);
}

/** What lies under a fold shows its other face, which is so much darker. */
const otherFace = 0.88;
/** It is another stretch of the same cloth, so far off along and across, mm: its yarns and prints do not go on from those above. */
const underMm = [31.7, 14.3] as const;

/**
 * A scrap as it would look from straight above: the cloth, the fold or edge its stitch was led
 * along, and the thread; or, opened out, the pricks that show.
 *
 * @param shownMm visible thread at each counted stitch, where only that is to be seen
 */
export function drawnScrap(
  swatch: Swatch,
  shownMm: readonly number[] | null,
  look: ScrapLook,
  { middleMm, angle, turned }: Lying,
  [widthMm, heightMm]: readonly [number, number],
  pxPerMm: number,
): ScaledImage {
  const [width, height] = [Math.round(widthMm * pxPerMm), Math.round(heightMm * pxPerMm)];
  const image = new Float32Array(width * height);
  const salt = seedrandom(look.seed)() * 50;
  const [c, s] = [cos(angle), sin(angle)];
  const half = swatch.lengthMm / 2;
  const { edge } = look;
  /** How far the edge, and what is led along it, lies off its straight line. */
  const bend = (along: number) => (edge ? edge.waveMm * sin((2 * PI * along) / edge.everyMm) : 0);
  /** From the seam’s own mm to the window’s. */
  const place = (along: number, across: number): readonly [number, number] => {
    const [u, v] = [turned[0] * (along - half), turned[1] * (across + bend(along))];
    return [middleMm[0] + u * c - v * s, middleMm[1] + u * s + v * c];
  };
  for (let row = 0; row < height; row++) {
    for (let column = 0; column < width; column++) {
      const [x, y] = [(column + 0.5) / pxPerMm, (row + 0.5) / pxPerMm];
      const [dx, dy] = [x - middleMm[0], y - middleMm[1]];
      const along = turned[0] * (dx * c + dy * s) + half;
      const across = turned[1] * (-dx * s + dy * c) - bend(along);
      // What lies under the fold is in its shadow, and shows its other face.
      const beyond = look.beyondSide * across;
      const [farAlong, farAcross] = shownMm === null && beyond > 0 ? underMm : [0, 0];
      let grey = clothAt(look, salt, dx * c + dy * s + farAlong, across + 3 + farAcross);
      if (shownMm === null && look.fold) {
        if (beyond > 0) grey = look.beyond === 'paper' ? 0.97 : grey * otherFace;
        grey *= foldLight(look.fold, beyond);
      } else if (shownMm === null && beyond > 0 && look.beyond === 'paper') {
        grey = 0.97 * (1 - 0.3 * exp(-beyond / 0.4));
      } else if (shownMm === null && beyond > 0) {
        grey *= (1 - look.shadow * exp(-beyond / 0.5)) * (look.shadow > 0 ? otherFace : 1);
      }
      image[row * width + column] = grey;
    }
  }
  const canvas = { image, width, height };
  const { sewnWith } = look;
  for (const { alongMm, lengthMm, leanMm } of edge?.whiskers ?? []) {
    const line = [place(alongMm, -0.5), place(alongMm + leanMm, lengthMm)] as const;
    drawThread(canvas, pxPerMm, line, 0.85 * look.cloth, lyingOnTop(usualThread));
  }
  if (shownMm) {
    swatch.stitches.forEach(({ yMm }, i) => {
      const mm = shownMm[i] ?? 0;
      const line = [place(yMm, -mm / 2), place(yMm, mm / 2)] as const;
      if (mm > 0) drawThread(canvas, pxPerMm, line, look.thread, lyingOnTop(sewnWith));
    });
  } else {
    const needles = [...new Set(swatch.holes.map(({ needle }) => needle ?? 0))];
    for (const needle of needles) {
      const own = swatch.holes.filter((hole) => (hole.needle ?? 0) === needle);
      own.slice(1).forEach((to, i) => {
        const from = own[i]!;
        const line = [
          place(from.yMm, from.fromReferenceMm),
          place(to.yMm, to.fromReferenceMm),
        ] as const;
        drawThread(canvas, pxPerMm, line, look.thread, sewnWith);
      });
    }
  }
  const grey = new Uint8Array(image.length);
  for (let at = 0; at < grey.length; at++) grey[at] = max(0, min(255, 20 + image[at]! * 215));
  return { width, height, pxPerMm, grey };
}

/** A picture as a lens and a sensor give it: blurred, noisy, lit from one side. */
export function photographed(
  { width, height, grey, pxPerMm }: ScaledImage,
  shot: {
    readonly blurMm: number;
    readonly noise: number;
    readonly falloff: number;
    readonly seed: string;
  },
): ScaledImage {
  const spread = shot.blurMm * pxPerMm;
  const reach = ceil(3 * spread);
  const bell = Array.from({ length: 2 * reach + 1 }, (_, i) =>
    spread > 0 ? exp(-(((i - reach) / spread) ** 2) / 2) : 1,
  );
  const sum = bell.reduce((a, b) => a + b, 0);
  const pass = (from: Float32Array, step: number, length: number): Float32Array => {
    const to = new Float32Array(from.length);
    for (let at = 0; at < from.length; at++) {
      const place = step === 1 ? at % width : floor(at / width);
      let value = 0;
      if (place >= reach && place < length - reach) {
        for (let k = -reach; k <= reach; k++) value += bell[k + reach]! * from[at + k * step]!;
      } else {
        for (let k = -reach; k <= reach; k++) {
          const there = min(length - 1, max(0, place + k)) - place;
          value += bell[k + reach]! * from[at + there * step]!;
        }
      }
      to[at] = value / sum;
    }
    return to;
  };
  const sharp = Float32Array.from(grey);
  const soft = reach > 0 ? pass(pass(sharp, 1, width), width, height) : sharp;
  const random = seedrandom(shot.seed);
  const taken = new Uint8Array(soft.length);
  for (let at = 0; at < taken.length; at++) {
    const bellish = random.quick() + random.quick() + random.quick() + random.quick() - 2;
    const light = 1 - shot.falloff * ((at % width) / width);
    taken[at] = max(0, min(255, soft[at]! * light + shot.noise * bellish * sqrt(3) + 0.5));
  }
  return { width, height, pxPerMm, grey: taken };
}
