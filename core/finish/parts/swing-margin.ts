import type { Check } from '../../margin/check';
import type { Fact, Reasoned } from '../../fact';
import type { ClothRegion, FinishMargin, MarginWords, RuledDials } from '../finish-margin';
import type { SewingPlan } from '../sewing-plan';
import {
  guideReasons,
  guideSpread,
  onTheGuide,
  swingCoefficients,
  swingSide,
} from './margin-parts';
import { turnedRound } from './riding';
import { said } from './said';

/** A swing over an edge: how far it may reach beyond, and how far it must reach in. */
export interface SwingMargin {
  readonly words: MarginWords;
  readonly overhang: { readonly loMm: number; readonly hiMm: number };
  readonly below: string;
  readonly above: string;
  /** How far the inner holes must lie from the edge; left out where that is no matter. */
  grip?(plan: SewingPlan): { readonly loMm: number; readonly below: string; readonly why: Fact };
  startingLength(plan: SewingPlan): Reasoned<number>;
  regions(plan: SewingPlan): ClothRegion[];
  ruled?(plan: SewingPlan): RuledDials;
  freeLayers?: FinishMargin['freeLayers'];
}

/** The outermost holes over the edge and in the cloth, per mm of width. */
function reachOf(plan: SewingPlan): { outer: number; inner: number } {
  const [left, right] = swingCoefficients(plan);
  return swingSide(plan) === 1 ? { outer: right, inner: left } : { outer: left, inner: right };
}

/**
 * A stitch that swings over an edge riding the guide, with the cloth to the left of it: overhang
 * p + W/2 − x_g − ε and grip x_g + ε − (p − W/2), by the stitch's own outermost holes; the mirror
 * image where the stitch swings out to the left of its run.
 * Source: docs/formulas.md, “Checks per finish”.
 */
export function swingMargin(it: SwingMargin): FinishMargin {
  const checks = (plan: SewingPlan): Check[] => {
    const side = swingSide(plan);
    const { outer, inner } = reachOf(plan);
    const grip = it.grip?.(plan);
    return [
      {
        name: 'overhang',
        source: 'guide',
        k: -side as 1 | -1,
        ...it.overhang,
        below: it.below,
        above: it.above,
        v0: { constantMm: 0, width: side * outer, needlePosition: side, guide: -side },
      },
      ...(grip
        ? [
            {
              name: 'grip',
              source: 'guide',
              k: side,
              loMm: grip.loMm,
              hiMm: Infinity,
              below: grip.below,
              above: '',
              v0: { constantMm: 0, width: 0 - side * inner, needlePosition: -side, guide: side },
            } as const,
          ]
        : []),
    ];
  };
  return {
    words: it.words,
    countedCheck: 'overhang',
    checks,
    baseSpreadMm: guideSpread,
    startingLength: (plan) => it.startingLength(plan),
    dialReasons(plan, { widthMm, needlePositionMm, guideMm }) {
      const side = swingSide(plan);
      const { outer, inner } = reachOf(plan);
      const grip = it.grip?.(plan);
      const ruled = it.ruled?.(plan).widthMm;
      const gripMm = side * (guideMm - needlePositionMm - inner * widthMm);
      return {
        widthMm: ruled
          ? ruled.because
          : grip
            ? [
                said('swing-grip', 'Reaches {gripMm:fine} into the cloth; at least {loMm:fine}.', {
                  gripMm,
                  loMm: grip.loMm,
                }),
                grip.why,
              ]
            : [],
        needlePositionMm: [
          said(
            'swing-overhang',
            Number.isFinite(it.overhang.loMm)
              ? `Swings {overhangMm:fine} past the ${it.words.reference}; good from {loMm:fine} to {hiMm:fine}.`
              : `Swings {overhangMm:fine} past the ${it.words.reference}; good up to {hiMm:fine}.`,
            { overhangMm: side * (needlePositionMm + outer * widthMm - guideMm), ...it.overhang },
          ),
        ],
        guideMm: guideReasons(plan),
      };
    },
    regions: (plan) => (swingSide(plan) === 1 ? it.regions(plan) : turnedRound(it.regions(plan))),
    references: (_plan, dials) => [onTheGuide(it.words.reference, dials)],
    ...(it.ruled ? { ruled: it.ruled } : {}),
    ...(it.freeLayers ? { freeLayers: it.freeLayers } : {}),
  };
}
