/** Stops from hopeless to sure: madder, ochre, moss; light between, so that steps are seen. */
const stops: readonly (readonly [chance: number, r: number, g: number, b: number])[] = [
  [0, 236, 213, 205],
  [0.5, 241, 226, 194],
  [0.8, 214, 218, 176],
  [0.95, 139, 162, 111],
  [1, 63, 92, 42],
];

/** The colour of a chance, as red, green and blue of 255. */
export function chanceColour(chance: number): [number, number, number] {
  const upper = stops.findIndex(([at]) => chance <= at);
  const [to, from] = [stops[Math.max(1, upper)] ?? stops[1]!, stops[Math.max(0, upper - 1)]!];
  const share = Math.min(1, Math.max(0, (chance - from[0]) / (to[0] - from[0] || 1)));
  const mix = (i: 1 | 2 | 3) => Math.round(from[i] + (to[i] - from[i]) * share);
  return [mix(1), mix(2), mix(3)];
}

/** The same as CSS. */
export const chanceCss = (chance: number) => `rgb(${chanceColour(chance).join(' ')})`;
