import type { FinishMargin } from '../../../core/finish/finish-margin';
import type { Check } from '../../../core/margin/check';
import { countedHoles } from '../../../core/stitch/counted-holes';
import type { SetUpPart } from '../../bench/bench';

/** What of a bench a photo is counted by. */
export interface MarginPart extends Pick<SetUpPart, 'finish' | 'plan'> {
  readonly margin: FinishMargin;
  /** The check whose stitches are counted. */
  readonly judgedBy: Check;
}

/**
 * What a photo of this scrap is counted by; null where no bite goes into a fold, which is what the
 * eye can count so far.
 */
export function countedByPhoto(
  { finish, plan, margin }: Pick<SetUpPart, 'finish' | 'plan' | 'margin'>,
  counted: Check | undefined,
): MarginPart | null {
  if (!margin || !counted) return null;
  const isBite = countedHoles(plan.stitch).some(({ role }) => role === 'bite');
  return isBite ? { finish, plan, margin, judgedBy: counted } : null;
}
