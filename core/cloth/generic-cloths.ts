import type { Face, Fibre, Nap } from './about-cloth';
import type { Cloth } from './cloth';

/** A cloth of a plain kind, with the properties that such cloths usually have. */
export interface GenericCloth extends Cloth {
  readonly id: string;
  readonly name: string;
  readonly fibre: Fibre;
  readonly recoveryPercent: number;
  readonly face: Face;
  readonly nap: Nap;
  /** What the iron usually does to it. */
  readonly press: string;
}

type Row = readonly [
  id: string,
  name: string,
  fibre: Fibre,
  construction: Cloth['construction'],
  /** Weight g/m², thickness mm, stretch %, recovery %. */
  measures: readonly [number, number, number, number],
  /** Fray, curl, slip. */
  grades: readonly [Cloth['fray'], Cloth['curl'], Cloth['slip']],
  face: Face,
  nap: Nap,
  press: string,
];

// One row a line, to be read as the table it is.
// oxfmt-ignore
const rows: readonly Row[] = [
  ['lawn', 'Cotton lawn', 'cotton', 'woven', [75, 0.18, 2, 100], [2, 0, 1], 'alike', 'none', 'Hot iron, steam.'],
  ['muslin', 'Cotton muslin, open', 'cotton', 'woven', [60, 0.22, 4, 95], [3, 0, 1], 'alike', 'none', 'Hot iron; shrinks in the first wash.'],
  ['shirting', 'Cotton shirting', 'cotton', 'woven', [115, 0.24, 2, 100], [2, 0, 0], 'alike', 'none', 'Hot iron, steam.'],
  ['poplin', 'Cotton poplin', 'cotton', 'woven', [135, 0.28, 2, 100], [2, 0, 0], 'alike', 'none', 'Hot iron, steam.'],
  ['quilting', 'Printed cotton, plain weave', 'cotton', 'woven', [145, 0.32, 2, 100], [2, 0, 0], 'one', 'none', 'Hot iron.'],
  ['seersucker', 'Seersucker', 'cotton', 'woven', [130, 0.55, 5, 95], [2, 0, 0], 'alike', 'none', 'A light touch: the iron flattens the pucker.'],
  ['double-gauze', 'Double gauze', 'cotton', 'woven', [125, 0.6, 6, 90], [3, 0, 0], 'alike', 'none', 'Steam only; the iron flattens it.'],
  ['flannelette', 'Brushed cotton', 'cotton', 'woven', [170, 0.55, 3, 98], [1, 0, 0], 'one', 'one-way', 'Warm iron from the wrong side.'],
  ['twill', 'Cotton twill', 'cotton', 'woven', [240, 0.5, 2, 100], [2, 0, 0], 'one', 'none', 'Hot iron, steam; dark ones shine.'],
  ['stretch-twill', 'Stretch twill', 'cotton', 'woven', [250, 0.52, 18, 92], [2, 0, 0], 'one', 'none', 'Warm iron: heat tires the stretch.'],
  ['canvas', 'Cotton canvas', 'cotton', 'woven', [340, 0.75, 1, 100], [2, 0, 0], 'alike', 'none', 'Hot iron, steam.'],
  ['denim-light', 'Light denim', 'cotton', 'woven', [270, 0.55, 2, 100], [2, 0, 0], 'one', 'none', 'Hot iron; wash it first.'],
  ['denim-heavy', 'Heavy denim', 'cotton', 'woven', [420, 0.85, 1, 100], [2, 0, 0], 'one', 'none', 'Hot iron; wash it first.'],
  ['corduroy', 'Corduroy, fine rib', 'cotton', 'woven', [260, 0.9, 3, 98], [2, 0, 0], 'one', 'one-way', 'Face down on a towel, or the ribs lie flat.'],
  ['velveteen', 'Cotton velvet', 'cotton', 'pile', [280, 1.3, 3, 98], [2, 0, 1], 'one', 'one-way', 'Never flat: steam over a pile.'],
  ['terry', 'Towelling', 'cotton', 'pile', [380, 2.6, 8, 92], [2, 0, 0], 'alike', 'none', 'Needs no iron.'],
  ['handkerchief-linen', 'Handkerchief linen', 'linen', 'woven', [110, 0.24, 1, 100], [3, 0, 0], 'alike', 'none', 'Hot iron, damp.'],
  ['linen', 'Dress linen', 'linen', 'woven', [190, 0.42, 1, 100], [3, 0, 0], 'alike', 'none', 'Hot iron, damp; the face can shine.'],
  ['linen-heavy', 'Heavy linen', 'linen', 'woven', [280, 0.65, 1, 100], [3, 0, 0], 'alike', 'none', 'Hot iron, damp.'],
  ['wool-challis', 'Light wool, plain weave', 'wool', 'woven', [130, 0.34, 4, 98], [2, 0, 0], 'alike', 'none', 'Press cloth and steam.'],
  ['wool-suiting', 'Worsted suiting', 'wool', 'woven', [230, 0.45, 4, 98], [2, 0, 0], 'one', 'none', 'Shines under a bare iron.'],
  ['wool-flannel', 'Wool flannel', 'wool', 'woven', [300, 1, 5, 96], [1, 0, 0], 'one', 'one-way', 'Press cloth and steam; shines.'],
  ['coating', 'Wool coating', 'wool', 'woven', [480, 2.2, 5, 95], [1, 0, 0], 'one', 'one-way', 'Press cloth, steam, a clapper.'],
  ['boiled-wool', 'Boiled wool', 'wool', 'felted', [350, 1.8, 12, 88], [0, 0, 0], 'alike', 'none', 'Steam without weight.'],
  ['felt', 'Craft felt', 'wool', 'felted', [250, 1.3, 3, 85], [0, 0, 0], 'alike', 'none', 'Cool iron; check the fibre.'],
  ['silk-habotai', 'Light silk, plain weave', 'silk', 'woven', [45, 0.09, 2, 98], [3, 0, 3], 'alike', 'none', 'Cool iron, dry: water marks it.'],
  ['silk-crepe', 'Silk crepe', 'silk', 'woven', [80, 0.2, 5, 95], [3, 0, 3], 'alike', 'none', 'Cool iron, press cloth.'],
  ['satin', 'Polyester satin', 'polyester', 'woven', [110, 0.2, 2, 100], [3, 0, 3], 'one', 'none', 'Cool iron: it melts and marks.'],
  ['chiffon', 'Chiffon', 'polyester', 'sheer', [50, 0.16, 3, 95], [3, 1, 3], 'alike', 'none', 'Cool iron through paper.'],
  ['organza', 'Organza', 'silk', 'sheer', [40, 0.1, 1, 100], [3, 0, 1], 'alike', 'none', 'Warm iron; keeps a crease.'],
  ['net', 'Soft net', 'polyamide', 'sheer', [30, 0.2, 12, 80], [0, 0, 2], 'alike', 'none', 'Cool iron: it melts.'],
  ['viscose', 'Viscose, plain weave', 'viscose', 'woven', [130, 0.25, 2, 95], [3, 0, 2], 'alike', 'none', 'Warm iron, wrong side; weak when wet.'],
  ['lining', 'Lining', 'viscose', 'woven', [85, 0.12, 1, 100], [3, 0, 3], 'one', 'none', 'Warm iron; steam spots it.'],
  ['shell', 'Rain shell', 'polyamide', 'woven', [90, 0.14, 1, 100], [1, 0, 3], 'one', 'none', 'Cool iron through cloth; needle holes stay.'],
  ['jersey', 'Cotton jersey', 'cotton', 'knit', [170, 0.5, 35, 90], [0, 3, 1], 'one', 'none', 'Warm iron, lifted and set down.'],
  ['jersey-viscose', 'Viscose jersey', 'viscose', 'knit', [200, 0.5, 60, 85], [0, 3, 2], 'one', 'none', 'Warm iron, wrong side.'],
  ['rib', 'Rib knit', 'cotton', 'knit', [230, 0.9, 80, 92], [0, 1, 1], 'alike', 'none', 'Steam only: pressed flat it stays wide.'],
  ['ponte', 'Firm double knit', 'viscose', 'knit', [290, 0.95, 25, 95], [0, 0, 0], 'alike', 'none', 'Warm iron, press cloth; shines.'],
  ['sweatshirt', 'Sweatshirt knit, brushed', 'cotton', 'knit', [300, 1.4, 25, 90], [0, 1, 0], 'one', 'one-way', 'Warm iron from the outside.'],
  ['fleece', 'Fleece', 'polyester', 'pile', [230, 2.4, 20, 92], [0, 1, 1], 'alike', 'one-way', 'No iron: it melts flat.'],
];

/** Forty plain kinds of cloth to start from. Starting guesses, from craft practice. */
export const genericCloths: readonly GenericCloth[] = rows.map(
  ([id, name, fibre, construction, measures, grades, face, nap, press]) => {
    const [weightGsm, thicknessMm, stretchPercent, recoveryPercent] = measures;
    const [fray, curl, slip] = grades;
    return {
      ...{ id, name, fibre, construction, weightGsm, thicknessMm, stretchPercent, recoveryPercent },
      ...{ fray, curl, slip, face, nap, press },
    };
  },
);

/** A plain kind of cloth by its id. */
export function genericCloth(id: string): GenericCloth | undefined {
  return genericCloths.find((cloth) => cloth.id === id);
}
