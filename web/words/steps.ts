import { cautionSentences } from '../../core/finish/cautions';
import type { CautionId, WorkStep } from '../../core/finish/work';
import type { Lengths } from '../../core/measure/lengths';
import { fill } from '../../core/measure/fill';
import { footKindNames, machineKindNames } from './kit';

/** A step of the work in words. */
export function stepInWords(step: WorkStep, lengths: Lengths): string {
  return fill(step.text, step.values, lengths);
}

/** A caution in words. */
export function cautionInWords(id: CautionId): string {
  return cautionSentences[id];
}

/** Where a step is done, in a word or two. */
export function placeInWords({ at }: WorkStep): string {
  if (at === 'table') return 'at the table';
  if (at === 'iron') return 'at the iron';
  if (at === 'hand') return 'by hand';
  const machine = machineKindNames[at.machine];
  return at.foot === null ? `on the ${machine}` : `on the ${machine}, ${footKindNames[at.foot]}`;
}
