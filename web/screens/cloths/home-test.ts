import type { MeasuredCloth } from '../../../core/cloth/cloth';
import type { HomeTests } from '../../../core/cloth/home-tests';
import type { Lengths } from '../../../core/measure/lengths';
import { gradeNames, type Tested } from '../../words/cloth';

/** One home test: what it is called, which property it tells, and by which readings. */
export interface HomeTest {
  readonly id: TestId;
  readonly name: string;
  readonly property: Tested;
  readonly readings: readonly (keyof HomeTests)[];
  /** What it came to, in a few words. */
  result(cloth: MeasuredCloth, lengths: Lengths): string;
}

export const testIds = ['weigh', 'stack', 'pull', 'rub', 'curl', 'slip'] as const;
export type TestId = (typeof testIds)[number];

/** The home tests in the order they are easily done. */
export const homeTestList: readonly HomeTest[] = [
  {
    id: 'weigh',
    name: 'Weight',
    property: 'weightGsm',
    readings: ['sampleGrams', 'sampleSideMm', 'ozPerSqYd'],
    result: ({ weightGsm }) => `${Math.round(weightGsm)} g/m²`,
  },
  {
    id: 'stack',
    name: 'Thickness',
    property: 'thicknessMm',
    readings: ['stackHeightMm', 'stackLayers'],
    result: ({ thicknessMm }, { fine }) => fine(thicknessMm),
  },
  {
    id: 'pull',
    name: 'Stretch',
    property: 'stretchPercent',
    readings: ['restMm', 'pulledMm', 'afterMm'],
    result: ({ stretchPercent }) => `${Math.round(stretchPercent)} %`,
  },
  {
    id: 'rub',
    name: 'Fray',
    property: 'fray',
    readings: ['looseThreads'],
    result: ({ fray }) => gradeNames.fray[fray],
  },
  {
    id: 'curl',
    name: 'Curl',
    property: 'curl',
    readings: ['curlMm', 'rollsOver'],
    result: ({ curl }) => gradeNames.curl[curl],
  },
  {
    id: 'slip',
    name: 'Slip',
    property: 'slip',
    readings: ['slipDegrees'],
    result: ({ slip }) => gradeNames.slip[slip],
  },
];
