import type { FootKind } from './foot-kind';

/** A foot that could press what an attachment folds. */
interface Presser {
  readonly kind: FootKind;
  readonly soleMm: { readonly widthMm: number; readonly toeMm: number };
}

/** What speaks against a foot behind an attachment. */
export type PresserTrouble = 'no-presser' | 'too-narrow' | 'too-long';

/** Feet that hold a strip flat from side to side. */
const pressers: readonly FootKind[] = ['straight', 'clear', 'zigzag', 'edge-guide', 'walking'];

/** Tighter curves want a foot that ends soon before the needle, mm. Starting guesses. */
const tightMm = 100;
const shortToeMm = 12;

/**
 * What speaks against a presser foot beside an attachment: it is made for something else; it does
 * not hold the whole strip, from the stitch to the outer fold; on a tight curve it reaches too far
 * before the needle. Source: craft practice, docs/formulas.md “Ways of attaching”.
 *
 * @param outsideNeedleMm from the needle to the outer fold of the binding, mm
 * @param radiusMm the tightest curve; null for a straight edge
 */
export function presserTroubles(
  { kind, soleMm }: Presser,
  outsideNeedleMm: number,
  radiusMm: number | null,
): PresserTrouble[] {
  return [
    ...(pressers.includes(kind) ? [] : (['no-presser'] as const)),
    ...(soleMm.widthMm / 2 < outsideNeedleMm ? (['too-narrow'] as const) : []),
    ...(radiusMm !== null && radiusMm < tightMm && soleMm.toeMm > shortToeMm
      ? (['too-long'] as const)
      : []),
  ];
}

/** The foot of a drawer that least speaks against; of equal ones the shortest. Null in an empty one. */
export function bestPresser<T extends Presser>(
  feet: readonly T[],
  outsideNeedleMm: number,
  radiusMm: number | null,
): T | null {
  const troubles = (foot: T) => presserTroubles(foot, outsideNeedleMm, radiusMm);
  const able = feet.filter((foot) => !troubles(foot).includes('no-presser'));
  const [best] = [...able].sort(
    (a, b) => troubles(a).length - troubles(b).length || a.soleMm.toeMm - b.soleMm.toeMm,
  );
  return best ?? null;
}
