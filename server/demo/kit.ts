import type { FootDraft, MachineDraft } from '../../contract/kit';

/** The demo's machines. */
export const machines: Record<string, MachineDraft> = {
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
};

/** The demo's drawer of feet. */
export const feet: Record<string, FootDraft> = {
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
    specs: { slotMm: [-4.5, 4.5], guidance: 'edge', guide: { atMm: -2 } },
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
  'foot-straight': {
    name: 'Straight-stitch foot',
    kind: 'straight',
    channelMm: null,
    specs: { slotMm: [-1, 1], guidance: 'edge', guide: { atMm: -3 } },
    soleMm: { widthMm: 12, toeMm: 12, heelMm: 14 },
    note: '',
  },
};
