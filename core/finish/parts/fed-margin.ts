import type { MarginSettings } from '../../margin/set-up';
import type { Check } from '../../margin/check';
import { feedSpreadMm, guidanceSpreadMm } from '../../margin/drift';
import type { Reasoned } from '../../fact';
import type { ClothRegion, FinishMargin, MarginWords, RuledDials } from '../finish-margin';
import type { SewingPlan } from '../sewing-plan';
import { guideReasons, noSwing, onTheGuide } from './margin-parts';
import { ridingOf } from './riding';
import { said } from './said';

interface Window {
  readonly loMm: number;
  readonly hiMm: number;
}

/** Cloth fed into a scroll, where only the hand decides how much. */
interface Fed {
  readonly check: string;
  /** The value with no drift, and the window it must keep to, mm. */
  fedMm(plan: SewingPlan): number;
  window(plan: SewingPlan): readonly [loMm: number, hiMm: number];
  /** From the needle to the finished edge, and from there to the raw edge in front of the foot. */
  edgeFromNeedleMm(plan: SewingPlan): number;
  rawEdgeFromEdgeMm(plan: SewingPlan): number;
  /** How deep the cloth lies folded behind the foot. */
  depthMm(plan: SewingPlan): number;
  startingLength(plan: SewingPlan): Reasoned<number>;
  ruled?(plan: SewingPlan): RuledDials;
  readonly reason: string;
  /**
   * The inner fold that the line must catch, where it can miss it: the foot folds it along its
   * guide, and the stitch lies beside. A shut scroll is stitched through and has none.
   */
  readonly catches?: Window;
  /** Layers of an unpressed fold that lie free on one another as it is sewn; 1 in a shut scroll. */
  readonly freeLayers?: number;
}

const words = (check: string): MarginWords => ({
  reference: 'raw edge',
  one: 'stitch',
  counted: 'stitches',
  good: 'lie in a full, shut roll',
  short: 'Raw edge out',
  over: 'Roll crammed',
  look: 'Count the places where the raw edge has come out, and those where the roll is crammed.',
  checks: { [check]: 'fed', catch: 'catch' },
  faults: {
    escapes: { short: 'raw edge escapes', long: 'the raw edge escapes from the scroll' },
    crams: { short: 'roll crams', long: 'the scroll takes too much and crams' },
    'misses-fold': { short: 'misses the fold', long: 'the stitching falls off the inner fold' },
    'loose-lip': { short: 'loose lip', long: 'the inner fold stands loose as a lip' },
  },
});

/** Distance from the stitch to the inner fold, which the foot leads along its guide. */
const catchCheck = ({ loMm, hiMm }: Window, hand: 1 | -1): Check => ({
  name: 'catch',
  source: 'guide',
  k: -hand as 1 | -1,
  loMm,
  hiMm,
  below: 'misses-fold',
  above: 'loose-lip',
  v0: { constantMm: 0, width: 0, needlePosition: hand, guide: 0 - hand },
});

/**
 * A hem that a scroll turns: what is fed in must fill the roll and not cram it. No dial helps;
 * the needle stands where it passes the foot.
 * Source: docs/formulas.md, “Checks per finish”.
 */
export function fedMargin(fed: Fed): FinishMargin {
  const { catches } = fed;
  const handOf = (plan: SewingPlan): 1 | -1 =>
    catches ? ridingOf(plan, (catches.loMm + catches.hiMm) / 2, null).hand : 1;
  const rawEdgeMm = (plan: SewingPlan, { needlePositionMm }: MarginSettings) =>
    needlePositionMm + fed.edgeFromNeedleMm(plan) + fed.rawEdgeFromEdgeMm(plan);
  return {
    words: words(fed.check),
    countedCheck: fed.check,
    checks(plan) {
      const [loMm, hiMm] = fed.window(plan);
      return [
        {
          name: fed.check,
          source: 'feed',
          k: 1,
          loMm,
          hiMm,
          below: 'escapes',
          above: 'crams',
          v0: { constantMm: fed.fedMm(plan), width: 0, needlePosition: 0, guide: 0 },
        },
        ...(catches ? [catchCheck(catches, handOf(plan))] : []),
      ];
    },
    baseSpreadMm: ({ foot }) => ({
      feed: feedSpreadMm,
      ...(catches ? { guide: guidanceSpreadMm[foot.guidance] } : {}),
    }),
    freeLayers: () => ({
      feed: fed.freeLayers ?? 1,
      ...(catches ? { guide: fed.freeLayers ?? 1 } : {}),
    }),
    startingLength: (plan) => fed.startingLength(plan),
    dialReasons(plan, { needlePositionMm, guideMm }) {
      const [loMm, hiMm] = fed.window(plan);
      const values = { fedMm: fed.fedMm(plan), loMm, hiMm };
      if (catches) {
        const distanceMm = handOf(plan) * (needlePositionMm - guideMm);
        return {
          widthMm: fed.ruled?.(plan).widthMm?.because ?? [noSwing],
          needlePositionMm: [
            said(
              'catch',
              'Sews {distanceMm:fine} from the inner fold; good from {loMm:fine} to {hiMm:fine}.',
              { distanceMm, ...catches },
            ),
            said('fed', fed.reason, values),
          ],
          guideMm: guideReasons(plan),
        };
      }
      return {
        widthMm: fed.ruled?.(plan).widthMm?.because ?? [noSwing],
        needlePositionMm: [said('fed', fed.reason, values)],
        guideMm: [said('scroll', 'The scroll folds; your hand feeds.')],
      };
    },
    regions(plan): ClothRegion[] {
      const toEdge = -fed.rawEdgeFromEdgeMm(plan);
      const depth = fed.depthMm(plan);
      return [
        { name: 'garment', fromMm: -Infinity, toMm: toEdge - depth, layers: 1 },
        { name: 'turned in', fromMm: toEdge - depth, toMm: toEdge, layers: 3, only: 'behind' },
        { name: 'to be turned in', fromMm: toEdge - depth, toMm: 0, layers: 1, only: 'before' },
      ];
    },
    references: (plan, dials) => [
      { source: 'feed', name: 'raw edge', atMm: rawEdgeMm(plan, dials), onlyBefore: true },
      ...(catches ? [onTheGuide('inner fold', dials)] : []),
    ],
    ...(fed.ruled ? { ruled: fed.ruled } : {}),
  };
}
