import type { Fact } from '../fact';
import type { KitGap } from '../plan/kit-gaps';

/** What one thing adds to a score, or takes from it. A score is the sum of its contributions. */
export interface Contribution {
  readonly fact: Fact;
  readonly points: number;
}

/** Why a finish is out, and what would bring it back. */
export interface Hindrance {
  readonly because: Fact;
  readonly wouldNeed: Fact | KitGap;
}

/** What was found when one thing was weighed. */
export interface Weighed {
  readonly contributions: readonly Contribution[];
  readonly hindrances: readonly Hindrance[];
}

export const fact = (about: string, text: string, values: Fact['values'] = {}): Fact => ({
  about,
  text,
  values,
});

/** It is no matter here. */
export const noMatter: Weighed = { contributions: [], hindrances: [] };

export const adds = (points: number, why: Fact): Weighed => ({
  contributions: [{ points, fact: why }],
  hindrances: [],
});

export const rulesOut = (because: Fact, wouldNeed: Hindrance['wouldNeed']): Weighed => ({
  contributions: [],
  hindrances: [{ because, wouldNeed }],
});
