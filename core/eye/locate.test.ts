import fc from 'fast-check';
import seedrandom from 'seedrandom';
import { Impossible } from '../impossible';
import { cornersOf, scrapCard } from './card';
import { pictureOf, printedCard, windowSeen, type Printed, type Shot } from '../study/card-photo';
import { greyOf, type GreyImage } from './grey';
import { homographyOf, mapped, type Place } from './homography';
import { locateCard } from './locate';
import { fieldsOf, mirrored } from './marks';
import { isPrintedSmall } from './paper-size';
import { rectified } from './rectify';

const card = scrapCard('a4');
const size = { width: 1200, height: 900 };
const seen = (more: Partial<Shot> & Partial<Parameters<typeof windowSeen>[1]> = {}) => {
  const { pxPerMm = 7.2, tilt = 0.2, turn = 0.05, at = [610, 450], ...shot } = more;
  const windowPx = windowSeen(card, { pxPerMm, tilt, turn, at });
  return { ...size, windowPx, ...shot };
};
const why = (picture: GreyImage): string => {
  try {
    locateCard(picture);
  } catch (error) {
    if (error instanceof Impossible) return error.issues[0]!.code!;
    throw error;
  }
  return 'found';
};

test('grey is what the eye makes of colours, on white where nothing is', () => {
  const rgba = Uint8Array.from([255, 255, 255, 255, 0, 255, 0, 255, 0, 0, 255, 255, 9, 9, 9, 0]);
  const { width, height, grey } = greyOf({ width: 2, height: 2, bytes: rgba, perPixel: 4 });
  expect([width, height, ...grey]).toEqual([2, 2, 255, 182, 18, 255]);
});

describe('a projective map', () => {
  const corner = (x: number, y: number) =>
    fc.tuple(
      fc.double({ min: x - 8, max: x + 8, noNaN: true }),
      fc.double({ min: y - 8, max: y + 8, noNaN: true }),
    );
  const quad = fc.tuple(corner(0, 0), corner(40, 0), corner(40, 30), corner(0, 30));

  test('takes each of four corners where it belongs, and back', () => {
    fc.assert(
      fc.property(quad, quad, fc.double({ min: 1, max: 1000, noNaN: true }), (from, to, far) => {
        const there = to.map(([x, y]): Place => [x * far, y * far]);
        const h = homographyOf(from, there)!;
        const back = homographyOf(there, from)!;
        from.forEach((place, i) => {
          const [x, y] = mapped(h, place);
          expect(Math.hypot(x - there[i]![0], y - there[i]![1])).toBeLessThan(1e-6 * far);
        });
        const middle: Place = [20, 15];
        const [x, y] = mapped(back, mapped(h, middle));
        expect(Math.hypot(x - 20, y - 15)).toBeLessThan(1e-6);
      }),
    );
  });

  test('three corners, or four of which three lie in a line, have none', () => {
    const line: Place[] = [
      [0, 0],
      [1, 0],
      [2, 0],
      [3, 0],
    ];
    expect(homographyOf(line.slice(0, 3), line.slice(0, 3))).toBeNull();
    expect(homographyOf(line, line)).toBeNull();
  });
});

