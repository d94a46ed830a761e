import type { Cloth } from '../cloth/cloth';
import type { Fact, Finish, Nature } from '../finish/finish';
import type { FoldWish } from '../finish/fold-request';
import { usualPresserLiftMm } from '../kit/machine';
import type { KitGap } from '../plan/kit-gaps';
import { liftAirMm } from '../seam/crossings';
import { flareOf, outwardRadiusMm, tightestRadiusMm } from './flare';
import type { ChooseRequest } from './request';

/** Something that speaks for a finish, or against it; weight from −1 to 1. */
export interface Reason {
  readonly fact: Fact;
  readonly weight: number;
}

/** Why a finish is out, and what would bring it back. */
export interface Hindrance {
  readonly because: Fact;
  readonly wouldNeed: Fact | KitGap;
}

export const fact = (about: string, text: string, values: Fact['values'] = {}): Fact => ({
  about,
  text,
  values,
});

/** Starting guess: the stretch from which an edge has to be able to give, percent. */
const stretchyPercent = 15;
/** A hem this narrow is a roll, mm. */
const narrowMm = 4;
/** From this grade on layers slide on one another while a wide fold is pressed and sewn. */
const slipperyGrade = 2;
const perSlipGrade = 0.15;
/** From this grade on a cut edge rolls. */
const rollingGrade = 2;
/** More than this added to the cloth lies as a lump, mm. */
const lumpMm = 1.5;
/** Cloth lighter than this shows how many layers lie in its edge, g/m². */
const fineGsm = 70;
/** A curve a little tighter, or cloth a little thicker, than is usual only costs. */
const tolerated = 0.7;

/** Weighs one thing against what the finish bears: fits, costs something, or is out. */
export interface Weighing {
  readonly factor: number;
  readonly reason?: Reason;
  readonly hindrance?: Hindrance;
}

const fits: Weighing = { factor: 1 };

export function weighFray({ fray }: ChooseRequest['cloth'], holds: number): Weighing {
  if (fray <= holds) {
    return fray >= 2
      ? {
          factor: 1,
          reason: {
            fact: fact('fray', 'Holds an edge that frays, grade {fray} of 3.', { fray }),
            weight: 0.3,
          },
        }
      : fits;
  }
  const because = fact('fray', 'This cloth frays, grade {fray}; it holds up to grade {holds}.', {
    fray,
    holds,
  });
  if (fray - holds === 1) return { factor: 0.55, reason: { fact: because, weight: -0.5 } };
  return {
    factor: 0,
    hindrance: {
      because,
      wouldNeed: fact('less-fray', 'cloth that frays no more than grade {holds}', { holds }),
    },
  };
}

export function weighStretch({ cloth }: ChooseRequest, givesPercent: number): Weighing {
  const { stretchPercent } = cloth;
  if (stretchPercent < stretchyPercent) return fits;
  if (stretchPercent <= givesPercent) {
    return {
      factor: 1,
      reason: {
        fact: fact('stretch', 'Its stitch gives with a stretch of {stretchPercent} %.', {
          stretchPercent,
        }),
        weight: 0.3,
      },
    };
  }
  const because = fact(
    'stretch',
    'The cloth stretches by {stretchPercent} % and the stitch breaks beyond {givesPercent} %.',
    { stretchPercent, givesPercent },
  );
  return {
    factor: 0,
    hindrance: {
      because,
      wouldNeed: fact('a-stretching-stitch', 'a stretching stitch, or firmer cloth'),
    },
  };
}

export function weighCurve(edge: ChooseRequest['edge'], leastRadiusMm: number): Weighing {
  const radiusMm = tightestRadiusMm(edge);
  if (radiusMm === null || radiusMm >= leastRadiusMm) return fits;
  const because = fact(
    'curve',
    'The edge curves with {radiusMm} and this goes round from {leastRadiusMm} on.',
    { radiusMm, leastRadiusMm },
  );
  if (radiusMm >= leastRadiusMm * tolerated) {
    return { factor: 0.6, reason: { fact: because, weight: -0.4 } };
  }
  return {
    factor: 0,
    hindrance: {
      because,
      wouldNeed: fact('a-gentler-curve', 'a curve of {leastRadiusMm} or more', { leastRadiusMm }),
    },
  };
}

export function weighThickness(
  { thicknessMm }: ChooseRequest['cloth'],
  thickestMm: number,
): Weighing {
  if (thicknessMm <= thickestMm) return fits;
  const because = fact(
    'thickness',
    'Cloth of {thicknessMm:fine} is thick for it; it is made for up to {thickestMm:fine}.',
    { thicknessMm, thickestMm },
  );
  if (thicknessMm * tolerated <= thickestMm) {
    return { factor: 0.5, reason: { fact: because, weight: -0.5 } };
  }
  return {
    factor: 0,
    hindrance: {
      because,
      wouldNeed: fact('thinner-cloth', 'cloth of {thickestMm:fine} or thinner', { thickestMm }),
    },
  };
}

/** The thickest place under the foot against how high it lifts. */
export function weighStack(
  thickestStackMm: number,
  { kit }: ChooseRequest,
  machineKinds: readonly string[],
): Weighing {
  const lifts = kit.machines
    .filter(({ kind }) => machineKinds.includes(kind))
    .map(({ presserLiftMm }) => presserLiftMm ?? usualPresserLiftMm);
  const mostMm = Math.max(0, ...lifts) - liftAirMm;
  if (lifts.length === 0 || thickestStackMm <= mostMm) return fits;
  const values = { thickestStackMm, mostMm };
  return {
    factor: 0,
    hindrance: {
      because: fact(
        'stack',
        'At the thickest seam {thickestStackMm:fine} would have to go under the foot, which takes {mostMm:fine}.',
        values,
      ),
      wouldNeed: fact(
        'a-higher-lift',
        'the seam graded, or a foot that lifts {thickestStackMm:fine} and a millimetre',
        values,
      ),
    },
  };
}

