import type { FootDraft, MachineDraft, NeedleDraft, ThreadDraft } from '../../../contract/kit';

/** A machine as it is before anyone read its dials. */
export const newMachine: MachineDraft = {
  name: 'New machine',
  specs: {
    kind: 'lockstitch',
    maxWidthMm: 5,
    widthStepMm: 0.5,
    maxLengthMm: 4,
    lengthStepMm: 0.5,
    needleRangeMm: [-2.5, 2.5],
    needleStepMm: 0.5,
    plateHoleMm: null,
  },
  note: '',
  usual: {},
  memory: [],
};

/** A foot as it is before anyone laid a ruler on it. */
export const newFoot: FootDraft = {
  name: 'New foot',
  kind: 'blind',
  channelMm: null,
  mouthMm: null,
  stripMm: null,
  flangeMm: null,
  specs: { slotMm: [-3.5, 3.5], guidance: 'blade', guide: { atMm: 0 } },
  soleMm: { widthMm: 18, toeMm: 12, heelMm: 14 },
  note: '',
};

export const newAttachment: FootDraft = {
  ...newFoot,
  name: 'New binder attachment',
  kind: 'binder-attachment',
  mouthMm: 44,
  stripMm: 40,
  specs: { slotMm: [-3, 3], guidance: 'edge', guide: { atMm: 2 } },
  soleMm: { widthMm: 18, toeMm: 12, heelMm: 14, standOffMm: 12 },
};

export const newNeedle: NeedleDraft = {
  name: 'New needles',
  size: 80,
  point: 'universal',
  left: 5,
  note: '',
};

export const newThread: ThreadDraft = {
  name: 'New thread',
  use: 'all-purpose',
  fibre: 'polyester',
  tex: 30,
  colour: '',
  note: '',
};
