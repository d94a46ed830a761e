import { endsMm, type StripEnds } from './needed';

/** What a package binds. */
export interface PackageAnswer {
  readonly perimeterMm: number;
  /** With what both ends take. */
  readonly neededMm: number;
  /** What is over; negative is missing. */
  readonly spareMm: number;
  /** How many packages it takes. */
  readonly packages: number;
  readonly joins: number;
  /** The largest of the same proportion that one package binds without a join. */
  readonly largest: { readonly sides: readonly [number, number] };
}

/**
 * What a package of binding is good for round a rectangle. A mitre at a wrapped corner takes nothing
 * beyond the perimeter. Source: docs/formulas.md, “Strips”.
 *
 * @param joinMm what joining two packages takes of the length, mm; less than a package
 * @example packageFor({ packageMm: 3594.1, sides: [762, 1016], … }).spareMm // 0: 30 × 40 in from 141.5 in
 */
export function packageFor(it: {
  readonly packageMm: number;
  readonly sides: readonly [number, number];
  readonly ends: StripEnds;
  readonly stripMm: number;
  readonly joinMm: number;
}): PackageAnswer {
  const { packageMm, sides, joinMm } = it;
  const [wide, high] = sides;
  const perimeterMm = 2 * (wide + high);
  const ends = endsMm(it.ends, it.stripMm);
  const neededMm = perimeterMm + ends;
  // n packages hold n·P − (n − 1)·join.
  const packages = Math.max(1, Math.ceil((neededMm - joinMm) / (packageMm - joinMm) - 1e-9));
  const scale = Math.max(0, packageMm - ends) / perimeterMm;
  return {
    ...{ perimeterMm, neededMm, packages, joins: packages - 1 },
    spareMm: packageMm - neededMm,
    largest: { sides: [wide * scale, high * scale] },
  };
}
