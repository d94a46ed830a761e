import { tapersOf, type EdgeForm } from '../../core/edge/form';
import { mitreOf, trimmedBesideMm } from '../../core/edge/mitre';
import {
  longerLeg,
  pairMarks,
  slantDegrees,
  slantTurn,
  slantPlaceNames,
} from '../../core/edge/slant';
import { taperShare } from '../../core/edge/taper';
import { gaugeOf, type PageSize } from '../../core/fold/gauge';
import {
  both,
  line,
  rulerStrokes,
  rulerWords,
  stroke,
  type PrintedSheet,
  type Stroke,
  type Words,
} from './sheet';

/** What a sheet of marks is made of. */
export interface MarkedEdge {
  readonly name: string;
  readonly form: EdgeForm | null;
  readonly lengthMm: number;
  readonly minRadiusMm: number | null;
  readonly depthMm: number;
  /** Cloth beyond the finished edge. */
  readonly allowanceMm: number;
}

/** A template at true scale, from where it may begin; nothing where the page does not hold it. */
interface Template {
  readonly strokes: readonly Stroke[];
  readonly words: readonly (readonly [xMm: number, yMm: number, text: string])[];
}

type At = readonly [xMm: number, yMm: number];
const nothing: Template = { strokes: [], words: [] };
const leftMm = 20;

/** The slant as a card: the crease upright, the hemline at its angle. */
function wedge(form: Extract<EdgeForm, { kind: 'slant' }>, topMm: number): Template {
  const theta = (slantDegrees({ ...form.left, flatWidthMm: form.flatWidthMm }) * Math.PI) / 180;
  const foot: At = [leftMm, topMm + 70];
  const longMm = 160;
  const end: At = [leftMm + longMm, foot[1] + longMm * Math.tan(theta)];
  return {
    strokes: [
      stroke([leftMm, topMm], foot, 0.5),
      stroke(foot, end, 0.5),
      stroke(foot, [leftMm + longMm, foot[1]], 0.3, true),
      stroke(end, [end[0], topMm], 0.3),
      stroke([end[0], topMm], [leftMm, topMm], 0.3),
    ],
    words: [
      [leftMm + 4, topMm + 10, 'front crease'],
      [leftMm + 60, foot[1] - 4, 'hemline; the dashed line is level'],
    ],
  };
}

/** A mitre as a template: raw edges, finished edges, the sewing line and the cut beside it. */
function mitreCard(allowanceMm: number, angleDegrees: number, topMm: number, page: At): Template {
  const { sewLineFromCornerMm, trimFromCornerMm } = mitreOf({ allowanceMm, angleDegrees });
  const alpha = (angleDegrees * Math.PI) / 180;
  // The raw corner above left, one raw edge to the right, the other down at the corner's angle.
  const corner: At = [
    leftMm + Math.max(0, -Math.cos(alpha)) * (sewLineFromCornerMm + 20),
    topMm + 4,
  ];
  const towards = (turn: number, mm: number): At => [
    corner[0] + mm * Math.cos(turn),
    corner[1] + mm * Math.sin(turn),
  ];
  const farMm = sewLineFromCornerMm + 20;
  const lowest = Math.max(corner[1], towards(alpha, farMm)[1]);
  if (corner[0] + farMm > page[0] - 15 || lowest > page[1] - 70) {
    return {
      strokes: [],
      words: [[leftMm, topMm + 8, 'The mitre is larger than this page; mark it with a tape.']],
    };
  }
  const bisector = alpha / 2;
  const finishedMm = allowanceMm / Math.sin(bisector);
  const finished = towards(bisector, finishedMm);
  const trimmed = towards(bisector, Math.max(0, finishedMm - trimmedBesideMm / Math.sin(alpha)));
  const parallelTo = (turn: number): Stroke =>
    stroke(
      finished,
      [finished[0] + farMm * 0.6 * Math.cos(turn), finished[1] + farMm * 0.6 * Math.sin(turn)],
      0.3,
    );
  return {
    strokes: [
      ...[0, alpha].flatMap((turn) => [
        stroke(corner, towards(turn, farMm), 0.5),
        parallelTo(turn),
        stroke(finished, towards(turn, sewLineFromCornerMm), 0.5),
        stroke(trimmed, towards(turn, trimFromCornerMm), 0.3, true),
      ]),
    ],
    words: [
      [corner[0] + farMm + 3, corner[1] + 1, 'raw edge'],
      [finished[0] + farMm * 0.6 + 3, finished[1] + 1, 'finished edge'],
      [finished[0] + 6, finished[1] + 14, 'sew on the line, cut on the dashes'],
    ],
  };
}

/** A curve as a card: as much of the arc as the page holds. */
function curveCard(radiusMm: number, topMm: number): Template {
  const chordMm = Math.min(160, 1.9 * radiusMm);
  const half = Math.asin(chordMm / 2 / radiusMm);
  const parts = 48;
  const at = (i: number): At => {
    const turn = -half + (2 * half * i) / parts;
    return [
      leftMm + chordMm / 2 + radiusMm * Math.sin(turn),
      topMm + 6 + radiusMm * (1 - Math.cos(turn)),
    ];
  };
  const strokes = Array.from({ length: parts }, (_, i) => stroke(at(i), at(i + 1), 0.5));
  const foot = at(0)[1] + 14;
  return {
    strokes: [
      ...strokes,
      stroke(at(0), [leftMm, foot], 0.3),
      stroke(at(parts), [leftMm + chordMm, foot], 0.3),
      stroke([leftMm, foot], [leftMm + chordMm, foot], 0.3),
    ],
    words: [[leftMm + 6, foot - 4, `radius ${both(radiusMm)}`]],
  };
}

