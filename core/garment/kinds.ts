import { usualEdge, type EdgeThing, type UsualEdge } from '../edge/things';
import type { EdgeTurn, GarmentKind, OwnTask, Piece } from './garment';

/** An edge or a seam as a garment of a kind usually has it. */
export interface UsualGarmentEdge {
  /** Unique within the kind; its record gets an id of its own. */
  readonly key: string;
  readonly name: string;
  readonly on: string;
  readonly edge: UsualEdge;
}

/** What a garment of a kind begins with. Starting guesses, every one of them to be changed. */
export interface UsualGarment {
  readonly pieces: readonly Piece[];
  readonly edges: readonly UsualGarmentEdge[];
  /** Keys of an edge and of a seam that meet, and when the edge is finished. */
  readonly meets: readonly (readonly [edge: string, seam: string, when: EdgeTurn])[];
  readonly own: readonly UsualOwn[];
}

/** A task of the garment's own, by the keys of its edges. */
export interface UsualOwn extends Omit<OwnTask, 'beforeEdges' | 'afterEdges'> {
  /** Left out, every edge waits for it. */
  readonly before?: readonly string[];
  readonly after?: readonly string[];
}

const of = (
  key: string,
  thing: EdgeThing,
  name: string,
  on: string,
  more: Partial<UsualEdge> = {},
): UsualGarmentEdge => ({ key, name, on, edge: { ...usualEdge(thing), ...more } });

const seam = (key: string, name: string, on: string, lengthMm: number, secondEdge: string) =>
  of(key, 'seam', name, on, { lengthMm, secondEdge });

const piece = (name: string, count = 1): Piece => ({ name, count });

const cutOut = (minutes: number): UsualOwn => ({
  id: 'cut-out',
  text: 'Cut the pieces out, and mark every notch.',
  minutes,
  place: 'table',
});

const tryOn = (before: readonly string[], after: readonly string[]): UsualOwn => ({
  id: 'try-on',
  text: 'Try it on before anything is cut at the hem.',
  minutes: 5,
  place: 'hand',
  before,
  after,
});

