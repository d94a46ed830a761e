import { soleSpan, type DrawnFoot } from './foot-parts';

/** A measure one takes of a foot with a ruler: its letter on the drawing and where it lies. */
export interface FootMeasure {
  readonly letter: string;
  readonly name: string;
  /** Ends, mm right of the needle and mm behind it. */
  readonly from: readonly [number, number];
  readonly to: readonly [number, number];
}

const attachments = ['binder', 'binder-attachment'];

/** Whether a foot folds a strip, and so has a mouth. */
export function foldsStrip({ kind }: Pick<DrawnFoot, 'kind'>): boolean {
  return attachments.includes(kind);
}

/** Whether a foot has a scroll of one size. */
export function hasScroll({ kind }: Pick<DrawnFoot, 'kind'>): boolean {
  return kind === 'hemmer' || kind === 'wide-hemmer';
}

/** How far outside the sole a measure is drawn, mm. */
const outsideMm = 3;

/**
 * What to measure on a kind of foot, in the order of its letters.
 *
 * @param guideMm where the guide stands
 */
export function footMeasures(foot: DrawnFoot, guideMm: number): FootMeasure[] {
  const { specs, soleMm, channelMm, mouthMm } = foot;
  const [left, right] = specs.slotMm ?? specs.besideMm ?? [0, 0];
  const half = soleMm.widthMm / 2;
  const [soleFrom, soleTo] = soleSpan(foot);
  const side = Math.max(half, -left) + outsideMm;
  const opening = specs.slotMm ? 'slot' : 'foot';
  const front = -soleMm.toeMm - outsideMm;
  const measures: Omit<FootMeasure, 'letter'>[] = [
    { name: `${opening}, left end`, from: [0, 0], to: [left, 0] },
    { name: `${opening}, right end`, from: [0, 0], to: [right, 0] },
    { name: 'guide', from: [0, -soleMm.toeMm * 0.62], to: [guideMm, -soleMm.toeMm * 0.62] },
    {
      name: 'sole width',
      from: [soleFrom, soleMm.heelMm + outsideMm],
      to: [soleTo, soleMm.heelMm + outsideMm],
    },
    { name: 'needle to toe', from: [-side, 0], to: [-side, -soleMm.toeMm] },
    { name: 'needle to heel', from: [-side, 0], to: [-side, soleMm.heelMm] },
  ];
  if (hasScroll(foot) && channelMm) {
    measures.push({
      name: foot.kind === 'hemmer' ? 'channel' : 'width it folds',
      from: [guideMm, front],
      to: [guideMm + channelMm, front],
    });
  }
  if (foldsStrip(foot) && mouthMm) {
    // Just before the opening: a binder foot's funnel is 5 mm long, an attachment's 12.
    const long = foot.kind === 'binder' ? 5 : (soleMm.standOffMm ?? 6) + 12;
    const mouthFront = -soleMm.toeMm - long - outsideMm;
    measures.push({
      name: 'mouth',
      from: [-mouthMm / 2, mouthFront],
      to: [mouthMm / 2, mouthFront],
    });
  }
  return measures.map((measure, i) => ({ ...measure, letter: String.fromCharCode(65 + i) }));
}