/** The numbers of a form, a line each. */
function told({ form, lengthMm, depthMm, allowanceMm }: MarkedEdge): string[] {
  switch (form?.kind) {
    case 'slant': {
      const { flatWidthMm, left, right } = form;
      const legs = { left: { ...left, flatWidthMm }, right: { ...(right ?? left), flatWidthMm } };
      const { snipAt, snipOpensMm } = slantTurn(legs.left, depthMm);
      const marks = pairMarks(legs, Math.max(0, allowanceMm)).filter(
        ({ leg, layer }) => layer === 'outer' && (right !== null || leg === 'left'),
      );
      const differ = longerLeg(legs, 'frontMm');
      return [
        `Leg flat ${both(flatWidthMm)} across; the hemline runs at ${slantDegrees(legs.left).toFixed(1)}°. Marks from the waist down, on both layers:`,
        ...marks.map(
          ({ leg, place, mm, cutMm }) =>
            `${right ? `${leg} leg, ` : ''}${slantPlaceNames[place]}: hemline ${both(mm)}, cut ${both(cutMm)}`,
        ),
        ...(differ.leg === 'same'
          ? []
          : [`The ${differ.leg} leg is ${both(differ.byMm)} longer in front.`]),
        ...(snipAt
          ? [`Snip the allowance at the ${slantPlaceNames[snipAt]}; it opens ${both(snipOpensMm)}.`]
          : []),
      ];
    }
    case 'taper': {
      const legs = tapersOf(form);
      return legs.flatMap((leg, i) => {
        const { missingMm, letOutMm, takeInMm } = taperShare(leg);
        const which = legs.length === 1 ? '' : i === 0 ? 'Left leg: ' : 'Right leg: ';
        return [
          `${which}across the raw edge ${both(leg.rawFlatMm)}, across where it lands ${both(leg.landingFlatMm)}: ${both(missingMm)} missing.`,
          `Each of ${leg.seams} seams: let out ${both(letOutMm)} at the raw edge, take in ${both(takeInMm)} at the landing, straight between.`,
        ];
      });
    }
    case 'cornered':
      return form.sides.map(
        ({ lengthMm: side, angleDegrees, mitred }, i) =>
          `Side ${i + 1}: ${both(side)}, then a corner of ${angleDegrees}°, ${
            mitred && allowanceMm > 0
              ? `mitre sewn ${both(mitreOf({ allowanceMm, angleDegrees }).sewLineFromCornerMm)} from the raw corner`
              : 'square'
          }`,
      );
    case 'curved':
      return form.curves.map(
        ({ fromMm, toMm, radiusMm, side }, i) =>
          `Curve ${i + 1}: from ${both(fromMm)} to ${both(toMm)}, ${side === 'outside' ? 'outward' : 'inward'}, radius ${both(radiusMm)}`,
      );
    default:
      return [`Length along the edge ${both(lengthMm)}.`];
  }
}

function template(edge: MarkedEdge, topMm: number, page: At): Template {
  const { form, allowanceMm, minRadiusMm } = edge;
  if (form?.kind === 'slant') return wedge(form, topMm);
  if (form?.kind === 'cornered') {
    const mitred = form.sides.find((side) => side.mitred);
    return mitred && allowanceMm > 0
      ? mitreCard(allowanceMm, mitred.angleDegrees, topMm, page)
      : nothing;
  }
  return minRadiusMm === null ? nothing : curveCard(minRadiusMm, topMm);
}

/**
 * A sheet of marks for an edge: its numbers, a template at true scale (the slant as a card to lay
 * against the crease, a mitre, a curve), and two check rulers.
 */
export function marksSheet(edge: MarkedEdge, page: PageSize): PrintedSheet {
  const { pageMm, rulers, baseYMm } = gaugeOf([], page);
  const [width] = pageMm;
  const lines = told(edge);
  const size = lines.length > 12 ? 3 : 4;
  const card = template(edge, 34 + lines.length * size * 1.5, pageMm);
  return {
    pageMm,
    strokes: [...card.strokes, ...rulerStrokes(rulers)],
    words: [
      line(width, 18, `Marks: ${edge.name}`, 6),
      line(
        width,
        25,
        `Turned up ${both(edge.depthMm)}; ${both(Math.abs(edge.allowanceMm))} of cloth ${edge.allowanceMm < 0 ? 'cut off' : 'beyond the finished edge'}.`,
        3.4,
      ),
      ...lines.map((text, i) => line(width, 34 + i * size * 1.5, text, size)),
      ...card.words.map(([x, y, text]): Words => ({
        ...{ at: [x, y], text, sizeMm: 3, middle: false },
        mostMm: Math.max(20, width - 10 - x),
      })),
      ...rulerWords(rulers),
      line(
        width,
        baseYMm + 40,
        'Print at actual size, not fitted to the page. If a ruler is off, do not use the template.',
        3.4,
      ),
    ],
  };
}
