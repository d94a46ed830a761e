import { everyVariant } from '../finish/wishes.fixture';
import { undriftedMm } from '../margin/check';
import { dialField } from '../kit/dial-steps';
import { setUpOf } from '../plan/set-up-of';
import { workedOut } from '../plan/worked.fixture';
import { stepsOf } from '../plan/work';
import { causeTable } from './causes';
import { diagnose } from './diagnose';
import type { Situation } from './situation';
import { symptomsOf, type SymptomId } from './symptom';

/** What is seen when a check ends at one of its sides. */
const seenAs: Partial<
  Record<SymptomId, readonly (readonly [check: string, side: 'below' | 'above'])[]>
> = {
  'bite-missed': [['bite', 'below']],
  'bite-shows': [['bite', 'above']],
  whiskers: [['overhang', 'below']],
  'edge-tunnels': [['overhang', 'above']],
};

const sewn = everyVariant.filter(
  ([, finish, variant]) => finish.margin(variant) && variant !== 'zigzag-trim',
);

test.each(sewn)('%s: every move the causes name brings the check back', (_, finish, variant) => {
  const { plan, work } = workedOut(finish, variant)!;
  for (const mirror of [false, true]) {
    const mirrored = { ...plan, stitch: { ...plan.stitch, mirror } };
    const { checks } = setUpOf(finish, mirrored);
    const situation: Situation = {
      ...{ finish, variant, cloth: plan.cloth, machine: plan.machine, stitch: mirrored.stitch },
      foot: { kind: 'blind', guide: { rangeMm: [-3, 3] } },
      edge: { closed: true, curved: true, crossed: true },
    };
    const possible = symptomsOf(situation).map(({ id }) => id);
    for (const [symptom, ends] of Object.entries(seenAs)) {
      if (!possible.includes(symptom as SymptomId)) continue;
      for (const { dial, direction } of diagnose(situation, [symptom as SymptomId])) {
        if (dial !== 'width' && dial !== 'needlePosition' && dial !== 'guide') continue;
        for (const [name, side] of ends) {
          const check = checks.find((one) => one.name === name);
          if (!check || finish.id === 'shell-edge' || plan.stitch.pattern === 'straight') continue;
          const by = direction === 'more' || direction === 'right' ? 0.25 : -0.25;
          const from = work.sewn!.settings;
          const to = { ...from, [dialField[dial]]: from[dialField[dial]] + by };
          const moved = undriftedMm(check, to) - undriftedMm(check, from);
          // Against a value that is too small the check must grow, and the other way round.
          const wanted = side === 'below' ? 1 : -1;
          if (Math.abs(moved) > 1e-9)
            expect([symptom, dial, direction, Math.sign(moved)]).toEqual([
              symptom,
              dial,
              direction,
              wanted,
            ]);
        }
      }
    }
  }
});

test('no cause speaks against what the steps tell the hands to do', () => {
  const all = Object.values(causeTable).flat();
  const told = all.map(({ reason, expect: outcome }) => `${reason} ${outcome}`).join(' ');
  expect(told).not.toMatch(/above the fold/);
  const [, finish] = everyVariant.find(([name]) => name === 'bound, double-fold')!;
  const { work } = workedOut(finish, 'double-fold', { radiusMm: 60 })!;
  const steps = stepsOf(finish, work)
    .map(({ text }) => text)
    .join(' ');
  // The curve that was pulled straight is a cause; so no step may tell anybody to straighten it.
  expect(told).toMatch(/curve was pulled straight/);
  expect(steps).not.toMatch(/straighten the edge/);
  expect(steps).toMatch(/never pull edge or strip straight/);
});
