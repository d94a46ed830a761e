import type { Guidance } from '../../core/kit/foot';
import type { DriftSource } from '../../core/margin/check';

/** What the reference wanders from, after “may wander”. */
const fromGuide: Readonly<Record<Guidance, string>> = {
  blade: 'from the blade',
  bar: 'from the bar',
  bed: 'from the seam guide',
  edge: 'from the edge of the foot',
  mark: 'from the mark on the foot',
  line: 'from the drawn line',
  eye: 'from where your eye holds it',
};

/** What a wandering edge leaves, by what steadies it. */
export function ridesOn(source: DriftSource, guidance: Guidance): string {
  switch (source) {
    case 'guide':
      return fromGuide[guidance];
    case 'press':
      return 'from where the crease puts it';
    case 'feed':
      return 'as your hand feeds it in';
    case 'wrap':
      return 'as it is wrapped';
  }
}
