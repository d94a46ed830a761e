import type { FootRecord, MachineRecord } from '../../../contract/records';
import { misfitOf, swingRoomMm, type Misfit } from '../../../core/kit/foot-fit';
import { useLengths } from '../../ground/lengths-context';
import { machineKindNames, shankNames } from '../../words/kit';

/** The needle that most cloths take; a thicker one has a little less room. */
const usualNeedle = 80;

function misfitInWords(misfit: Misfit): string {
  return misfit.about === 'own-foot'
    ? `an ${machineKindNames[misfit.machine]} keeps its own foot`.replace('an cover', 'a cover')
    : `${shankNames[misfit.foot]}, and it takes ${misfit.machine.map((shank) => shankNames[shank]).join(' or ')}`;
}

interface Pair {
  readonly name: string;
  readonly machine: MachineRecord;
  readonly foot: FootRecord;
}

/** Which of the pairs go together, and how far the needle may swing there. */
export function FitList({ title, pairs }: { title: string; pairs: readonly Pair[] }) {
  const { fine } = useLengths();
  return (
    <section aria-label={title}>
      <h3 className="text-lg">{title}</h3>
      {pairs.length === 0 && <p className="text-soft">nothing in the drawer yet</p>}
      <ul className="grid gap-x-6 xl:grid-cols-2">
        {pairs.map(({ name, machine, foot }) => {
          const misfit = misfitOf(machine.specs, { kind: foot.kind, shank: foot.specs.shank });
          const room = swingRoomMm(machine.specs, foot.specs, usualNeedle);
          return (
            <li key={name} className="flex items-baseline gap-2 border-b border-line py-1.5">
              <span aria-hidden className={`font-bold ${misfit ? 'text-madder' : 'text-moss'}`}>
                {misfit ? '✕' : '✓'}
              </span>
              <span className="min-w-0">
                <span className="font-bold break-words">{name}</span>{' '}
                <span className="text-sm text-soft">
                  {misfit
                    ? `does not go on: ${misfitInWords(misfit)}`
                    : room > 0
                      ? `fits; swings up to ${fine(room)} wide`
                      : 'fits; straight stitches only'}
                </span>
              </span>
            </li>
          );
        })}
      </ul>
    </section>
  );
}
