/** What is done at a mark. A temporary fold is opened again after sewing. */
export const markActions = ['press', 'temporary', 'stitch', 'cut'] as const;
export type MarkAction = (typeof markActions)[number];

/** A line across the flat cloth, measured from the raw edge into the garment. */
export interface FoldMark {
  readonly name: string;
  readonly fromRawEdgeMm: number;
  readonly action: MarkAction;
}
