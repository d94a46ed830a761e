import { needleCode, needleWords } from './kit';

/** Words for the codes that starting values are kept as, by the value's id. */
const words: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  thread: {
    fine: 'fine, matching',
    'all-purpose': 'all-purpose, matching',
    strong: 'strong, matching',
    topstitching: 'topstitching above, ordinary below',
    cone: 'cone thread',
    'cone-fine': 'fine cone thread',
  },
  bobbin: { same: 'same thread', 'same-slow': 'same thread, wound slowly' },
  tension: {
    normal: 'normal',
    less: 'a little less',
    'half-less': 'half a number less',
    'half-more': 'half a number more',
    'two-less': 'two numbers less',
  },
  pressure: { normal: 'normal', less: 'a little less', more: 'a little more' },
  loopers: {
    meeting: 'meeting on the edge',
    less: 'a little less',
    'much-tighter': 'much tighter',
  },
  'upper-looper': { looser: 'looser' },
  iron: { warm: 'warm', 'never-on-it': 'never on the thread' },
};

const needleSets: Readonly<Record<string, string>> = {
  both: 'both needles',
  left: 'left needle',
  right: 'right needle',
  outer: 'outer two needles',
  narrow: 'left and middle needle',
};

/** A code as one would say it; whatever somebody typed stands as it is. */
export function codeInWords(id: string, code: string): string {
  if (id === 'needle') return needleWords(code);
  if (id === 'threads') {
    const [count = '', needles = ''] = code.split('-');
    return needleSets[needles] ? `${count}, ${needleSets[needles]}` : code;
  }
  return words[id]?.[code] ?? code;
}

/** The code that a value's words stand for, so that one who types them back has changed nothing. */
export function codeOfWords(id: string, typed: string): string {
  const known = words[id] ?? {};
  const code = Object.keys(known).find((one) => known[one] === typed);
  if (code !== undefined) return code;
  if (id === 'needle') return needleCode(typed);
  if (id === 'threads') {
    const [count = '', needles = ''] = typed.split(', ');
    const set = Object.keys(needleSets).find((one) => needleSets[one] === needles);
    return set ? `${count}-${set}` : typed;
  }
  return typed;
}
