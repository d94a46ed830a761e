import { stackMm } from '../../fold/stack';
import { mark } from '../../fold/mark';
import { refusal, type Issue } from '../../impossible';
import type { FoldPlan } from '../fold-plan';
import type { FoldRequest, FoldWish } from '../fold-request';
import { foldingStages, garmentBeyondMm, sewnAt, type NamedFold } from './stages';

/** Middle of what a topstitch may lie from the inner fold, 1.0 … 3.5 mm. Starting guess. */
const catchMm = 2.25;

/** The first turn of a hem that is turned twice; equal turns are as deep as the hem. */
export const firstTurnMm = ({ variant, turnMm, depthMm }: FoldWish): number =>
  (variant === 'equal' ? depthMm : turnMm) ?? 0;

/** @returns an issue when the first turn is wider than the hem it is turned into */
export function turnWiderThanHem({ turnMm, depthMm }: FoldWish): Issue[] {
  const [turn, depth] = [turnMm ?? 0, depthMm ?? 0];
  if (turn <= depth) return [];
  return [
    refusal(
      'turnMm',
      'turn-wider-than-hem',
      'A turn of {turnMm} is wider than the hem of {depthMm}; it can be up to {depthMm}.',
      { turnMm: turn, depthMm: depth },
    ),
  ];
}

/**
 * Where a hem is topstitched: this far from its inner fold, never off the turned-in edge.
 *
 * @param sewnMm where the setting in force sews; the middle of what is good when left out
 */
export function topstitchFromInnerFoldMm(
  depthMm: number,
  turnMm: number | null,
  sewnMm?: number,
): number {
  const aimMm = Math.min(catchMm, depthMm / 2, turnMm === null ? Infinity : turnMm * 0.6);
  return sewnMm === undefined ? aimMm : Math.min(sewnMm, depthMm);
}

/** A hem turned once, A = D: mark D. Source: docs/formulas.md, “Folds”. */
export function turnedOnce({ wish, cloth: { thicknessMm }, sewn }: FoldRequest): FoldPlan {
  const depth = wish.depthMm ?? 0;
  const fold: NamedFold = {
    atMm: depth,
    direction: 'over',
    id: 'hemline',
    title: 'Hemline pressed, raw edge inside',
  };
  const stages = foldingStages(2 * depth + garmentBeyondMm(depth), thicknessMm, [fold]);
  const fromEdge = depth - topstitchFromInnerFoldMm(depth, null, sewn?.['catch']);
  return {
    allowanceMm: depth,
    marks: [mark('hemline', 'Hemline', depth, 'press')],
    layersAtStitch: 2,
    layersUnderNeedle: 2,
    stackMm: stackMm(2, thicknessMm),
    stitchFromHemlineMm: fromEdge,
    finishedDepthMm: depth,
    stages: [...stages, sewnAt(stages, 'Topstitched near the raw edge', [depth - fromEdge])],
  };
}

/**
 * A hem turned twice, A = D + u: marks u and D + u. Source: docs/formulas.md, “Folds”.
 *
 * @param turnMm the first turn
 * @param depthMm the finished hem
 * @param titles of the two folds and the sewing
 */
export function turnedTwice(
  { cloth: { thicknessMm }, sewn }: Pick<FoldRequest, 'cloth' | 'sewn'>,
  turnMm: number,
  depthMm: number,
  titles: readonly [turn: string, hemline: string, sewn: string],
): FoldPlan {
  const hemline = depthMm + turnMm;
  const folds: NamedFold[] = [
    { atMm: turnMm, direction: 'over', id: 'turn', title: titles[0] },
    { atMm: hemline, direction: 'over', id: 'hemline', title: titles[1] },
  ];
  const stages = foldingStages(hemline + depthMm + garmentBeyondMm(depthMm), thicknessMm, folds);
  const fromInner = topstitchFromInnerFoldMm(depthMm, turnMm, sewn?.['catch']);
  return {
    allowanceMm: hemline,
    marks: [
      mark('turn', 'Turn under', turnMm, 'press'),
      mark('hemline', 'Hemline', hemline, 'press'),
    ],
    layersAtStitch: 3,
    layersUnderNeedle: 3,
    stackMm: stackMm(3, thicknessMm),
    stitchFromHemlineMm: depthMm - fromInner,
    finishedDepthMm: depthMm,
    stages: [...stages, sewnAt(stages, titles[2], [turnMm + fromInner])],
  };
}