describe('the card', () => {
  test('every mark lies on the page, off the window, and reads otherwise when it is turned', () => {
    for (const page of ['a4', 'letter'] as const) {
      for (const kind of ['window', 'wrap'] as const) {
        const { marks, window, pageMm, rule } = scrapCard(page, kind);
        for (const { xMm, yMm, widthMm, heightMm } of [...marks, window]) {
          expect(xMm).toBeGreaterThan(10);
          expect(yMm).toBeGreaterThan(10);
          expect(xMm + widthMm).toBeLessThan(pageMm[0] - 10);
          expect(yMm + heightMm).toBeLessThan(pageMm[1] - 10);
        }
        for (const mark of marks) {
          const clear =
            mark.xMm + mark.widthMm < window.xMm || mark.xMm > window.xMm + window.widthMm;
          expect(clear).toBe(true);
          const fields = fieldsOf(mark.code);
          const turned = fields.map((row, y) => row.map((_, x) => fields[7 - x]![y]!));
          expect(turned).not.toEqual(fields);
        }
        expect(rule.lengthMm).toBe(50);
      }
    }
  });

  test('is found however it lies, to a tenth of a millimetre', () => {
    const shots = fc.record({
      tilt: fc.double({ min: -0.5, max: 0.5, noNaN: true }),
      // By whole degrees: of doubles most are nearly 0. Turned by half a right angle, all four marks lie in the picture.
      turn: fc.integer({ min: -180, max: 180 }).map((degrees) => (degrees * Math.PI) / 180),
      pxPerMm: fc.double({ min: 6.6, max: 8, noNaN: true }),
      blurPx: fc.double({ min: 0, max: 1.5, noNaN: true }),
      noise: fc.double({ min: 0, max: 12, noNaN: true }),
      falloff: fc.double({ min: 0, max: 0.5, noNaN: true }),
    });
    const square = { width: 1650, height: 1650 };
    fc.assert(
      fc.property(shots, ({ tilt, turn, pxPerMm, ...shot }) => {
        const windowPx = windowSeen(card, { pxPerMm, tilt, turn, at: [825, 825] });
        const { picture } = pictureOf(card, printedCard(card), { ...square, windowPx, ...shot });
        const found = locateCard(picture);
        cornersOf(card.window).forEach((corner, i) => {
          const [x, y] = mapped(found.toPicture, corner);
          const [tx, ty] = windowPx[i]!;
          expect(Math.hypot(x - tx, y - ty) / found.pxPerMm).toBeLessThan(0.1);
        });
        expect(found.offMm).toBeLessThan(0.15);
        // Nearly straight down the angle hardly shows.
        const degrees = (Math.abs(tilt) * 180) / Math.PI;
        expect(Math.abs(found.tiltDegrees - degrees)).toBeLessThan(degrees > 12 ? 4 : 12);
      }),
      // The same shots every time: each takes half a second, and to shrink one that fails took a run of all tests with it.
      { numRuns: 4, seed: 11, endOnFailure: true },
    );
  });

  test('tells how far its picture is blurred: from a fifth to four fifths of a normal is 1.683 spreads', () => {
    for (const blurPx of [0.6, 1, 1.4]) {
      const found = locateCard(pictureOf(card, printedCard(card), seen({ blurPx })).picture);
      // A pixel’s own square, and the way from one to the next, blur as well.
      const toldPx = (found.blurMm * found.pxPerMm) / 1.683;
      expect(Math.abs(toldPx - Math.hypot(blurPx, 0.4))).toBeLessThan(0.15);
    }
  });

  test('lies flat under the eye afterwards: bars a millimetre apart stay so', () => {
    const bars: Printed = ([x]) => (Math.floor((x - card.window.xMm) * 2) % 2 === 0 ? 0.2 : 0.9);
    const { picture } = pictureOf(card, printedCard(card, bars), seen({ noise: 5, tilt: 0.35 }));
    const { toPicture } = locateCard(picture);
    const flat = rectified(picture, toPicture, card.window, 10)!;
    expect([flat.width, flat.height]).toEqual([1000, 600]);
    for (const row of [30, 300, 570]) {
      const dark: number[] = [];
      for (let mm = 5; mm < 95; mm++) {
        const grey = (at: number) => flat.grey[row * flat.width + Math.round(at * 10)]!;
        if (grey(mm + 0.25) < grey(mm + 0.75) - 40) dark.push(mm);
      }
      expect(dark).toHaveLength(90);
    }
  });

  test('stops where it is told to', () => {
    const { picture } = pictureOf(card, printedCard(card), seen());
    const { toPicture } = locateCard(picture);
    let rows = 0;
    expect(rectified(picture, toPicture, card.window, 10, () => ++rows < 5)).toBeNull();
    expect(rows).toBe(5);
  });
});

