import { RotateCcw } from 'lucide-react';
import type { Cloth } from '../../../core/cloth/cloth';
import { genericFeet } from '../../../core/kit/generic-feet';
import { machineKinds } from '../../../core/kit/machine';
import { useLengths } from '../../ground/lengths-context';
import { useList } from '../../ground/records';
import { Button } from '../../controls/button';
import { LineSlider } from '../../controls/line-slider';
import { SelectField } from '../../controls/select-field';
import { machineKindNames } from '../../words/kit';
import { asItIs, withOne, withoutOne } from '../../bench/what-if';
import { useWhatIf } from './use-what-if';

/** Thickness is moved by so much at most, in steps, mm. */
const mostMm = 1;
const stepMm = 0.05;

/** One fact changed, to see the ranking move; nothing of it is kept. */
export function SecondOpinion({ planId, cloth }: { planId: string; cloth: Cloth }) {
  const [change, setChange] = useWhatIf(planId);
  const machines = useList('machines').data ?? [];
  const feet = useList('feet').data ?? [];
  const { fine } = useLengths();
  const thickMm = cloth.thicknessMm + change.thickerMm;
  return (
    <section
      aria-label="Second opinion"
      className="flex flex-wrap items-end gap-x-4 gap-y-2 border-b border-line bg-pencil-wash px-3 py-2"
    >
      <div className="w-44">
        <span className="flex justify-between text-sm text-soft">
          <span id="if-thick">If the cloth were</span>
          <b className="text-graphite">{fine(thickMm)}</b>
        </span>
        <LineSlider
          labelledBy="if-thick"
          value={change.thickerMm}
          least={Math.max(-mostMm, Math.ceil((0.05 - cloth.thicknessMm) / stepMm) * stepMm)}
          most={mostMm}
          step={stepMm}
          onChange={(thickerMm) => setChange({ thickerMm })}
        />
      </div>
      <div className="w-56">
        <SelectField
          label="If the feet were"
          value={change.foot}
          options={[
            { value: '', label: 'as they are' },
            ...feet.map(({ id, name }) => ({ value: withoutOne(id), label: `without ${name}` })),
            ...genericFeet.map(({ id, name }) => ({ value: withOne(id), label: `with ${name}` })),
          ]}
          onChange={(foot) => setChange({ foot })}
        />
      </div>
      <div className="w-56">
        <SelectField
          label="If the machines were"
          value={change.machine}
          options={[
            { value: '', label: 'as they are' },
            ...machines.map(({ id, name }) => ({
              value: withoutOne(id),
              label: `without ${name}`,
            })),
            ...machineKinds.map((kind) => ({
              value: withOne(kind),
              label: `with ${/^o/.test(kind) ? 'an' : 'a'} ${machineKindNames[kind]}`,
            })),
          ]}
          onChange={(machine) => setChange({ machine })}
        />
      </div>
      <Button className="min-h-10! py-1!" onClick={() => setChange(asItIs)}>
        <RotateCcw size={17} aria-hidden /> As it is
      </Button>
    </section>
  );
}
