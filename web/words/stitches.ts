import { stitchClass } from '../../core/stitch/stitch-class';
import type { Pattern } from '../../core/stitch/stitch';

/** What stitches are called. */
export const patternNames: Readonly<Record<Pattern, string>> = {
  straight: 'straight',
  zigzag: 'zigzag',
  'three-step': 'three-step zigzag',
  'blind-woven': 'blind, for woven',
  'blind-stretch': 'blind, for stretch',
  tacking: 'run and tack',
  'overcast-woven': 'overcast, woven',
  'overcast-stretch': 'overcast, stretch',
  shell: 'shell',
  fringe: 'fringe',
  'overedge-four': 'overedge, four threads',
  'overedge-three-wide': 'overedge, three, wide',
  'overedge-three-narrow': 'overedge, three, narrow',
  'overedge-two': 'overedge, two threads',
  'rolled-three': 'rolled, three threads',
  'rolled-two': 'rolled, two threads',
  'cover-left': 'cover, left and middle',
  'cover-right': 'cover, middle and right',
  'cover-wide': 'cover, outer two needles',
  chain: 'chain, one needle',
  'cover-three': 'cover, three needles',
};

/** A stitch with its ISO 4915 class. */
export const stitchLabel = (pattern: Pattern): string =>
  `${patternNames[pattern]} · ISO ${stitchClass[pattern]}`;
