import { finishById } from '../finish/catalogue';
import { workOn } from '../finish/wishes.fixture';
import { judge } from './judge';
import { passesOf } from './passes';
import { stepsOf } from './work';
import { wholeKit, workedOut } from './worked.fixture';

const passes = (
  id: string,
  variant: string,
  kit = wholeKit,
  more: Parameters<typeof workOn>[2] = {},
) => {
  const finish = finishById(id)!;
  return passesOf(finish, workOn(finish, variant, more), kit, finishById);
};

test.each([
  ['single-hem', 'overcast', 'raw-edge', 'overcast', 'lockstitch'],
  ['single-hem', 'serged', 'raw-edge', 'serged', 'overlocker'],
  ['blind-hem', 'flat', 'raw-edge', 'overcast', 'lockstitch'],
  ['french-seam', 'plain', 'first', 'plain-seam', 'lockstitch'],
  ['kept-hem', 'seams', 'tuck-edge', 'overcast', 'lockstitch'],
  ['bound', 'double-fold', 'first', 'plain-seam', 'lockstitch'],
])('%s, %s has a pass %s: %s on its own machine', (id, variant, passId, finish, machine) => {
  const [pass] = passes(id, variant);
  expect(pass).toMatchObject({ id: passId, finish, machine: { specs: { kind: machine } } });
  // Solved by the same engine: its setting is judged like any other, and is worth sewing.
  const judged = judge(pass!.set!, pass!.sewn!.settings);
  expect(judged.blocked).toBe(false);
  expect(judged.chance).toBeCloseTo(pass!.chance!, 9);
  expect(judged.chance).toBeGreaterThan(0.5);
});

test('an enclosed edge has no pass before it, and a shallow tuck nothing to overcast', () => {
  expect(passes('blind-hem', 'enclosed')).toEqual([]);
  const finish = finishById('kept-hem')!;
  const request = { ...workOn(finish, 'seams'), wish: { variant: 'seams', shortenMm: 20 } };
  expect(passesOf(finish, request, wholeKit, finishById)).toEqual([]);
});

test('a pass that nothing in the kit sews says so, and is not left out', () => {
  const [pass] = passes('single-hem', 'serged', {
    machines: wholeKit.machines.filter(({ id }) => id === 'lockstitch'),
    feet: wholeKit.feet,
  });
  expect(pass).toMatchObject({ id: 'raw-edge', machine: null, sewn: null, chance: null });
});

test('an overlocker’s pass has its differential, by the stretch of the cloth', () => {
  const { cloth } = workOn(finishById('single-hem')!, 'serged');
  const knit = { ...cloth, construction: 'knit' as const, stretchPercent: 40 };
  const [pass] = passes('single-hem', 'serged', wholeKit, { cloth: knit });
  expect(pass!.values.find(({ id }) => id === 'differential')?.value).toBe(1.4);
});

test('its step names its own dials, and they are others than the line’s', () => {
  const finish = finishById('single-hem')!;
  const { work } = workedOut(finish, 'overcast')!;
  const step = stepsOf(finish, work).find(({ id }) => id === 'raw-edge')!;
  const { sewn } = work.passes!['raw-edge']!;
  expect(step.values).toMatchObject({
    widthMm: sewn!.settings.widthMm,
    lengthMm: sewn!.settings.lengthMm,
    foot: sewn!.footName,
  });
  expect(sewn!.settings.lengthMm).not.toBe(work.sewn!.settings.lengthMm);
});
