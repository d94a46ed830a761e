import { Stepper } from '../../controls/stepper';
import type { KeptPart, SetUpPart } from '../../bench/bench';
import type { ScrapDraft } from './scrap-draft';

/** Whether corners of a strip are sewn on this edge: mitres that can gape. */
export const hasBoundCorners = ({ edge, finish, plan }: KeptPart & SetUpPart): boolean =>
  edge.shape === 'cornered' && finish.nature(plan.fold.variant).worked.includes('strip');

/** How many corners were bound, and how many of them gape or pucker. */
export function CornersFields(props: {
  draft: ScrapDraft;
  set: (patch: Partial<ScrapDraft>) => void;
}) {
  const { draft, set } = props;
  const { n, missed } = draft.corners ?? { n: 0, missed: 0 };
  const whole = (value: number) => (Number.isFinite(value) ? Math.max(0, Math.round(value)) : 0);
  return (
    <>
      <Stepper
        label="Corners sewn"
        about="mitred or rounded; none where the scrap is straight"
        value={n}
        least={0}
        onChange={(value) => {
          const corners = { n: whole(value), missed: Math.min(missed, whole(value)) };
          set({ corners: corners.n === 0 ? null : corners });
        }}
      />
      {n > 0 && (
        <Stepper
          label="Corners that gape"
          about="open at the fold, on either face, or not caught at the back"
          value={missed}
          least={0}
          trouble={missed > n ? `${missed} are more than the ${n} that were sewn.` : undefined}
          onChange={(value) => set({ corners: { n, missed: Math.min(n, whole(value)) } })}
        />
      )}
    </>
  );
}
