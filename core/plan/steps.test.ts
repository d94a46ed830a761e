import type { Finish } from '../finish/finish';
import { phases, type WorkRequest } from '../finish/work';
import { everyVariant } from '../finish/wishes.fixture';
import { foldsAsSewn } from '../finish/as-sewn';
import { foldPlanOf } from './fold-plan';
import { stepsOf } from './work';
import { workedOut } from './worked.fixture';

const crossings = [
  { kind: 'felled', atMm: 200, widthMm: 12 },
  { kind: 'open', atMm: 600, widthMm: 20 },
] as const;

const sewn = everyVariant.filter(([, finish, variant]) => finish.margin(variant));

/** Every length of a plan that a step may speak of, mm. */
function lengthsInForce(finish: Finish, work: WorkRequest): number[] {
  const folds = foldPlanOf(finish, foldsAsSewn(work));
  const numbers = (value: unknown): number[] =>
    typeof value === 'number'
      ? [value, -value]
      : Array.isArray(value)
        ? value.flatMap(numbers)
        : value && typeof value === 'object'
          ? Object.values(value).flatMap(numbers)
          : [];
  const { stages: _stages, ...told } = folds;
  const passes = Object.values(work.passes ?? {}).flatMap(({ sewn: of, values }) =>
    numbers([of?.settings, of?.checks, values.map(({ value }) => value)]),
  );
  return [...numbers([told, work.wish, work.sewn?.settings, work.sewn?.checks]), ...passes];
}

describe.each(sewn)('the steps of %s', (_, finish, variant) => {
  const ways = [0, 1, 2].flatMap((way) =>
    [false, true].map((closed) => ({ way, closed, cornered: !closed, crossings })),
  );

  test('go through the hands’ phases in order, and each is there', () => {
    for (const way of ways) {
      const worked = workedOut(finish, variant, way)!;
      const order = stepsOf(finish, worked.work).map(({ phase }) => phases.indexOf(phase));
      expect(order).toEqual([...order].sort((a, b) => a - b));
      for (const phase of [
        'measure',
        'set',
        'scrap',
        'start',
        'sew',
        'close',
        'check',
        'press',
        'put-back',
      ] as const) {
        expect([phase, order.includes(phases.indexOf(phase))]).toEqual([phase, true]);
      }
    }
  });

  test('name the dials as they stand, on the foot that is on', () => {
    const { work } = workedOut(finish, variant)!;
    const set = stepsOf(finish, work).find(({ id }) => id === 'change-foot' || id === 'set')!;
    expect(set.values['lengthMm']).toBe(work.sewn!.settings.lengthMm);
    if (set.id === 'change-foot') {
      expect(set.values['foot']).toBe(work.sewn!.footName);
      expect(set.values['needleMm']).toBe(Math.abs(work.sewn!.settings.needlePositionMm));
    }
  });

  test('every length that belongs to the folds or the dials is one in force', () => {
    for (const way of ways) {
      const { work } = workedOut(finish, variant, way)!;
      const known = lengthsInForce(finish, work);
      for (const { id, values } of stepsOf(finish, work)) {
        for (const [name, value] of Object.entries(values)) {
          if (typeof value !== 'number' || !name.endsWith('Mm') || ruled.includes(name)) continue;
          const near = known.some((mm) => Math.abs(mm - value) < 1e-9);
          const sums = combined[name]?.(work);
          if (!near && Math.abs((sums ?? Infinity) - value) > 1e-9) {
            throw new Error(`${id}: ${name} is ${value}, and nothing of the plan is`);
          }
        }
      }
    }
  });

  test('turning a dial changes what the steps say of it', () => {
    const { work } = workedOut(finish, variant)!;
    const turned = { ...work.sewn!, settings: { ...work.sewn!.settings, lengthMm: 1.7 } };
    const now = JSON.stringify(stepsOf(finish, work));
    expect(JSON.stringify(stepsOf(finish, { ...work, sewn: turned }))).not.toBe(now);
  });
});

/** Lengths that are the hand's own habits and no part of a plan. */
const ruled = [
  ...['overlapMm', 'firstMm', 'lastMm', 'beforeEndMm', 'belowMm', 'chainMm', 'notchMm', 'rubMm'],
  ...['pinMm', 'satinEndMm', 'satinStopMm', 'startAtMm', 'maxStackMm', 'soleMm', 'shimMm'],
  ...['longerMm', 'radiusMm', 'clipMm', 'everyMm', 'gapMm', 'overMm'],
  ...['anchorWidthMm', 'anchorLengthMm', 'standOffMm', 'tipMm', 'startInMm'],
];

/** Lengths that are sums of two in force. */
const combined: Readonly<Record<string, (work: WorkRequest) => number>> = {
  mitreMm: ({ wish }) => (wish.depthMm ?? 0) * Math.SQRT2,
  fromRidgeMm: ({ wish, sewn: of }) => (wish.shortenMm ?? 0) / 2 + (of?.checks['ditch'] ?? 0),
  thinMm: ({ wish }) => 2 * (wish.channelMm ?? 0),
  foldMm: ({ wish }) =>
    2 * (wish.depthMm ?? 0) +
    (wish.extensionMm ?? 0) +
    (['enclosed', 'tacked'].includes(wish.variant) ? (wish.turnMm ?? 0) : 0),
  trimMm: ({ wish, sewn: of }) =>
    Math.max(0, (wish.seamAllowanceMm ?? 0) - (of?.checks['grip'] ?? 0)),
  insideMm: ({ sewn: of }) => -(of?.checks['overhang'] ?? 0),
};
