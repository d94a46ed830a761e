import {
  atMostOneWrong,
  doubtfulBelow,
  sureItIsThere,
  sureOf as sureAlone,
} from '../../../core/eye/how-sure';
import { countChances } from '../../../core/eye/likeliest-counts';
import { commonSpreadMm } from '../../../core/eye/shared-offs';
import { answerAt, depthsByAnswers } from '../../../core/eye/told-by-answers';
import type { MeasuredScrap } from '../../../core/eye/measured-scrap';
import { mostMeasured } from '../../../contract/plan';
import type { Check, Fault } from '../../../core/margin/check';
import type { MeasuredDepth } from '../../../core/margin/measured-depths';

/** A stitch as it was measured in a photo. */
export interface KeptDepth extends MeasuredDepth {
  readonly atMm: [xMm: number, yMm: number];
}

/** What a find counts as; struck out it counts as nothing. */
export const judgements = ['sound', 'short', 'over', 'struck'] as const;
export type Judgement = (typeof judgements)[number];

/** A counted stitch found in a photo, as the person leaves it. */
export interface Find {
  readonly id: number;
  /** From the window’s upper left corner, mm. */
  readonly atMm: readonly [xMm: number, yMm: number];
  readonly judged: Judgement;
  /** How sure the eye is of it, 0 … 1; 1 once the person has said. */
  readonly sure: number;
  /** The check’s value as it was measured; null where it was not. */
  readonly depth: MeasuredDepth | null;
  /** What it was taken for before the person said; one that they added was nothing. */
  readonly found?: Pick<Find, 'judged' | 'sure'>;
}

export const isDoubtful = ({ sure }: Find): boolean => sure < doubtfulBelow;

/** It is asked about, however sure it seems by itself: what else was seen does not agree. */
export const asked = (find: Find): Find => ({
  ...find,
  sure: Math.min(find.sure, doubtfulBelow / 2),
});

/** The eye is never as sure as a person who said. */
const surestEye = 1 - 1e-12;

/** Whether the person has said what it is. */
export const isSaid = ({ sure }: Find): boolean => sure === 1;

/** What a find with a fault, or with none, counts as. @param below the fault that is falling short */
const countsAs = (fault: Fault | null, below: Fault): Exclude<Judgement, 'struck'> =>
  fault === null ? 'sound' : fault === below ? 'short' : 'over';

/** A find that goes so deep, as it is judged by that. @param there how sure it is that it is one */
export const measuredAs = (
  { id, atMm }: Pick<Find, 'id' | 'atMm'>,
  there: number,
  depth: MeasuredDepth,
  check: Pick<Check, 'loMm' | 'hiMm'>,
): Find => ({
  ...{ id, atMm, depth },
  judged: answerAt(depth.depthMm, check),
  sure: Math.min(there * sureAlone(depth.depthMm, depth.depthSpreadMm, check), surestEye),
});

/** What was found, along the seam. @param below the fault that is counted as falling short */
export function findsOf({ stitches }: MeasuredScrap, below: Fault): Find[] {
  return stitches
    .filter(({ counted }) => counted)
    .toSorted((a, b) => a.atMm[0] - b.atMm[0])
    .map(({ atMm, fault, sure, depthMm, depthSpreadMm }, id) => ({
      ...{ id, atMm, sure: Math.min(sure, surestEye) },
      depth: depthMm === null ? null : { depthMm, depthSpreadMm: depthSpreadMm ?? 0 },
      judged: countsAs(fault, below),
    }));
}

/** It as the person says it is, who is sure. */
export const said = (find: Find, as: Judgement): Find => {
  const { judged: was, sure, found = isSaid(find) ? undefined : { judged: was, sure } } = find;
  return { ...find, judged: as, sure: 1, ...(found && { found }) };
};

/** Says what a find is. */
export const judged = (finds: readonly Find[], id: number, as: Judgement): Find[] =>
  finds.map((find) => (find.id === id ? said(find, as) : find));

/** Takes back what was said of a find: it is what it was taken for. */
export const takenBack = (finds: readonly Find[], id: number): Find[] =>
  finds.map((find) => {
    const { found, ...rest } = find;
    return find.id === id && found ? { ...rest, ...found } : find;
  });

/**
 * The finds of a face as they are once all is known that the person said of them: that tells of the others too. What was measured
 * of one stays where it is what the person says it is; of one that was struck out, or that is another, nothing was measured.
 *
 * @param finds as they were measured, and what was said
 */
