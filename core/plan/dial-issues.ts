import type { SewingPlan } from '../finish/sewing-plan';
import type { Issue } from '../impossible';
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
    const range = toMm > fromMm ? `from ${fromMm} to ${toMm} mm` : `${fromMm} mm and nothing else`;
    return [
      { path: field, message: `${name}: ${mm} mm is past what there is; it can be ${range}.` },
    ];
  });
}
