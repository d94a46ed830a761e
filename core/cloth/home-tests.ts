import type { Values } from '../fact';
import { Impossible, refusal, type Issue } from '../impossible';
import type { ClothProperty, Construction, Grade, MeasuredCloth } from './cloth';
import { densityKgPerM3, typicalHand } from './guesses';

/** What was read off at the kitchen table; whatever was not done is null or absent. */
export interface HomeTests {
  readonly construction: Construction;
  /** Weight of a cut square, g. */
  readonly sampleGrams?: number | null | undefined;
  /** Side of that square, mm. Left out it is 100. */
  readonly sampleSideMm?: number | null | undefined;
  readonly ozPerSqYd?: number | null | undefined;
  /** Height of a stack of layers under a flat ruler, mm. */
  readonly stackHeightMm?: number | null | undefined;
  readonly stackLayers?: number | null | undefined;
  readonly restMm?: number | null | undefined;
  readonly pulledMm?: number | null | undefined;
  readonly afterMm?: number | null | undefined;
  /** Threads loosened by ten rubs over 50 mm of cut edge. */
  readonly looseThreads?: number | null | undefined;
  readonly curlMm?: number | null | undefined;
  readonly rollsOver?: boolean | null | undefined;
  /** The tilt at which one layer slides over another, degrees. */
  readonly slipDegrees?: number | null | undefined;
}

/** g/m² in one oz/yd². */
const gsmPerOzPerSqYd = 33.906;
/** Fewer layers than this and the ruler's own error swamps the thickness. */
export const fewestLayers = 8;

const given = (value: number | null | undefined): value is number =>
  value !== null && value !== undefined;

/** Fray grade from loosened threads: 0; 1–2; 3–6; 7 or more. */
export function frayGrade(looseThreads: number): Grade {
  if (looseThreads < 1) return 0;
  if (looseThreads < 3) return 1;
  return looseThreads < 7 ? 2 : 3;
}

/** Curl grade from how far a cut edge rolls: 0; under 5 mm; under 10 mm; all the way over. */
export function curlGrade(curlMm: number, rollsOver: boolean): Grade {
  if (rollsOver || curlMm >= 10) return 3;
  if (curlMm <= 0) return 0;
  return curlMm < 5 ? 1 : 2;
}

/** Slip grade from the tilt at which a layer slides: over 40°, 30–40°, 20–30°, under 20°. */
export function slipGrade(slipDegrees: number): Grade {
  if (slipDegrees > 40) return 0;
  if (slipDegrees >= 30) return 1;
  return slipDegrees >= 20 ? 2 : 3;
}

function contradictions(tests: HomeTests): Issue[] {
  const issues: Issue[] = [];
  const refuse = (path: keyof HomeTests, code: string, text: string, values: Values = {}) =>
    issues.push(refusal(path, code, text, values));
  if (given(tests.stackHeightMm) !== given(tests.stackLayers)) {
    refuse(
      given(tests.stackHeightMm) ? 'stackLayers' : 'stackHeightMm',
      'half-a-stack',
      'A stack needs both its height and its number of layers.',
    );
  }
  if (given(tests.stackLayers) && tests.stackLayers < fewestLayers) {
    refuse(
      'stackLayers',
      'too-few-layers',
      '{layers} layers are too few to measure; stack at least {fewest}.',
      { layers: tests.stackLayers, fewest: fewestLayers },
    );
  }
  const { restMm, pulledMm, afterMm } = tests;
  if (given(restMm) !== given(pulledMm)) {
    refuse(
      given(restMm) ? 'pulledMm' : 'restMm',
      'half-a-pull',
      'A pull test needs both the resting and the pulled length.',
    );
  }
  if (given(restMm) && given(pulledMm) && pulledMm < restMm) {
    refuse(
      'pulledMm',
      'pulled-shorter',
      'Pulled to {pulledMm} is shorter than the {restMm} at rest; it should be at least {restMm}.',
      { pulledMm, restMm },
    );
  }
  if (given(afterMm) && given(pulledMm) && afterMm > pulledMm) {
    refuse(
      'afterMm',
      'after-longer',
      '{afterMm} after letting go is longer than the {pulledMm} it was pulled to.',
      { afterMm, pulledMm },
    );
  }
  if (given(afterMm) && !given(pulledMm)) {
    refuse('pulledMm', 'half-a-pull', 'Recovery needs the resting and the pulled length too.');
  }
  return issues;
}

function weightFrom(tests: HomeTests): number | null {
  if (given(tests.sampleGrams)) {
    const sideM = (tests.sampleSideMm ?? 100) / 1000;
    return tests.sampleGrams / (sideM * sideM);
  }
  return given(tests.ozPerSqYd) ? tests.ozPerSqYd * gsmPerOzPerSqYd : null;
}

/**
 * Turns home tests into the properties the sums need. What was not tested is derived from what
 * was, or guessed from the construction, and named in `estimated`.
 * Source: docs/formulas.md, “Cloth”.
 *
 * @param tests readings; lengths in mm, weights in g, tilt in degrees
 * @throws Impossible when readings contradict each other, or when neither a weight nor a stack
 *   height is given (nothing else fixes how thick the cloth is)
 */
export function clothFromHomeTests(tests: HomeTests): MeasuredCloth {
  const issues = contradictions(tests);
  const measuredWeight = weightFrom(tests);
  const measuredThickness =
    given(tests.stackHeightMm) && given(tests.stackLayers)
      ? tests.stackHeightMm / tests.stackLayers
      : null;
  if (measuredWeight === null && measuredThickness === null && issues.length === 0) {
    issues.push({
      path: 'sampleGrams',
      message:
        'Weigh a square, give the weight in oz/yd², or measure a stack: one of them is needed.',
    });
  }
  if (issues.length > 0) throw new Impossible(issues);

  const estimated: ClothProperty[] = [];
  const orGuess = <T>(name: ClothProperty, measured: T | null, guess: () => T): T => {
    if (measured !== null) return measured;
    estimated.push(name);
    return guess();
  };

  const density = densityKgPerM3[tests.construction];
  const hand = typicalHand[tests.construction];
  const weightGsm = orGuess('weightGsm', measuredWeight, () => (measuredThickness ?? 0) * density);
  const thicknessMm = orGuess('thicknessMm', measuredThickness, () => weightGsm / density);

  const { restMm, pulledMm, afterMm } = tests;
  const pulled = given(restMm) && given(pulledMm);
  const stretched = pulled && pulledMm > restMm;
  return {
    weightGsm,
    thicknessMm,
    stretchPercent: orGuess(
      'stretchPercent',
      pulled ? ((pulledMm - restMm) / restMm) * 100 : null,
      () => hand.stretchPercent,
    ),
    recoveryPercent: orGuess(
      'recoveryPercent',
      stretched && given(afterMm)
        ? Math.min(100, ((pulledMm - afterMm) / (pulledMm - restMm)) * 100)
        : null,
      () => hand.recoveryPercent,
    ),
    fray: orGuess(
      'fray',
      given(tests.looseThreads) ? frayGrade(tests.looseThreads) : null,
      () => hand.fray,
    ),
    curl: orGuess(
      'curl',
      given(tests.curlMm) || tests.rollsOver === true
        ? curlGrade(tests.curlMm ?? 0, tests.rollsOver ?? false)
        : null,
      () => hand.curl,
    ),
    slip: orGuess(
      'slip',
      given(tests.slipDegrees) ? slipGrade(tests.slipDegrees) : null,
      () => hand.slip,
    ),
    estimated,
  };
}
