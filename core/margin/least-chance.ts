/**
 * A setting with a smaller chance is no setting: it is refused like one that meets metal.
 * Source: docs/formulas.md, “Fair chances”.
 */
export const leastChance = 0.01;
