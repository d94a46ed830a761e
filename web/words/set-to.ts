import { dialField } from '../../core/kit/dial-steps';
import type { UsualId } from '../../core/kit/put-back';
import type { Pattern } from '../../core/stitch/stitch';
import type { Lengths } from '../../core/measure/lengths';
import { dialName } from './dials';
import { patternNames } from './stitches';
import { codeInWords } from './value-codes';

export const usualNames: Readonly<Record<UsualId, string>> = {
  pressure: 'Presser pressure',
  tension: 'Upper tension',
  lift: 'Lift while sewing',
  differential: 'Differential',
  'needle-position': 'Needle position',
  plate: 'Plate',
  hover: 'Hover',
  'cutting-width': 'Cutting width',
  loopers: 'Loopers',
};

/** Lengths among what is set beside the dials. */
const lengthIds = ['lift', 'needle-position', 'cutting-width', ...Object.keys(dialField)];

/** What something on a machine is called. */
export function settingName(id: string): string {
  if (id === 'foot') return 'Foot';
  if (id === 'pattern') return 'Stitch';
  if (id in dialField) return dialName(id as keyof typeof dialField, 'edge');
  return usualNames[id as UsualId] ?? id.replace(/-/g, ' ');
}

/** What it is set to, in the person's unit. */
export function setToInWords(
  id: string,
  value: number | string | null,
  { fine }: Pick<Lengths, 'fine'>,
): string {
  if (value === null) return 'not known';
  if (id === 'pattern') return patternNames[value as Pattern] ?? String(value);
  if (typeof value === 'string') return codeInWords(id, value);
  if (id === 'needle-position' && value === 0) return 'centre';
  return lengthIds.includes(id) ? fine(value) : String(Math.round(value * 100) / 100);
}
