import fc from 'fast-check';
import { catalogue } from '../finish/catalogue';
import { startingWish } from '../finish/wishes.fixture';
import type { SewingPlan } from '../finish/sewing-plan';
import { Impossible } from '../impossible';
import { guidances } from '../kit/foot';
import { patternsOfKind } from '../kit/machine';
import { anchors } from '../stitch/stitch';
import { examplePlan } from './example.fixture';
import { leastChance } from '../margin/least-chance';
import { judge } from './judge';
import { alongBest } from './ride';
import { setUpOf } from './set-up-of';
import { startingSetting } from './starting-setting';

/** Every finish and variant whose dials are solved. */
const solvable = catalogue.flatMap((finish) =>
  finish.variants.filter(({ id }) => finish.margin(id)).map(({ id }) => ({ finish, variant: id })),
);

const mm = (min: number, max: number) =>
  fc.integer({ min: min * 10, max: max * 10 }).map((tenths) => tenths / 10);

/** A kit that a drawer might hold, plates for straight stitching and slots off centre included. */
const kits = fc.record({
  chosen: fc.constantFrom(...solvable),
  maxWidthMm: mm(0, 9),
  step: fc.constantFrom(0.5, 0.7, 1),
  reach: mm(0, 4),
  slot: fc.tuple(mm(-5, 0), mm(1, 9)),
  plate: fc.option(fc.tuple(mm(-5, -0.5), mm(0.5, 5)), { nil: null }),
  guidance: fc.constantFrom(...guidances),
  guide: fc.oneof(
    mm(-6, 8).map((atMm) => ({ atMm })),
    mm(-6, 8).map((from) => ({ rangeMm: [from, from + 2] as const, stepMm: 0.5 })),
  ),
  /** What else the foot can be led along, each with its own steadiness. */
  references: fc.option(
    fc.array(
      fc.record({
        guidance: fc.constantFrom(...guidances),
        guide: fc.oneof(
          mm(-6, 8).map((atMm) => ({ atMm })),
          mm(-6, 8).map((from) => ({ rangeMm: [from, from + 1] as const, stepMm: 0.5 })),
        ),
      }),
      { minLength: 1, maxLength: 4 },
    ),
    { nil: null },
  ),
  /** A foot that the needle passes beside instead of through. */
  beside: fc.option(fc.tuple(mm(-9, -2), mm(-2, 2)), { nil: null, freq: 8 }),
  needleSize: fc.constantFrom(60, 80, 100, 110, 120),
  anchor: fc.constantFrom(...anchors),
  mirror: fc.boolean(),
  runStitches: fc.integer({ min: 1, max: 8 }),
  pattern: fc.nat(20),
  thicknessMm: mm(0.1, 3),
});

describe('ten thousand random kits', () => {
  test('no returned setting ever meets metal, and every chance is one', () => {
    let returned = 0;
    let refused = 0;
    let several = 0;
    fc.assert(
      fc.property(kits, (kit) => {
        const { finish, variant } = kit.chosen;
        const { patterns, machineKinds } = finish.needs(variant);
        const kind = machineKinds[0] ?? 'lockstitch';
        const able = patterns.filter((pattern) => patternsOfKind(kind).includes(pattern));
        const [left, width] = kit.slot;
        const plan: SewingPlan = {
          ...examplePlan,
          cloth: { ...examplePlan.cloth, thicknessMm: kit.thicknessMm },
          fold: startingWish(finish, variant),
          machine: {
            ...examplePlan.machine,
            kind,
            maxWidthMm: kit.maxWidthMm,
            widthStepMm: kit.step,
            needleRangeMm: [-kit.reach, kit.reach],
            needleStepMm: kit.step,
            plateHoleMm: kit.plate,
          },
          foot: {
            slotMm: kit.beside ? null : [left, left + width],
            besideMm: kit.beside,
            guidance: kit.guidance,
            guide: kit.guide,
            references: kit.references?.map((it, i) => ({ name: `place ${i}`, ...it })) ?? null,
          },
          stitch: {
            pattern: able[kit.pattern % able.length] ?? 'straight',
            anchor: kit.anchor,
            runStitches: kit.runStitches,
            mirror: kit.mirror,
          },
          needleSize: kit.needleSize,
        };
        try {
          const ridden = alongBest(finish, plan);
          const set = setUpOf(finish, ridden);
          const { clearance, blocked, chance, margins } = judge(
            set,
            startingSetting(finish, ridden, set),
          );
          returned++;
          if (kit.references) {
            several++;
            expect(ridden.foot.reference).toMatch(/^place \d$/);
          }
          expect(blocked).toBe(false);
          expect(clearance.clearanceMm).toBeGreaterThanOrEqual(-1e-9);
          // A setting next to hopeless is no setting.
          expect(chance).toBeGreaterThanOrEqual(leastChance);
          expect(chance).toBeLessThanOrEqual(1);
          for (const { fromMm, toMm } of margins) {
            expect(Number.isNaN(fromMm) || Number.isNaN(toMm)).toBe(false);
          }
        } catch (error) {
          if (!(error instanceof Impossible)) throw error;
          refused++;
        }
      }),
      { numRuns: 10_000 },
    );
    // Both kinds of kit were met, so that neither half of this is empty.
    expect(returned).toBeGreaterThan(2000);
    expect(refused).toBeGreaterThan(300);
    expect(several).toBeGreaterThan(800);
  });
});
