import { useMemo } from 'react';
import type { DialTravel } from '../../../core/kit/dial-steps';
import { usualStandOffMm, type Placing } from '../../../core/kit/binder';
import { useLengths } from '../../ground/lengths-context';
import { Dial } from '../../controls/dial';
import type { KeptPart, SetUpPart } from '../../bench/bench';
import { changePlan } from '../../bench/plan-change';

type PlacingDial = 'flange' | 'standOff';

const stepMm = 0.5;
const travel = (fromMm: number, toMm: number): DialTravel => ({
  ...{ fromMm, toMm, stepMm },
  originMm: fromMm,
});

/** How far an attachment can be set before the toe, mm. */
const standOffTravel = travel(0, 40);

/** Where what folds the strip stands: its flange first, then its place; the needle comes after. */
export function PlacingDials({ bench }: { bench: KeptPart & SetUpPart }) {
  const { record, attachment, foot, folds, plan, edge } = bench;
  const { fine } = useLengths();
  const { binder } = plan;
  const flange = binder?.flangeMm ?? null;
  const flangeTravel = useMemo(() => flange && travel(flange[0], flange[1]), [flange]);
  if (!binder || !folds?.strip || (!attachment && foot.kind !== 'binder')) return null;
  const stripMm = folds.strip.widthMm;
  const elastic = plan.fold.variant === 'fold-over-elastic';
  const inside = edge.shape === 'inside-curve' || edge.purpose === 'opening';
  const usualMm = usualStandOffMm(elastic, inside ? edge.minRadiusMm : null);
  const placing = record.placing ?? {};
  const set = (patch: Placing) =>
    changePlan(record.id, { placing: { ...placing, ...patch }, settings: null });
  const playMm = Math.max(0, (placing.flangeMm ?? stripMm) - stripMm);
  const name = attachment?.name ?? foot.name;
  return (
    <section aria-label={`How the ${name} stands`} className="pt-2">
      <h3 className="text-sm text-soft">
        {attachment ? 'The attachment first, then the needle' : 'Flange, then foot, then needle'}
      </h3>
      {flangeTravel && (
        <Dial<PlacingDial>
          name="Flange"
          dial="flange"
          valueMm={placing.flangeMm ?? Math.ceil(stripMm / stepMm) * stepMm}
          travel={flangeTravel}
          changed={(placing.flangeMm ?? null) !== null}
          because={
            playMm > 0.55
              ? `The strip, ${fine(stripMm)}, has ${fine(playMm)} of play in it and wanders.`
              : `As wide as the strip, ${fine(stripMm)}.`
          }
          onMove={(_, flangeMm) => set({ flangeMm })}
        />
      )}
      {attachment && (
        <Dial<PlacingDial>
          name="Off toe"
          dial="standOff"
          valueMm={placing.standOffMm ?? usualMm}
          travel={standOffTravel}
          changed={(placing.standOffMm ?? null) !== null}
          because={
            elastic
              ? 'Elastic: right up to the foot. Starting guess.'
              : `From the toe to the mouth; ${fine(usualMm)} ${inside && edge.minRadiusMm !== null ? 'for this inside curve' : 'on a straight edge'}. Starting guess.`
          }
          onMove={(_, standOffMm) => set({ standOffMm })}
        />
      )}
    </section>
  );
}
