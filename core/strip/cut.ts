import { Impossible, refusal } from '../impossible';
import { acrossPlan } from './across';
import { biasPlan, widestBiasMm } from './bias';
import { endsMm, type StripEnds } from './needed';
import { fewestFor, type OnCloth, type StripPlanned } from './piece';
import { tubeMm } from './tube';

/** How a strip is cut from a piece of cloth. */
export const stripWays = ['bias', 'across', 'tube'] as const;
export type StripWay = (typeof stripWays)[number];

export interface StripAsked {
  readonly way: StripWay;
  /** Across and along the grain, mm. */
  readonly clothMm: OnCloth;
  readonly stripMm: number;
  /** The length of edge it is for; the ends come on top. */
  readonly neededMm: number;
  readonly ends: StripEnds;
  /** Of a join, mm. */
  readonly seamMm: number;
}

/** How it is cut, and whether that is enough. */
export interface StripCut extends StripPlanned {
  /** With what both ends take. */
  readonly wantedMm: number;
  readonly enough: boolean;
  /** How few of the pieces, the longest first, are enough; null where all are not, or it is one strip. */
  readonly fewest: number | null;
  /** What is over; negative is missing. */
  readonly leftMm: number;
}

/** @throws Impossible where no piece of it fits the cloth */
function refuseTooWide({ way, stripMm, clothMm }: StripAsked): void {
  const [wideMm, longMm] = clothMm;
  const mostMm = way === 'across' ? longMm : Math.min(wideMm, widestBiasMm(clothMm));
  if (stripMm <= mostMm) return;
  throw new Impossible([
    refusal(
      'stripMm',
      'strip-wider-than-cloth',
      'A strip {stripMm} wide does not fit a cloth of {wideMm} by {longMm}; up to {mostMm} does.',
      { stripMm, wideMm, longMm, mostMm },
    ),
  ]);
}

function planned({ way, clothMm, stripMm, seamMm }: StripAsked): StripPlanned {
  if (way === 'bias') return biasPlan(clothMm, stripMm, seamMm);
  if (way === 'across') return acrossPlan(clothMm, stripMm, seamMm);
  return { pieces: [], joinMm: 0, joins: 0, totalMm: tubeMm(clothMm, stripMm) };
}

/** A strip from a piece of cloth. @throws Impossible at `stripMm` where none fits */
export function cutStrip(asked: StripAsked): StripCut {
  refuseTooWide(asked);
  const plan = planned(asked);
  const wantedMm = asked.neededMm + endsMm(asked.ends, asked.stripMm);
  return {
    ...plan,
    wantedMm,
    enough: plan.totalMm >= wantedMm - 1e-9,
    fewest: fewestFor(plan, wantedMm),
    leftMm: plan.totalMm - wantedMm,
  };
}
