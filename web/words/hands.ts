import type { HandsAt } from '../../core/plan/hands-along';
import type { StartReason } from '../../core/edge/start-place';
import { counted } from './number';

interface Lengths {
  cloth(mm: number): string;
  fine(mm: number): string;
}

const begins: Readonly<Record<StartReason, string>> = {
  'one-end': 'At one end.',
  'thickest-seam': 'Just before the thickest seam, so that the end overlaps on it.',
  'least-seen': 'Where it is seen least: inside leg, side, back.',
  'clear-of-seams': 'Clear of every seam; a scroll starts on none.',
  'mid-side': 'In the middle of the longest side.',
  'one-corner': 'At a corner, and side by side from there.',
};

const ended = {
  backstitch: 'three stitches back',
  tails: 'tails through to the inside, and tied',
} as const;

/** What the hands do at a place: what, where from the start, and how. */
export function handInWords(
  hand: HandsAt,
  { cloth, fine }: Lengths,
  lengthMm: number,
): { readonly what: string; readonly where: string; readonly how: string } {
  const where =
    hand.fromMm === hand.toMm
      ? hand.kind === 'start'
        ? hand.onEdgeMm > 0
          ? `at ${cloth(hand.onEdgeMm)} along the edge`
          : 'where the edge begins'
        : hand.fromMm >= lengthMm
          ? `after ${cloth(hand.fromMm)}`
          : `at ${cloth(hand.fromMm)}`
      : `${cloth(hand.fromMm)} to ${cloth(hand.toMm)}`;
  const said = (what: string, how: string) => ({ what, where, how });
  switch (hand.kind) {
    case 'start':
      return said(
        'Start',
        `${begins[hand.why]} ${hand.freeArm ? 'On the free arm, where there is one. ' : ''}Hold both tails back; first stitches by handwheel.`,
      );
    case 'handwheel':
      return said('By handwheel', 'Slowly, with longer stitches; hammer the seam flat first.');
    case 'shim-behind':
      return said(
        'Shim behind the heel',
        `${fine(hand.shimMm)}: ${counted(hand.layers, 'layer')} of this cloth. Push it up till it touches the lump.`,
      );
    case 'shim-front':
      return said(
        'Shim before the toe',
        `${fine(hand.shimMm)}: ${counted(hand.layers, 'layer')} of this cloth, coming down. Never under the needle.`,
      );
    case 'curve':
      return said(
        'Curve',
        hand.everyMm === null
          ? 'Let the cloth swing: needle down, foot up for a moment, down again.'
          : `Let it swing every ${cloth(hand.everyMm)}: needle down, foot up for a moment, down again.`,
      );
    case 'corner':
      return hand.way === 'turn'
        ? said('Corner', 'Needle down as far from the next edge as from this; foot up, turn.')
        : said('Corner', 'Sew off the end, cut, turn, start the next side.');
    case 'slide-out':
      return said('Slide the roll out', 'Needle down first. Fold by hand and sew over it.');
    case 'feed-in':
      return said('Feed it in again', 'Needle down, foot up, the edge into the scroll, go.');
    case 'cut-tails':
      return said('Cut the starting tails', 'Before they are sewn over.');
    case 'close':
      return said(
        'Close the round',
        `Meet the first stitches, ${cloth(hand.overlapMm)} over them; ${ended[hand.ends]}.`,
      );
    case 'end':
      return said('End', `${ended[hand.ends][0]!.toUpperCase()}${ended[hand.ends].slice(1)}.`);
  }
}
