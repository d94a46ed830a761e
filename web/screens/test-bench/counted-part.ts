import { seenOn } from '../../../core/eye/seen-on';
import { isMeasurable } from '../../../core/eye/seen';
import type { FinishMargin } from '../../../core/finish/finish-margin';
import type { DialSettings } from '../../../core/kit/dial-steps';
import type { Check } from '../../../core/margin/check';
import type { SetUpPart } from '../../bench/bench';

/** What of a bench a photo is counted by. */
export interface MarginPart extends Pick<SetUpPart, 'finish' | 'plan'> {
  readonly margin: FinishMargin;
  /** The check whose stitches are counted. */
  readonly judgedBy: Check;
}

/** What a photo of this scrap is counted by; null where the eye can’t count such stitches. */
export function countedByPhoto(
  { finish, plan, margin }: Pick<SetUpPart, 'finish' | 'plan' | 'margin'>,
  counted: Check | undefined,
  sewn: DialSettings,
): MarginPart | null {
  if (!margin || !counted || !isMeasurable(seenOn('wrong', margin, plan, sewn))) return null;
  return { finish, plan, margin, judgedBy: counted };
}
