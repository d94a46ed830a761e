import type { NextMove } from '../../contract/worktable';
import type { Lengths } from '../../core/measure/lengths';
import { counted } from './number';
import { minutesInWords } from './order';

const dialWords: Readonly<Record<string, string>> = {
  width: 'width',
  needlePosition: 'needle at',
  guide: 'guide at',
  length: 'length',
};

/** What comes next on an edge, as one would say it. */
export function nextInWords(next: NextMove, { fine }: Pick<Lengths, 'fine'>): string {
  switch (next.kind) {
    case 'choose':
      return 'choose a finish';
    case 'scrap':
      return next.change
        ? `sew scrap ${next.number}, ${dialWords[next.change.dial] ?? next.change.dial} ${fine(next.change.toMm)}`
        : `sew scrap ${next.number}`;
    case 'keep':
      return `good enough: keep scrap ${next.number}`;
    case 'steps':
      return `${counted(next.left, 'step')} left, ${minutesInWords(next.minutes)}`;
    case 'done':
      return 'done';
    case 'stuck':
      return 'see why it can’t be worked so';
  }
}

/** Where it is done. */
export function nextPlace(edgeId: string, next: NextMove): string {
  switch (next.kind) {
    case 'choose':
      return `/edges/${edgeId}/finish`;
    case 'scrap':
    case 'keep':
      return `/edges/${edgeId}/test`;
    case 'steps':
      return `/at/${edgeId}`;
    case 'stuck':
      return `/edges/${edgeId}/folds`;
    case 'done':
      return `/edges/${edgeId}`;
  }
}
