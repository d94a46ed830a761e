import {
  bites,
  goesOverEdge,
  hasBinder,
  hasLoopers,
  isBound,
  isSewn,
  keepsOldHem,
  turnsUp,
  usesScroll,
  type Situation,
  joins,
} from './situation';

/** Something that went wrong, as it is seen on the scrap or worn. */
export interface Symptom {
  readonly id: SymptomId;
  readonly name: string;
  /** What to look at, and on which face. */
  readonly look: string;
  readonly face: 'right' | 'wrong' | 'both' | 'edge';
  /** Whether it can happen in a situation at all. */
  occurs(situation: Situation): boolean;
}

export const symptomIds = [
  'bite-missed',
  'bite-shows',
  'ridge',
  'hem-tight',
  'hem-full',
  'crease-puckers',
  'crooked',
  'whiskers',
  'edge-tunnels',
  'edge-waves',
  'roll-runs-out',
  'roll-crams',
  'lump-in-scroll',
  'back-missed',
  'strip-jams',
  'binding-wanders',
  'opening-small',
  'ten-layers',
  'uneven-over-lump',
  'skipped',
  'needle-breaks',
  'loops-show',
  'bobbin-puckers',
  'start-chewed',
  'ends-miss',
  'trimmed-too-soon',
  'shine',
] as const;
export type SymptomId = (typeof symptomIds)[number];

const isLock = (it: Situation) => isSewn(it) && !hasLoopers(it);
/** Whether the iron comes anywhere near it. */
const isPressed = (it: Situation) => turnsUp(it) || isBound(it) || joins(it);

const table: Readonly<Record<SymptomId, Omit<Symptom, 'id'>>> = {
  'bite-missed': {
    name: 'The needle misses the fold',
    look: 'Unfold the hem: holes in the extension with no thread in the garment.',
    face: 'wrong',
    occurs: bites,
  },
  'bite-shows': {
    name: 'Stitches show on the right side',
    look: 'From outside, at arm’s length: dots longer than a grain of rice.',
    face: 'right',
    occurs: bites,
  },
  ridge: {
    name: 'A ridge or a row of pits',
    look: 'From outside in slanting light, after pressing.',
    face: 'right',
    occurs: bites,
  },
  'hem-tight': {
    name: 'The hem is too tight to lie',
    look: 'Lay it flat: the turned-up part draws the garment in.',
    face: 'wrong',
    occurs: (it) => turnsUp(it) && it.edge.closed,
  },
  'hem-full': {
    name: 'The hem is too full',
    look: 'Pleats where the turned-up part is stitched down.',
    face: 'wrong',
    occurs: (it) => turnsUp(it) && it.edge.curved,
  },
  'crease-puckers': {
    name: 'The crease puckers',
    look: 'Along the fold itself, before and after pressing.',
    face: 'both',
    occurs: turnsUp,
  },
  crooked: {
    name: 'Front and back are not one length',
    look: 'Hang it up, or have it worn: measure from the floor.',
    face: 'right',
    occurs: (it) => turnsUp(it) && it.edge.closed,
  },
  whiskers: {
    name: 'Whiskers outside the stitches',
    look: 'Along the cut edge: threads that no stitch holds.',
    face: 'edge',
    occurs: goesOverEdge,
  },
  'edge-tunnels': {
    name: 'The edge curls or tunnels',
    look: 'Along the edge: cloth drawn into a tube under the stitches.',
    face: 'edge',
    occurs: goesOverEdge,
  },
  'edge-waves': {
    name: 'The edge stretches into waves',
    look: 'Lay it flat without smoothing: it does not lie.',
    face: 'edge',
    occurs: isSewn,
  },
  'roll-runs-out': {
    name: 'The roll runs out of the scroll',
    look: 'A raw edge beside the stitches.',
    face: 'wrong',
    occurs: usesScroll,
  },
  'roll-crams': {
    name: 'The roll crams the scroll',
    look: 'A fat, twisted roll, and cloth that stops.',
    face: 'wrong',
    occurs: usesScroll,
  },
  'lump-in-scroll': {
    name: 'A seam will not go through the scroll',
    look: 'Where a seam crosses: the roll opens or the foot stands still.',
    face: 'wrong',
    occurs: (it) => usesScroll(it) && it.edge.crossed,
  },
  'back-missed': {
    name: 'The binding is not caught underneath',
    look: 'Turn it over: the back fold hangs free.',
    face: 'wrong',
    occurs: isBound,
  },
  'strip-jams': {
    name: 'The strip twists or jams',
    look: 'At the mouth: one fold over the other, or none.',
    face: 'edge',
    occurs: (it) => isBound(it) && hasBinder(it),
  },
  'binding-wanders': {
    name: 'The binding wanders off on a curve',
    look: 'In the curve: the stitch leaves the fold, or the edge leaves the binding.',
    face: 'right',
    occurs: (it) => isBound(it) && it.edge.curved,
  },
  'opening-small': {
    name: 'The opening is too small',
    look: 'Pull it over what has to pass.',
    face: 'both',
    occurs: (it) => isBound(it) && it.edge.closed,
  },
  'ten-layers': {
    name: 'Too thick where the binding is seamed',
    look: 'At the join: layer on layer, and a foot that climbs.',
    face: 'both',
    occurs: (it) => isBound(it) && it.edge.crossed,
  },
  'uneven-over-lump': {
    name: 'Short stitches up a seam, long ones down',
    look: 'Where a seam crosses, from outside.',
    face: 'right',
    occurs: (it) => isSewn(it) && it.edge.crossed,
  },
  skipped: {
    name: 'Skipped stitches',
    look: 'A long float between two holes.',
    face: 'both',
    occurs: isSewn,
  },
  'needle-breaks': {
    name: 'The needle breaks',
    look: 'Stop. Find every piece before going on.',
    face: 'both',
    occurs: isSewn,
  },
  'loops-show': {
    name: 'Loops of the other thread show',
    look: 'Both faces: which thread lies flat, and which is pulled through.',
    face: 'both',
    occurs: isSewn,
  },
  'bobbin-puckers': {
    name: 'Fine puckers all along',
    look: 'Beside the stitches; they stay when the thread is cut.',
    face: 'both',
    occurs: isLock,
  },
  'start-chewed': {
    name: 'The first stitches are chewed into the plate',
    look: 'A knot and a hole at the very start.',
    face: 'wrong',
    occurs: isLock,
  },
  'ends-miss': {
    name: 'The end does not meet the beginning',
    look: 'Where the round closes: a step beside the first stitches.',
    face: 'right',
    occurs: (it) => isSewn(it) && it.edge.closed,
  },
  'trimmed-too-soon': {
    name: 'The tuck was cut off before trying on',
    look: 'It is too short now, and nothing is left to let down.',
    face: 'wrong',
    occurs: keepsOldHem,
  },
  shine: {
    name: 'The iron left a shine',
    look: 'From outside, in slanting light.',
    face: 'right',
    occurs: isPressed,
  },
};

/** Everything that goes wrong, in the order people look for it. */
export const symptoms: readonly Symptom[] = symptomIds.map((id) => ({ id, ...table[id] }));

/** What can go wrong in a situation. */
export function symptomsOf(situation: Situation): Symptom[] {
  return symptoms.filter(({ occurs }) => occurs(situation));
}
