import { catalogue } from '../finish/catalogue';
import { Impossible } from '../impossible';
import { marginOfPlan } from '../plan/margin-of-plan';
import { plainPlan } from '../plan/plain-plan';
import { setUpOf } from '../plan/set-up-of';
import { startingSetting } from '../plan/starting-setting';
import { isMeasurable, upperSideOf } from './seen';
import { seenOn, type Face } from './seen-on';

/** Of every variant that is counted at all, whether a photo of a face tells it. */
function measurableOn(face: Face): string[] {
  return catalogue.flatMap((finish) =>
    finish.variants.flatMap(({ id: variant }) => {
      try {
        const plan = plainPlan(finish, variant);
        const dials = startingSetting(finish, plan, setUpOf(finish, plan));
        const seen = seenOn(face, marginOfPlan(finish, variant), plan, dials);
        return isMeasurable(seen) ? [`${finish.id}.${variant}`] : [];
      } catch (error) {
        if (error instanceof Impossible) return [];
        throw error;
      }
    }),
  );
}

test('on the wrong side bites, swings at a raw edge and single threads clear of theirs are measured', () => {
  const found = measurableOn('wrong');
  expect(found).toEqual(expect.arrayContaining(['blind-hem.flat', 'double-hem.narrow']));
  expect(found).toEqual(expect.arrayContaining(['shell-edge.folded', 'bound.double-fold']));
  expect(found).toEqual(expect.arrayContaining(['overcast.zigzag', 'overcast.zigzag-trim']));
  expect(found).toEqual(expect.arrayContaining(['single-hem.zigzag', 'bound.satin']));
  for (const other of ['serged.three-wide', 'kept-hem.edge-stitched', 'single-hem.twin-needle']) {
    expect(found).not.toContain(other);
  }
});

test('on the right side what is hidden but for its bites, and a raw edge, which has two alike', () => {
  const found = measurableOn('right');
  expect(found).toContain('blind-hem.flat');
  expect(found).toContain('overcast.zigzag');
  expect(found.filter((name) => !/^(blind-hem|overcast)\./.test(name))).toEqual([]);
});

test('where all cloth ends at what a stitch was led along, the upper cloth is where there is any', () => {
  let ending = 0;
  for (const finish of catalogue) {
    for (const { id: variant } of finish.variants) {
      let plan;
      try {
        plan = plainPlan(finish, variant);
      } catch (error) {
        if (error instanceof Impossible) continue;
        throw error;
      }
      const margin = marginOfPlan(finish, variant);
      const dials = startingSetting(finish, plan, setUpOf(finish, plan));
      const seen = seenOn('wrong', margin, plan, dials);
      if (!isMeasurable(seen) || !seen.endsThere) continue;
      const middle = margin.regions(plan).map(({ fromMm, toMm }) => Math.sign(fromMm + toMm));
      expect(middle).toContain(upperSideOf(seen));
      ending++;
    }
  }
  expect(ending).toBeGreaterThan(3);
});

test('bites go into the upper cloth, and any other stitch beside an edge lies on it', () => {
  const sideOf = (id: string, variant: string) => {
    const finish = catalogue.find((one) => one.id === id)!;
    const plan = plainPlan(finish, variant);
    const dials = startingSetting(finish, plan, setUpOf(finish, plan));
    const seen = seenOn('wrong', marginOfPlan(finish, variant), plan, dials);
    return { side: upperSideOf(seen), holes: seen.holes };
  };
  const blind = sideOf('blind-hem', 'flat');
  const bite = blind.holes.find(({ role }) => role === 'bite')!;
  expect(Math.sign(bite.acrossMm)).toBe(blind.side);
  const zigzag = sideOf('single-hem', 'zigzag');
  expect(zigzag.holes.every(({ acrossMm }) => Math.sign(acrossMm) === zigzag.side)).toBe(true);
});
