import fc from 'fast-check';
import { catalogue } from '../finish/catalogue';
import { cloths, edgeOf, fullKit, plainKit } from './cases.fixture';
import { overtakings } from './overtake';
import { placesOf } from './places';
import { considerAll, rank } from './rank';
import { rankConsidered } from './score';
import { presets, wishNames, type ChooseRequest, type Wishes } from './request';

const { wishes } = presets[0]!;
const request = (patch: Partial<ChooseRequest> = {}): ChooseRequest => ({
  cloth: cloths.linen,
  edge: edgeOf({}),
  kit: fullKit,
  wishes,
  ...patch,
});
const considered = considerAll(catalogue, request());

describe('what would overtake', () => {
  const leader = (at: Wishes) => rankConsidered(considered, at).ranked[0]!;
  const leads = (at: Wishes) => leader(at).group;
  test('does so where it says, and not a step before', () => {
    fc.assert(
      fc.property(
        fc.record(
          Object.fromEntries(
            wishNames.map((name) => [name, fc.integer({ min: 0, max: 10 })]),
          ) as Record<(typeof wishNames)[number], fc.Arbitrary<number>>,
        ),
        (tenths) => {
          const at = Object.fromEntries(
            wishNames.map((name) => [name, tenths[name] / 10]),
          ) as unknown as Wishes;
          for (const it of overtakings(considered, at)) {
            const then = leader({ ...at, [it.wish]: it.at });
            expect(then.finishId).toBe(it.finishId);
            expect(then.group).not.toBe(leads(at));
            const far = Math.abs(it.at - at[it.wish]);
            for (let tenth = 0; tenth <= 10; tenth++) {
              if (Math.abs(tenth / 10 - at[it.wish]) > far - 0.01) continue;
              expect(leads({ ...at, [it.wish]: tenth / 10 })).toBe(leads(at));
            }
          }
        },
      ),
      { numRuns: 30 },
    );
  });
  test('names nothing where nothing is ranked', () => {
    expect(overtakings([], wishes)).toEqual([]);
  });
});

test('a construction stands once, at the place of its best variant', () => {
  const ranking = rankConsidered(considered, wishes);
  const places = placesOf(ranking);
  expect([...places.values()]).toEqual([...places.keys()].map((_, i) => i + 1));
  expect(places.get(ranking.ranked[0]!.group)).toBe(1);
});

describe('the cloth there is', () => {
  const blind = (edge: Partial<ChooseRequest['edge']>) => {
    const { ranked, ruledOut } = rank(catalogue, request({ edge: edgeOf(edge) }));
    const is = (it: { finishId: string; variant: string }) =>
      it.finishId === 'blind-hem' && it.variant === 'flat';
    return { in: ranked.find(is), out: ruledOut.find(is) };
  };
  test('enough of it changes nothing', () => {
    expect(blind({ spareMm: 500 }).in!.wish).toEqual(blind({}).in!.wish);
    expect(blind({ spareMm: 500 }).in!.reasons.map(({ fact }) => fact.about)).not.toContain(
      'spare',
    );
  });
  test('too little of it makes the hem as deep as it gives', () => {
    const free = blind({}).in!;
    const spareMm = 30;
    const short = blind({ spareMm }).in!;
    expect(short.wish.depthMm).toBeLessThan(free.wish.depthMm!);
    expect(short.reasons.map(({ fact }) => fact.about)).toContain('spare');
  });
  test('a depth that was asked for is not made less: it is out, and says what would do', () => {
    const { out } = blind({ depthMm: 40, spareMm: 30 });
    const it = out!.hindrances.find(({ because }) => because.about === 'spare')!;
    expect(it.because.values).toMatchObject({ spareMm: 30 });
    expect(it.wouldNeed).toMatchObject({ about: 'more-cloth' });
  });
  test('a strip longer than what is left gives is said, and a binding still possible', () => {
    const left = { widthMm: 1000, lengthMm: 10 };
    const { ranked } = rank(
      catalogue,
      request({ edge: edgeOf({ lengthMm: 3000, clothLeft: left }) }),
    );
    const bound = ranked.find(({ finishId }) => finishId === 'bound')!;
    expect(bound.reasons.map(({ fact }) => fact.about)).toContain('strip');
  });
});

test('a foot that goes on no machine of the kit is as good as none', () => {
  const kit = {
    machines: plainKit.machines.map((machine) => ({ ...machine, shanks: ['low'] as const })),
    feet: plainKit.feet.map((foot) => ({
      ...foot,
      specs: { ...foot.specs, shank: 'high' as const },
    })),
  };
  const { ruledOut } = rank(catalogue, request({ kit }));
  const blind = ruledOut.find(
    ({ finishId, variant }) => finishId === 'blind-hem' && variant === 'flat',
  )!;
  expect(blind.hindrances.map(({ wouldNeed }) => wouldNeed.about)).toContain('shank');
});
