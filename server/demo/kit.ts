import type * as z from 'zod';
import {
  foot as footSpecs,
  footDraft,
  machineDraft,
  needleDraft,
  threadDraft,
} from '../../contract/kit';
import { genericFeet } from '../../core/kit/generic-feet';
import { parsed } from './parsed';

/** The demo's machines. */
export const machines = parsed(machineDraft, {
  'machine-home': {
    name: 'Home machine, 7 mm wide',
    specs: {
      kind: 'lockstitch',
      maxWidthMm: 7,
      widthStepMm: 0.5,
      maxLengthMm: 5,
      lengthStepMm: 0.1,
      needleRangeMm: [-3.5, 3.5],
      needleStepMm: 0.5,
      plateHoleMm: [-4.5, 4.5],
      shanks: ['low', 'clip-on'],
    },
    note: '',
  },
  'machine-fine': {
    name: 'Fine-step machine, 9 mm wide',
    specs: {
      kind: 'lockstitch',
      maxWidthMm: 9,
      widthStepMm: 0.1,
      maxLengthMm: 6,
      lengthStepMm: 0.1,
      needleRangeMm: [-4.5, 4.5],
      needleStepMm: 0.1,
      plateHoleMm: [-5.5, 5.5],
      shanks: ['high', 'clip-on'],
    },
    note: '',
  },
  'machine-overlocker': {
    name: 'Overlocker, four threads',
    specs: {
      kind: 'overlocker',
      maxWidthMm: 7,
      widthStepMm: 0.5,
      maxLengthMm: 4,
      lengthStepMm: 0.1,
      needleRangeMm: [0, 0],
      needleStepMm: 0.5,
      plateHoleMm: null,
    },
    note: '',
  },
});

/** What a plain foot of the drawer is like, as such feet are. */
function plainSpecs(id: string): z.input<typeof footSpecs> {
  const foot = genericFeet.find((one) => one.id === id);
  if (!foot) throw new Error(`There is no plain foot ${id}.`);
  // A copy, since what is read by a schema may be written to.
  return structuredClone(foot.specs) as z.input<typeof footSpecs>;
}

/** The demo's drawer of feet. */
export const feet = parsed(footDraft, {
  'foot-blind-fixed': {
    name: 'Blind foot, fixed blade',
    kind: 'blind',
    channelMm: null,
    specs: { slotMm: [-4.5, 4.5], guidance: 'blade', guide: { atMm: -1 } },
    soleMm: { widthMm: 20, toeMm: 14, heelMm: 16 },
    note: '',
  },
  'foot-blind-screw': {
    name: 'Blind foot, blade on a screw',
    kind: 'blind',
    channelMm: null,
    specs: {
      slotMm: [-4.5, 4.5],
      guidance: 'blade',
      guide: { rangeMm: [-3, 1], stepMm: 0.25 },
    },
    soleMm: { widthMm: 20, toeMm: 15, heelMm: 16 },
    note: 'A quarter turn of the screw is about 0.25 mm.',
  },
  'foot-zigzag': {
    name: 'Open zigzag foot',
    kind: 'zigzag',
    channelMm: null,
    specs: plainSpecs('zigzag-7'),
    soleMm: { widthMm: 18, toeMm: 12, heelMm: 14 },
    note: 'The fold follows a line scratched on the toe.',
  },
  'foot-narrow': {
    name: 'Narrow-slot foot, centre blade',
    kind: 'blind',
    channelMm: null,
    specs: { slotMm: [-2, 2], guidance: 'blade', guide: { atMm: 0 } },
    soleMm: { widthMm: 16, toeMm: 12, heelMm: 12 },
    note: 'Small slot: wide swings meet the foot.',
  },
  'foot-edge': {
    name: 'Edge-guide foot',
    kind: 'edge-guide',
    channelMm: null,
    specs: { slotMm: [-1.5, 1.5], guidance: 'bar', guide: { atMm: 2 } },
    soleMm: { widthMm: 19, toeMm: 13, heelMm: 14 },
    note: '',
  },
  'foot-overcast': {
    name: 'Overcasting foot with a flat bar',
    kind: 'overcasting',
    channelMm: null,
    specs: { slotMm: [-3.5, 3.5], guidance: 'bar', guide: { atMm: 2.5 } },
    soleMm: { widthMm: 20, toeMm: 12, heelMm: 14 },
    note: '',
  },
  'foot-hemmer': {
    name: 'Hemmer foot, narrow scroll',
    kind: 'hemmer',
    channelMm: 3,
    specs: { slotMm: [-3, 3], guidance: 'edge', guide: { atMm: 0 } },
    soleMm: { widthMm: 18, toeMm: 16, heelMm: 14 },
    note: '',
  },
  'attachment-binder': {
    name: 'Binder attachment, narrow',
    kind: 'binder-attachment',
    channelMm: null,
    mouthMm: 44,
    stripMm: 40,
    specs: {
      ...{ slotMm: [-3, 3], guidance: 'edge', shank: 'low' },
      guide: { rangeMm: [-8, 2], stepMm: 0.5 },
    },
    soleMm: { widthMm: 18, toeMm: 12, heelMm: 14, standOffMm: 12 },
    note: 'Screws to the bed; takes strips cut on the bias.',
  },
  'foot-straight': {
    name: 'Straight-stitch foot',
    kind: 'straight',
    channelMm: null,
    specs: plainSpecs('straight'),
    soleMm: { widthMm: 12, toeMm: 12, heelMm: 14 },
    note: '',
  },
  'foot-zipper': {
    name: 'Zipper foot',
    kind: 'zipper',
    channelMm: null,
    specs: plainSpecs('zipper'),
    soleMm: { widthMm: 5, toeMm: 12, heelMm: 14 },
    note: 'Sews on either side of itself; for the ridge of a kept hem.',
  },
});

/** The demo's needles. */
export const needles = parsed(needleDraft, {
  'needle-80': { name: 'Universal 80', size: 80, point: 'universal', left: 6, note: '' },
  'needle-70': { name: 'Sharp 70', size: 70, point: 'sharp', left: 3, note: '' },
  'needle-ball': { name: 'Ball point 80', size: 80, point: 'ball', left: 2, note: '' },
  'needle-100': { name: 'Denim 100', size: 100, point: 'denim', left: 0, note: 'All broken.' },
});

/** The demo's threads. */
export const threads = parsed(threadDraft, {
  'thread-grey': {
    name: 'All-purpose, moth grey',
    use: 'all-purpose',
    fibre: 'polyester',
    tex: 30,
    colour: 'grey',
    note: '',
  },
  'thread-top': {
    name: 'Topstitching, old gold',
    use: 'topstitching',
    fibre: 'polyester',
    tex: 80,
    colour: 'gold',
    note: '',
  },
  'thread-fluffy': {
    name: 'Fluffy looper thread, white',
    use: 'fluffy',
    fibre: 'polyamide',
    tex: 35,
    colour: 'white',
    note: '',
  },
});
