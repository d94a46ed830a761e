import type { Check } from '../../margin/check';
import type { MarginSettings } from '../../margin/set-up';
import type { Reasoned } from '../../fact';
import type { ClothRegion, FinishMargin, MarginWords, Reference } from '../finish-margin';
import type { SewingPlan } from '../sewing-plan';
import { guideReasons, guideSpread, noSwing, onTheGuide } from './margin-parts';
import { ridingOf, turnedRound, type Riding } from './riding';
import { said } from './said';

/** A straight line of stitching beside something it must keep to. */
export interface LineMargin {
  readonly words: MarginWords;
  /** The check's name, and the window its distance must keep to. */
  readonly check: string;
  window(plan: SewingPlan): readonly [loMm: number, hiMm: number];
  readonly below: string;
  readonly above: string;
  /**
   * How far the hole nearest to what it keeps to stands from the middle of the stitch: half of what
   * lies between two needles, and of what a swing is wide. A single straight line has none.
   */
  reach?(plan: SewingPlan, hand: 1 | -1): { readonly constantMm: number; readonly width: number };
  ruled?: FinishMargin['ruled'];
  freeLayers?: FinishMargin['freeLayers'];
  /** How far beyond it lies another edge that can ride the guide instead, and what it is. */
  readonly outer?: { readonly name: string; beyondMm(plan: SewingPlan): number };
  /** Checks of other sources, on the distance from the stitch as the work lies. */
  others?(plan: SewingPlan, distance: Pick<Check, 'k' | 'v0'>): Check[];
  otherReferences?(plan: SewingPlan, dials: MarginSettings, hand: 1 | -1): Reference[];
  baseSpreadMm?: FinishMargin['baseSpreadMm'];
  startingLength(plan: SewingPlan): Reasoned<number>;
  /** From what the line keeps to, garment on the left. */
  regions(plan: SewingPlan): ClothRegion[];
}

/**
 * How far the needle stands to the right of what it keeps to: p − x_g − ε, and as much more as the
 * riding edge lies beyond; the mirror image where the work lies turned round. A straight stitch
 * has one hole, so its width moves nothing.
 * Source: docs/formulas.md, “Checks per finish”.
 */
export function lineMargin(line: LineMargin): FinishMargin {
  const riding = (plan: SewingPlan): Riding => {
    const [loMm, hiMm] = line.window(plan);
    const middle = Number.isFinite(hiMm) ? (loMm + hiMm) / 2 : loMm + 1;
    return ridingOf(plan, middle + reachMm(plan, 1), line.outer?.beyondMm(plan) ?? null);
  };
  const reachOf = (plan: SewingPlan, hand: 1 | -1) =>
    line.reach?.(plan, hand) ?? { constantMm: 0, width: 0 };
  /** The same at the width that a rule sets; only ruled widths reach. */
  const reachMm = (plan: SewingPlan, hand: 1 | -1): number => {
    const { constantMm, width } = reachOf(plan, hand);
    return constantMm + width * (line.ruled?.(plan).widthMm?.value ?? 0);
  };
  const checks = (plan: SewingPlan): Check[] => {
    const [loMm, hiMm] = line.window(plan);
    const { hand, beyondMm } = riding(plan);
    const reach = reachOf(plan, hand);
    const distance = {
      k: -hand as 1 | -1,
      v0: {
        constantMm: beyondMm - reach.constantMm,
        width: 0 - reach.width,
        needlePosition: hand,
        guide: 0 - hand,
      },
    };
    const { below, above } = line;
    return [
      { name: line.check, source: 'guide', loMm, hiMm, below, above, ...distance },
      ...(line.others?.(plan, distance) ?? []),
    ];
  };
  return {
    words: line.words,
    countedCheck: line.check,
    checks,
    baseSpreadMm: line.baseSpreadMm ?? guideSpread,
    startingLength: (plan) => line.startingLength(plan),
    ...(line.ruled ? { ruled: line.ruled } : {}),
    ...(line.freeLayers ? { freeLayers: line.freeLayers } : {}),
    dialReasons(plan, { needlePositionMm, guideMm }) {
      const [loMm, hiMm] = line.window(plan);
      const { hand, beyondMm } = riding(plan);
      const distanceMm = beyondMm + hand * (needlePositionMm - guideMm) - reachMm(plan, hand);
      return {
        widthMm: line.ruled?.(plan).widthMm?.because ?? [noSwing],
        needlePositionMm: [
          said(
            'line-distance',
            `Sews {distanceMm:fine} from the ${line.words.checks['from'] ?? 'fold'}; good from {loMm:fine} to {hiMm:fine}.`,
            { distanceMm, loMm, hiMm },
          ),
        ],
        guideMm: guideReasons(plan),
      };
    },
    regions(plan) {
      const { hand, beyondMm } = riding(plan);
      const lying = line.regions(plan).map((region) => ({
        ...region,
        fromMm: region.fromMm - beyondMm,
        toMm: region.toMm - beyondMm,
      }));
      return hand === 1 ? lying : turnedRound(lying);
    },
    references(plan, dials) {
      const { hand, beyondMm } = riding(plan);
      const name = beyondMm > 0 ? line.outer?.name : undefined;
      return [
        onTheGuide(name ?? line.words.reference, dials),
        ...(line.otherReferences?.(plan, dials, hand) ?? []),
      ];
    },
  };
}
