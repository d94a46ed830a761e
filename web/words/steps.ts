import type { WorkStep } from '../../core/finish/finish';
import type { Lengths } from '../app/lengths';

type Words = (values: Record<string, number>, lengths: Lengths) => string;

const sentences: Readonly<Record<string, Words>> = {
  cut: ({ allowanceMm = 0 }, { cloth }) => `Cut with ${cloth(allowanceMm)} beyond the hemline.`,
  turn: ({ turnMm = 0 }, { cloth }) => `Turn the raw edge under by ${cloth(turnMm)} and press.`,
  overcast: ({ fray = 0 }) =>
    fray >= 2 ? 'Overcast the raw edge; this cloth frays.' : 'Overcast or pink the raw edge.',
  'press-hemline': ({ hemlineMm = 0 }, { cloth }) =>
    `Press the hemline, ${cloth(hemlineMm)} from the raw edge.`,
  'fold-back': ({ extensionMm = 0 }, { cloth }) =>
    `Fold the garment back under, leaving ${cloth(extensionMm)} of hem showing. Pin well clear of the needle.`,
  'change-foot': () => 'Put on the foot and set the dials.',
  sew: () => 'First stitches by handwheel, then sew with the fold against the blade.',
  'open-and-press': () => 'Open the fold and press from the inside, lightly.',
};

const cautions: Readonly<Record<string, string>> = {
  cutter: 'Rotary cutter closed whenever it is down.',
  iron: 'Mind steam, and synthetic cloth under a hot iron.',
  pins: 'Pins out equals pins in.',
  'power-off': 'Power off before changing foot or needle.',
  needle: 'Glasses on; never sew over pins.',
};

/** A step of the work in words. */
export function stepInWords(step: WorkStep, lengths: Lengths): string {
  return sentences[step.id]?.(step.values as Record<string, number>, lengths) ?? step.id;
}

/** A caution in words. */
export function cautionInWords(id: string): string {
  return cautions[id] ?? id;
}

/** Titles of the folding stages. */
export const stageTitles: Readonly<Record<string, string>> = {
  flat: 'Flat cloth, raw edge at the left',
  turn: 'Raw edge turned under',
  hemline: 'Hemline pressed',
  'temporary-fold': 'Garment folded back, only for sewing',
  stitch: 'Sewn: run on the extension, bite in the fold',
  open: 'Opened out and pressed',
};
