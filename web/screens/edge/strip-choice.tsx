import { readyMadeIssues, servesVariant } from '../../../core/strip/ready-made';
import { useLengths } from '../../ground/lengths-context';
import { useList } from '../../ground/records';
import { SelectField } from '../../controls/select-field';
import type { KeptPart, SetUpPart } from '../../bench/bench';
import { changePlan } from '../../bench/plan-change';
import { issueInWords } from '../../words/refusals';

/**
 * What a binding is cut from, or the ready-made one: its own thickness, weight and stretch go into
 * every sum. A ready-made one brings its width.
 */
export function StripChoice({
  bench: { record, cloth, finish, plan, strip },
}: {
  bench: KeptPart & SetUpPart;
}) {
  const lengths = useLengths();
  const cloths = useList('cloths').data ?? [];
  const { variant } = plan.fold;
  if (!finish.nature(variant).worked.includes('strip')) return null;
  const others = cloths.filter(
    ({ id, readyMade }) => id !== cloth.id && (!readyMade || servesVariant(readyMade, variant)),
  );
  const issues = strip?.readyMade ? readyMadeIssues(strip.readyMade, record.fold) : [];
  const take = (id: string) => {
    const taken = cloths.find((one) => one.id === id);
    changePlan(record.id, {
      stripClothId: id || null,
      settings: null,
      ...(taken?.readyMade
        ? {
            fold: { ...record.fold, depthMm: taken.readyMade.finishedMm, statedStripMm: null },
            schools: { ...record.schools, 'strip-source': 'ready-made' },
          }
        : { schools: { ...record.schools, 'strip-source': 'own' } }),
    });
  };
  return (
    <div>
      <SelectField
        label="The strip is of"
        value={record.stripClothId ?? ''}
        options={[
          { value: '', label: `the same cloth, ${cloth.name}` },
          // One that does not serve this way of binding stays named while it is chosen.
          ...(strip && !others.includes(strip) ? [strip, ...others] : others).map(
            ({ id, name, readyMade }) => ({
              value: id,
              label: readyMade ? `${name}, ${lengths.cloth(readyMade.finishedMm)}` : name,
            }),
          ),
        ]}
        onChange={take}
      />
      {issues.map((issue) => (
        <p key={issue.path} role="alert" className="pt-1 text-sm font-bold text-madder">
          {issueInWords(issue, lengths)}
        </p>
      ))}
    </div>
  );
}
