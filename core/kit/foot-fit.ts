import { needleAirMm } from '../stitch/clearance';
import { openingsOf, type Foot } from './foot';
import type { FootKind } from './foot-kind';
import type { Machine, MachineKind } from './machine';
import { needleRadiusMm } from './needle';
import type { Shank } from './shank';

/** What of a machine decides whether a foot goes on. */
export type Holder = Pick<Machine, 'kind' | 'shanks'>;
/** What of a foot decides where it goes. */
export interface Held {
  readonly kind: FootKind;
  readonly shank?: Shank | null | undefined;
}

/** Feet that a machine of loopers takes beside its own. */
const besideOwn: Readonly<Partial<Record<MachineKind, readonly FootKind[]>>> = {
  overlocker: [],
  coverstitch: ['binder-attachment'],
};

/** Why a foot does not go on: the machine keeps its own, or the bar is another. */
export type Misfit =
  | { readonly about: 'own-foot'; readonly machine: MachineKind }
  | { readonly about: 'shank'; readonly foot: Shank; readonly machine: readonly Shank[] };

/**
 * Whether a foot goes on a machine; null when it does. What nobody wrote down is no hindrance.
 * A clipped foot goes on wherever an ankle for it does.
 */
export function misfitOf(machine: Holder, foot: Held): Misfit | null {
  const allowed = besideOwn[machine.kind];
  if (allowed && !allowed.includes(foot.kind)) return { about: 'own-foot', machine: machine.kind };
  const taken = machine.shanks ?? [];
  if (!foot.shank || taken.length === 0 || taken.includes(foot.shank)) return null;
  return { about: 'shank', foot: foot.shank, machine: taken };
}

/**
 * The widest swing, centred, that a foot's slot and the machine leave the needle, mm.
 *
 * @param needleSize in hundredths of a millimetre
 */
export function swingRoomMm(
  machine: Pick<Machine, 'maxWidthMm' | 'plateHoleMm'>,
  foot: Pick<Foot, 'slotMm' | 'besideMm'>,
  needleSize: number,
): number {
  const kept = needleRadiusMm(needleSize) + needleAirMm;
  const plate = machine.plateHoleMm ?? [-Infinity, Infinity];
  const halves = openingsOf(foot).map(
    ([left, right]) => Math.min(-left, right, -plate[0], plate[1]) - kept,
  );
  return Math.max(0, Math.min(machine.maxWidthMm, 2 * Math.max(...halves)));
}
