import fc from 'fast-check';
import { genericCloths } from '../../../core/cloth/generic-cloths';
import { clothDraft } from '../../../contract/cloth';
import { likeDraft } from './like-draft';
import { plainKinds } from './plain-kinds';
import { saysAll } from './says-all';

test('every word counts, in whatever order, case and accents it is typed', () => {
  expect(saysAll('Wool flannel, slate', 'slate WOOL')).toBe(true);
  expect(saysAll('Wool flannel, slate', 'wool-flannel')).toBe(true);
  expect(saysAll('Wool flannel, slate', 'wool silk')).toBe(false);
  expect([saysAll('Voile crêpe', 'crepe'), saysAll('Voile crepe', 'CRÊPE')]).toEqual([true, true]);
  expect(saysAll('anything', '  ,- ')).toBe(true);
});

test('whatever part of its name is typed, a plain kind is among what is found', () => {
  fc.assert(
    fc.property(
      fc.constantFrom(...genericCloths),
      fc.array(fc.nat(20), { maxLength: 3 }),
      (cloth, picks) => {
        const words = cloth.name.split(' ');
        const typed = picks.map((pick) => words[pick % words.length]).join(' ');
        expect(plainKinds(typed)).toContain(cloth);
      },
    ),
  );
  expect(plainKinds('')).toEqual(genericCloths);
  expect(plainKinds('there is no such cloth')).toEqual([]);
});

test('every plain kind can be put on the shelf as it is', () => {
  for (const cloth of genericCloths) {
    const { success, error } = clothDraft.safeParse(likeDraft(cloth));
    expect([cloth.id, success, error?.issues]).toEqual([cloth.id, true, undefined]);
  }
});
