import type { CornerStage } from '../../core/strip/mitre';

/** What is done at each step of a bound corner. */
export const cornerTitles: Readonly<Record<CornerStage['id'], string>> = {
  'sewn-to-end': 'Sewn to the very end of the side',
  opened: 'Turned over, the binding opened beyond the corner',
  'mitre-back': 'The mitre folded at the back first',
  'mitre-front': 'Then at the front, fold on fold',
  snug: 'The foot snug up to the fold, along the next side',
  'line-down': 'A line down the mitre',
  closed: 'The same from the back',
};

/** What to mind there. */
export const cornerAbout: Readonly<Record<CornerStage['id'], string>> = {
  'sewn-to-end': 'Secure the end and take the work from under the foot.',
  opened: 'Both halves of the binding lie flat; its middle is on the edge’s own line.',
  'mitre-back':
    'From the corner inwards, at half the corner’s angle; pin it before it is turned back.',
  'mitre-front': 'What lay square beyond the mitre goes under it.',
  snug: 'Needle down at the fold, secure, and on.',
  'line-down': 'From the corner to the inner fold, through both mitres at once.',
  closed: 'Both faces look alike; nothing gapes when it is pulled.',
};
