import { Impossible, refusal } from '../impossible';
import type { Finish } from '../finish/finish';
import type { FinishMargin } from '../finish/finish-margin';

/**
 * The part of a finish that its dials are solved by.
 *
 * @throws Impossible where a finish has starting values only
 */
export function marginOfPlan(finish: Finish, variant: string): FinishMargin {
  const margin = finish.margin(variant);
  if (margin) return margin;
  throw new Impossible([
    refusal(
      'finish',
      'no-margin',
      'The dials of {finish}, {variant}, are not solved for a margin; it has starting values only.',
      { finish: finish.id, variant },
    ),
  ]);
}
