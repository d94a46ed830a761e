import { proposed, proposedAnyway } from '../../../core/choose/proposal';
import type { Considered } from '../../../core/choose/consider';
import type { FootRecord, MachineRecord } from '../../../contract/records';
import { change } from '../../ground/records';
import type { KeptPart, SetUpPart } from '../../bench/bench';
import type { Option } from './looked-at';
import { kitOf, takingOf } from '../../../core/choose/of-records';

/**
 * Plans a finish for the edge, with the machine, foot and ways it was found best with; its dials
 * and ticks start anew.
 *
 * @param ranked what was worked out for it; nothing for one that is ruled out and planned all the same
 */
export function takeFinish(
  bench: KeptPart & SetUpPart,
  { finish, wish }: Option,
  ranked: Considered | undefined,
  kit: { readonly machines: readonly MachineRecord[]; readonly feet: readonly FootRecord[] },
): void {
  const { record, plan } = bench;
  const { variant, ...lengths } = wish;
  const request = { cloth: plan.cloth, kit: kitOf(kit.machines, kit.feet) };
  const proposal = ranked
    ? { ...proposed(ranked), fold: wish }
    : proposedAnyway(finish, variant, lengths, request);
  change('plans', record.id, takingOf(proposal, record, kit));
}
