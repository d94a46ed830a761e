import type { Fact } from '../fact';
import type { Finish } from '../finish/finish';
import type { FoldWish } from '../finish/fold-request';
import type { PassNeed } from '../finish/kit-need';
import { misfitOf, type Holder } from '../kit/foot-fit';
import type { Foot } from '../kit/foot';
import type { FootKind } from '../kit/foot-kind';
import { patternsOf, type Machine, type MachineKind } from '../kit/machine';
import type { Shank } from '../kit/shank';
import type { Pattern } from '../stitch/stitch';
import { schoolsFor } from './work';

/** What a kit holds, as far as choosing a finish needs to know. */
export interface Kit {
  readonly machines: readonly (Holder & Pick<Machine, 'patterns'>)[];
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
  | { readonly about: 'stitch'; readonly anyOf: readonly Pattern[] }
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
function scrollGap({ feet }: Kit, need: PassNeed, wish: FoldWish): KitGap[] {
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

/** What is missing from a kit for one pass of the work; empty when it can be sewn. */
export function passGaps({ machineKinds, patterns, feet }: PassNeed, kit: Kit): KitGap[] {
  if (machineKinds.length === 0) return [];
  const holders = kit.machines.filter(({ kind }) => machineKinds.includes(kind));
  const able = holders.filter(
    (machine) =>
      patterns.length === 0 || patternsOf(machine).some((pattern) => patterns.includes(pattern)),
  );
  const there = kit.feet.filter(({ kind }) => feet.includes(kind));
  const goesOn = (foot: KitFoot) =>
    able.some((holder) => !misfitOf(holder, { kind: foot.kind, shank: foot.specs?.shank }));
  const gaps: KitGap[] = [];
  if (holders.length === 0) gaps.push({ about: 'machine', anyOf: machineKinds });
  else if (able.length === 0) gaps.push({ about: 'stitch', anyOf: patterns });
  if (feet.length > 0 && there.length === 0) gaps.push({ about: 'foot', anyOf: feet });
  else if (there.length > 0 && able.length > 0 && !there.some(goesOn)) {
    const shanks = [...new Set(able.flatMap((holder) => holder.shanks ?? []))];
    gaps.push({ about: 'shank', anyOf: feet, shanks });
  }
  return gaps;
}

/** Every pass besides the one whose dials are solved, by the ways chosen. */
function otherPasses(
  finish: Finish,
  variant: string,
  schools: Readonly<Record<string, string>>,
): PassNeed[] {
  const asked = schoolsFor(finish, variant).flatMap(({ id, ways }) => {
    const way = ways.find((one) => one.id === schools[id]) ?? ways[0];
    return way?.needs ?? [];
  });
  return [...(finish.needs(variant).also ?? []), ...asked];
}

/**
 * What is missing from a kit to work a variant whole, every pass of it; empty when it can be.
 *
 * @param schools the ways chosen; the first of each when left out
 */
export function kitGaps(
  finish: Finish,
  wish: FoldWish,
  kit: Kit,
  schools: Readonly<Record<string, string>> = {},
): KitGap[] {
  const need = finish.needs(wish.variant);
  const all = [
    ...passGaps(need, kit),
    ...scrollGap(kit, need, wish),
    ...otherPasses(finish, wish.variant, schools).flatMap((pass) => passGaps(pass, kit)),
  ];
  // Two passes may lack the same thing.
  return [...new Map(all.map((gap) => [JSON.stringify(gap), gap])).values()];
}

/** A thing to take besides machine and foot; null when there is none. */
export function besidesOf(finish: Finish, variant: string): Fact | null {
  return finish.needs(variant).besides ?? null;
}
