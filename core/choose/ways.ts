import type { Cloth } from '../cloth/cloth';
import type { Finish } from '../finish/finish';
import { schoolsFor } from '../plan/work';
import { passGaps, type Kit } from '../plan/kit-gaps';

/**
 * The ways a finish would be worked here: of each question practitioners differ on, the first
 * answer that the cloth and the kit allow; the very first where none does.
 */
export function workableWays(
  finish: Finish,
  variant: string,
  cloth: Cloth,
  kit: Kit,
): Record<string, string> {
  return Object.fromEntries(
    schoolsFor(finish, variant).map(({ id, ways }) => {
      const can = ways.filter(
        ({ needs, suits }) =>
          (suits?.(cloth) ?? true) && (!needs || passGaps(needs, kit).length === 0),
      );
      const best = can.find(({ sparesWork }) => sparesWork) ?? can[0];
      return [id, (best ?? ways[0])?.id ?? ''];
    }),
  );
}
