import type { Finish } from '../finish/finish';
import type { SewingPlan } from '../finish/sewing-plan';
import type { DriftSource } from '../margin/check';
import { placedShiftSdMm, plainPrior, type Prior } from '../margin/prior';
import { ruleSpreads } from './set-up-of';

/** What was learned elsewhere about the drift of one source. */
export interface CarriedSource {
  /** The offset of this foot on this machine; null where that is not known. */
  readonly shift: { readonly mm: number; readonly sdMm: number } | null;
  /** How steady the hand is against the rule; null where that is not known. */
  readonly skill: { readonly factor: number; readonly logSd: number } | null;
}

/** What a set-up starts with besides the rule, by source. */
export type Carried = Partial<Readonly<Record<DriftSource, CarriedSource>>>;

/** What is believed of each source of a set-up before any sample of its own. */
export function priorsOf(
  finish: Finish,
  plan: SewingPlan,
  carried: Carried,
): Partial<Record<DriftSource, Prior>> {
  return Object.fromEntries(
    Object.entries(ruleSpreads(finish, plan)).map(([source, sigmaMm]): [string, Prior] => {
      // What folds a strip is screwed on by eye: its place has an offset of its own.
      const placed = plan.binder && source === 'guide';
      const plain = plainPrior(sigmaMm, placed ? placedShiftSdMm : undefined);
      const { shift = null, skill = null } = carried[source as DriftSource] ?? {};
      return [
        source,
        {
          ...plain,
          shiftMm: shift?.mm ?? plain.shiftMm,
          shiftSdMm: shift?.sdMm ?? plain.shiftSdMm,
          sigmaMm: sigmaMm * (skill?.factor ?? 1),
          logSigmaSd: skill?.logSd ?? plain.logSigmaSd,
        },
      ];
    }),
  );
}
