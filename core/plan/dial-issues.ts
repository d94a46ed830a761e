import type { SewingPlan } from '../finish/sewing-plan';
import { refusal, type Issue } from '../impossible';
import { dialField, dialTravel, type Dial, type DialSettings } from '../kit/dial-steps';

const dials: readonly (readonly [Dial, string])[] = [
  ['width', 'Width'],
  ['length', 'Stitch length'],
  ['needlePosition', 'Needle position'],
  ['guide', 'Guide'],
];

/**
 * Dials that stand where this machine and foot cannot put them.
 *
 * @returns one issue for each, with the range it has; empty when all can be
 */
export function dialIssues(
  { machine, foot }: Pick<SewingPlan, 'machine' | 'foot'>,
  settings: DialSettings,
): Issue[] {
  return dials.flatMap(([dial, name]): Issue[] => {
    const field = dialField[dial];
    const { fromMm, toMm } = dialTravel(dial, machine, foot.guide);
    const mm = settings[field];
    if (mm >= fromMm - 1e-6 && mm <= toMm + 1e-6) return [];
    const range =
      toMm > fromMm ? 'from {fromMm:fine} to {toMm:fine}' : '{fromMm:fine} and nothing else';
    return [
      refusal(
        field,
        'past-the-dial',
        `${name}: {givenMm:fine} is past what there is; it can be ${range}.`,
        { givenMm: mm, fromMm, toMm },
      ),
    ];
  });
}
