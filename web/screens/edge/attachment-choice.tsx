import { presserTroubles, type PresserTrouble } from '../../../core/kit/presser-beside';
import { useLengths } from '../../ground/lengths-context';
import { useList } from '../../ground/records';
import { SelectField } from '../../controls/select-field';
import type { KeptPart, SetUpPart } from '../../bench/bench';
import { changePlan } from '../../bench/plan-change';
import { attachedWay, attachingOf } from './attach';

const troubleWords: Readonly<Record<PresserTrouble, string>> = {
  'no-presser': 'This foot is made for something else; take a plain one beside the attachment.',
  'too-narrow': 'This foot does not hold the whole binding; take a wider one.',
  'too-long': 'On a curve as tight as this a shorter foot lets the strip turn sooner.',
};

/** What folds the strip before the foot, where a finish asks how it is led. */
export function AttachmentChoice({ bench }: { bench: KeptPart & SetUpPart }) {
  const { record, finish, attachment, foot, edge, folds, plan } = bench;
  const feet = useList('feet').data ?? [];
  const { fine } = useLengths();
  const school = attachingOf(finish, record.fold.variant);
  if (!school) return null;
  const attachments = feet.filter(({ kind }) => kind === 'binder-attachment');
  const way = school.ways.find(({ attaches }) => attaches === 'binder-attachment')?.id ?? '';
  const byHand = school.ways.find(({ attaches }) => !attaches)?.id ?? '';
  const stays = plan.machine.kind === 'coverstitch';
  const outsideMm = Math.max(0, folds?.stitchFromHemlineMm ?? (record.fold.depthMm ?? 0) * 0.75);
  const troubles = attachment && !stays ? presserTroubles(foot, outsideMm, edge.minRadiusMm) : [];
  const take = (id: string) =>
    changePlan(record.id, {
      ...attachedWay(bench, id ? way : byHand, feet, id || undefined),
      schools: { ...record.schools, [school.id]: id ? way : byHand },
    });
  return (
    <div className="no-print grid gap-1 pt-1">
      <SelectField
        beside
        label="Strip by"
        value={attachment?.id ?? ''}
        options={[
          { value: '', label: foot.kind === 'binder' ? 'the binder foot' : 'hand' },
          ...attachments.map(({ id, name }) => ({ value: id, label: name })),
        ]}
        onChange={take}
      />
      {attachments.length === 0 && (
        <p className="text-sm text-soft">No binder attachment lies in the drawer.</p>
      )}
      {troubles.map((trouble) => (
        <p key={trouble} role="status" className="text-sm font-bold text-ochre">
          {troubleWords[trouble]}
          {trouble === 'too-narrow' && ` It needs ${fine(outsideMm)} right of the needle.`}
        </p>
      ))}
    </div>
  );
}
