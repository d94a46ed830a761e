import { fullnessesOf } from '../edge/fullness';
import { edgeSchools, type EdgeQuestions } from '../finish/edge-schools';
import { completed } from '../finish/fold-request';
import type { Finish } from '../finish/finish';
import type { School } from '../finish/school';
import type { StartingValue, WorkRequest, WorkStep } from '../finish/work';
import { foldsAsSewn } from '../finish/as-sewn';
import { withEdgeSteps } from '../finish/edge-steps';
import { machineValues } from '../finish/threading';
import type { FootKind } from '../kit/foot-kind';
import { foldPlanOf, refuseFold } from './fold-plan';

/** The schools that matter for a variant. */
export function schoolsFor(finish: Finish, variant: string): School[] {
  return finish.schools.filter(({ variants }) => variants?.includes(variant) ?? true);
}

function waysOf(schools: readonly School[], choices: readonly Readonly<Record<string, string>>[]) {
  return Object.fromEntries(
    schools.map(({ id, ways }) => {
      const wanted = choices.map((choice) => choice[id]);
      const way = wanted.find((wish) => ways.some((known) => known.id === wish));
      return [id, way ?? ways[0]?.id ?? ''];
    }),
  );
}

/**
 * The way taken for each school of the finish and of the edge: the first of these choices that is
 * one, else the first way.
 */
export function chosenWays(
  finish: Finish,
  variant: string,
  ...choices: readonly Readonly<Record<string, string>>[]
): Record<string, string> {
  return waysOf([...schoolsFor(finish, variant), ...edgeSchools], choices);
}

/**
 * What the edge itself asks with this finish.
 *
 * @param depthMm how deep it is turned; null where it can't be folded
 */
export function edgeQuestionsOf(
  finish: Finish,
  { wish, cloth, edge }: Pick<WorkRequest, 'wish' | 'cloth' | 'edge'>,
  depthMm: number | null,
): EdgeQuestions {
  const { shape, turnDegrees = null, crossings = [] } = edge;
  const { worked } = finish.nature(wish.variant);
  const turned = worked.includes('turned') && !worked.includes('scroll');
  const fits =
    shape && turned && depthMm !== null
      ? fullnessesOf({ ...edge, shape, turnDegrees }, depthMm, cloth)
      : [];
  return {
    roundWithSeams: edge.closed && crossings.length > 0 && !worked.includes('scroll'),
    eased: fits.some((it) => it.kind === 'full' && it.way === 'eased'),
    short: fits.some(({ kind }) => kind === 'short'),
    paired: edge.pair === 'pair',
    boundCorners: edge.cornered && worked.includes('strip'),
  };
}

function ready(finish: Finish, request: WorkRequest): WorkRequest {
  refuseFold(finish, foldsAsSewn(request));
  return { ...request, wish: completed(finish.fields, request.wish) };
}

/** Steps with the foot that was chosen wherever the finish's own line is sewn. */
function withChosenFoot(steps: readonly WorkStep[], chosen: FootKind | undefined): WorkStep[] {
  const set = steps.find(({ phase, at }) => phase === 'set' && typeof at !== 'string')?.at;
  return steps.map((step) => {
    const { at } = step;
    if (!chosen || typeof set !== 'object' || typeof at !== 'object') return step;
    const isOwn = at.machine === set.machine && at.foot === set.foot && at.foot !== null;
    return isOwn ? { ...step, at: { ...at, foot: chosen } } : step;
  });
}

/** The work from cutting to the last pressing. @throws Impossible when it can't be folded so */
export function stepsOf(finish: Finish, request: WorkRequest): WorkStep[] {
  const whole = ready(finish, request);
  const steps = withChosenFoot(finish.steps(whole), request.footKind);
  const { allowanceMm, finishedDepthMm } = foldPlanOf(finish, foldsAsSewn(request));
  const { worked, keepsOldHem = false } = finish.nature(whole.wish.variant);
  return withEdgeSteps(steps, whole, {
    ...{ allowanceMm, depthMm: finishedDepthMm, keepsOldHem },
    turned: worked.includes('turned'),
  });
}

/**
 * What to set and put in before the first test: the finish's own values, and after them whatever
 * else its machine takes. @throws Impossible when it can't be folded so
 */
export function startingValuesOf(finish: Finish, request: WorkRequest): StartingValue[] {
  const own = finish.startingValues(ready(finish, request));
  const [kind] = finish.needs(request.wish.variant).machineKinds;
  const rest = kind
    ? machineValues(
        kind,
        request.cloth,
        foldPlanOf(finish, foldsAsSewn(request)).stackMm,
        request.edge.thickestTimes,
        request.threading,
      )
    : [];
  return [...own, ...rest.filter(({ id }) => !own.some((value) => value.id === id))];
}

/**
 * What is set and put in beside the solved dials; all of it for a finish that has none.
 *
 * @throws Impossible for a wish that contradicts itself
 */
export function valuesBesideDials(finish: Finish, request: WorkRequest): StartingValue[] {
  const values = startingValuesOf(finish, request);
  if (!finish.margin(request.wish.variant)) return values;
  return values.filter(({ id }) => id !== 'length' && id !== 'width');
}

/** How often the work goes to another machine or foot, beyond the first. */
export function machineChanges(steps: readonly WorkStep[]): number {
  const stations = steps.flatMap(({ at }) =>
    typeof at === 'string' ? [] : [`${at.machine} ${at.foot ?? ''}`],
  );
  return stations.filter((station, i) => i > 0 && station !== stations[i - 1]).length;
}
