import type { CautionId } from './work';

/** What can hurt or spoil, and how it does not. */
export const cautionSentences: Readonly<Record<CautionId, string>> = {
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
