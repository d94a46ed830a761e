/** What a foot or attachment is made for. */
export const footKinds = [
  'zigzag',
  'clear',
  'straight',
  'blind',
  'overcasting',
  'tall-bar',
  'hemmer',
  'wide-hemmer',
  'edge-guide',
  'binder',
  'binder-attachment',
  'tacking-attachment',
  'zipper',
  'walking',
] as const;
export type FootKind = (typeof footKinds)[number];
