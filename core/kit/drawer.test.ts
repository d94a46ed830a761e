import fc from 'fast-check';
import { footDraft } from '../../contract/kit';
import { misfitOf, swingRoomMm } from './foot-fit';
import { openingsOf } from './foot';
import { footKinds } from './foot-kind';
import { genericFeet } from './generic-feet';
import { machineKinds } from './machine';
import { shanks } from './shank';

describe('the plain feet', () => {
  test('are twenty, each once', () => {
    expect(genericFeet).toHaveLength(20);
    expect(new Set(genericFeet.map(({ id }) => id)).size).toBe(20);
  });
  test.each(genericFeet)('$name can be put into the drawer', ({ id: _id, ...foot }) => {
    expect(footDraft.parse({ ...foot, note: '' })).toMatchObject({ name: foot.name });
    // The needle passes where it stands.
    const passes = openingsOf(foot.specs).some(([left, right]) => left < 0 && right > 0);
    expect(passes).toBe(true);
    if (foot.stripMm !== null) expect(foot.mouthMm).toBeGreaterThan(foot.stripMm);
  });
});

describe('which foot goes on which machine', () => {
  test.each([
    ['lockstitch', ['low'], 'zigzag', 'low', null],
    ['lockstitch', ['low'], 'zigzag', 'high', 'shank'],
    ['lockstitch', ['low', 'clip-on'], 'blind', 'clip-on', null],
    ['lockstitch', null, 'blind', 'high', null],
    ['lockstitch', ['low'], 'blind', null, null],
    ['straight-stitch', ['high'], 'straight', 'low', 'shank'],
    ['overlocker', null, 'zigzag', null, 'own-foot'],
    ['coverstitch', null, 'zigzag', null, 'own-foot'],
    ['coverstitch', null, 'binder-attachment', null, null],
  ] as const)('%s that takes %j, %s foot held by %s: %s', (kind, taken, foot, shank, about) => {
    expect(misfitOf({ kind, shanks: taken }, { kind: foot, shank })?.about ?? null).toBe(about);
  });

  test('a bar more never keeps a foot off', () => {
    const some = fc.subarray([...shanks], { minLength: 1 });
    fc.assert(
      fc.property(
        fc.constantFrom(...machineKinds),
        some,
        fc.constantFrom(...footKinds),
        fc.constantFrom(...shanks),
        (kind, taken, foot, shank) => {
          if (misfitOf({ kind, shanks: taken }, { kind: foot, shank })) return;
          expect(misfitOf({ kind, shanks: [...taken, 'low'] }, { kind: foot, shank })).toBeNull();
        },
      ),
    );
  });

  test('the room to swing is what foot, plate and machine leave, each side alike', () => {
    const machine = { maxWidthMm: 7, plateHoleMm: [-4.5, 4.5] } as const;
    // 4.5 less a radius of 0.4 and 0.3 of air, twice, is 7.6: the machine's 7 decides.
    expect(swingRoomMm(machine, { slotMm: [-4.5, 4.5] }, 80)).toBe(7);
    expect(swingRoomMm(machine, { slotMm: [-2, 3] }, 80)).toBeCloseTo(2.6, 9);
    expect(swingRoomMm({ ...machine, plateHoleMm: [-1, 1] }, { slotMm: [-2, 3] }, 80)).toBeCloseTo(
      0.6,
      9,
    );
    expect(swingRoomMm(machine, { slotMm: [-0.5, 0.5] }, 100)).toBe(0);
  });
});