describe('what is wrong with a picture is said, and nothing is measured', () => {
  const plain = printedCard(card);
  /** Cloth over marks, 5 mm beyond them. */
  const covering = (...corners: number[]): Printed => {
    const under = corners.map((i) => card.marks[i]!);
    return (place) => {
      const [x, y] = place;
      for (const { xMm, yMm, widthMm } of under) {
        const [right, low] = [x - xMm, y - yMm];
        if (right > -5 && right < widthMm + 5 && low > -5 && low < widthMm + 5) return 0.5;
      }
      return plain(place);
    };
  };

  test('no marks, three marks, a mirror', () => {
    const blank = { ...size, grey: new Uint8Array(size.width * size.height).fill(180) };
    expect(why(blank)).toBe('no-marks');
    const random = seedrandom('noise');
    const noise = new Uint8Array(400 * 300).map(() => random.quick() * 256);
    expect(why({ width: 400, height: 300, grey: noise })).toBe('no-marks');
    const { picture: three } = pictureOf(card, covering(2), seen());
    expect(() => locateCard(three)).toThrow(
      'Only 3 of the card’s four marks are to be seen; the bottom right one is covered',
    );
    const { picture: two } = pictureOf(card, covering(0, 1), seen());
    expect(() => locateCard(two)).toThrow('the top left and top right ones are covered');
    const { picture } = pictureOf(card, plain, seen());
    expect(why(mirrored(picture))).toBe('mirrored');
    expect(why(picture)).toBe('found');
  });

  test('a card that was printed smaller, by the paper it lies on; cut paper is no sign', () => {
    const [paperWide, paperHigh] = card.pageMm;
    /** A card on a table, from so far that its paper is seen, printed so large, from a corner on. */
    const lying = (scale: number, from: Place, cutMm = 0) => {
      const shrunk: Printed = ([x, y]) => {
        const isPaper = y > cutMm && x < paperWide - cutMm;
        return isPaper
          ? plain([(x - from[0]) / scale + from[0], (y - from[1]) / scale + from[1]])
          : 0.35;
      };
      const shot = seen({ pxPerMm: 7, width: 1640, height: 1400, at: [820, 800], tilt: 0.1 });
      return pictureOf(card, shrunk, shot).picture;
    };
    const middle: Place = [paperWide / 2, paperHigh / 2];
    expect(why(lying(0.97, middle))).toBe('printed-small');
    expect(why(lying(0.97, [0, 0]))).toBe('printed-small');
    expect(why(lying(0.94, middle))).toBe('printed-small');
    expect(why(lying(1, middle))).toBe('found');
    expect(why(lying(1, middle, 12))).toBe('found');
  });

  test('on paper of either standard it is told from how large the paper seems', () => {
    const number = (min: number, max: number) => fc.double({ min, max, noNaN: true });
    fc.assert(
      fc.property(
        fc.constantFrom('a4' as const, 'letter' as const),
        number(0.91, 0.985),
        fc.boolean(),
        number(-0.3, 0.3),
        (page, scale, isCentred, off) => {
          const onPage = scrapCard(page);
          const [wide, high] = onPage.pageMm;
          const [w, h] = [wide / scale, high / scale];
          const [left, top] = isCentred ? [(wide - w) / 2, (high - h) / 2] : [0, 0];
          const border = { left: left + off, right: left + w - off, top, bottom: top + h };
          expect(isPrintedSmall(onPage, border)).toBe(true);
          const right = { left: off, right: wide - off, top: off, bottom: high + off };
          expect(isPrintedSmall(onPage, right)).toBe(false);
          // Cut off on any side, or not seen there, it says nothing.
          expect(isPrintedSmall(onPage, { ...right, right: 0.9 * wide })).toBe(false);
          expect(isPrintedSmall(onPage, { ...border, left: null })).toBe(false);
        },
      ),
    );
  });

  test('too small, too dark, a blur, looked at from the side, bent', () => {
    expect(why(pictureOf(card, plain, seen({ pxPerMm: 5 })).picture)).toBe('too-small');
    expect(why(pictureOf(card, plain, seen({ black: 20, white: 52 })).picture)).toBe('too-dark');
    expect(why(pictureOf(card, plain, seen({ blurPx: 2.4 })).picture)).toBe('blurred');
    expect(
      why(
        pictureOf(card, plain, seen({ tilt: 1, pxPerMm: 9.4, width: 1700, at: [850, 450] }))
          .picture,
      ),
    ).toBe('too-steep');
    // Along the middle it is lifted: what lies there seems to lie elsewhere.
    const bent: Printed = ([x, y]) =>
      plain([x, y + 2.4 * Math.sin(((x - 30) / 150) * 2 * Math.PI)]);
    expect(why(pictureOf(card, bent, seen()).picture)).toBe('bent');
  });
});