export function weighChance(chance: number | null): Weighing {
  if (chance === null) return { factor: 0.85 };
  const percent = Math.round(chance * 100);
  return {
    factor: 0.2 + 0.8 * chance,
    reason: {
      fact: fact('chance', 'With this kit about {percent} of 100 stitches come out sound.', {
        percent,
      }),
      weight: chance - 0.6,
    },
  };
}

/** A flared edge, with the depth that can still be eased in. */
export function weighFlare(
  finish: Finish,
  wish: FoldWish,
  { edge, cloth }: ChooseRequest,
): Weighing & { readonly wish: FoldWish } {
  const radiusMm = outwardRadiusMm(edge);
  const depthMm = wish.depthMm ?? wish.channelMm ?? wish.turnMm ?? 0;
  if (radiusMm === null || !finish.nature(wish.variant).turnsUp) return { ...fits, wish };
  const { share, way, deepestMm } = flareOf(radiusMm, depthMm, cloth);
  const values = { depthMm, fullPercent: Math.min(999, Math.round(share * 1000) / 10), deepestMm };
  if (way === 'pressed') return { ...fits, wish };
  if (way === 'eased') {
    const text =
      'Turned up by {depthMm} the edge is {fullPercent} % too full: it has to be eased in.';
    // A narrow roll takes its fullness in as it turns.
    const factor = depthMm <= narrowMm ? 0.97 : 0.85;
    return { factor, wish, reason: { fact: fact('flare', text, values), weight: factor - 1 } };
  }
  const because = fact(
    'flare',
    'Turned up by {depthMm} the flared edge is {fullPercent} % too full to be eased in.',
    values,
  );
  const rule = finish.fields.depthMm;
  const shallower =
    rule && (wish.depthMm ?? null) !== null && deepestMm >= rule.leastMm && edge.depthMm === null;
  if (shallower) {
    return {
      factor: 0.9,
      wish: {
        ...wish,
        depthMm: deepestMm,
        ...(wish.turnMm ? { turnMm: Math.min(wish.turnMm, deepestMm) } : {}),
        ...(wish.extensionMm ? { extensionMm: Math.min(wish.extensionMm, deepestMm) } : {}),
      },
      reason: {
        fact: fact('flare', 'On this flare no deeper than {deepestMm}.', values),
        weight: -0.3,
      },
    };
  }
  return {
    factor: 0,
    wish,
    hindrance: {
      because,
      wouldNeed: fact('shallower', 'possible to {deepestMm} depth on this flare', values),
    },
  };
}

/** A wide fold in a slippery cloth creeps. */
export function weighSlip({ slip }: Cloth, nature: Nature, depthMm: number): Weighing {
  if (slip < slipperyGrade || !nature.turnsUp || depthMm <= narrowMm) return fits;
  const factor = 1 - perSlipGrade * slip;
  return {
    factor,
    reason: {
      fact: fact(
        'slip',
        'Layers of this cloth slide: a fold {depthMm} deep creeps as it is sewn.',
        {
          depthMm,
        },
      ),
      weight: factor - 1,
    },
  };
}

/** Many layers in the edge of a fine cloth. */
export function weighLayers({ weightGsm }: Cloth, layers: number): Weighing {
  if (weightGsm >= fineGsm || layers <= 3.5) return fits;
  return {
    factor: 0.82,
    reason: {
      fact: fact('layers', '{layers} layers make a cord of the edge of so fine a cloth.', {
        layers: Math.round(layers),
      }),
      weight: -0.3,
    },
  };
}

/** A lump: what the finish adds to the cloth's own thickness. */
export function weighBulk(addedMm: number): Weighing {
  if (addedMm <= lumpMm) return fits;
  return {
    factor: 0.75,
    reason: {
      fact: fact('bulk', 'Adds {addedMm:fine} to the cloth: a lump along the edge.', { addedMm }),
      weight: -0.25,
    },
  };
}

/** What a finish is no more than: a raw edge held, a seam, or something for thick cloth. */
export function weighPurpose(
  { thicknessMm, stretchPercent, fray, curl }: Cloth,
  nature: Nature,
): Weighing[] {
  const costs = (about: string, text: string, factor: number): Weighing => ({
    factor,
    reason: {
      fact: fact(about, text, {
        thinnestMm: nature.thinnestMm ?? 0,
      }),
      weight: factor - 1,
    },
  });
  return [
    ...(nature.edgeOnly && curl >= rollingGrade
      ? [costs('curl', 'The cut edge rolls up, and nothing holds it flat.', 0.6)]
      : []),
    // Cloth that does not fray asks no more of its edge.
    ...(nature.edgeOnly && fray > 0
      ? [costs('edge-only', 'Holds the edge and leaves it single: no weight, no clean fold.', 0.8)]
      : []),
    ...(nature.joins ? [costs('joins', 'Only where two edges are joined.', 0.75)] : []),
    ...(stretchPercent < (nature.leastStretchPercent ?? 0)
      ? [costs('firm', 'A stretching edge on cloth that does not stretch only gathers it.', 0.55)]
      : []),
    ...(thicknessMm < (nature.thinnestMm ?? 0)
      ? [costs('thin', 'Made for cloth from {thinnestMm:fine} on; heavy on this one.', 0.6)]
      : []),
  ];
}
