import { footDraft, machineDraft, needleDraft, threadDraft } from '../../../contract/kit';
import { newAttachment, newFoot, newMachine, newNeedle, newThread } from './new-things';

test.each([
  ['machine', machineDraft, newMachine],
  ['foot', footDraft, newFoot],
  ['attachment', footDraft, newAttachment],
  ['needle', needleDraft, newNeedle],
  ['thread', threadDraft, newThread],
])('a new %s can be kept before anything of it was measured', (_, schema, draft) => {
  const { success, error } = schema.safeParse(draft);
  expect(error?.issues).toBeUndefined();
  expect(success).toBe(true);
});
