import type { Fact } from '../fact';
import { plainFill } from '../plain-fill';
import type { KitGap } from '../plan/kit-gaps';

/** A fact as a sentence in millimetres, for those who have no unit of their own: scripts. */
export function plainText({ text = '', about, values }: Fact): string {
  return text === '' ? about : plainFill(text, values);
}

/** What would have to be in the kit, in plain words. */
export function plainNeed(need: Fact | KitGap): string {
  if ('values' in need) return plainText(need);
  switch (need.about) {
    case 'machine':
    case 'foot':
      return `a ${need.about}: ${need.anyOf.join(' or ')}`;
    case 'stitch':
      return `a machine that sews ${need.anyOf.join(' or ')}`;
    case 'shank':
      return `a ${need.anyOf.join(' or ')} foot held by ${need.shanks.join(' or ')}`;
    case 'channel':
      return `a hemmer foot of ${need.channelMm} mm`;
    case 'width':
      return `a wide hemmer of ${need.widthMm} mm`;
  }
}
