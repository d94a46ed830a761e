import { memo } from 'react';
import { aims, type Aim } from '../../../core/finish/sewing-plan';
import { threadMatches, type ThreadMatch } from '../../../core/kit/thread';
import { proposedPickMm, weightsOf } from '../../../core/plan/wish-for-stitches';
import type { PlanRecord } from '../../../contract/records';
import { useLengths } from '../../ground/lengths-context';
import { ColourField } from '../../controls/colour-field';
import { LengthField } from '../../controls/length-field';
import { SelectField } from '../../controls/select-field';
import { LineChoice } from '../../controls/line-choice';
import { changePlan } from '../../bench/plan-change';

const aimNames: Readonly<Record<Aim, string>> = { hold: 'Hold', even: 'Both', hide: 'Hide' };
const threadNames: Readonly<Record<ThreadMatch, string>> = {
  matching: 'matching',
  contrasting: 'contrasting',
  clear: 'clear',
};

/** Each for itself, so that a nudge of a dial draws none of it anew. */
interface HoldOrHideProps extends Pick<PlanRecord, 'aim' | 'thread' | 'threadColour' | 'pickMm'> {
  readonly planId: string;
  readonly clothColour: string | null;
  /** Whether stitches bite into a fold, so that holding and hiding pull two ways. */
  readonly bites: boolean;
}

/**
 * What one would rather have of the stitches, and the thread: they set what a fault weighs, the
 * thread one accepts on the right side and the length, and so the dials are solved anew.
 */
export const HoldOrHide = memo(function HoldOrHide({
  planId,
  clothColour,
  bites,
  ...plan
}: HoldOrHideProps) {
  const lengths = useLengths();
  const set = (patch: Partial<PlanRecord>) => changePlan(planId, { ...patch, settings: null });
  const withThread = (thread: ThreadMatch, threadColour: string | null) =>
    set({ thread, threadColour, pickMm: proposedPickMm(thread, clothColour, threadColour) });
  return (
    <div className="no-print grid gap-1 border-t border-line pt-2">
      {bites && (
        <div className="flex items-center gap-2">
          <span className="w-16 shrink-0 text-sm text-soft">Rather</span>
          <LineChoice
            label="Rather hold or hide"
            value={plan.aim}
            options={aims.map((aim) => [aim, aimNames[aim]] as const)}
            onChange={(aim) => set({ aim, faultWeights: weightsOf[aim] })}
          />
        </div>
      )}
      <div className="flex items-end gap-2">
        <div className="grow">
          <SelectField
            beside
            label="Thread"
            value={plan.thread}
            options={threadMatches.map((value) => ({ value, label: threadNames[value] }))}
            onChange={(thread) => withThread(thread as ThreadMatch, plan.threadColour)}
          />
        </div>
        <ColourField
          label="Colour of the thread"
          value={plan.threadColour}
          fallback={clothColour}
          onChange={(colour) => withThread(plan.thread, colour)}
        />
      </div>
      {bites && (
        <LengthField
          fine
          label="Accepted on the right side"
          value={plan.pickMm}
          refuse={(mm) => (mm >= 0 && mm <= 10 ? null : `From nothing to ${lengths.fine(10)}.`)}
          onCommit={(pickMm) => pickMm !== null && set({ pickMm })}
        />
      )}
    </div>
  );
});