/** Opening edges lie flat while one seam is open; they are finished before that one closes. */
const garments: Readonly<Record<GarmentKind, UsualGarment>> = {
  singlet: {
    pieces: [piece('front'), piece('back')],
    edges: [
      seam('shoulder', 'Shoulder seams', 'front and back', 120, 'the back’s shoulder'),
      of('neck', 'neck', 'Neck', 'front and back'),
      of('armholes', 'armhole', 'Armholes', 'front and back'),
      seam('sides', 'Side seams', 'front and back', 840, 'the back’s sides'),
      of('hem', 'skirt', 'Hem', 'body', { lengthMm: 960 }),
    ],
    meets: [
      ['neck', 'shoulder', 'after'],
      ['armholes', 'shoulder', 'after'],
      ['armholes', 'sides', 'before'],
      ['hem', 'sides', 'after'],
    ],
    own: [cutOut(20), tryOn(['hem'], ['sides'])],
  },
  't-shirt': {
    pieces: [piece('front'), piece('back'), piece('sleeve', 2)],
    edges: [
      seam('shoulder', 'Shoulder seams', 'front and back', 260, 'the back’s shoulder'),
      of('neck', 'neck', 'Neck', 'front and back'),
      seam('sleeves', 'Sleeves into armholes', 'body and sleeves', 920, 'the sleeve’s head'),
      seam('sides', 'Side and sleeve seams', 'body and sleeves', 1240, 'the back’s side'),
      of('sleeve-hems', 'sleeve', 'Sleeve hems', 'sleeves', { lengthMm: 340 }),
      of('hem', 'skirt', 'Hem', 'body', { lengthMm: 1000 }),
    ],
    meets: [
      ['neck', 'shoulder', 'after'],
      ['shoulder', 'sleeves', 'before'],
      ['sleeves', 'sides', 'before'],
      ['sleeve-hems', 'sides', 'after'],
      ['hem', 'sides', 'after'],
    ],
    own: [cutOut(25), tryOn(['hem', 'sleeve-hems'], ['sides'])],
  },
  jacket: {
    pieces: [
      ...[piece('back'), piece('front', 2), piece('sleeve', 2), piece('facing', 2)],
      piece('collar', 2),
    ],
    edges: [
      seam('shoulder', 'Shoulder seams', 'fronts and back', 260, 'the back’s shoulder'),
      seam('sides', 'Side seams', 'fronts and back', 1100, 'the back’s sides'),
      seam('sleeve-seams', 'Sleeve seams', 'sleeves', 960, 'its other side'),
      seam('sleeves', 'Sleeves into armholes', 'body and sleeves', 960, 'the sleeve’s head'),
      of('sleeve-hems', 'sleeve', 'Sleeve hems', 'sleeves', { lengthMm: 300, depthMm: 40 }),
      of('hem', 'skirt', 'Hem', 'body', { lengthMm: 1150, depthMm: 40, shape: 'straight' }),
    ],
    meets: [
      ['shoulder', 'sleeves', 'before'],
      ['sides', 'sleeves', 'before'],
      ['sleeve-seams', 'sleeves', 'before'],
      ['sleeve-hems', 'sleeve-seams', 'after'],
      ['hem', 'sides', 'after'],
    ],
    own: [cutOut(60), tryOn(['hem', 'sleeve-hems'], ['sleeves', 'sides'])],
  },
  trousers: {
    pieces: [piece('front leg', 2), piece('back leg', 2), piece('waistband')],
    edges: [
      seam('sides', 'Side seams', 'legs', 2080, 'the back leg’s side'),
      seam('inside', 'Inside leg seams', 'legs', 1560, 'the back leg’s inside'),
      seam('crotch', 'Crotch seam', 'legs', 700, 'the other leg'),
      of('legs', 'trouser-leg', 'Legs', 'legs'),
    ],
    meets: [
      ['sides', 'crotch', 'before'],
      ['inside', 'crotch', 'before'],
      ['legs', 'sides', 'after'],
      ['legs', 'inside', 'after'],
    ],
    own: [cutOut(35), tryOn(['legs'], ['crotch'])],
  },
  'circle-skirt': {
    pieces: [piece('half circle', 2), piece('waistband')],
    edges: [
      seam('sides', 'Side seams', 'skirt', 1300, 'the other half'),
      of('waist', 'skirt', 'Waist', 'skirt', { lengthMm: 720 }),
      of('hem', 'circle-skirt', 'Hem', 'skirt'),
    ],
    meets: [
      ['waist', 'sides', 'after'],
      ['hem', 'sides', 'after'],
    ],
    own: [
      cutOut(30),
      {
        id: 'hang',
        minutes: 5,
        place: 'hand',
        before: ['hem'],
        after: ['waist', 'sides'],
        text: 'Hang it for a day and a night; then level the edge from the floor.',
      },
    ],
  },
  blanket: {
    pieces: [piece('blanket')],
    edges: [of('edge', 'blanket', 'Edge all round', 'blanket')],
    meets: [],
    own: [cutOut(10)],
  },
  napkins: {
    pieces: [piece('napkin', 6)],
    edges: [of('edge', 'napkin', 'Edge of each', 'napkin')],
    meets: [],
    own: [cutOut(15)],
  },
  tote: {
    pieces: [piece('body', 2), piece('handle', 2)],
    edges: [
      seam('sides', 'Sides and bottom', 'body', 1180, 'the other side'),
      of('top', 'tote', 'Top edge', 'body'),
    ],
    meets: [['top', 'sides', 'after']],
    own: [
      cutOut(15),
      {
        id: 'handles',
        minutes: 12,
        place: 'table',
        before: ['top'],
        text: 'Fold and press the handles, and pin them to the top edge.',
      },
    ],
  },
  curtain: {
    pieces: [piece('panel', 2)],
    edges: [
      of('sides', 'curtain', 'Sides', 'panels', { lengthMm: 4400, depthMm: 30 }),
      of('heading', 'curtain', 'Heading', 'panels', { lengthMm: 2800, depthMm: 80 }),
      of('hem', 'curtain', 'Lower hem', 'panels', { lengthMm: 2800, depthMm: 100 }),
    ],
    meets: [],
    own: [
      cutOut(25),
      {
        id: 'hang',
        minutes: 5,
        place: 'hand',
        before: ['hem'],
        after: ['heading'],
        text: 'Hang the panels; cloth drops. Mark the hem where it hangs.',
      },
    ],
  },
};

/** What of the garment's own waits for the cutting out, where nothing else says when it is done. */
export const afterCuttingOut = (kind: GarmentKind): string[] =>
  garments[kind].own.filter(({ id, after }) => id !== 'cut-out' && !after).map(({ id }) => id);

/** What a garment of a kind begins with. */
export const usualGarment = (kind: GarmentKind): UsualGarment => garments[kind];
