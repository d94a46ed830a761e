import fc from 'fast-check';
import seedrandom from 'seedrandom';
import { sureOf } from './how-sure';
import {
  answerAt as answerWithin,
  depthsByAnswers,
  offByAnswers,
  type Answer,
  type AnsweredDepth,
} from './told-by-answers';

const bounds = { loMm: 0.2, hiMm: 0.8 };
const answers = ['short', 'sound', 'over'] as const;
const answerAt = (mm: number): Answer => answerWithin(mm, bounds);

const scraps = fc.array(
  fc.record({
    mm: fc.double({ min: 0.05, max: 1, noNaN: true }),
    spreadMm: fc.double({ min: 0.03, max: 0.12, noNaN: true }),
    answer: fc.option(fc.constantFrom(...answers), { freq: 2 }),
  }),
  { minLength: 1, maxLength: 6 },
);
type Scrap = readonly (typeof scraps extends fc.Arbitrary<(infer One)[]> ? One : never)[];
const asMeasured = (scrap: Scrap): AnsweredDepth[] =>
  scrap.map(({ mm, spreadMm, answer }) => ({
    depth: { depthMm: mm, depthSpreadMm: spreadMm },
    answer,
  }));

test('what answers tell of the others: as every way all may be off, and each by itself, summed up', () => {
  const bell = (x: number) => Math.exp((-x * x) / 2);
  const upTo = (most: number) => Array.from({ length: 80 * most + 1 }, (_, i) => i / 40 - most);
  const [common, own] = [upTo(3), upTo(6)];
  const every = own.reduce((sum, off) => sum + bell(off), 0);
  fc.assert(
    fc.property(scraps, (scrap) => {
      // Most of what the surest is off is common to all, and each strays by itself.
      const commonMm = 0.85 * Math.min(...scrap.map(({ spreadMm }) => spreadMm));
      let [weight, sum] = [0, 0];
      for (const off of common) {
        let chance = (Math.abs(off) === 3 ? 0.5 : 1) * bell(off);
        for (const { mm, spreadMm, answer } of scrap) {
          if (answer === null) continue;
          const ownMm = Math.max(0.015, Math.sqrt(spreadMm ** 2 - commonMm ** 2));
          let is = 0;
          for (const by of own) {
            if (answerAt(mm - off * commonMm - by * ownMm) === answer) is += bell(by);
          }
          chance *= (0.98 * is) / every + 0.02 / 3;
        }
        weight += chance;
        sum += chance * off * commonMm;
      }
      const { offMm } = offByAnswers(asMeasured(scrap), bounds);
      expect(Math.abs(sum / weight - offMm)).toBeLessThan(0.02 * commonMm);
    }),
    { numRuns: 40 },
  );
});

test('nothing said, nothing moved; one answer tells its way', () => {
  fc.assert(
    fc.property(scraps, (scrap) => {
      const unasked = scrap.map((one) => ({ ...one, answer: null }));
      const depths = asMeasured(unasked).map(({ depth }) => depth);
      expect(depthsByAnswers(asMeasured(unasked), bounds)).toEqual(depths);
      const said = (answer: Answer) =>
        asMeasured([{ ...unasked[0]!, answer }, ...unasked.slice(1)]);
      expect(offByAnswers(said('short'), bounds).offMm).toBeGreaterThanOrEqual(-1e-9);
      expect(offByAnswers(said('over'), bounds).offMm).toBeLessThanOrEqual(1e-9);
      // All go the same way, by no more than that and half of what it may still be.
      for (const answer of answers) {
        const { offMm, leftMm } = offByAnswers(said(answer), bounds);
        const by = depthsByAnswers(said(answer), bounds).map(
          ({ depthMm }, i) => depths[i]!.depthMm - depthMm,
        );
        for (const one of by) expect(one).toBeCloseTo(by[0]!, 9);
        expect(Math.abs(by[0]! - offMm)).toBeLessThanOrEqual(leftMm / 2 + 1e-9);
      }
    }),
  );
});

test('what is clear already, and a slip far from any bound, move nothing', () => {
  const clear = [0.5, 0.25, 0.3].map((mm) => ({ mm, spreadMm: 0.055, answer: null }));
  for (const answer of answers) {
    const told = depthsByAnswers(asMeasured([{ ...clear[0]!, answer }, ...clear.slice(1)]), bounds);
    told.forEach(({ depthMm }, i) => expect(depthMm).toBeCloseTo(clear[i]!.mm, 3));
  }
});

test('scraps drawn at random, two answers each: the counts are right more often than by those answers alone, and the intervals hold', () => {
  const random = seedrandom('answers');
  const normal = () => Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  const [ownMm, commonMm, scrapsDrawn] = [0.02, 0.06, 1500];
  let [told, alone, inside, all] = [0, 0, 0, 0];
  for (let n = 0; n < scrapsDrawn; n++) {
    const truth = Array.from({ length: 24 }, () => 0.3 + 0.12 * normal());
    const off = commonMm * normal();
    const depths = truth.map((mm) => ({
      depthMm: mm + off + ownMm * normal(),
      depthSpreadMm: Math.hypot(ownMm, commonMm),
    }));
    const said = new Map<number, Answer>();
    let now = depths;
    for (let k = 0; k < 2; k++) {
      const sures = now.map(({ depthMm, depthSpreadMm }, i) =>
        said.has(i) ? 1 : sureOf(depthMm, depthSpreadMm, bounds),
      );
      const least = sures.indexOf(Math.min(...sures));
      said.set(least, answerAt(truth[least]!));
      now = depthsByAnswers(
        depths.map((depth, i) => ({ depth, answer: said.get(i) ?? null })),
        bounds,
      );
    }
    const isRight = (some: typeof depths) => {
      const are = some.map(({ depthMm }, i) => said.get(i) ?? answerAt(depthMm));
      const of = (which: Answer, from: readonly Answer[]) =>
        from.filter((one) => one === which).length;
      const is = truth.map(answerAt);
      return (['short', 'over'] as const).every((one) => Math.abs(of(one, are) - of(one, is)) <= 1);
    };
    if (isRight(now)) told++;
    if (isRight(depths)) alone++;
    for (const [i, { depthMm, depthSpreadMm }] of now.entries()) {
      all++;
      if (Math.abs(depthMm - truth[i]!) <= 1.645 * depthSpreadMm) inside++;
    }
  }
  expect(told / scrapsDrawn).toBeGreaterThan(alone / scrapsDrawn + 0.15);
  // Here all that is common is: what is left of it is stated a little too wide.
  expect(inside / all).toBeGreaterThan(0.87);
  expect(inside / all).toBeLessThan(0.98);
});
