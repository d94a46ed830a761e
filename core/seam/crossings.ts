import { Impossible } from '../impossible';
import type { Cloth } from '../cloth/cloth';
import { stackMm } from '../fold/stack';
import {
  alongEdge,
  crossingIssues,
  layersOver,
  spanOf,
  type CrossedEdge,
  type Crossing,
  type Stretch,
} from './crossing';
import { hammeredMm, liftAirMm, passageOf, type Passage, type PresserLifts } from './passage';
import { profileOf, type EdgePlateau } from './profile';

/** The foot's sole, from the needle to either end. */
export interface Sole {
  readonly toeMm: number;
  readonly heelMm: number;
}

/** Where to do what, by where the needle is. */
export interface Zone extends Stretch {
  readonly kind: 'handwheel' | 'shim-behind' | 'shim-front';
  /** Height of the shim; 0 for the handwheel. */
  readonly shimMm: number;
}

/** What a line of stitching meets along an edge. */
export interface AlongEdge {
  readonly profile: readonly EdgePlateau[];
  readonly zones: readonly Zone[];
  readonly maxStackMm: number;
  /** As it lies, without a hammer. */
  readonly passes: boolean;
  readonly verdict: Passage;
  /** The thickest place after hammering. */
  readonly hammeredMm: number;
  /** The most that still passes under the foot. */
  readonly mostStackMm: number;
  /** Where to begin: on a closed edge just before the thickest crossing, else at 0. */
  readonly startAtMm: number;
  /** The steepest the foot stands, degrees. */
  readonly tiltDegrees: number;
}

/** A step lower than this tips no foot and wants no shim, mm. Starting guess. */
export const leastShimMm = 1;
/** Just before a crossing: so far from where it begins, mm. */
const justBeforeMm = 3;

/** Handwheel a sole before to a sole after; a shim while the foot stands on both heights. */
function zonesOf(edge: CrossedEdge, crossing: Crossing, riseMm: number, sole: Sole): Zone[] {
  const { fromMm, toMm } = spanOf(crossing);
  const length = sole.toeMm + sole.heelMm;
  // On a seam narrower than the sole the foot comes down before its heel is up.
  const top = (fromMm + toMm) / 2;
  const up = { fromMm: fromMm - sole.toeMm, toMm: Math.min(fromMm + sole.heelMm, top) };
  const down = { fromMm: Math.max(toMm - sole.toeMm, top), toMm: toMm + sole.heelMm };
  const zone = (kind: Zone['kind'], stretch: Stretch, shimMm: number) =>
    alongEdge(stretch, edge).map((part): Zone => ({ ...part, kind, shimMm }));
  return [
    ...zone('handwheel', { fromMm: fromMm - length, toMm: toMm + length }, 0),
    ...zone('shim-behind', up, riseMm),
    ...zone('shim-front', down, riseMm),
  ];
}

/** Zones of one kind and height that touch or lie on one another are one. */
function joined(zones: readonly Zone[]): Zone[] {
  const result: Zone[] = [];
  const inOrder = [...zones].sort((a, b) => a.kind.localeCompare(b.kind) || a.fromMm - b.fromMm);
  for (const zone of inOrder) {
    const last = result.at(-1);
    const touches = last?.kind === zone.kind && zone.fromMm <= last.toMm + 1e-9;
    if (last && touches && last.shimMm === zone.shimMm) {
      result[result.length - 1] = { ...last, toMm: Math.max(last.toMm, zone.toMm) };
    } else result.push(zone);
  }
  return result.sort((a, b) => a.fromMm - b.fromMm || a.kind.localeCompare(b.kind));
}

/**
 * What a foot meets along an edge: the stack, where to turn the handwheel, where the shim goes,
 * whether the thickest place passes, and where to begin.
 * Source: docs/formulas.md, “Along the edge”.
 *
 * @param layers at the stitch, between crossings
 * @param lifts how high the presser foot goes
 * @throws Impossible naming each crossing that lies off the edge
 */
export function alongTheEdge(
  edge: CrossedEdge,
  layers: number,
  { thicknessMm, construction }: Pick<Cloth, 'thicknessMm' | 'construction'>,
  sole: Sole,
  lifts: PresserLifts,
): AlongEdge {
  const issues = crossingIssues(edge);
  if (issues.length > 0) throw new Impossible(issues);
  const own = stackMm(layers, thicknessMm);
  const rise = (crossing: Crossing) => stackMm(layersOver(layers, crossing), thicknessMm) - own;
  const profile = profileOf(edge, layers, thicknessMm);
  const maxStackMm = Math.max(...profile.map((plateau) => plateau.stackMm));
  const thickest = [...edge.crossings].sort((a, b) => rise(b) - rise(a) || a.atMm - b.atMm)[0];
  const before = thickest ? spanOf(thickest).fromMm - justBeforeMm : 0;
  const wrapped = ((before % edge.lengthMm) + edge.lengthMm) % edge.lengthMm;
  const tilt = Math.atan2(maxStackMm - own, sole.toeMm + sole.heelMm);
  return {
    profile,
    zones: joined(edge.crossings.flatMap((it) => zonesOf(edge, it, rise(it), sole))),
    maxStackMm,
    passes: maxStackMm <= lifts.liftMm - liftAirMm,
    verdict: passageOf(maxStackMm, construction, lifts),
    hammeredMm: hammeredMm(maxStackMm, construction),
    mostStackMm: lifts.liftMm - liftAirMm,
    startAtMm: edge.closed && thickest ? wrapped : 0,
    tiltDegrees: (tilt * 180) / Math.PI,
  };
}
