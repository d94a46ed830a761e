import type { ClothDraft } from '../../contract/cloth';
import { clothFromDescription } from '../../core/cloth/describe';
import type { SewingPlan } from '../../core/finish/sewing-plan';

/** A described cloth as the sums take it. */
export function propertiesOf(cloth: ClothDraft): SewingPlan['cloth'] {
  const {
    recoveryPercent: _recovery,
    estimated: _estimated,
    ...properties
  } = clothFromDescription(cloth);
  return { construction: cloth.tests.construction, ...properties };
}
