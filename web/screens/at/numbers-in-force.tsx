import type { WorkStep } from '../../../core/finish/work';
import { useLengths } from '../../ground/lengths-context';
import type { Bench } from '../../bench/bench';
import { swings } from '../../../core/stitch/needle-path';

/** The dials as they are in force, large, at the steps where they matter. */
export function NumbersInForce({ bench, step }: { bench: Bench; step: WorkStep }) {
  const lengths = useLengths();
  const { dials, plan } = bench;
  const sewing = ['set', 'scrap', 'start', 'sew'].includes(step.phase);
  const here = typeof step.at !== 'string' && step.at.machine === plan.machine.kind;
  if (!dials || !sewing || !here) return null;
  const { machine } = plan;
  const shown = [
    ...(swings(plan.stitch)
      ? [['width', lengths.stepped(dials.widthMm, machine.widthStepMm)] as const]
      : []),
    ['length', lengths.stepped(dials.lengthMm, machine.lengthStepMm)] as const,
    ['needle', lengths.stepped(dials.needlePositionMm, machine.needleStepMm)] as const,
  ];
  return (
    <dl className="flex flex-wrap gap-x-8 gap-y-1">
      {shown.map(([name, value]) => (
        <div key={name}>
          <dt className="text-base text-soft">
            {name}, {lengths.unit}
          </dt>
          <dd className="big-number text-5xl leading-none lg:text-6xl">{value}</dd>
        </div>
      ))}
    </dl>
  );
}
