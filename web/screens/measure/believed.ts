import { clothFromDescription } from '../../../core/cloth/describe';
import { pieceOf, type Piece } from '../../../core/instrument/piece';
import { Impossible } from '../../../core/impossible';
import type { ClothRecord } from '../../../contract/records';
import { propertiesOf } from '../cloths/cloth-page';

/** A whole number that is always the same for an id. */
export function seedOf(id: string): number {
  return [...id].reduce((sum, letter) => (sum * 31 + letter.charCodeAt(0)) % 1_000_003, 7);
}

/**
 * A simulated piece of a cloth: near what was believed before anything was tested, so that taking
 * a reading does not change what the next one finds.
 */
export function simulatedPiece(cloth: ClothRecord): Piece {
  const { weightClass, like, tests } = cloth;
  try {
    const untested = { construction: tests.construction };
    return pieceOf(clothFromDescription({ weightClass, like, tests: untested }), seedOf(cloth.id));
  } catch (error) {
    if (!(error instanceof Impossible)) throw error;
    return pieceOf(propertiesOf(cloth), seedOf(cloth.id));
  }
}
