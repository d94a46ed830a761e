import type { Fibre } from '../cloth/about-cloth';
import type { Threading } from '../kit/thread';
import type { Cloth } from '../cloth/cloth';
import type { MachineKind } from '../kit/machine';
import type { StartingValue } from './work';
import { said } from './parts/said';
import { guess, pressure } from './parts/starting';

/** Cloth lighter than this puckers at the least excuse, g/m². Starting guess. */
const fineGsm = 110;
/** So light, or so dense, a cloth has no room for a thick thread, g/m² and kg/m³. Starting guesses. */
const sheerGsm = 60;
const denseKgPerM3 = 430;
/** Heavier than this a cloth wears a thin thread through, if it is dense, g/m². Starting guess. */
const heavyGsm = 380;

/** A stack that is thicker than this saws through a thin thread, mm. */
const thickStackMm = 4;

const isDense = ({ weightGsm, thicknessMm }: Pick<Cloth, 'weightGsm' | 'thicknessMm'>) =>
  weightGsm / thicknessMm > denseKgPerM3;

/** Fine cloth without room between its threads, where every stitch pushes something aside. */
const crowds = (cloth: Cloth) =>
  cloth.weightGsm < sheerGsm || (cloth.weightGsm < fineGsm && isDense(cloth));

/** Fibres that shrink back after they were stretched, as thread or as cloth. */
const springs = (fibre: Fibre | null | undefined): boolean =>
  fibre === 'polyester' || fibre === 'polyamide';

/**
 * Sewing thread by weight, density and fibre, and by the stack where the thickest seam crosses. A
 * lofty cloth hides a thread that a dense one of the same weight shows; silk and wool are cut by a
 * thread that is harder than they are.
 */
function thread(cloth: Cloth, thickestMm: number, { clothFibre }: Threading): StartingValue {
  const value = (code: string, why: string, values: Record<string, number> = {}) =>
    guess('thread', 'Thread', code, '', said('thread', why, values));
  if (thickestMm > thickStackMm) {
    return value('strong', 'A crossing of {thickestMm:fine} wears a thin thread through.', {
      thickestMm,
    });
  }
  if (crowds(cloth)) return value('fine', 'A thick thread shows and puckers fine dense cloth.');
  if (clothFibre === 'silk')
    return value('fine', 'A hard thick thread cuts silk; a fine one gives first.');
  if (cloth.weightGsm > heavyGsm && isDense(cloth)) {
    return value('strong', 'Heavy dense cloth wears a thin thread through.');
  }
  return cloth.weightGsm < fineGsm
    ? value('all-purpose', 'Light but lofty: an ordinary thread sinks in.')
    : value('all-purpose', 'A match hides small misses.');
}

/**
 * How the bobbin is wound: slowly for polyester and nylon on fine cloth, where they shrink back
 * after a fast winding and pucker the seam; cotton and viscose relax. A thread nobody named is
 * taken for polyester, as most are.
 */
function bobbin({ weightGsm }: Cloth, { threadFibre }: Threading): StartingValue {
  const fine = weightGsm < fineGsm;
  const shrinks = springs(threadFibre ?? 'polyester');
  return fine && shrinks
    ? guess(
        'bobbin',
        'Bobbin',
        'same-slow',
        '',
        said(
          'bobbin',
          'Wound fast, polyester and nylon stretch, and pucker fine cloth afterwards.',
        ),
      )
    : guess(
        'bobbin',
        'Bobbin',
        'same',
        '',
        fine
          ? said(
              'bobbin',
              'This thread relaxes on the bobbin; how fast it is wound matters little.',
            )
          : said('bobbin', 'Half full at least, before an edge without a seam to stop at.'),
      );
}

/** Upper tension of a stitch that is to lock inside the cloth. */
function tension(cloth: Cloth): StartingValue {
  return crowds(cloth)
    ? guess(
        'tension',
        'Upper tension',
        'less',
        '',
        said('tension', 'Fine dense cloth has little room to hide the lock in, and puckers.'),
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
    weightGsm < fineGsm ? 'cone-fine' : 'cone',
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
  threading: Threading = {},
): StartingValue[] {
  const threads =
    kind === 'overlocker' || kind === 'coverstitch'
      ? [loopedThread(kind, cloth)]
      : [
          thread(cloth, stackMm * thickestTimes, threading),
          bobbin(cloth, threading),
          tension(cloth),
        ];
  return [...threads, pressure(cloth, stackMm)];
}
