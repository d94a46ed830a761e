/**
 * What an edge is for; it decides what may finish it. A hem is the lower or outer end of a thing;
 * through an opening something has to pass; an allowance lies inside, along a seam that is sewn;
 * a seam is two raw edges still to be joined.
 */
export const purposes = ['hem', 'opening', 'allowance', 'seam'] as const;
export type Purpose = (typeof purposes)[number];
