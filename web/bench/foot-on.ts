import type { FootRecord, MachineRecord } from '../../contract/records';
import { footUnder, ownFootOf } from '../../core/kit/own-foot';

/** The foot that is really on, as it is drawn: the chosen one, or the machine's own. */
export function footOn(machine: MachineRecord, foot: FootRecord): FootRecord {
  const own = footUnder(machine.specs, foot);
  if (own === foot.specs || own !== ownFootOf(machine.specs.kind)) return foot;
  return {
    ...foot,
    name: 'its own foot',
    kind: 'clear',
    channelMm: null,
    specs: own,
    soleMm: { widthMm: 18, toeMm: 14, heelMm: 14 },
  };
}
