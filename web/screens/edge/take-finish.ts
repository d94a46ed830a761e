import { patternsOf } from '../../../core/kit/machine';
import { usualStitch } from '../../../core/plan/usual-stitch';
import type { Stitch } from '../../../core/stitch/stitch';
import { change } from '../../app/records';
import type { FootRecord, MachineRecord } from '../../../contract/records';
import type { Bench } from './bench';
import type { Option } from './looked-at';

/** The first of a kit that serves; what is planned now when it serves as well, or nothing does. */
function serving<T extends { readonly id: string }>(
  items: readonly T[],
  now: T,
  serves: (item: T) => boolean,
): string {
  if (serves(now)) return now.id;
  return (items.find(serves) ?? now).id;
}

/** Plans a finish for the edge, on what the kit has for it; its dials and ticks start anew. */
export function takeFinish(
  bench: Bench,
  { finish, wish }: Option,
  kit: { readonly machines: readonly MachineRecord[]; readonly feet: readonly FootRecord[] },
): void {
  const { record, plan } = bench;
  const { machineKinds, feet, patterns } = finish.needs(wish.variant);
  const machineId = serving(kit.machines, bench.machine, ({ specs }) =>
    machineKinds.includes(specs.kind),
  );
  const machine = kit.machines.find(({ id }) => id === machineId) ?? bench.machine;
  const able = patterns.filter((pattern) => patternsOf(machine.specs).includes(pattern));
  const stitch: Stitch = able.includes(record.stitch.pattern)
    ? record.stitch
    : (usualStitch(finish.needs(wish.variant), machine.specs, plan.cloth.stretchPercent) ??
      record.stitch);
  change('plans', record.id, {
    finish: finish.id,
    fold: wish,
    machineId,
    footId: serving(kit.feet, bench.foot, ({ kind }) => feet.includes(kind)),
    stitch,
    settings: null,
    keptAttemptId: null,
    ticks: [],
  });
}
