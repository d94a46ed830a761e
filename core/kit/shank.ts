/** How a foot is held: screwed to a low, high or slanted bar, or clipped to an ankle. */
export const shanks = ['low', 'high', 'slanted', 'clip-on'] as const;
export type Shank = (typeof shanks)[number];
