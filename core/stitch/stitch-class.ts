import type { Pattern } from './stitch';

/**
 * Stitch classes by ISO 4915. A blind, shell or overcast stitch of a swinging needle is a zigzag
 * lockstitch however its swings are timed; one that sets down on its way over is multi-step.
 * Source: docs/formulas.md, “Stitch and seam classes”.
 */
export const stitchClass: Readonly<Record<Pattern, string>> = {
  straight: '301',
  zigzag: '304',
  'three-step': '308',
  'blind-woven': '304',
  'blind-stretch': '304',
  tacking: '301',
  'overcast-woven': '304',
  'overcast-stretch': '304',
  shell: '304',
  fringe: '304',
  'overedge-four': '514',
  'overedge-three-wide': '504',
  'overedge-three-narrow': '504',
  'overedge-two': '503',
  'rolled-three': '505',
  'rolled-two': '503',
  'cover-left': '406',
  'cover-right': '406',
  'cover-wide': '406',
  'cover-three': '407',
  chain: '401',
};
