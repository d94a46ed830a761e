import { catalogue } from '../finish/catalogue';
import { Impossible } from '../impossible';
import { marginOfPlan } from '../plan/margin-of-plan';
import { plainPlan } from '../plan/plain-plan';
import { setUpOf } from '../plan/set-up-of';
import { startingSetting } from '../plan/starting-setting';
import { isMeasurable } from './seen';
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
