import { refusal, type Issue } from '../impossible';
import type { MeasuredCloth } from './cloth';
import type { HomeTests } from './home-tests';

/** What every sum here takes, least and most; no cloth that is sewn lies outside. */
export const clothRanges = {
  weightGsm: [1, 5000],
  thicknessMm: [0.01, 30],
  stretchPercent: [0, 500],
} as const;

/** Heavier than any cloth that is hemmed, g/m²: what a slip is told from when it is mended. */
const heavyGsm = 1200;
/** The square most people cut, mm. */
const usualSideMm = 100;

const outside = (value: number, [least, most]: readonly [number, number]) =>
  !(value >= least && value <= most);

/** The reading that was most likely meant, when only its unit or its square slipped. */
function weightSlip({ sampleGrams, sampleSideMm }: HomeTests): Issue | null {
  if (!sampleGrams) return null;
  const sideMm = sampleSideMm ?? usualSideMm;
  const values = {
    grams: sampleGrams,
    sideMm,
    gsm: Math.round(sampleGrams / (sideMm / 1000) ** 2),
  };
  const said = '{grams} g on a square of {sideMm} is {gsm} g/m², which no cloth is.';
  const asUsual = sampleGrams / (usualSideMm / 1000) ** 2;
  const plausible = asUsual >= clothRanges.weightGsm[0] && asUsual <= heavyGsm;
  if (sideMm !== usualSideMm && plausible) {
    return refusal('sampleSideMm', 'side-slip', `${said} Did you mean a {usualMm} square?`, {
      ...values,
      usualMm: usualSideMm,
    });
  }
  return refusal('sampleGrams', 'weight-slip', `${said} Weigh it again, in grams.`, values);
}

/**
 * What of a described cloth can't be true though each reading alone could be: its derived weight,
 * thickness and stretch, with the slip that most likely led there.
 *
 * @param cloth what the readings come to
 */
export function implausibleIssues(cloth: MeasuredCloth, tests: HomeTests): Issue[] {
  const issues: Issue[] = [];
  const { stackHeightMm, stackLayers, restMm, pulledMm } = tests;
  if (outside(cloth.weightGsm, clothRanges.weightGsm) && !stackOnly(tests)) {
    const gsm = Math.round(cloth.weightGsm);
    issues.push(
      weightSlip(tests) ??
        refusal('ozPerSqYd', 'weight-slip', '{gsm} g/m² is nothing a cloth weighs.', { gsm }),
    );
  }
  if (issues.length === 0 && outside(cloth.thicknessMm, clothRanges.thicknessMm)) {
    issues.push(
      stackHeightMm && stackLayers
        ? refusal(
            'stackLayers',
            'stack-slip',
            '{layers} layers in {heightMm} makes each {thickMm}, which no cloth is. Did you count the layers, and measure in millimetres?',
            { layers: stackLayers, heightMm: stackHeightMm, thickMm: stackHeightMm / stackLayers },
          )
        : refusal(
            'sampleGrams',
            'weight-slip',
            'A cloth of this weight would be {thickMm} thick.',
            {
              thickMm: cloth.thicknessMm,
            },
          ),
    );
  }
  if (issues.length === 0 && outside(cloth.weightGsm, clothRanges.weightGsm)) {
    const gsm = Math.round(cloth.weightGsm);
    issues.push(
      refusal('stackHeightMm', 'stack-slip', 'A stack like this would be cloth of {gsm} g/m².', {
        gsm,
      }),
    );
  }
  if (outside(cloth.stretchPercent, clothRanges.stretchPercent) && restMm && pulledMm) {
    issues.push(
      refusal(
        'pulledMm',
        'pull-slip',
        'From {restMm} to {pulledMm} is more than any cloth stretches. Are both in the same unit?',
        { restMm, pulledMm },
      ),
    );
  }
  return issues;
}

const stackOnly = ({ sampleGrams, ozPerSqYd }: HomeTests) => !sampleGrams && !ozPerSqYd;
