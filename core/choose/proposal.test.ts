import { catalogue } from '../finish/catalogue';
import { foldPlanOf } from '../plan/fold-plan';
import { finishById } from '../finish/catalogue';
import { newPlan } from '../plan/new-plan';
import { purposes } from '../edge/purpose';
import { cloths, edgeOf, evenWishes, fullKit, plainKit } from './cases.fixture';
import { firstProposal, proposedAnyway } from './proposal';
import { rank } from './rank';
import type { ChooseRequest } from './request';
import { workableWays } from './ways';

const request = (patch: Partial<ChooseRequest> = {}): ChooseRequest => ({
  cloth: cloths.shirting,
  edge: edgeOf({}),
  kit: fullKit,
  wishes: evenWishes,
  ...patch,
});
const proposalFor = (asked: ChooseRequest) =>
  firstProposal(rank(catalogue, asked), catalogue, asked);

test('a new edge starts with no finish, and with a needle for its cloth', () => {
  expect(newPlan({ weightGsm: 60 })).toMatchObject({ finish: null, needleSize: 60 });
  expect(newPlan({ weightGsm: 500 })).toMatchObject({ finish: null, needleSize: 100 });
});

test('what is proposed is the first of the list, with the machine and foot it was found best with', () => {
  const asked = request();
  const [first] = rank(catalogue, asked).ranked;
  expect(proposalFor(asked)).toEqual({
    finish: first!.finishId,
    fold: first!.wish,
    machine: first!.machine,
    foot: first!.foot,
    stitch: first!.stitch,
    schools: first!.schools,
  });
});

test.each(purposes)(
  'with an empty drawer there is still a proposal for a %s that can be folded',
  (purpose) => {
    const asked = request({ edge: edgeOf({ purpose }), kit: { machines: [], feet: [] } });
    const proposal = proposalFor(asked)!;
    const finish = finishById(proposal.finish)!;
    expect(finish.nature(proposal.fold.variant).purposes).toContain(purpose);
    expect(() => foldPlanOf(finish, { wish: proposal.fold, cloth: asked.cloth })).not.toThrow();
  },
);

test('one that is ruled out is planned at its own lengths on what comes nearest', () => {
  const finish = finishById('blind-hem')!;
  const proposal = proposedAnyway(finish, 'flat', {}, request({ kit: plainKit }));
  expect(proposal).toMatchObject({ finish: 'blind-hem', fold: { variant: 'flat', depthMm: 40 } });
  expect(plainKit.feet[proposal.foot!]!.kind).toBe('blind');
});

describe('the ways a finish is worked', () => {
  const rawEdge = (cloth: ChooseRequest['cloth'], kit: ChooseRequest['kit']) =>
    workableWays(finishById('blind-hem')!, 'flat', cloth, kit)['raw-edge'];
  test('what does not fray is left; what frays is held with what the kit has', () => {
    expect(rawEdge(cloths.felt, fullKit)).toBe('left');
    expect(rawEdge(cloths.linen, plainKit)).toBe('overcast');
    const [, overlocker] = fullKit.machines;
    expect(rawEdge(cloths.linen, { machines: [overlocker!], feet: [] })).toBe('serged');
  });

  test('a straight-stitch machine is offered no zigzagged edge', () => {
    const straight = { ...plainKit.machines[0]!, kind: 'straight-stitch' as const };
    const kit = { machines: [straight], feet: plainKit.feet };
    expect(rawEdge(cloths.shirting, kit)).toBe('pinked');
    const { ranked } = rank(catalogue, request({ kit }));
    expect(ranked.some(({ stitch }) => stitch && stitch.pattern !== 'straight')).toBe(false);
    expect(
      ranked.some(({ finishId, variant }) => finishId === 'single-hem' && variant === 'overcast'),
    ).toBe(false);
  });
});

describe('lightness is measured against the cloth', () => {
  const share = (thicknessMm: number, id: string, variant: string) =>
    rank(catalogue, request({ cloth: { ...cloths.lawn, thicknessMm } })).ranked.find(
      ({ finishId, variant: it }) => finishId === id && it === variant,
    )!.answers.light.share;
  test('twenty-five millimetres of folded voile are not light, and a roll is', () => {
    const { ranked } = rank(
      catalogue,
      request({ cloth: cloths.sheer, edge: edgeOf({ depthMm: 25 }) }),
    );
    const hem = ranked.find(
      ({ finishId, variant }) => finishId === 'double-hem' && variant === 'equal',
    )!;
    const roll = ranked.find(({ finishId }) => finishId === 'rolled-hem')!;
    expect(hem.answers.light.share).toBeLessThan(0.4);
    expect(roll.answers.light.share).toBeGreaterThan(0.6);
  });
  test('a thicker cloth folded the same is as light, in its own measure', () => {
    expect(share(0.2, 'single-hem', 'overcast')).toBeCloseTo(
      share(0.3, 'single-hem', 'overcast'),
      9,
    );
  });
});
