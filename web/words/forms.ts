import type { EdgeForm } from '../../core/edge/form';
import type { EdgeThing } from '../../core/edge/things';

/** How an edge can be measured, as one says it. */
export const formNames: Readonly<Record<EdgeForm['kind'] | 'none', string>> = {
  none: 'its length alone',
  slant: 'a leg with a slanting hem',
  taper: 'a leg or sleeve that tapers',
  flare: 'a part of a circle',
  curved: 'curves along it',
  cornered: 'sides and corners',
};

/** What an edge can be on. */
export const thingNames: Readonly<Record<EdgeThing, string>> = {
  'trouser-leg': 'trouser leg',
  'tapering-leg': 'tapering leg',
  'jeans-leg': 'jeans leg',
  sleeve: 'sleeve',
  skirt: 'skirt',
  'circle-skirt': 'circle skirt',
  neck: 'neck',
  armhole: 'armhole',
  'shirt-tail': 'shirt tail',
  scarf: 'scarf',
  napkin: 'napkin',
  blanket: 'blanket',
  curtain: 'curtain',
  tote: 'tote',
  'seam-allowance': 'seam allowance',
  seam: 'seam',
  other: 'something else',
};
