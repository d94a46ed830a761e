import { misfitOf, type Held, type Holder } from './foot-fit';
import type { Foot } from './foot';
import type { MachineKind } from './machine';

/**
 * The foot that stays on a machine of loopers, with the marks on its plate. An overlocker's raw
 * edge rides so far from the needle as the folds say; a coverstitch hem's fold is led along a mark
 * at any place. Starting guesses.
 */
const own: Partial<Readonly<Record<MachineKind, Foot>>> = {
  overlocker: { slotMm: [-8, 8], guidance: 'mark', guide: { atMm: 0 } },
  coverstitch: { slotMm: [-8, 8], guidance: 'mark', guide: { rangeMm: [2, 80], stepMm: 0.5 } },
};

/** The foot that a machine keeps on; null where one changes it. */
export const ownFootOf = (kind: MachineKind): Foot | null => own[kind] ?? null;

/** The foot that is really under the needle: a machine of loopers keeps its own on. */
export function footUnder(machine: Holder, foot: Held & { readonly specs: Foot }): Foot {
  const stays = ownFootOf(machine.kind);
  return stays && misfitOf(machine, foot)?.about === 'own-foot' ? stays : foot.specs;
}
