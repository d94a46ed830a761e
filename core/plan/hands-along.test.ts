import { finishById } from '../finish/catalogue';
import { everyVariant, foldsOf, medium, startingWish, workOn } from '../finish/wishes.fixture';
import type { Crossing } from '../seam/crossing';
import { alongTheEdge } from '../seam/crossings';
import { handsAlong, layersFor, type HandledEdge, type HandsAt } from './hands-along';
import { edgeQuestionsOf, stepsOf } from './work';

const sole = { toeMm: 12, heelMm: 14 };
const lifts = { liftMm: 6, highLiftMm: 8 };
const seams: readonly Crossing[] = [
  { kind: 'felled', atMm: 0, widthMm: 12 },
  { kind: 'open', atMm: 450, widthMm: 20 },
];
const leg: HandledEdge = {
  ...{ shape: 'tube', lengthMm: 900, minRadiusMm: null, turnDegrees: null, form: null },
};

function hands(id: string, variant: string, closed: boolean, crossings = seams, edge = leg) {
  const finish = finishById(id)!;
  const work = workOn(finish, variant, { closed, crossings });
  const { layersAtStitch } = foldsOf(finish, startingWish(finish, variant));
  const along = alongTheEdge(
    { lengthMm: 900, closed, crossings },
    layersAtStitch,
    medium,
    sole,
    lifts,
  );
  return handsAlong(finish, edge, work, along, sole).hands;
}
const kinds = (all: readonly HandsAt[]) => all.map(({ kind }) => kind);

test('a round in jeans: start before the thick seam, shims with so many layers, close over it', () => {
  const all = hands('double-hem', 'equal', true);
  expect(all[0]).toMatchObject({
    kind: 'start',
    why: 'thickest-seam',
    freeArm: true,
    onEdgeMm: 891,
  });
  const shim = all.find(({ kind }) => kind === 'shim-behind');
  expect(shim).toMatchObject({ shimMm: expect.closeTo(3.78, 2), layers: 9 });
  expect(kinds(all).slice(-2)).toEqual(['cut-tails', 'close']);
  // The seam it starts before comes first; its handwheel zone is one, and ends where the round does.
  expect(all[1]).toMatchObject({ kind: 'handwheel', fromMm: 0 });
});

test('a scroll slides out before each seam, feeds in behind it, and starts on none', () => {
  const all = hands('rolled-hem', 'straight', true);
  expect(all[0]).toMatchObject({ why: 'clear-of-seams' });
  expect(kinds(all).filter((kind) => kind === 'slide-out')).toHaveLength(seams.length + 1);
  expect(kinds(all).filter((kind) => kind === 'feed-in')).toHaveLength(seams.length);
  expect(kinds(all)).not.toContain('shim-behind');
});

test('corners are turned with the needle down, or sewn off where the stitch can’t turn', () => {
  const side = { lengthMm: 225, angleDegrees: 90, mitred: true };
  const napkin: HandledEdge = {
    ...leg,
    shape: 'cornered',
    form: { kind: 'cornered', sides: [side, side, side, side] },
  };
  const ways = (id: string, variant: string) =>
    hands(id, variant, true, [], napkin).flatMap((it) => (it.kind === 'corner' ? it.way : []));
  expect(ways('double-hem', 'equal')).toEqual(['turn', 'turn', 'turn', 'turn']);
  expect(ways('serged', 'three-narrow')[0]).toBe('sew-off');
  // Open, it ends where its last side does: three corners, and no fourth.
  const open = hands('double-hem', 'equal', false, [], { ...napkin, joined: 'flat' });
  expect(open.filter(({ kind }) => kind === 'corner')).toHaveLength(3);
});

describe.each(everyVariant)('%s', (_, finish, variant) => {
  test.each([true, false])(
    'everything lies on the edge, from one start to one end (round: %s)',
    (closed) => {
      const all = hands(finish.id, variant, closed);
      for (const { fromMm, toMm } of all) {
        expect(fromMm).toBeGreaterThanOrEqual(0);
        expect(toMm).toBeLessThanOrEqual(900);
      }
      expect(kinds(all).filter((kind) => kind === 'start')).toHaveLength(1);
      expect(kinds(all).at(-1)).toBe(closed ? 'close' : 'end');
    },
  );

  test('an old hem comes out before anything is cut, unless it is kept', () => {
    const work = workOn(finish, variant);
    const oldHem = { depthMm: 30, sewn: 'chain', keepLook: false } as const;
    const ids = stepsOf(finish, { ...work, edge: { ...work.edge, oldHem, pair: 'pair' } }).map(
      ({ id }) => id,
    );
    const kept = finish.nature(variant).keepsOldHem === true;
    expect(ids.includes('take-out')).toBe(!kept);
    expect(ids).toContain('second-leg');
    if (kept) return;
    const order = ['try-on', 'find-end', 'take-out', 'press-out'].map((id) => ids.indexOf(id));
    expect(order).toEqual([...order].sort((a, b) => a - b));
    expect(order[0]).toBe(0);
  });
});

test('what an edge asks hangs on its turn', () => {
  const finish = finishById('double-hem')!;
  const work = workOn(finish, 'equal', { closed: true, crossings: seams });
  const edge = { ...work.edge, shape: 'inside-curve' as const, minRadiusMm: 70 };
  const asked = edgeQuestionsOf(finish, { ...work, edge }, 20);
  const nothing = { paired: false, boundCorners: false };
  expect(asked).toEqual({ roundWithSeams: true, eased: false, short: true, ...nothing });
  expect(edgeQuestionsOf(finish, { ...work, edge }, null).short).toBe(false);
  const flare = { ...work.edge, shape: 'circle' as const, lengthMm: 4400 };
  expect(edgeQuestionsOf(finish, { ...work, edge: flare }, 20).eased).toBe(true);
  const scroll = finishById('rolled-hem')!;
  const rolled = { ...work, wish: startingWish(scroll, 'straight'), edge };
  expect(edgeQuestionsOf(scroll, rolled, 6)).toMatchObject({ roundWithSeams: false, short: false });
});

test('a shim in layers of one’s own cloth', () => {
  expect(layersFor(3.78, 0.6)).toBe(9);
  expect(layersFor(0.42, 0.6)).toBe(1);
});
