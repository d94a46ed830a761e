import { everyVariant, startingWish } from '../../core/finish/wishes.fixture';
import { genericMachines } from '../../core/kit/generic-machines';
import { examplePlan } from '../../core/plan/example.fixture';
import type { Foot } from '../../core/kit/foot';
import { alongBest } from '../../core/plan/ride';
import { setUpOf } from '../../core/plan/set-up-of';
import { startingSetting } from '../../core/plan/starting-setting';
import { server } from './server.fixture';

/** A foot that every finish finds a place on to be led along. */
const manyPlaces: Foot = {
  slotMm: [-4.5, 4.5],
  guidance: 'blade',
  guide: { atMm: 0 },
  references: [
    { name: 'blade', guidance: 'blade', guide: { rangeMm: [-3, 3], stepMm: 0.25 } },
    { name: 'lines', guidance: 'mark', guide: { rangeMm: [4, 60], stepMm: 1 } },
  ],
};

const withMargin = everyVariant.filter(([, finish, variant]) => finish.margin(variant));

test.each(withMargin)('%s: every check can be learned from', async (_, finish, variant) => {
  const { patterns, machineKinds } = finish.needs(variant);
  const asked = {
    ...examplePlan,
    foot: manyPlaces,
    fold: startingWish(finish, variant),
    machine: genericMachines[machineKinds[0] ?? 'lockstitch'],
    stitch: { pattern: patterns[0]!, anchor: 'centre', runStitches: 5 } as const,
  };
  const plan = alongBest(finish, asked);
  const set = setUpOf(finish, plan);
  const settings = startingSetting(finish, plan, set);
  for (const { name, source } of set.checks) {
    const sample = { settings, check: name, n: 24, short: 3, over: 0 };
    const { body } = await server.http
      .post('/api/compute/learn')
      .send({ finish: finish.id, ...asked, samples: [sample] })
      .expect(200);
    expect(Object.keys(body.sources)).toEqual([source]);
    const { shiftMm, shiftInterval, sigmaMm, sigmaInterval } = body;
    expect(body.sources[source]).toEqual({ shiftMm, shiftInterval, sigmaMm, sigmaInterval });
    expect(shiftInterval[0]).toBeLessThan(shiftInterval[1]);
    expect(sigmaInterval[0]).toBeGreaterThan(0);
    const [from, to] = body.stayingFaults;
    expect(from).toBeLessThanOrEqual(body.staying.expectedFaults + 1);
    expect(to).toBeGreaterThanOrEqual(body.staying.expectedFaults - 1);
  }
});
