import type { DialId, Direction } from '../../core/diagnose/move';
import type { Lengths } from '../../core/measure/lengths';

const movedNames: Readonly<Record<DialId, string>> = {
  width: 'Width',
  length: 'Length',
  needlePosition: 'Needle position',
  guide: 'Guide',
  upperTension: 'Needle-thread tension',
  looperTension: 'Looper tension',
  pressure: 'Presser pressure',
  differential: 'Differential',
  cuttingWidth: 'Cutting width',
  needle: 'Needle',
  thread: 'Thread',
  bobbin: 'Bobbin',
  hand: 'Hands',
  iron: 'Iron',
  fold: 'Cloth and folds',
};

type Ways = Readonly<Partial<Record<Direction, string>>>;
const upDown: Ways = { more: 'up a little', less: 'down a little' };
const sides: Ways = { left: 'to the left', right: 'to the right' };
const tension: Ways = { more: 'tighter', less: 'looser', other: 'balance it anew' };

const ways: Readonly<Record<DialId, Ways>> = {
  width: { more: 'wider', less: 'narrower' },
  length: { more: 'longer', less: 'shorter' },
  needlePosition: sides,
  guide: sides,
  upperTension: tension,
  looperTension: tension,
  pressure: upDown,
  differential: upDown,
  cuttingWidth: { more: 'wider', less: 'narrower' },
  needle: { more: 'one size up', less: 'one size down', other: 'a new one, of the right point' },
  thread: { other: 'another, or thread anew' },
  bobbin: { other: 'wind it anew, slowly' },
  hand: { more: 'feed more', less: 'feed less', other: 'lead it otherwise' },
  iron: { less: 'less weight, less heat', other: 'press it otherwise' },
  fold: { more: 'wider', less: 'less depth, fewer layers', other: 'cut or fold it otherwise' },
};

/** A move as one says it: the dial, which way, and how far where the step has a number. */
export function moveInWords(
  move: { readonly dial: DialId; readonly direction: Direction; readonly stepMm: number | null },
  { fine }: Pick<Lengths, 'fine'>,
): { readonly dial: string; readonly way: string } {
  const way = ways[move.dial][move.direction] ?? 'otherwise';
  return {
    dial: movedNames[move.dial],
    way: move.stepMm === null ? way : `${way}, by ${fine(move.stepMm)}`,
  };
}
