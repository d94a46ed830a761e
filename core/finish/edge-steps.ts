import { tapersOf, type EdgeForm } from '../edge/form';
import { mitreOf } from '../edge/mitre';
import { slantMarks, slantTurn } from '../edge/slant';
import { swingEveryMm } from '../edge/swing';
import { taperShare } from '../edge/taper';
import type { TurnedUp } from '../edge/turned-on';
import { alterationSteps, secondOfPair } from './alteration-steps';
import { phases, type WorkRequest, type WorkStep, type Workplace } from './work';
import { inPhase, once } from './parts/said';

/** How the edge is worked, for the steps that follow from what it is. */
export interface WorkedUp extends TurnedUp {
  /** Whether it is turned up on itself at all. */
  readonly turned: boolean;
  /** Whether an old hem stays as it is. */
  readonly keepsOldHem: boolean;
}

type Of<K extends EdgeForm['kind']> = Extract<EdgeForm, { kind: K }>;

function slantSteps({ flatWidthMm, left, right }: Of<'slant'>, up: WorkedUp): WorkStep[] {
  const marks = (leg: typeof left) => slantMarks({ ...leg, flatWidthMm }).map(({ mm }) => mm);
  const [frontMm = 0, seamsMm = 0, backMm = 0] = marks(left);
  const [otherFrontMm = 0, otherSeamsMm = 0, otherBackMm = 0] = marks(right ?? left);
  const { snipAt, snipOpensMm } = slantTurn({ ...left, flatWidthMm }, up.depthMm);
  const three =
    'Mark {frontMm} down at the front crease, {seamsMm} at the seams, {backMm} at the back';
  const [short, long] = snipAt === 'back-crease' ? ['back', 'front'] : ['front', 'back'];
  return [
    ...inPhase('measure', [
      once(
        4,
        'slant-marks',
        'table',
        right
          ? `Lay each leg flat on its creases, waistband even. ${three} on the left leg; {otherFrontMm}, {otherSeamsMm} and {otherBackMm} on the right; on both layers. A line through the three is the hemline.`
          : `Lay the leg flat on its creases, waistband even. ${three}, on both layers and on both legs. A line through the three is the hemline.`,
        { frontMm, seamsMm, backMm, ...(right ? { otherFrontMm, otherSeamsMm, otherBackMm } : {}) },
      ),
    ]),
    ...(up.turned && snipAt
      ? [
          ...inPhase('prepare', [
            once(
              1,
              'snip',
              'table',
              `Snip the allowance at the ${short} crease, short of the hemline: turned up it opens {snipOpensMm}. At the ${long} crease as much lies double; ease it in.`,
              { snipOpensMm },
            ),
          ]),
        ]
      : []),
  ];
}

function taperSteps(form: Of<'taper'>, up: WorkedUp, at: Workplace): WorkStep[] {
  if (!up.turned) return [];
  const legs = tapersOf(form).map((leg, i) => ({ leg, i, ...taperShare(leg) }));
  return legs
    .filter(({ missingMm }) => missingMm > 0)
    .flatMap(({ leg, i, letOutMm, takeInMm }) => {
      const which = legs.length === 1 ? 'the leg' : i === 0 ? 'the left leg' : 'the right leg';
      return inPhase('prepare', [
        once(
          6 * leg.seams,
          i === 0 ? 'taper' : 'taper-right',
          at,
          `Open the seams of ${which} to {runMm} above the raw edge and sew each anew, straight: {letOutMm:fine} further out at the raw edge, {takeInMm:fine} further in where it will land. Trim what stands over and press.`,
          { runMm: up.allowanceMm + up.depthMm, letOutMm, takeInMm },
          ['iron'],
        ),
      ]);
    });
}

function cornerSteps({ sides }: Of<'cornered'>, up: WorkedUp, at: Workplace): WorkStep[] {
  const angles = [
    ...new Set(sides.filter(({ mitred }) => mitred).map(({ angleDegrees }) => angleDegrees)),
  ];
  if (!up.turned || up.allowanceMm <= 0) return [];
  return angles.flatMap((angleDegrees, i) => {
    const { sewLineFromCornerMm, trimFromCornerMm } = mitreOf({
      allowanceMm: up.allowanceMm,
      angleDegrees,
    });
    return inPhase('fold', [
      once(
        4,
        i === 0 ? 'mitre' : `mitre-${i + 1}`,
        at,
        `Mitre each ${angles.length > 1 ? 'corner of {angle}°' : 'corner'} before the sides are folded in: press both creases, fold the corner in half with the right sides together, and sew from where the creases cross to {sewLineFromCornerMm} from the raw corner. Cut {trimFromCornerMm} from the corner, press the seam open, turn.`,
        { sewLineFromCornerMm, trimFromCornerMm, angle: angleDegrees },
        ['needle', 'iron'],
      ),
    ]);
  });
}

/** In each curve of its own: how often to let the cloth swing, and where it begins and ends. */
function curveSteps({ curves }: Of<'curved'>, { sewn }: WorkRequest, at: Workplace): WorkStep[] {
  const side = sewn?.smallerSideMm ?? null;
  if (side === null || side <= 0) return [];
  return curves.flatMap(({ fromMm, toMm, radiusMm }, i) =>
    inPhase('sew', [
      once(
        0.5,
        `curve-${i + 1}`,
        at,
        'In the curve from {fromMm} to {toMm} let the cloth swing every {everyMm}: needle down, foot up for a moment, down again. A chalk tick beside the foot says where it begins.',
        { fromMm, toMm, everyMm: swingEveryMm(radiusMm, side) },
      ),
    ]),
  );
}

function stepsOfForm(request: WorkRequest, up: WorkedUp, at: Workplace): WorkStep[] {
  const { form = null } = request.edge;
  switch (form?.kind) {
    case 'slant':
      return slantSteps(form, up);
    case 'taper':
      return taperSteps(form, up, at);
    case 'cornered':
      return cornerSteps(form, up, at);
    case 'curved':
      return curveSteps(form, request, at);
    default:
      return [];
  }
}

/** Steps that an edge asks for, whichever finish it gets, in the order of the hands. */
function stepsOfEdge(request: WorkRequest, up: WorkedUp, at: Workplace): WorkStep[] {
  return [...(up.keepsOldHem ? [] : alterationSteps(request, up)), ...stepsOfForm(request, up, at)];
}

/**
 * The work of an edge with the steps that follow from what it is, each first in its phase; curves of
 * its own take the place of the one step for the tightest, and the second of a pair comes last.
 */
export function withEdgeSteps(
  steps: readonly WorkStep[],
  request: WorkRequest,
  up: WorkedUp,
): WorkStep[] {
  const at = steps.find(({ phase }) => phase === 'sew')?.at ?? 'table';
  const more = stepsOfEdge(request, up, at);
  const own = more.some(({ id }) => id.startsWith('curve-'));
  const result = steps.filter(({ id }) => !(own && id === 'curve'));
  for (const step of [...more].reverse()) {
    // Marks come before the cut; a curve while its line is sewn, after the line was begun.
    const first = result.findIndex(
      ({ phase }) => phases.indexOf(phase) >= phases.indexOf(step.phase),
    );
    const last = result.findLastIndex(({ phase }) => phase === step.phase);
    const where = step.phase === 'sew' ? last + 1 : first < 0 ? result.length : first;
    result.splice(where, 0, step);
  }
  const back = result.findIndex(({ phase }) => phase === 'put-back');
  result.splice(back < 0 ? result.length : back, 0, ...secondOfPair(request));
  return result;
}
