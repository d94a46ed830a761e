import type { Cloth } from '../cloth/cloth';
import { tapersOf } from '../edge/form';
import { deepestUntaperedMm, taperShare } from '../edge/taper';
import type { FoldPlan } from '../finish/fold-plan';
import type { Nature } from '../finish/nature';
import { pressedAwayShare } from '../fold/fullness';
import { adds, fact, noMatter, type Weighed } from './contribution';
import type { ChosenEdge } from './request';

// All points here are starting guesses from craft practice, docs/formulas.md “Choosing”.

/** A leg that tapers: what is turned up is too narrow where it lands, and its seams give way to it. */
export function weighTaper(
  { form, depthMm: wishedMm }: Pick<ChosenEdge, 'form' | 'depthMm'>,
  { worked }: Nature,
  { finishedDepthMm: depthMm }: Pick<FoldPlan, 'finishedDepthMm'>,
  { construction }: Pick<Cloth, 'construction'>,
): Weighed {
  if (form?.kind !== 'taper' || !worked.includes('turned') || depthMm <= 0) return noMatter;
  // Of legs that differ the one that lacks more.
  const worst = tapersOf(form).reduce((a, b) =>
    taperShare(b).missingMm > taperShare(a).missingMm ? b : a,
  );
  const { missingMm, half, letOutMm, takeInMm } = taperShare(worst);
  if (missingMm <= 0) return noMatter;
  // The widths were measured for the depth that was wished; where none was, for this one.
  const free = deepestUntaperedMm(worst, wishedMm ?? depthMm, pressedAwayShare[construction]);
  if (depthMm <= free) return noMatter;
  const values = { depthMm, missingMm, letOutMm, takeInMm, seams: form.seams };
  return half
    ? adds(
        -4,
        fact(
          'taper',
          'The leg tapers: turned {depthMm} up, {missingMm} are missing, and its {seams} seams are let out and taken in first.',
          values,
        ),
      )
    : adds(
        -10,
        fact(
          'taper',
          'The leg tapers: turned {depthMm} up, {missingMm} are missing. The allowance lets each of {seams} seams out by {letOutMm:fine} only; the rest, {takeInMm:fine}, is taken in.',
          values,
        ),
      );
}

/** Corners that are to be mitred, against a finish that runs off each end instead. */
export function weighCorners(
  { form }: Pick<ChosenEdge, 'form'>,
  { worked }: Pick<Nature, 'worked'>,
): Weighed {
  const corners = form?.kind === 'cornered' ? form.sides.filter(({ mitred }) => mitred).length : 0;
  if (corners === 0 || worked.includes('strip') || worked.includes('cut')) return noMatter;
  if (worked.includes('scroll')) {
    return adds(
      -12,
      fact(
        'corner',
        'Its {corners} corners are to be mitred, and a scroll is left and begun anew at each.',
        { corners },
      ),
    );
  }
  return worked.includes('turned')
    ? noMatter
    : adds(
        -6,
        fact('corner', 'Its {corners} corners are to be mitred, and here nothing is turned in.', {
          corners,
        }),
      );
}
