import type { CautionId, WorkStep } from '../../core/finish/work';
import type { Lengths } from '../app/lengths';
import { fill } from './fill';
import { footKindNames, machineKindNames } from './kit';

const cautions: Readonly<Record<CautionId, string>> = {
  'power-off': 'Power off before changing foot, needle, plate or knife.',
  needle: 'Glasses on; never sew over pins.',
  handwheel: 'First stitches by handwheel, always toward you.',
  pins: 'Pins out equals pins in.',
  cutter: 'Rotary cutter closed whenever it is down.',
  knife: 'The knife cuts fingers and folds alike; look before each start.',
  iron: 'Mind steam, and synthetic cloth under a hot iron.',
  starch: 'Let starch dry before ironing.',
  shine: 'Press through a cloth where the iron leaves a shine.',
  'loose-trim': 'For babies and small children: nothing that pulls off.',
  cords: 'For children: no long cords at neck or hood.',
  sleepwear: 'Nightwear and bedding have local safety rules; follow those.',
};

/** A step of the work in words. */
export function stepInWords(step: WorkStep, lengths: Lengths): string {
  return fill(step.text, step.values, lengths);
}

/** A caution in words. */
export function cautionInWords(id: CautionId): string {
  return cautions[id];
}

/** Where a step is done, in a word or two. */
export function placeInWords({ at }: WorkStep): string {
  if (at === 'table') return 'at the table';
  if (at === 'iron') return 'at the iron';
  if (at === 'hand') return 'by hand';
  const machine = machineKindNames[at.machine];
  return at.foot === null ? `on the ${machine}` : `on the ${machine}, ${footKindNames[at.foot]}`;
}
