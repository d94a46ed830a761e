import { useMemo, useState } from 'react';
import { placeAt, placesOf, type Place } from '../../../core/edge/course';
import type { EdgeForm } from '../../../core/edge/form';
import { courseOf } from '../../../core/edge/form-course';
import { measuredIssues } from '../../../core/edge/form-issues';
import type { EdgeRecord } from '../../../contract/records';
import type { Handle } from '../../pictures/above/handle';
import { levelled } from '../../pictures/above/course-layout';
import { rightLegAtMm } from '../../pictures/above/leg-layout';
import { change } from '../../ground/records';
import { withForm } from '../edge-asked/form-fields';

type Of<K extends EdgeForm['kind']> = Extract<EdgeForm, { kind: K }>;
type Grip = Omit<Handle, 'set'> & { with(mm: number): EdgeForm };

const up = { right: 0, up: 1 };
const point = (xMm: number, yMm: number) => ({ xMm, yMm });

/** The two marks of a leg: dragged down it gets longer. */
function slantGrips(form: Of<'slant'>): Grip[] {
  const legs = [
    ['left', form.left, 0],
    ...(form.right ? ([['right', form.right, rightLegAtMm(form.flatWidthMm)]] as const) : []),
  ] as const;
  return legs.flatMap(([leg, marks, fromMm]) => {
    const rise = (marks.frontMm - marks.backMm) / 2;
    return (['frontMm', 'backMm'] as const).map((end): Grip => {
      const front = end === 'frontMm';
      return {
        id: `${leg} ${end}`,
        label: `${front ? 'Front' : 'Back'} mark, ${leg} leg`,
        at: point(fromMm + (front ? 0 : form.flatWidthMm), front ? -rise : rise),
        ...{ valueMm: marks[end], leastMm: 10, mostMm: 3000 },
        // Both ends of the hemline move about its middle: half of what the hand does.
        growsMm: { right: 0, up: -2 },
        with: (mm) => ({ ...form, [leg]: { ...marks, [end]: mm } }),
      };
    });
  });
}

/** Half of each width is on either side of the middle. */
function taperGrips(form: Of<'taper'>, depthMm: number): Grip[] {
  const reach = Math.max(depthMm, 1);
  const middle = (form.rawFlatMm + form.landingFlatMm) / 4;
  return (
    [
      ['rawFlatMm', 'Flat across the raw edge', -reach],
      ['landingFlatMm', 'Flat across where it lands', reach],
    ] as const
  ).map(([name, label, y]) => ({
    id: name,
    label,
    at: point(middle - form[name] / 2, y),
    ...{ valueMm: form[name], leastMm: 20, mostMm: 5000, growsMm: { right: -2, up: 0 } },
    with: (mm) => ({ ...form, [name]: mm }),
  }));
}

/** The way along the edge at a place, as right and up. */
const alongAt = ({ inXMm, inYMm }: Place) => {
  const length = Math.hypot(inXMm, inYMm) || 1;
  return { right: inYMm / length, up: -inXMm / length };
};

function curveGrips(form: Of<'curved'>, edge: EdgeRecord): Grip[] {
  const places = levelled(placesOf(courseOf(edge)));
  return form.curves.flatMap((curve, i) =>
    (['fromMm', 'toMm'] as const).map((end): Grip => {
      const place = placeAt(places, curve[end]);
      return {
        id: `${i} ${end}`,
        label: `Curve ${i + 1} ${end === 'fromMm' ? 'begins' : 'ends'}`,
        at: point(place.xMm, place.yMm),
        ...{ valueMm: curve[end], leastMm: 0, mostMm: edge.lengthMm, growsMm: alongAt(place) },
        with: (mm) => ({
          ...form,
          curves: form.curves.map((one, k) => (k === i ? { ...one, [end]: mm } : one)),
        }),
      };
    }),
  );
}

/** A rectangle by its two measures; other figures by their fields. */
function cornerGrips(form: Of<'cornered'>): Grip[] {
  const { sides } = form;
  const [wide, high] = sides;
  if (sides.length !== 4 || !wide || !high) return [];
  if (sides.some(({ angleDegrees }) => angleDegrees !== 90)) return [];
  const grip = (which: number, label: string, at: Grip['at'], growsMm: Grip['growsMm']): Grip => ({
    id: label,
    label,
    at,
    ...{ valueMm: sides[which]?.lengthMm ?? 0, leastMm: 5, mostMm: 50_000, growsMm },
    with: (lengthMm) => ({
      ...form,
      sides: sides.map((side, k) => (k % 2 === which ? { ...side, lengthMm } : side)),
    }),
  });
  return [
    grip(0, 'Width', point(wide.lengthMm, high.lengthMm / 2), { right: 1, up: 0 }),
    grip(1, 'Height', point(wide.lengthMm / 2, high.lengthMm), up),
  ];
}

function gripsOf(edge: EdgeRecord, depthMm: number): Grip[] {
  const { form } = edge;
  switch (form?.kind) {
    case 'slant':
      return slantGrips(form);
    case 'taper':
      return taperGrips(form, depthMm);
    case 'curved':
      return curveGrips(form, edge);
    case 'cornered':
      return cornerGrips(form);
    default:
      return [];
  }
}

/**
 * The measures of an edge that can be dragged on its picture, and the edge as it is while one is. A
 * hand that goes where the edge can't be stays at the last place where it could.
 */
export function useMarkHandles(edge: EdgeRecord, depthMm: number) {
  const [dragged, setDragged] = useState<EdgeForm | null>(null);
  const shown = useMemo(
    () => (dragged ? { ...edge, ...withForm(dragged, edge.lengthMm) } : edge),
    [edge, dragged],
  );
  const handles = gripsOf(shown, depthMm).map(({ with: made, ...grip }): Handle => ({
    ...grip,
    set: (mm, done) => {
      const form = made(mm);
      const kept = measuredIssues(form, edge).length === 0 ? form : dragged;
      if (!done) {
        if (kept) setDragged(kept);
        return;
      }
      setDragged(null);
      if (kept) change('edges', edge.id, withForm(kept, edge.lengthMm));
    },
  }));
  return { shown, handles };
}
