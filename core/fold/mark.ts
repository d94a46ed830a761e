/** What is done at a mark. A temporary fold is opened again after sewing. */
export const markActions = ['press', 'temporary', 'stitch', 'cut'] as const;
export type MarkAction = (typeof markActions)[number];

/** What a mark is measured from: most often the raw edge, sometimes a line sewn before. */
export const markOrigins = ['raw-edge', 'seam-line', 'first-seam'] as const;
export type MarkOrigin = (typeof markOrigins)[number];

/** A line across the cloth. */
export interface FoldMark {
  readonly id: string;
  /** What it is called on the slip and the gauge. */
  readonly name: string;
  /** Distance from {@link MarkOrigin}, raw edge unless it says otherwise. */
  readonly atMm: number;
  readonly action: MarkAction;
  readonly from: MarkOrigin;
}

/** A mark measured from the raw edge. */
export function mark(id: string, name: string, atMm: number, action: MarkAction): FoldMark {
  return { id, name, atMm, action, from: 'raw-edge' };
}
