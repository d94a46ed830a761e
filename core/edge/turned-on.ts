import type { Cloth } from '../cloth/cloth';
import { parallelLengthMm } from './course';
import { fullnessesOf, type FittedEdge, type Fullness } from './fullness';
import { tapersOf, type EdgeForm } from './form';
import { courseOf } from './form-course';
import { mitreOf, type Mitre } from './mitre';
import { releaseCuts, type ReleaseCuts } from './release';
import {
  pairMarks,
  slantDegrees,
  slantTurn,
  type PairMark,
  type Slant,
  type SlantTurn,
} from './slant';
import { taperSeam, taperShare, type SeamPoint, type TaperShare } from './taper';

/** How an edge is turned up. */
export interface TurnedUp {
  /** How deep it is turned, mm. */
  readonly depthMm: number;
  /** Cloth beyond the finished edge, mm; nothing to fold where it is 0 or less. */
  readonly allowanceMm: number;
}

/** What a slant does to each leg. */
export interface SlantedTurn {
  readonly angleDegrees: number;
  readonly marks: readonly PairMark[];
  readonly left: SlantTurn;
  readonly right: SlantTurn;
}

/** How a taper is shared, and where each of its seams then runs. */
export interface TaperedTurn extends TaperShare {
  readonly seam: readonly SeamPoint[];
}

/** A mitre of a corner that is sewn so. */
export interface CornerTurn extends Mitre {
  /** Which corner, from the first side's end. */
  readonly corner: number;
  readonly angleDegrees: number;
}

/** A turn as it lies on an edge: how long each of its lines is, and what the shape asks for. */
export interface TurnOnEdge {
  readonly finishedMm: number;
  /** Along the raw edge, before it is turned. */
  readonly rawEdgeMm: number;
  /** Along where the raw edge lands. */
  readonly landsOnMm: number;
  /** At each different place, the worse first. */
  readonly fullness: readonly Fullness[];
  /** Where the allowance is cut into so that it lies, the worse place first. */
  readonly cuts: readonly ReleaseCuts[];
  readonly taper: TaperedTurn | null;
  /** The other leg's, where it differs. */
  readonly rightTaper: TaperedTurn | null;
  readonly slant: SlantedTurn | null;
  readonly corners: readonly CornerTurn[];
}

/** A leg's raw edge and landing are what was measured; any other edge's run beside it. */
function linesOf(edge: FittedEdge, { depthMm, allowanceMm }: TurnedUp) {
  const { form = null, lengthMm } = edge;
  if (form?.kind === 'taper') {
    return { rawEdgeMm: 2 * form.rawFlatMm, landsOnMm: 2 * form.landingFlatMm };
  }
  // Turned up along a slant both lines are as long as the hemline itself.
  if (form?.kind === 'slant') return { rawEdgeMm: lengthMm, landsOnMm: lengthMm };
  const course = courseOf({ ...edge, form });
  return {
    rawEdgeMm: parallelLengthMm(course, -allowanceMm),
    landsOnMm: parallelLengthMm(course, depthMm),
  };
}

function cutsAt(it: Fullness, { depthMm }: TurnedUp): ReleaseCuts[] {
  if (it.kind === 'short') return [releaseCuts(it.radiusMm, depthMm, 'inside')];
  return it.kind === 'full' && it.way === 'too full' && it.radiusMm !== null
    ? [releaseCuts(it.radiusMm, depthMm, 'outside')]
    : [];
}

/**
 * What a turn of a depth meets on an edge: the one place where shape, measures and folds come
 * together. Source: docs/formulas.md, “Shapes”, “Slant and pairs”, “Corners”.
 */
export function turnOnEdge(
  edge: FittedEdge,
  up: TurnedUp,
  cloth: Pick<Cloth, 'construction'>,
): TurnOnEdge {
  const { form = null } = edge;
  const turned = up.allowanceMm > 0 && up.depthMm > 0;
  const fullness: Fullness[] = turned ? fullnessesOf(edge, up.depthMm, cloth) : [{ kind: 'fits' }];
  return {
    finishedMm: edge.lengthMm,
    ...linesOf(edge, up),
    fullness,
    cuts: fullness.flatMap((it) => cutsAt(it, up)),
    taper: taperedTurn(form, 0, up),
    rightTaper: taperedTurn(form, 1, up),
    slant: form?.kind === 'slant' ? slantedTurn(form, up) : null,
    corners:
      form?.kind === 'cornered' && turned
        ? form.sides.flatMap(({ angleDegrees, mitred }, corner) =>
            mitred ? [{ corner, angleDegrees, ...mitreOf({ ...up, angleDegrees }) }] : [],
          )
        : [],
  };
}

function slantedTurn(
  form: Extract<EdgeForm, { kind: 'slant' }>,
  { depthMm, allowanceMm }: TurnedUp,
): SlantedTurn {
  const { flatWidthMm } = form;
  const left: Slant = { ...form.left, flatWidthMm };
  const right: Slant = { ...(form.right ?? form.left), flatWidthMm };
  return {
    angleDegrees: slantDegrees(left),
    marks: pairMarks({ left, right }, Math.max(0, allowanceMm)),
    left: slantTurn(left, depthMm),
    right: slantTurn(right, depthMm),
  };
}

function taperedTurn(
  form: EdgeForm | null,
  leg: number,
  { allowanceMm, depthMm }: TurnedUp,
): TaperedTurn | null {
  const taper = form?.kind === 'taper' ? tapersOf(form)[leg] : undefined;
  if (!taper) return null;
  const share = taperShare(taper);
  return { ...share, seam: taperSeam(share, allowanceMm + depthMm) };
}
