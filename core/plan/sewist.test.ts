import { blindHem } from '../finish/blind-hem';
import { normalDrift } from '../margin/normal';
import { undriftedMm } from '../margin/check';
import { examplePlan } from './example.fixture';
import { lessonOf, type Lesson, type SewnSample } from './learn-plan';
import { setUpOf } from './set-up-of';
import { startingSetting } from './starting-setting';

/** A small generator with a seed, so that every run sews the same scraps. */
function seeded(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1664525 + 1013904223) % 4294967296;
    return state / 4294967296;
  };
}

/** Two uniform numbers make a normal one. */
const normal = (random: () => number) =>
  Math.sqrt(-2 * Math.log(random() + 1e-12)) * Math.cos(2 * Math.PI * random());

const plan = {
  ...examplePlan,
  cloth: { ...examplePlan.cloth, thicknessMm: 1 },
  machine: { ...examplePlan.machine, widthStepMm: 0.1, needleStepMm: 0.1 },
};
const set = setUpOf(blindHem, plan);
const [bite] = set.checks;
if (!bite) throw new Error('The blind hem has a bite.');

/** A sewist whose truth is known: the scraps they sew, each where the last one's lesson says. */
function sew(shiftMm: number, sigmaMm: number, scraps: number, random: () => number) {
  let settings = startingSetting(blindHem, plan, set);
  const samples: SewnSample[] = [];
  const truth: number[] = [];
  let lesson: Lesson | undefined;
  for (let scrap = 0; scrap < scraps; scrap++) {
    const aim = undriftedMm(bite!, settings);
    let [short, over] = [0, 0];
    for (let stitch = 0; stitch < 24; stitch++) {
      const value = aim + shiftMm + sigmaMm * normal(random);
      if (value < bite!.loMm) short++;
      if (value > bite!.hiMm) over++;
    }
    truth.push(normalDrift(shiftMm, sigmaMm).within(bite!.loMm - aim, bite!.hiMm - aim));
    samples.push({ settings, check: 'bite', n: 24, short, over });
    lesson = lessonOf(blindHem, plan, samples);
    settings = lesson.next.settings;
  }
  if (!lesson) throw new Error('No scrap was sewn.');
  return { lesson, truth };
}

test('the 90 % interval of the offset holds the truth for about nine sewists of ten', () => {
  const random = seeded(11);
  const sewists = 50;
  let covered = 0;
  for (let i = 0; i < sewists; i++) {
    // Truths drawn from the very prior: then the intervals must be right on the average.
    const shift = 0.5 * normal(random);
    const sigma = 0.202 * Math.exp(0.35 * normal(random));
    const [from, to] = sew(shift, sigma, 2, random).lesson.posterior.shiftInterval;
    if (shift >= from && shift <= to) covered++;
  }
  expect(covered / sewists).toBeGreaterThan(0.8);
  expect(covered / sewists).toBeLessThan(0.98);
});

test('following the advice brings a hand that runs 0.6 mm off to a good setting in three scraps', () => {
  const random = seeded(5);
  const ends: number[] = [];
  const starts: number[] = [];
  for (let i = 0; i < 10; i++) {
    const { truth } = sew(i % 2 ? 0.6 : -0.6, 0.2, 3, random);
    starts.push(truth[0] ?? 0);
    ends.push(truth[2] ?? 0);
  }
  const median = (numbers: number[]) =>
    [...numbers].sort((a, b) => a - b)[numbers.length >> 1] ?? 0;
  expect(median(starts)).toBeLessThan(0.8);
  expect(median(ends)).toBeGreaterThan(0.95);
});
