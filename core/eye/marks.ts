import aruco from 'js-aruco2';
import { shrunk, type GreyImage } from './grey';
import type { Place } from './homography';
import { sharpenedCorners } from './mark-corners';

const { AR } = aruco;

/** Codes of 6 × 6 fields, any two of which differ in at least twelve, turned or not. */
const dictionaryName = 'ARUCO_MIP_36h12';
/** Fields that may be misread: fewer than half of what tells two codes apart. */
const mostMisread = 5;
/**
 * Marks are looked for in the picture shrunk to about so many px across, the next where four are not
 * found: what is small needs more of them, what is blurred is sharp with fewer. Corners are measured in the
 * whole picture.
 */
const lookedAtPx = [640, 1600, 400];
/** Of a picture so many px across, a corner that was found lies within three px. */
const finestPx = 1600;
const marksOfACard = 4;

/** A coded mark in a picture. */
export interface FoundMark {
  readonly code: number;
  /** Clockwise from the mark’s own upper left corner, px of the picture, to fractions. */
  readonly corners: readonly Place[];
  /** Over how many px its border turns from black to white. */
  readonly blurPx: number;
  /** The grey of its black and of the white around it. */
  readonly black: number;
  readonly white: number;
}

const dictionary = new AR.Dictionary(dictionaryName);

/** Fields of a mark in rows, border included; true is black. @param code its number */
export function fieldsOf(code: number): boolean[][] {
  const bits = dictionary.codeList[code];
  if (bits === undefined) throw new RangeError(`There is no mark ${code}.`);
  const inner = Math.sqrt(bits.length);
  return Array.from({ length: inner + 2 }, (_, y) =>
    Array.from({ length: inner + 2 }, (_field, x) => {
      const isBorder = x === 0 || y === 0 || x > inner || y > inner;
      return isBorder || bits[(y - 1) * inner + (x - 1)] !== '1';
    }),
  );
}

const rgbaOf = ({ grey }: GreyImage): Uint8ClampedArray => {
  const rgba = new Uint8ClampedArray(grey.length * 4);
  for (let i = 0, at = 0; i < grey.length; i++, at += 4) {
    const value = grey[i]!;
    rgba[at] = value;
    rgba[at + 1] = value;
    rgba[at + 2] = value;
  }
  return rgba;
};

/** The coded marks in a picture, each once, where it is read best. */
export function findMarks(picture: GreyImage): FoundMark[] {
  const found = new Map<number, FoundMark & { readonly misread: number }>();
  const long = Math.max(picture.width, picture.height);
  const nearPx = 3 * Math.max(1, Math.round(long / finestPx));
  const sizes = new Set(lookedAtPx.map((px) => Math.max(1, Math.round(long / px))));
  for (const times of sizes) {
    const small = times === 1 ? picture : shrunk(picture, times);
    const detector = new AR.Detector({ dictionaryName, maxHammingDistance: mostMisread });
    for (const one of detector.detectImage(small.width, small.height, rgbaOf(small))) {
      const { id: code, hammingDistance: misread } = one;
      if ((found.get(code)?.misread ?? mostMisread) <= misread) continue;
      const about = one.corners.map(({ x, y }): Place => [(x + 0.5) * times, (y + 0.5) * times]);
      const rough = sharpenedCorners(picture, about, 3 * times);
      // Once more from there, and no farther around than is needed: a fifth of the error is left.
      const near = rough && sharpenedCorners(picture, rough.corners, nearPx);
      // How blurred it is is told by what is wider than the blur.
      if (rough) {
        found.set(code, { code, misread, ...rough, corners: (near ?? rough).corners });
      }
    }
    if (found.size >= marksOfACard) break;
  }
  return [...found.values()];
}

/** A picture seen in a mirror. */
export function mirrored({ width, height, grey }: GreyImage): GreyImage {
  const turned = new Uint8Array(grey.length);
  for (let y = 0; y < height; y++) {
    for (let x = 0; x < width; x++) turned[y * width + x] = grey[y * width + width - 1 - x]!;
  }
  return { width, height, grey: turned };
}
