import { doubtfulBelow, sureItIsThere, sureOf } from '../eye/how-sure';
import type { MeasuredScrap } from '../eye/measured-scrap';
import { answerAt, depthsByAnswers, type Answer } from '../eye/told-by-answers';
import type { MeasuredDepth } from '../margin/measured-depths';
import type { DrawnPhoto } from './drawn-photo';
import { depthOf, trueOf } from './true-stitch';

/** A find of a photo, and what a person who looks at the scrap says of it. */
interface Find {
  readonly depth: MeasuredDepth;
  /** How sure it is by how deep it goes, and that it is one at all. */
  readonly sure: number;
  readonly there: number;
  /** Null: it is none. */
  readonly truth: Answer | null;
}

/** What a photo comes to once its person was asked about what is doubtful. */
export interface Answered {
  readonly answers: number;
  readonly short: number;
  readonly over: number;
}

/**
 * A photo whose person is asked about the least sure find first, and says what is true; what they say tells of the others.
 *
 * @param mostAnswers they are asked so often at the most
 */
export function answered(
  photo: DrawnPhoto,
  { stitches }: MeasuredScrap,
  mostAnswers: number,
): Answered {
  const { judged } = photo.expected;
  const finds = stitches.flatMap((one): Find[] => {
    const depth = one.counted ? depthOf(one) : null;
    if (!depth) return [];
    const is = photo.truth[trueOf(photo, one)];
    const truth = is ? answerAt(is.depthMm, judged) : null;
    return [{ depth, sure: one.sure, there: sureItIsThere(one.sure, depth, judged), truth }];
  });
  const said = new Set<Find>();
  let told = finds.map(({ depth, sure }) => ({ depth, sure }));
  while (said.size < mostAnswers) {
    const open = finds.flatMap((find, i) => (said.has(find) ? [] : [{ find, ...told[i]! }]));
    const [least] = open.toSorted((a, b) => a.sure - b.sure);
    if (!least || least.sure >= doubtfulBelow) break;
    said.add(least.find);
    const depths = depthsByAnswers(
      finds.map((find) => ({ depth: find.depth, answer: said.has(find) ? find.truth : null })),
      judged,
    );
    told = depths.map((depth, i) => ({
      depth,
      sure: finds[i]!.there * sureOf(depth.depthMm, depth.depthSpreadMm, judged),
    }));
  }
  const are = finds.map((find, i) =>
    said.has(find) ? find.truth : answerAt(told[i]!.depth.depthMm, judged),
  );
  const of = (which: Answer) => are.filter((answer) => answer === which).length;
  return { answers: said.size, short: of('short'), over: of('over') };
}
