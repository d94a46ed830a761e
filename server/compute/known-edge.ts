import * as z from 'zod';
import { measuredEdge } from '../../contract/measured-edge';
import { derivedOf } from '../../core/edge/derived';
import { measuredIssues } from '../../core/edge/form-issues';
import type { FittedEdge } from '../../core/edge/fullness';
import type { Joining } from '../../core/edge/state';
import { turnOnEdge } from '../../core/edge/turned-on';
import type { Cloth } from '../../core/cloth/cloth';
import type { EdgeForm } from '../../core/edge/form';
import type { FoldPlan } from '../../core/finish/fold-plan';
import { Impossible } from '../../core/impossible';

const _asked = z.object(measuredEdge);
type AskedEdge = z.infer<typeof _asked>;

/** An edge as every sum goes by it. */
export interface KnownEdge extends FittedEdge {
  readonly form: EdgeForm | null;
  readonly joined: Joining | null;
}

/**
 * An edge with what follows from how it was measured.
 *
 * @throws Impossible at the field under `edge.`
 */
export function knownEdge(
  { circleFraction, form = null, joined = null, ...rest }: AskedEdge,
  allowanceMm: number | null = null,
): KnownEdge {
  const { lengthMm, shape, minRadiusMm } = rest;
  const issues = form ? measuredIssues(form, { lengthMm, joined }, allowanceMm) : [];
  if (issues.length > 0) {
    throw new Impossible(issues.map((it) => ({ ...it, path: `edge.${it.path}` })));
  }
  return {
    ...{ lengthMm, shape, minRadiusMm, joined, form },
    turnDegrees: circleFraction ? 360 * circleFraction : null,
    ...(form ? derivedOf(form, lengthMm) : {}),
  };
}

/** JSON has no infinity: what has no end is null. */
const finite = (value: number): number | null => (Number.isFinite(value) ? value : null);

/** What the shape of an edge asks of a turn. */
export function turnAnswer(
  edge: AskedEdge,
  { allowanceMm, finishedDepthMm: depthMm }: Pick<FoldPlan, 'allowanceMm' | 'finishedDepthMm'>,
  cloth: Pick<Cloth, 'construction'>,
): object {
  const turn = turnOnEdge(knownEdge(edge, allowanceMm), { allowanceMm, depthMm }, cloth);
  return {
    ...turn,
    fullness: turn.fullness.map((it) => ({
      kind: it.kind,
      percent: it.kind === 'fits' ? 0 : finite(100 * it.share),
      how: it.kind === 'full' ? it.way : null,
      radiusMm: it.kind === 'fits' ? null : it.radiusMm,
      deepestMm: it.kind === 'full' ? finite(it.deepestMm) : null,
    })),
  };
}