export function toldByAnswers(finds: readonly Find[], check: Check): Find[] {
  if (!finds.some(isSaid)) return [...finds];
  const measured = finds.flatMap((find) => {
    const { depth, judged: as } = find;
    if (!depth || as === 'struck') return [];
    return [{ id: find.id, depth, answer: isSaid(find) ? as : null }];
  });
  const told = depthsByAnswers(measured, check);
  const depthOf = new Map(measured.map(({ id }, i) => [id, told[i]!]));
  return finds.map((find): Find => {
    const depth = depthOf.get(find.id) ?? null;
    if (!depth || !find.depth) return { ...find, depth };
    if (isSaid(find)) {
      return { ...find, depth: answerAt(depth.depthMm, check) === find.judged ? depth : null };
    }
    return measuredAs(find, sureItIsThere(find.sure, find.depth, check), depth, check);
  });
}

/** How many finds were doubtful and are no more, though nothing was said of them. */
export const settledByAnswers = (before: readonly Find[], told: readonly Find[]): number =>
  before.filter((find, i) => !isSaid(find) && isDoubtful(find) && !isDoubtful(told[i]!)).length;

/** Adds one the eye did not see, in its place along the seam. */
export function added(finds: readonly Find[], atMm: Find['atMm']): Find[] {
  const id = Math.max(-1, ...finds.map((find) => find.id)) + 1;
  return [...finds, { id, atMm, judged: 'sound' as const, sure: 1, depth: null }].sort(
    (a, b) => a.atMm[0] - b.atMm[0],
  );
}

/** Where one is missing after another: half way to the next, or as far on as it lies from the last. */
export function placeAfter(finds: readonly Find[], id: number): Find['atMm'] {
  const i = finds.findIndex((find) => find.id === id);
  const [before, at, next] = [finds[i - 1], finds[i], finds[i + 1]];
  if (!at) return [50, 30];
  const between = (a: number, b: number) => (a + b) / 2;
  if (next) return [between(at.atMm[0], next.atMm[0]), between(at.atMm[1], next.atMm[1])];
  const [dx, dy] = before ? [at.atMm[0] - before.atMm[0], at.atMm[1] - before.atMm[1]] : [4, 0];
  return [at.atMm[0] + dx, at.atMm[1] + dy];
}

/** The counts that a scrap is written down with. */
export function countsOf(finds: readonly Find[]) {
  const of = (as: Judgement) => finds.filter((find) => find.judged === as).length;
  return { n: finds.length - of('struck'), short: of('short'), over: of('over') };
}

/** To the hundredth of a millimetre, which is finer than anything is measured. */
const hundredth = (mm: number) => Math.round(mm * 100) / 100;

/** What was measured of the finds that stand as they were measured. @param finds as {@link toldByAnswers} has them */
export const depthsOf = (finds: readonly Find[]): KeptDepth[] =>
  finds
    .flatMap(({ depth, judged: as, atMm }) =>
      depth && as !== 'struck'
        ? [
            {
              depthMm: hundredth(depth.depthMm),
              depthSpreadMm: hundredth(depth.depthSpreadMm),
              atMm: [hundredth(atMm[0]), hundredth(atMm[1])] as [number, number],
            },
          ]
        : [],
    )
    .slice(0, mostMeasured);

/**
 * The chance that the counts are right to within one, as things stand: what was measured is off in common besides, what the person
 * said is sure.
 */
export function sureOf(finds: readonly Find[], check: Pick<Check, 'loMm' | 'hiMm'>): number {
  const open = finds.filter(({ sure }) => sure < 1);
  const measured = open.flatMap(({ depth, sure, judged: as }) =>
    depth && depth.depthSpreadMm > 0 ? [{ depth, sure, as }] : [],
  );
  const depths = measured.map(({ depth }) => depth);
  const of = (which: Judgement) => measured.filter(({ as }) => as === which).length;
  const chance =
    depths.length === 0
      ? 1
      : countChances(
          depths,
          commonSpreadMm(depths),
          check,
        )({ short: of('short'), over: of('over') });
  const there = measured.map(({ depth, sure }) => sureItIsThere(sure, depth, check));
  const others = open.filter(({ depth }) => !depth || depth.depthSpreadMm <= 0);
  return chance * atMostOneWrong([...there, ...others.map(({ sure }) => sure)]);
}
