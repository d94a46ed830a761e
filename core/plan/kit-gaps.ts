import type { Fact, Finish, KitNeed } from '../finish/finish';
import type { FoldWish } from '../finish/fold-request';
import { misfitOf, type Holder } from '../kit/foot-fit';
import type { Foot } from '../kit/foot';
import type { FootKind } from '../kit/foot-kind';
import type { MachineKind } from '../kit/machine';
import type { Shank } from '../kit/shank';

/** What a kit holds, as far as choosing a finish needs to know. */
export interface Kit {
  readonly machines: readonly Holder[];
  readonly feet: readonly KitFoot[];
}

interface KitFoot {
  readonly kind: FootKind;
  readonly channelMm?: number | null | undefined;
  readonly specs?: Pick<Foot, 'shank'> | undefined;
}

/** Something a finish needs and the kit does not hold. */
export type KitGap =
  | { readonly about: 'machine'; readonly anyOf: readonly MachineKind[] }
  | { readonly about: 'foot'; readonly anyOf: readonly FootKind[] }
  | {
      readonly about: 'shank';
      readonly anyOf: readonly FootKind[];
      /** What the machines take. */
      readonly shanks: readonly Shank[];
    }
  | { readonly about: 'channel'; readonly channelMm: number }
  | { readonly about: 'width'; readonly widthMm: number };

const scrolls: readonly FootKind[] = ['hemmer', 'wide-hemmer'];

/** A scroll has one size: it must be that of the fold. */
function scrollGap({ feet }: Kit, need: KitNeed, wish: FoldWish): KitGap[] {
  const kind = need.feet.find((foot) => scrolls.includes(foot));
  const wanted = kind === 'hemmer' ? wish.channelMm : wish.depthMm;
  if (!kind || need.feet.length > 1 || wanted === null || wanted === undefined) return [];
  const sizes = feet.filter((foot) => foot.kind === kind).map(({ channelMm }) => channelMm);
  if (sizes.length === 0 || sizes.some((size) => Math.abs((size ?? wanted) - wanted) < 0.26)) {
    return [];
  }
  return kind === 'hemmer'
    ? [{ about: 'channel', channelMm: wanted }]
    : [{ about: 'width', widthMm: wanted }];
}

/** What is missing from a kit to sew a variant; empty when it can be sewn. */
export function kitGaps(finish: Finish, wish: FoldWish, kit: Kit): KitGap[] {
  const need = finish.needs(wish.variant);
  const gaps: KitGap[] = [];
  const { machineKinds, feet } = need;
  if (machineKinds.length > 0 && !kit.machines.some(({ kind }) => machineKinds.includes(kind))) {
    gaps.push({ about: 'machine', anyOf: machineKinds });
  }
  const also = need.alsoMachineKinds ?? [];
  if (also.length > 0 && !kit.machines.some(({ kind }) => also.includes(kind))) {
    gaps.push({ about: 'machine', anyOf: also });
  }
  const there = kit.feet.filter(({ kind }) => feet.includes(kind));
  if (feet.length > 0 && there.length === 0) gaps.push({ about: 'foot', anyOf: feet });
  const holders = kit.machines.filter(({ kind }) => machineKinds.includes(kind));
  const goesOn = (foot: KitFoot) =>
    holders.some((holder) => !misfitOf(holder, { kind: foot.kind, shank: foot.specs?.shank }));
  if (there.length > 0 && holders.length > 0 && !there.some(goesOn)) {
    const shanks = [...new Set(holders.flatMap((holder) => holder.shanks ?? []))];
    gaps.push({ about: 'shank', anyOf: feet, shanks });
  }
  return [...gaps, ...scrollGap(kit, need, wish)];
}

/** A thing to take besides machine and foot; null when there is none. */
export function besidesOf(finish: Finish, variant: string): Fact | null {
  return finish.needs(variant).besides ?? null;
}
