import fc from 'fast-check';
import type { Cloth } from '../cloth/cloth';
import { assumedStrip } from '../cloth/usual-strip';
import { thickestTimes } from '../seam/crossing';
import { catalogue } from './catalogue';
import type { Finish } from './finish';
import type { FoldPlan } from './fold-plan';
import type { WorkRequest } from './work';
import { completed, foldFields, startOf, takesField, type FoldWish } from './fold-request';

export const medium: Cloth = {
  construction: 'woven',
  weightGsm: 240,
  thicknessMm: 0.6,
  stretchPercent: 2,
  fray: 2,
  curl: 0,
  slip: 0,
};

/** Every finish with each of its variants. */
export const everyVariant = catalogue.flatMap((finish) =>
  finish.variants.map(({ id }): [string, Finish, string] => [`${finish.id}, ${id}`, finish, id]),
);

/** A wish at the finish's own starting values, optional ones included. */
export function startingWish(finish: Finish, variant: string): FoldWish {
  const needed = foldFields.flatMap((field): [string, number][] => {
    const rule = finish.fields[field];
    const startMm = rule ? startOf(rule, variant) : null;
    return rule?.neededBy.includes(variant) && startMm !== null ? [[field, startMm]] : [];
  });
  return completed(finish.fields, { variant, ...Object.fromEntries(needed) });
}

/** The folds of a wish that may leave optional lengths out. */
export function foldsOf(
  finish: Finish,
  wish: FoldWish,
  cloth: Pick<Cloth, 'thicknessMm'> = medium,
): FoldPlan {
  return finish.folds({ wish: completed(finish.fields, wish), cloth });
}

/** The work on a closed or an open edge, with a way chosen for every school. */
export function workOn(
  finish: Finish,
  variant: string,
  more: {
    closed?: boolean;
    cornered?: boolean;
    thickestTimes?: number;
    crossings?: WorkRequest['edge']['crossings'];
    cloth?: Cloth;
    way?: number;
    radiusMm?: number;
    form?: WorkRequest['edge']['form'];
  } = {},
): WorkRequest {
  const way = more.way ?? 0;
  return {
    wish: startingWish(finish, variant),
    cloth: more.cloth ?? medium,
    edge: {
      lengthMm: 900,
      minRadiusMm: more.radiusMm ?? null,
      closed: more.closed ?? false,
      cornered: more.cornered ?? false,
      thickestTimes: more.thickestTimes ?? thickestTimes(more.crossings ?? []),
      crossings: more.crossings ?? [],
      form: more.form,
    },
    schools: Object.fromEntries(
      finish.schools.map(({ id, ways }) => [id, ways[way % ways.length]?.id ?? '']),
    ),
  };
}

const thicknesses = fc.double({ min: 0.08, max: 2.5, noNaN: true });

/** Wishes a variant can fold, in cloth of some thickness. */
export function foldableWishes(finish: Finish, variant: string) {
  const { worked, stripMm = Infinity } = finish.nature(variant);
  const rules = foldFields.flatMap((field) => {
    const rule = finish.fields[field];
    if (!rule || !takesField(rule, variant)) return [];
    const most = Math.min(rule.mostMm, 90);
    // Hundredths of a millimetre: finer than anyone marks, and no two ends a hair apart.
    const lengths = fc
      .integer({ min: Math.ceil(Math.max(rule.leastMm, 1) * 100), max: most * 100 })
      .map((hundredths) => hundredths / 100);
    const optional = !rule.neededBy.includes(variant);
    return [[field, optional ? fc.option(lengths, { nil: undefined }) : lengths] as const];
  });
  return (
    fc
      .record({ wish: fc.record(Object.fromEntries(rules)), thicknessMm: thicknesses })
      .map(({ wish, thicknessMm }) => ({
        wish: completed(finish.fields, { variant, ...wish }),
        cloth: { thicknessMm },
        // As the app folds it: nobody binds plush with plush.
        ...(worked.includes('strip') ? { strip: assumedStrip({ thicknessMm }, stripMm) } : {}),
      }))
      // Nobody turns a millimetre of cloth that is a millimetre thick.
      .filter(({ wish, cloth }) =>
        ['depthMm', 'turnMm', 'channelMm', 'extensionMm'].every((field) => {
          const mm = (wish as Record<string, number | string | undefined>)[field];
          return typeof mm !== 'number' || mm >= 2 * cloth.thicknessMm;
        }),
      )
      .filter((request) => finish.contradictions(request).length === 0)
  );
}
