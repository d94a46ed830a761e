/** The units people write lengths in. The core itself only ever holds millimetres. */
export const lengthUnits = ['in', 'cm', 'mm'] as const;
export type LengthUnit = (typeof lengthUnits)[number];

/** Millimetres in one of each unit; the inch is exact by definition. */
export const mmPer: Readonly<Record<LengthUnit, number>> = { in: 25.4, cm: 10, mm: 1 };
