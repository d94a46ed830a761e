import { catalogue } from '../finish/catalogue';
import { Impossible } from '../impossible';
import { plainPlan } from '../plan/plain-plan';
import { setUpOf } from '../plan/set-up-of';
import { startingSetting } from '../plan/starting-setting';
import { evenDraws } from '../swatch/draw';
import { expectedOn, type Expected } from './expected';
import type { ScaledImage } from './grey';
import { measureScrap } from './measure';
import { isLine } from './seen';

/** A little cloth with a line and a step on it, and noise. */
const window: ScaledImage = (() => {
  const [width, height, pxPerMm] = [160, 96, 8];
  const draw = evenDraws(4);
  const grey = Uint8Array.from({ length: width * height }, (_, at) => {
    const [x, y] = [at % width, Math.floor(at / width)];
    const thread = y === 40 + (x % 20 < 10 ? x % 10 : 10 - (x % 10)) ? 70 : 0;
    return 110 + (y > 48 ? 30 : 0) + thread + 12 * draw();
  });
  return { width, height, pxPerMm, grey };
})();

/** Every set-up of the catalogue that a photo shows otherwise than those before it, the machine so long. */
function expectations(lengthMm: number): Expected[] {
  const found = new Map<string, Expected>();
  for (const finish of catalogue) {
    for (const { id } of finish.variants) {
      for (const face of ['wrong', 'right'] as const) {
        try {
          const plan = plainPlan(finish, id);
          const set = setUpOf(finish, plan);
          const dials = { ...startingSetting(finish, plan, set), lengthMm };
          const expected = expectedOn(face, finish, plan, set, dials);
          const { kind, holes, reference } = expected.seen;
          // Two that differ in where alone look the same in every other way.
          const around = holes.map(({ role, needle }) => `${role} ${needle}`);
          found.set([kind, reference, isLine(expected.seen), ...around].join(), expected);
        } catch (error) {
          if (!(error instanceof Impossible)) throw error;
        }
      }
    }
  }
  return [...found.values()];
}

/** What comes of a photo: counted, looked at in vain, or refused by a code. */
function outcome(expected: Expected): string | undefined {
  try {
    return measureScrap(window, expected)?.counts ? 'counted' : 'not counted';
  } catch (error) {
    if (error instanceof Impossible) return error.issues[0]?.code;
    throw error;
  }
}

test('stitches that lie on each other are refused, whatever is sewn', () => {
  const every = expectations(0.05).filter(({ seen }) => seen.repeatMm < 0.9);
  expect(every.length).toBeGreaterThan(8);
  expect([...new Set(every.map(outcome))]).toEqual(['too-fine']);
});

// As short as they are told from one another, and longer than any machine sews.
test.each([0.5, 20])(
  'however long the machine is set, a photo is counted or refused: %d mm',
  (mm) => {
    const refused = ['no-stitch', 'no-edge', 'no-prick', 'too-fine', 'closer', 'farther'];
    const codes = ['counted', 'not counted', ...refused];
    for (const code of expectations(mm).map(outcome)) expect(codes).toContain(code);
  },
);
