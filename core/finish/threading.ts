import type { Cloth } from '../cloth/cloth';
import type { MachineKind } from '../kit/machine';
import type { StartingValue } from './work';
import { said } from './parts/said';
import { guess, pressure } from './parts/starting';

/** Cloth lighter than this puckers at the least excuse, g/m². */
const fineGsm = 110;

/** A stack that is thicker than this saws through a thin thread, mm. */
const thickStackMm = 4;

/** Sewing thread by weight, and by the stack where the thickest seam crosses. */
function thread({ weightGsm }: Cloth, thickestMm: number): StartingValue {
  if (thickestMm > thickStackMm) {
    return guess(
      'thread',
      'Thread',
      'strong, matching',
      '',
      said('thread', 'A crossing of {thickestMm:fine} wears a thin thread through.', {
        thickestMm,
      }),
    );
  }
  const [value, why] =
    weightGsm < fineGsm
      ? (['fine, matching', 'A thick thread shows and puckers fine cloth.'] as const)
      : weightGsm > 380
        ? (['strong, matching', 'Heavy cloth wears a thin thread through.'] as const)
        : (['all-purpose, matching', 'A match hides small misses.'] as const);
  return guess('thread', 'Thread', value, '', said('thread', why));
}

/** How the bobbin is wound: slowly for polyester on fine cloth, which it would pucker. */
function bobbin({ weightGsm }: Cloth): StartingValue {
  return weightGsm < fineGsm
    ? guess(
        'bobbin',
        'Bobbin',
        'same thread, wound slowly',
        '',
        said('bobbin', 'Wound fast, polyester stretches and puckers fine cloth afterwards.'),
      )
    : guess(
        'bobbin',
        'Bobbin',
        'same thread',
        '',
        said('bobbin', 'Half full at least, before an edge without a seam to stop at.'),
      );
}

/** Upper tension of a stitch that is to lock inside the cloth. */
function tension({ weightGsm }: Cloth): StartingValue {
  return weightGsm < fineGsm
    ? guess(
        'tension',
        'Upper tension',
        'a little less',
        '',
        said('tension', 'Fine cloth has little room to hide the lock in, and puckers.'),
      )
    : guess(
        'tension',
        'Upper tension',
        'normal',
        '',
        said('tension', 'The threads should lock inside the cloth; look at both faces.'),
      );
}

/** The threads of an overlocker or a coverstitch. */
function loopedThread(kind: 'overlocker' | 'coverstitch', { weightGsm }: Cloth): StartingValue {
  return guess(
    'thread',
    'Thread',
    weightGsm < fineGsm ? 'fine cone thread' : 'cone thread',
    '',
    said(
      'thread',
      kind === 'overlocker'
        ? 'Strong in the needles; the loopers may take a softer one.'
        : 'The looper takes a soft one on a knit, so that the seam gives.',
    ),
  );
}

/**
 * What any machine of a kind takes besides its dials: thread, bobbin, tension and pressure, for a
 * finish that does not ask for something of its own.
 *
 * @param thickestTimes how many times as thick the thickest crossing makes the stack; 1 for none
 * Starting guesses, docs/formulas.md “Dials that are not margins”.
 */
export function machineValues(
  kind: MachineKind,
  cloth: Cloth,
  stackMm: number,
  thickestTimes: number,
): StartingValue[] {
  const threads =
    kind === 'overlocker' || kind === 'coverstitch'
      ? [loopedThread(kind, cloth)]
      : [thread(cloth, stackMm * thickestTimes), bobbin(cloth), tension(cloth)];
  return [...threads, pressure(cloth, stackMm)];
}
