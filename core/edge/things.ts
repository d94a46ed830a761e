import { derivedOf } from './derived';
import type { EdgeForm, Side } from './form';
import type { Purpose } from './purpose';
import type { EdgeShape } from './shape';
import { uncut, type Joining, type OldHem, type Pairing } from './state';

/** What an edge can be on, as people name it. */
export const edgeThings = [
  'trouser-leg',
  'tapering-leg',
  'jeans-leg',
  'sleeve',
  'skirt',
  'circle-skirt',
  'neck',
  'armhole',
  'shirt-tail',
  'scarf',
  'napkin',
  'blanket',
  'curtain',
  'tote',
  'seam-allowance',
  'seam',
  'other',
] as const;
export type EdgeThing = (typeof edgeThings)[number];

/** An edge as it usually is on a thing: all that is asked of it, with usual values in it. */
export interface UsualEdge {
  readonly purpose: Purpose;
  readonly shape: EdgeShape;
  readonly lengthMm: number;
  readonly minRadiusMm: number | null;
  readonly turnDegrees: number | null;
  readonly form: EdgeForm | null;
  readonly joined: Joining | null;
  readonly pair: Pairing;
  readonly oldHem: OldHem | null;
  readonly depthMm: number | null;
  readonly secondEdge: string | null;
  readonly seamAllowanceMm: number | null;
  readonly passesOverMm: number | null;
}

const plain: UsualEdge = {
  ...uncut,
  ...{ shape: 'straight', lengthMm: 1000, minRadiusMm: null, turnDegrees: null, form: null },
  passesOverMm: null,
};

const measured = (form: EdgeForm, lengthMm: number, more: Partial<UsualEdge> = {}): UsualEdge => ({
  ...plain,
  ...derivedOf(form, lengthMm),
  form,
  ...more,
});

const four = (wideMm: number, highMm: number, mitred: boolean): Side[] =>
  [wideMm, highMm, wideMm, highMm].map((lengthMm) => ({ lengthMm, angleDegrees: 90, mitred }));

/** Starting guesses: nobody's measures, near most people's. */
const usual: Readonly<Record<EdgeThing, UsualEdge>> = {
  'trouser-leg': measured(
    {
      ...{ kind: 'slant', flatWidthMm: 220 },
      left: { frontMm: 1010, backMm: 1020 },
      right: null,
    },
    440,
    { pair: 'pair', depthMm: 40 },
  ),
  'tapering-leg': measured(
    { kind: 'taper', rawFlatMm: 170, landingFlatMm: 190, seams: 2, insideAllowanceMm: 15 },
    360,
    { pair: 'pair', depthMm: 40 },
  ),
  'jeans-leg': {
    ...plain,
    ...{ shape: 'tube', lengthMm: 420, pair: 'pair' },
    oldHem: { depthMm: 13, sewn: 'topstitched', keepLook: true },
  },
  sleeve: { ...plain, shape: 'tube', lengthMm: 260, pair: 'pair' },
  skirt: { ...plain, shape: 'tube', lengthMm: 1100 },
  'circle-skirt': measured({ kind: 'flare', by: 'fraction', fraction: 1 }, 4400),
  neck: {
    ...plain,
    ...{ purpose: 'opening', shape: 'inside-curve', lengthMm: 560, minRadiusMm: 75 },
    passesOverMm: 570,
  },
  armhole: {
    ...plain,
    ...{ purpose: 'opening', shape: 'inside-curve', lengthMm: 460, minRadiusMm: 60, pair: 'pair' },
  },
  'shirt-tail': measured(
    {
      kind: 'curved',
      curves: [
        { fromMm: 60, toMm: 220, radiusMm: 110, side: 'outside' },
        { fromMm: 330, toMm: 480, radiusMm: 180, side: 'inside' },
        { fromMm: 720, toMm: 870, radiusMm: 180, side: 'inside' },
        { fromMm: 980, toMm: 1140, radiusMm: 110, side: 'outside' },
      ],
    },
    1200,
  ),
  scarf: measured({ kind: 'cornered', sides: four(1800, 300, false) }, 4200),
  napkin: measured({ kind: 'cornered', sides: four(420, 420, true) }, 1680),
  blanket: measured({ kind: 'cornered', sides: four(762, 1016, true) }, 3556),
  curtain: { ...plain, lengthMm: 2400, depthMm: 80 },
  tote: { ...plain, shape: 'tube', lengthMm: 760, depthMm: 30 },
  'seam-allowance': { ...plain, purpose: 'allowance', lengthMm: 980 },
  seam: {
    ...plain,
    ...{ purpose: 'seam', lengthMm: 600, secondEdge: 'the other edge', seamAllowanceMm: 15 },
  },
  other: plain,
};

/** An edge as it usually is on a thing, to begin with. */
export const usualEdge = (thing: EdgeThing): UsualEdge => usual[thing];

/** The forms an edge of a shape can be measured by, the first as it is when one begins to. */
export function usualForms(lengthMm: number): Readonly<Record<EdgeForm['kind'], EdgeForm>> {
  const half = lengthMm / 2;
  const quarter = lengthMm / 4;
  return {
    taper: {
      ...{ kind: 'taper', rawFlatMm: half * 0.95, landingFlatMm: half * 1.05 },
      ...{ seams: 2, insideAllowanceMm: 15 },
    },
    slant: {
      ...{ kind: 'slant', flatWidthMm: half, right: null },
      left: { frontMm: 1010, backMm: 1020 },
    },
    flare: { kind: 'flare', by: 'fraction', fraction: 0.5 },
    curved: {
      kind: 'curved',
      curves: [
        { fromMm: lengthMm * 0.3, toMm: lengthMm * 0.7, radiusMm: lengthMm * 0.4, side: 'outside' },
      ],
    },
    cornered: { kind: 'cornered', sides: four(quarter, quarter, true) },
  };
}
