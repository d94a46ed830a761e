import type { Fact } from '../finish/fact';
import type { KitGap } from '../plan/kit-gaps';

/** A fact as a sentence in millimetres, for those who have no unit of their own: scripts. */
export function plainText({ text = '', about, values }: Fact): string {
  if (text === '') return about;
  return text.replace(/\{(\w+)(:fine)?\}/g, (_, name: string) => {
    const value = values[name];
    if (typeof value !== 'number') return String(value ?? '');
    const rounded = String(Math.round(value * 100) / 100);
    return name.endsWith('Mm') ? `${rounded} mm` : rounded;
  });
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
