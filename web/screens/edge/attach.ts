import type { FootRecord, PlanRecord } from '../../../contract/records';
import type { Finish } from '../../../core/finish/finish';
import { takesField } from '../../../core/finish/fold-request';
import type { School } from '../../../core/finish/school';
import { bestPresser } from '../../../core/kit/presser-beside';
import { schoolsFor } from '../../../core/plan/work';
import type { KeptPart } from '../../bench/bench';

/** The question of how a strip is led, where a finish asks it. */
export const attachingOf = (finish: Finish, variant: string): School | undefined =>
  schoolsFor(finish, variant).find(({ ways }) => ways.some(({ attaches }) => attaches));

type Plan = Pick<KeptPart, 'record' | 'edge'> & { readonly finish: Finish };

/** From the needle to the outer fold, where nothing is worked out yet: most of the binding, mm. */
const outsideMm = ({ record }: Plan) => (record.fold.depthMm ?? 0) * 0.75;

/** With the strip that an attachment asks for, where the finish takes one. */
function withStrip({ record, finish }: Plan, stripMm: number | null): Partial<PlanRecord> {
  const rule = finish.fields.statedStripMm;
  return rule &&
    takesField(rule, record.fold.variant) &&
    stripMm !== (record.fold.statedStripMm ?? null)
    ? { fold: { ...record.fold, statedStripMm: stripMm } }
    : {};
}

/**
 * What a plan becomes when its strip is led another way: an attachment of the drawer before a foot
 * that presses, a binder foot, or by hand.
 *
 * @param attachmentId which of them; the first there is when left out
 */
export function attachedWay(
  plan: Plan,
  way: string,
  feet: readonly FootRecord[],
  attachmentId?: string,
): Partial<PlanRecord> {
  const { record, edge, finish } = plan;
  const school = attachingOf(finish, record.fold.variant);
  const kind = school?.ways.find(({ id }) => id === way)?.attaches;
  const fresh = { placing: null, settings: null, reference: null } as const;
  const present = feet.find(({ id }) => id === record.footId);
  const presser = () =>
    present && present.kind !== 'binder' && present.kind !== 'binder-attachment'
      ? present
      : bestPresser(feet, outsideMm(plan), edge.minRadiusMm);
  if (kind === 'binder-attachment') {
    const attachment = feet.find((foot) =>
      attachmentId ? foot.id === attachmentId : foot.kind === kind,
    );
    if (!attachment) return {};
    return {
      ...fresh,
      attachmentId: attachment.id,
      footId: presser()?.id ?? record.footId,
      ...withStrip(plan, attachment.stripMm),
    };
  }
  const binder = kind === 'binder' ? feet.find((foot) => foot.kind === kind) : undefined;
  return {
    ...fresh,
    attachmentId: null,
    footId: binder?.id ?? presser()?.id ?? record.footId,
    ...withStrip(plan, binder?.stripMm ?? null),
  };
}
