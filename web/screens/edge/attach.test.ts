import { finishById } from '../../../core/finish/catalogue';
import type { FootRecord } from '../../../contract/records';
import { newAttachment, newFoot } from '../kit/new-things';
import { attachedWay, attachingOf } from './attach';

const finish = finishById('bound')!;
type Plan = Parameters<typeof attachedWay>[0];
const variant = 'double-fold';
const record = {
  fold: { variant, depthMm: 6, statedStripMm: 26 },
  footId: 'plain',
  attachmentId: null,
} as unknown as Plan['record'];
const edge = { minRadiusMm: null } as unknown as Plan['edge'];
const plan: Plan = { record, edge, finish };

const kept = (id: string, more: Partial<FootRecord>): FootRecord => ({
  ...newFoot,
  ...{ id, version: 1, createdAt: '', updatedAt: '' },
  ...more,
});
const plain = kept('plain', { kind: 'straight' });
const binder = kept('binder', { kind: 'binder', stripMm: 30 });
const attachment = kept('attachment', { ...newAttachment, stripMm: 44 });
const other = kept('other', { ...newAttachment, stripMm: 52 });
const feet = [plain, binder, attachment, other];

const wayWith = (attaches: string | undefined) =>
  attachingOf(finish, variant)!.ways.find((way) => way.attaches === attaches)!.id;

test('only a finish that is given a strip asks how it is led', () => {
  expect(attachingOf(finish, variant)).toBeDefined();
  expect(attachingOf(finishById('blind-hem')!, 'flat')).toBeUndefined();
});

test('an attachment comes before a foot that presses, with the strip it asks for; where it stands is asked anew', () => {
  expect(attachedWay(plan, wayWith('binder-attachment'), feet)).toEqual({
    ...{ placing: null, settings: null, reference: null },
    ...{ attachmentId: 'attachment', footId: 'plain' },
    fold: { variant, depthMm: 6, statedStripMm: 44 },
  });
  const chosen = attachedWay(plan, wayWith('binder-attachment'), feet, 'other');
  expect(chosen).toMatchObject({ attachmentId: 'other', fold: { statedStripMm: 52 } });
  // A drawer without one, and one that was taken out meanwhile, change nothing.
  expect(attachedWay(plan, wayWith('binder-attachment'), [plain, binder])).toEqual({});
  expect(attachedWay(plan, wayWith('binder-attachment'), feet, 'gone')).toEqual({});
});

test('a binder foot takes the place of the foot; by hand it goes, and its strip with it', () => {
  expect(attachedWay(plan, wayWith('binder'), feet)).toMatchObject({
    ...{ attachmentId: null, footId: 'binder' },
    fold: { statedStripMm: 30 },
  });
  const bound = { ...plan, record: { ...record, footId: 'binder' } };
  expect(attachedWay(bound, wayWith(undefined), feet)).toMatchObject({
    ...{ attachmentId: null, footId: 'plain' },
    fold: { statedStripMm: null },
  });
  // A strip that is as it should be is left alone.
  const same = { ...plan, record: { ...record, fold: { ...record.fold, statedStripMm: 30 } } };
  expect(attachedWay(same, wayWith('binder'), feet)).not.toHaveProperty('fold');
});

test('where no foot presses, the plan keeps the one it has', () => {
  const bound = { ...plan, record: { ...record, footId: 'binder' } };
  expect(attachedWay(bound, wayWith(undefined), [binder])).toMatchObject({ footId: 'binder' });
});
