import { usualDifferential } from '../../../core/loopers/differential';
import type { MachineRecord } from '../../../contract/records';
import { NumberField } from '../../controls/number-field';

type Specs = MachineRecord['specs'];

interface DifferentialFieldsProps {
  readonly specs: Specs;
  refusal(patch: Partial<Specs>): string | null;
  set(patch: Partial<Specs>): void;
}

/** How far the differential feed of a machine with loopers reaches, and in what steps. */
export function DifferentialFields({ specs, refusal, set }: DifferentialFieldsProps) {
  const { from, to, step } = usualDifferential;
  const [least, most] = specs.differentialRange ?? [from, to];
  const field = (label: string, value: number, patch: (given: number) => Partial<Specs>) => (
    <NumberField
      label={label}
      unit="× the feed"
      value={value}
      refuse={(given) => refusal(patch(given))}
      onCommit={(given) => given !== null && set(patch(given))}
    />
  );
  return (
    <div className="grid gap-4 sm:grid-cols-2 xl:grid-cols-3">
      {field('Differential, lowest', least, (given) => ({ differentialRange: [given, most] }))}
      {field('Differential, highest', most, (given) => ({ differentialRange: [least, given] }))}
      {field('Differential step', specs.differentialStep ?? step, (given) => ({
        differentialStep: given,
      }))}
    </div>
  );
}
