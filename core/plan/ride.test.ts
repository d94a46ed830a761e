import fc from 'fast-check';
import { finishById } from '../finish/catalogue';
import type { SewingPlan } from '../finish/sewing-plan';
import { Impossible } from '../impossible';
import { dialPositions, dialTravel } from '../kit/dial-steps';
import { everyReference, everyRide, guidances, type FootReference } from '../kit/foot';
import { genericFeet } from '../kit/generic-feet';
import { tieWithin } from '../margin/solve';
import { examplePlan } from './example.fixture';
import { chanceOfPlan, hopelessIssue } from './better-by';
import { judge } from './judge';
import { alongBest, alongNamed } from './ride';
import { setUpOf } from './set-up-of';
import { startingSetting } from './starting-setting';

const zigzag: SewingPlan = {
  ...examplePlan,
  fold: { variant: 'zigzag' },
  stitch: { pattern: 'zigzag', anchor: 'centre', runStitches: 1 },
};
const overcast = finishById('overcast')!;

/** The best chance of any setting along any reference, by trying them all. */
function bruteForce(plan: SewingPlan): number {
  let best = 0;
  for (const foot of everyRide(plan.foot)) {
    const ridden = { ...plan, foot };
    const set = setUpOf(overcast, ridden);
    const [ws, ps, gs] = (['width', 'needlePosition', 'guide'] as const).map((dial) =>
      dialPositions(dialTravel(dial, plan.machine, foot.guide)),
    );
    for (const widthMm of ws!) {
      for (const needlePositionMm of ps!) {
        for (const guideMm of gs!) {
          const judged = judge(set, { widthMm, needlePositionMm, guideMm, lengthMm: 2 });
          if (!judged.blocked) best = Math.max(best, judged.chance);
        }
      }
    }
  }
  return best;
}

const references = fc
  .uniqueArray(
    fc.record({
      guidance: fc.constantFrom(...guidances),
      atMm: fc.integer({ min: -12, max: 24 }).map((quarters) => quarters / 4),
    }),
    { minLength: 1, maxLength: 5, selector: ({ atMm }) => atMm },
  )
  .map((list) =>
    list.map(({ guidance, atMm }, i): FootReference => ({
      name: `place ${i}`,
      guidance,
      guide: { atMm },
    })),
  );

test('of random references none is better than the one that is taken', () => {
  fc.assert(
    fc.property(references, (list) => {
      const plan = { ...zigzag, foot: { ...zigzag.foot, references: list } };
      const best = bruteForce(plan);
      const ridden = alongBest(overcast, plan);
      if (best < 0.01) {
        expect(() => startingSetting(overcast, ridden, setUpOf(overcast, ridden))).toThrow(
          Impossible,
        );
        return;
      }
      const set = setUpOf(overcast, ridden);
      const { chance } = judge(set, startingSetting(overcast, ridden, set));
      expect(chance).toBeGreaterThanOrEqual(best - tieWithin - 1e-9);
      expect(list.map(({ name }) => name)).toContain(ridden.foot.reference);
    }),
    { numRuns: 30 },
  );
});

test('a zigzag over the edge is led along the right inner toe of the plain foot', () => {
  const foot = genericFeet.find(({ id }) => id === 'zigzag-7')!.specs;
  const ridden = alongBest(overcast, { ...zigzag, foot });
  expect(ridden.foot).toMatchObject({ reference: 'right inner toe edge', guide: { atMm: 2 } });
  const set = setUpOf(overcast, ridden);
  const setting = startingSetting(overcast, ridden, set);
  expect(setting.widthMm).toBeGreaterThan(3);
  expect(judge(set, setting).chance).toBeGreaterThan(0.8);
});

test('a reference that was chosen is kept to, and one that is not there is none', () => {
  const foot = genericFeet.find(({ id }) => id === 'zigzag-7')!.specs;
  const left = alongNamed(foot, 'left inner toe edge')!;
  expect(alongBest(overcast, { ...zigzag, foot: left }).foot.reference).toBe('left inner toe edge');
  expect(alongNamed(foot, 'the moon')).toBeNull();
});

test('what is next to hopeless is refused with the one change that would help', () => {
  const set = setUpOf(overcast, { ...zigzag, foot: { ...zigzag.foot, guide: { atMm: -4 } } });
  expect(set.checks).toHaveLength(2);
  const bad = {
    ...zigzag,
    foot: { ...zigzag.foot, guidance: 'edge' as const, guide: { atMm: -4 } },
  };
  expect(() => startingSetting(overcast, bad, setUpOf(overcast, bad))).toThrow(
    /whose guide stands/,
  );
  const issue = hopelessIssue(overcast, bad, 0);
  const atMm = Number(issue.values?.['asideMm']) * (issue.text?.includes('left') ? -1 : 1);
  // The change it names does help.
  const mended = { ...bad, foot: { ...bad.foot, guide: { atMm } } };
  const mendedSet = setUpOf(overcast, mended);
  expect(judge(mendedSet, startingSetting(overcast, mended, mendedSet)).chance).toBeGreaterThan(
    0.1,
  );
});

test('a plate for straight stitches is named, where it is what is in the way', () => {
  const machine = { ...zigzag.machine, plateHoleMm: [-1, 1] as const };
  const foot = genericFeet.find(({ id }) => id === 'zigzag-7')!.specs;
  const plan = alongBest(overcast, { ...zigzag, machine, foot });
  const issue = hopelessIssue(overcast, plan, 0);
  expect(issue).toMatchObject({ code: 'wider-plate' });
  expect(issue.message).toContain('a plate with a wide hole would sew it');
});

test('another of the foot’s own references is named before anything is bought', () => {
  const foot = genericFeet.find(({ id }) => id === 'zigzag-7')!.specs;
  const hopeless = everyReference(foot).find(
    (led) => chanceOfPlan(overcast, { ...zigzag, foot: led }) < 0.01,
  );
  expect(hopeless).toBeDefined();
  const issue = hopelessIssue(overcast, { ...zigzag, foot: hopeless! }, 0);
  expect(issue).toMatchObject({ code: 'other-reference' });
  const better = alongNamed(foot, String(issue.values?.['reference']))!;
  expect(chanceOfPlan(overcast, { ...zigzag, foot: better })).toBeGreaterThan(0.1);
});
