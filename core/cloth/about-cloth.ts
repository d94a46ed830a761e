/** What a cloth is spun from; a blend goes by what there is most of. */
export const fibres = [
  'cotton',
  'linen',
  'wool',
  'silk',
  'viscose',
  'polyester',
  'polyamide',
  'acrylic',
  'blend',
  'other',
] as const;
export type Fibre = (typeof fibres)[number];

/** Whether both faces may be shown, or one is the good one. */
export const faces = ['alike', 'one'] as const;
export type Face = (typeof faces)[number];

/** Whether pile or print run one way, so that all pieces are cut in one direction. */
export const naps = ['none', 'one-way'] as const;
export type Nap = (typeof naps)[number];

/** What the iron did on a hidden corner: nobody tried, no shine, or a shine. */
export const shines = ['untested', 'none', 'shines'] as const;
export type Shine = (typeof shines)[number];
