import type { Fold } from '../../fold/flat-fold';
import { foldedStrip, placeOf, type Stack } from '../../fold/layer';
import type { FoldStage } from '../fold-plan';

/** A stage without sewing, unless it says otherwise. */
export function stage(
  id: string,
  title: string,
  stack: Stack,
  sewn: Partial<Pick<FoldStage, 'stitchesXMm' | 'wrappedMm' | 'loopsMm' | 'temporaryAtMm'>> = {},
): FoldStage {
  return {
    id,
    title,
    stack,
    stitchesXMm: [],
    wrappedMm: null,
    loopsMm: null,
    temporaryAtMm: [],
    ...sewn,
  };
}

/** One fold of a hem and what the picture after it is called. */
export interface NamedFold extends Fold {
  readonly id: string;
  readonly title: string;
  readonly temporary?: boolean;
}

/**
 * Stages of one strip: flat, then a stage for each fold, in press order.
 *
 * @param lengthMm of cloth shown
 */
export function foldingStages(
  lengthMm: number,
  thicknessMm: number,
  folds: readonly NamedFold[],
): FoldStage[] {
  const made = (count: number) => folds.slice(0, count);
  return [
    stage('flat', 'Flat cloth, raw edge at the left', foldedStrip(lengthMm, [], thicknessMm)),
    ...folds.map(({ id, title }, i) =>
      stage(id, title, foldedStrip(lengthMm, made(i + 1), thicknessMm), {
        temporaryAtMm: made(i + 1)
          .filter(({ temporary }) => temporary)
          .map(({ atMm }) => atMm),
      }),
    ),
  ];
}

/** The last stage again, sewn through at places on the garment. */
export function sewnAt(
  stages: readonly FoldStage[],
  title: string,
  placesSMm: readonly number[],
  id = 'stitch',
): FoldStage {
  const last = stages.at(-1);
  if (!last) throw new RangeError('There is nothing to sew yet.');
  const stitchesXMm = placesSMm.flatMap((sMm) => placeOf(last.stack, sMm) ?? []);
  return { ...last, id, title, stitchesXMm };
}

/** How much of the garment a picture shows beyond a hem of this depth. */
export const garmentBeyondMm = (depthMm: number) => Math.max(6, depthMm * 0.6);
