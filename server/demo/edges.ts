import type { EdgeDraft } from '../../contract/records';
import { derivedOf } from '../../core/edge/derived';
import type { EdgeForm } from '../../core/edge/form';
import { uncut } from '../../core/edge/state';
import type { FoldWish } from '../../core/finish/fold-request';
import type { Pattern } from '../../core/stitch/stitch';

/** An edge of the demo with its plan, and the scraps sewn so far. */
export interface DemoEdge {
  readonly id: string;
  readonly edge: Omit<EdgeDraft, 'projectId'>;
  readonly depthMm: number;
  readonly enclosedTurnMm?: number;
  readonly machineId: string;
  readonly footId: string;
  readonly stretch?: boolean;
  /** Counts of scraps sewn so far: bites, missed, shown. */
  readonly scraps: readonly (readonly [n: number, short: number, over: number, note: string])[];
  /** The day the scraps were sewn; today when left out. */
  readonly sewnOn?: string;
}

/** An edge of the demo to begin with: alone, for a grown person, with cloth enough. */
const plain = { ...uncut, forChild: false, spareMm: null } as const;

/** What follows from how an edge was measured. */
const measured = (form: EdgeForm) => ({ form, ...derivedOf(form, 0) });

/** Edges that are hemmed blind. */
export const blindEdges: readonly DemoEdge[] = [
  {
    id: 'edge-cape',
    edge: {
      ...plain,
      name: 'Cape, lower edge',
      on: 'wool flannel cape',
      clothId: 'cloth-flannel',
      shape: 'straight',
      lengthMm: 3420,
      minRadiusMm: 2400,
      turnDegrees: null,
      passesOverMm: null,
      crossings: [],
    },
    depthMm: 40,
    machineId: 'machine-fine',
    footId: 'foot-blind-fixed',
    scraps: [[24, 7, 0, 'Holes in the extension only, seven times.']],
  },
  {
    id: 'edge-shirt',
    edge: {
      ...plain,
      name: 'Marshal’s shirt, hem',
      on: 'linen shirt',
      clothId: 'cloth-linen',
      shape: 'tube',
      lengthMm: 1240,
      minRadiusMm: null,
      turnDegrees: null,
      passesOverMm: null,
      crossings: [
        { kind: 'french', atMm: 310, widthMm: 8 },
        { kind: 'french', atMm: 930, widthMm: 8 },
      ],
    },
    depthMm: 25,
    enclosedTurnMm: 8,
    machineId: 'machine-home',
    footId: 'foot-blind-screw',
    scraps: [],
  },
  {
    id: 'edge-tunic',
    edge: {
      ...plain,
      pair: 'pair',
      name: 'Drummer’s tunic, sleeve',
      on: 'ponte tunic, one sleeve',
      clothId: 'cloth-ponte',
      shape: 'tube',
      lengthMm: 310,
      minRadiusMm: null,
      turnDegrees: null,
      passesOverMm: null,
      crossings: [],
    },
    depthMm: 30,
    machineId: 'machine-fine',
    footId: 'foot-blind-fixed',
    stretch: true,
    scraps: [
      [18, 0, 2, 'Two pricks on the right side.'],
      [24, 0, 0, 'Clean on both faces.'],
      [24, 0, 0, 'Clean again.'],
    ],
  },
  {
    id: 'edge-tabard',
    edge: {
      ...plain,
      name: 'Tabard, lower edge',
      on: 'canvas tabard',
      clothId: 'cloth-canvas',
      shape: 'straight',
      lengthMm: 620,
      minRadiusMm: null,
      turnDegrees: null,
      passesOverMm: null,
      crossings: [],
    },
    depthMm: 35,
    machineId: 'machine-home',
    footId: 'foot-blind-screw',
    scraps: [],
  },
  {
    id: 'edge-veil',
    edge: {
      ...plain,
      name: 'Veil, front edge',
      on: 'sheer veil',
      clothId: 'cloth-veil',
      shape: 'straight',
      lengthMm: 1900,
      minRadiusMm: 300,
      turnDegrees: null,
      passesOverMm: null,
      crossings: [],
    },
    depthMm: 20,
    machineId: 'machine-fine',
    footId: 'foot-blind-fixed',
    scraps: [],
  },
  {
    id: 'edge-lamplighter',
    edge: {
      ...plain,
      ...measured({
        ...{ kind: 'slant', flatWidthMm: 230 },
        left: { frontMm: 1010, backMm: 1022 },
        right: { frontMm: 1004, backMm: 1018 },
      }),
      pair: 'pair',
      oldHem: { depthMm: 38, sewn: 'chain', keepLook: false },
      depthMm: 40,
      name: 'Lamplighter’s trousers, legs',
      on: 'ready-made flannel trousers',
      clothId: 'cloth-flannel',
      passesOverMm: null,
      crossings: [],
    },
    depthMm: 40,
    machineId: 'machine-fine',
    footId: 'foot-blind-fixed',
    scraps: [],
  },
];

