import { refusal, type Issue } from '../impossible';
import { derivedOf } from './derived';
import { cornersGapMm, flareRadiusMm } from './form-course';
import {
  tapersOf,
  type CorneredForm,
  type CurvedForm,
  type EdgeForm,
  type FlareForm,
  type SlantForm,
  type TaperForm,
} from './form';
import { mitreAngleBoundsDegrees, mitreOf } from './mitre';
import { isClosed } from './shape';
import type { Joining } from './state';
import { slantDegrees, steepestSlantDegrees } from './slant';
import { deepestSharedMm, staysInSeamMm, taperShare } from './taper';

/** What a form is judged with: the rest of the edge, as far as it matters. */
export interface FormSurroundings {
  readonly lengthMm: number;
  /** Whether its end is sewn to its beginning. */
  readonly closed: boolean;
  /** Cloth beyond the finished edge; null where no finish says. */
  readonly allowanceMm: number | null;
}

/** Corners may miss each other by so much, a share of the way round: nobody measures closer. */
const closesWithinShare = 0.02;
/** More circles than this are joined into no hem. */
const mostCircles = 3;

function taperIssues(form: TaperForm, { allowanceMm }: FormSurroundings): Issue[] {
  const worst = tapersOf(form).find((leg) => !taperShare(leg).possible);
  if (!worst) return [];
  const { missingMm, mostOutMm } = taperShare(worst);
  const depthMm = allowanceMm ?? 0;
  const straight = form.insideAllowanceMm;
  return [
    refusal(
      'form.insideAllowanceMm',
      'taper-gives-nothing',
      depthMm > 0
        ? 'An allowance of {straightMm} inside the seams gives {mostOutMm}, since {staysMm} stay in a seam; {missingMm} are missing. Half and half it would do to a depth of {deepestMm}; or ease a narrower hem.'
        : 'An allowance of {straightMm} inside the seams gives {mostOutMm}, since {staysMm} stay in a seam; {missingMm} are missing.',
      {
        ...{ straightMm: straight, mostOutMm, staysMm: staysInSeamMm, missingMm },
        deepestMm: depthMm > 0 ? deepestSharedMm(worst, depthMm) : 0,
      },
    ),
  ];
}

function slantIssues({ left, right, flatWidthMm }: SlantForm): Issue[] {
  return (['left', 'right'] as const).flatMap((leg): Issue[] => {
    const marks = leg === 'left' ? left : right;
    if (!marks) return [];
    const steep = Math.abs(slantDegrees({ ...marks, flatWidthMm }));
    if (steep <= steepestSlantDegrees) return [];
    const mostMm = flatWidthMm * Math.tan((steepestSlantDegrees * Math.PI) / 180);
    return [
      refusal(
        `form.${leg}.backMm`,
        'slant-too-steep',
        'From {frontMm} in front to {backMm} at the back is {steep}° across a leg {flatWidthMm} wide; up to {most}° are cut, which is {mostMm} between the two.',
        { ...marks, flatWidthMm, steep: Math.round(steep), most: steepestSlantDegrees, mostMm },
      ),
    ];
  });
}

function flareIssues(form: FlareForm, { lengthMm }: FormSurroundings): Issue[] {
  if (form.by === 'hip' && form.hipMm >= lengthMm) {
    return [
      refusal(
        'form.hipMm',
        'no-flare',
        '{hipMm} round the hips is no less than the hem’s {lengthMm}: that does not flare; make it a tube, or measure again.',
        { hipMm: form.hipMm, lengthMm },
      ),
    ];
  }
  const radiusMm = flareRadiusMm(form, lengthMm);
  const circles = lengthMm / (2 * Math.PI * radiusMm);
  if (circles <= mostCircles + 1e-9) return [];
  const path =
    form.by === 'hip' ? 'form.heightMm' : `form.${form.by === 'radius' ? 'radiusMm' : 'fraction'}`;
  return [
    refusal(
      path,
      'circle-too-small',
      'A hem {lengthMm} long on a radius of {radiusMm} is {circles} whole circles; one circle of that length has a radius of {oneMm}.',
      {
        ...{ lengthMm, radiusMm, circles: Math.round(circles * 10) / 10 },
        oneMm: lengthMm / (2 * Math.PI),
      },
    ),
  ];
}

