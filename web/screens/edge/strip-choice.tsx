import { useList } from '../../app/records';
import { SelectField } from '../../controls/select-field';
import type { KeptPart, SetUpPart } from '../../bench/bench';
import { changePlan } from '../../bench/plan-change';

/** What a binding is cut from: its own thickness, weight and stretch go into every sum. */
export function StripChoice({
  bench: { record, cloth, finish, plan },
}: {
  bench: KeptPart & SetUpPart;
}) {
  const cloths = useList('cloths').data ?? [];
  if (!finish.nature(plan.fold.variant).worked.includes('strip')) return null;
  return (
    <SelectField
      label="The strip is of"
      value={record.stripClothId ?? ''}
      options={[
        { value: '', label: `the same cloth, ${cloth.name}` },
        ...cloths
          .filter(({ id }) => id !== cloth.id)
          .map(({ id, name }) => ({ value: id, label: name })),
      ]}
      onChange={(id) => changePlan(record.id, { stripClothId: id || null, settings: null })}
    />
  );
}
