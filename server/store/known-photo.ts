import { Impossible } from '../../core/impossible';
import type { Change } from './change';

/** @throws Impossible at a photo that was never sent */
export async function refuseUnknownPhoto(
  change: Change,
  id: string | null,
  path: string,
): Promise<void> {
  if (id === null || (await change.hasPhoto(id))) return;
  throw new Impossible([{ path, message: 'There is no photo with this id.' }]);
}