function curvedIssues({ curves }: CurvedForm, { lengthMm }: FormSurroundings): Issue[] {
  const sorted = curves.map((curve, i) => ({ ...curve, i })).sort((a, b) => a.fromMm - b.fromMm);
  return sorted.flatMap(({ fromMm, toMm, radiusMm, i }, at): Issue[] => {
    const before = sorted[at - 1];
    if (toMm <= fromMm) {
      return [
        refusal(
          `form.curves.${i}.toMm`,
          'marks-cross',
          'A curve that begins at {fromMm} ends further along, not at {toMm}.',
          { fromMm, toMm },
        ),
      ];
    }
    if (toMm > lengthMm + 1e-9) {
      return [
        refusal(
          `form.curves.${i}.toMm`,
          'curve-longer-than-edge',
          'A curve that ends at {toMm} is off the edge of {lengthMm}; it can end there at the latest.',
          { toMm, lengthMm },
        ),
      ];
    }
    if (before && before.toMm > fromMm + 1e-9) {
      return [
        refusal(
          `form.curves.${i}.fromMm`,
          'marks-cross',
          'This curve begins at {fromMm}, inside the one that ends at {beforeMm}; let it begin there.',
          { fromMm, beforeMm: before.toMm },
        ),
      ];
    }
    const mostMm = 2 * Math.PI * radiusMm;
    if (toMm - fromMm > mostMm + 1e-9) {
      return [
        refusal(
          `form.curves.${i}.radiusMm`,
          'more-than-round',
          'A curve {curveMm} long on a radius of {radiusMm} would go round more than once; a whole circle is {mostMm}.',
          { curveMm: toMm - fromMm, radiusMm, mostMm },
        ),
      ];
    }
    return [];
  });
}

function corneredIssues(form: CorneredForm, around: FormSurroundings): Issue[] {
  const { sides } = form;
  const [least, most] = mitreAngleBoundsDegrees;
  const issues = sides.flatMap(({ angleDegrees, mitred }, i): Issue[] =>
    mitred && (angleDegrees < least || angleDegrees > most)
      ? [
          refusal(
            `form.sides.${i}.angleDegrees`,
            'no-mitre',
            'A corner of {angle}° is not mitred; one between {least}° and {most}° is.',
            { angle: angleDegrees, least, most },
          ),
        ]
      : [],
  );
  if (issues.length > 0) return issues;
  const round = sides.reduce((sum, { lengthMm }) => sum + lengthMm, 0);
  const gap = around.closed ? cornersGapMm(form) : 0;
  if (gap > Math.max(5, closesWithinShare * round)) {
    const turned = sides.reduce((sum, { angleDegrees }) => sum + 180 - angleDegrees, 0);
    return [
      refusal(
        `form.sides.${sides.length - 1}.lengthMm`,
        'corners-do-not-close',
        Math.abs(turned - 360) > 1
          ? 'These corners turn by {turned}° in all; once round is 360°, with cloth angles of {inside}° together.'
          : 'The last side ends {gapMm} from where the first begins; opposite sides that differ leave such a gap.',
        { turned: Math.round(turned), inside: (sides.length - 2) * 180, gapMm: gap },
      ),
    ];
  }
  return mitresThatMeet(form, around);
}

/** Two mitres on one side must not reach into each other. */
function mitresThatMeet(
  { sides }: CorneredForm,
  { allowanceMm, closed }: FormSurroundings,
): Issue[] {
  if (allowanceMm === null || allowanceMm <= 0) return [];
  const reach = (side: CorneredForm['sides'][number] | undefined) =>
    side?.mitred ? mitreOf({ allowanceMm, angleDegrees: side.angleDegrees }).alongSideMm : 0;
  return sides.flatMap(({ lengthMm }, i): Issue[] => {
    const before = i > 0 ? sides[i - 1] : closed ? sides.at(-1) : undefined;
    const needMm = reach(before) + reach(sides[i]);
    return needMm <= lengthMm
      ? []
      : [
          refusal(
            `form.sides.${i}.lengthMm`,
            'mitres-meet',
            'With {allowanceMm} turned in, the mitres at both ends need {needMm} of this side, which is {lengthMm}; turn in less, or leave a corner square.',
            { allowanceMm, needMm, lengthMm },
          ),
        ];
  });
}

/**
 * The same for an edge as it would be with a form: with the length that follows from it, and closed
 * as somebody said or as its shape usually is.
 */
export function measuredIssues(
  form: EdgeForm,
  { lengthMm, joined }: { readonly lengthMm: number; readonly joined?: Joining | null | undefined },
  allowanceMm: number | null = null,
): Issue[] {
  const derived = derivedOf(form, lengthMm);
  const closed = isClosed({ ...derived, joined });
  return formIssues(form, { lengthMm: derived.lengthMm, closed, allowanceMm });
}

/** What of a measured edge cannot be, each at its field and with what would be right. */
export function formIssues(form: EdgeForm, around: FormSurroundings): Issue[] {
  switch (form.kind) {
    case 'taper':
      return taperIssues(form, around);
    case 'slant':
      return slantIssues(form);
    case 'flare':
      return flareIssues(form, around);
    case 'curved':
      return curvedIssues(form, around);
    case 'cornered':
      return corneredIssues(form, around);
  }
}
