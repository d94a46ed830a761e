import { useList } from '../../app/records';
import { SelectField } from '../../controls/select-field';
import type { Bench } from './bench';
import { changePlan } from './plan-change';

/** What a binding is cut from: its own thickness, weight and stretch go into every sum. */
export function StripChoice({ bench: { record, cloth, finish, plan } }: { bench: Bench }) {
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