/** An edge of the demo with another finish. */
export interface OtherEdge {
  readonly id: string;
  readonly edge: Omit<EdgeDraft, 'projectId'>;
  readonly finish: string;
  readonly fold: FoldWish;
  /** What a binding is made of; the cloth itself when left out. */
  readonly stripClothId?: string;
  readonly machineId?: string;
  readonly footId: string;
  readonly pattern: Pattern;
}

export const otherEdges: readonly OtherEdge[] = [
  {
    id: 'edge-collar',
    edge: {
      ...plain,
      purpose: 'opening',
      name: 'Lantern-bearer’s tunic, neck',
      on: 'ponte tunic',
      clothId: 'cloth-ponte',
      shape: 'inside-curve',
      lengthMm: 508,
      minRadiusMm: 70,
      turnDegrees: null,
      passesOverMm: 570,
      crossings: [
        { kind: 'open', atMm: 127, widthMm: 20 },
        { kind: 'open', atMm: 381, widthMm: 20 },
      ],
    },
    finish: 'bound',
    fold: { variant: 'double-fold', depthMm: 8, seamAllowanceMm: 15 },
    footId: 'foot-edge',
    pattern: 'straight',
  },
  {
    id: 'edge-trousers',
    edge: {
      ...plain,
      pair: 'pair',
      name: 'Stilt trousers, leg',
      on: 'denim trousers',
      clothId: 'cloth-denim',
      shape: 'tube',
      lengthMm: 460,
      minRadiusMm: null,
      turnDegrees: null,
      passesOverMm: null,
      crossings: [
        { kind: 'felled', atMm: 0, widthMm: 12 },
        { kind: 'open', atMm: 230, widthMm: 24 },
      ],
    },
    finish: 'jeans-hem',
    fold: { variant: 'narrow', depthMm: 13, turnMm: 10 },
    footId: 'foot-straight',
    pattern: 'straight',
  },
  {
    id: 'edge-flounce',
    edge: {
      ...plain,
      pair: 'pair',
      name: 'Moth sleeve, flounce',
      on: 'veil sleeve',
      clothId: 'cloth-veil',
      shape: 'circle',
      lengthMm: 1130,
      minRadiusMm: 180,
      turnDegrees: null,
      passesOverMm: null,
      crossings: [],
    },
    finish: 'rolled-hem',
    fold: { variant: 'straight', channelMm: 3 },
    footId: 'foot-hemmer',
    pattern: 'straight',
  },
  {
    id: 'edge-napkins',
    edge: {
      ...plain,
      ...measured({
        kind: 'cornered',
        sides: [420, 420, 420, 420].map((lengthMm) => ({
          ...{ lengthMm, angleDegrees: 90, mitred: true },
        })),
      }),
      name: 'Supper napkins',
      on: 'eight linen napkins',
      clothId: 'cloth-linen',
      passesOverMm: null,
      crossings: [],
    },
    finish: 'double-hem',
    fold: { variant: 'equal', depthMm: 14 },
    footId: 'foot-edge',
    pattern: 'straight',
  },
  {
    id: 'edge-blanket',
    edge: {
      ...plain,
      ...measured({
        kind: 'cornered',
        sides: [762, 1016, 762, 1016].map((lengthMm) => ({
          ...{ lengthMm, angleDegrees: 90, mitred: true },
        })),
      }),
      name: 'Cart blanket',
      on: 'plush blanket',
      clothId: 'cloth-plush',
      passesOverMm: null,
      crossings: [],
    },
    finish: 'bound',
    fold: { variant: 'satin', depthMm: 50.8, turnMm: 6 },
    stripClothId: 'binding-satin',
    footId: 'foot-zigzag',
    pattern: 'zigzag',
  },
  {
    id: 'edge-apron',
    edge: {
      ...plain,
      purpose: 'allowance',
      name: 'Fire-keeper’s apron, pocket edge',
      on: 'linen apron',
      clothId: 'cloth-linen',
      shape: 'straight',
      lengthMm: 640,
      minRadiusMm: null,
      turnDegrees: null,
      passesOverMm: null,
      crossings: [],
    },
    finish: 'overcast',
    fold: { variant: 'woven' },
    footId: 'foot-overcast',
    pattern: 'overcast-woven',
  },
  {
    id: 'edge-lining',
    edge: {
      ...plain,
      purpose: 'allowance',
      name: 'Lantern-bearer’s tunic, side seam allowances',
      on: 'ponte tunic, inside',
      clothId: 'cloth-ponte',
      shape: 'straight',
      lengthMm: 980,
      minRadiusMm: null,
      turnDegrees: null,
      passesOverMm: null,
      crossings: [],
    },
    finish: 'serged',
    fold: { variant: 'four-thread', seamAllowanceMm: 10 },
    machineId: 'machine-overlocker',
    footId: 'foot-zigzag',
    pattern: 'overedge-four',
  },
];
