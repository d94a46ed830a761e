import { memo } from 'react';
import { createPortal } from 'react-dom';
import { dialTravel, type Dial } from '../../../core/kit/dial-steps';
import { dialsClause, ridesClause } from '../../../core/finish/dials-clause';
import { dialField } from '../../../core/kit/dial-steps';
import { startingValuesOf, valuesBesideDials } from '../../../core/plan/work';
import { swings } from '../../../core/stitch/needle-path';
import { useLengths } from '../../ground/lengths-context';
import { dialName } from '../../words/dials';
import { fill } from '../../../core/measure/fill';
import { finishName } from '../../words/finishes';
import { ofHundred } from '../../words/number';
import { valueInWords } from '../../words/starting-value';
import { stitchLabel } from '../../words/stitches';
import type { DialsPart, KeptPart, SetUpPart, WorkPart } from '../../bench/bench';
import { CardMargin } from '../../pictures/card-margin';
import { CardSection } from '../../pictures/card-section';
import { isLooped } from './looped';

const dials: readonly Dial[] = ['width', 'length', 'needlePosition', 'guide'];

/** The dials of a setting that can stand otherwise, with where they stand, mm. */
function dialRows({
  plan,
  dials: settings,
  set,
}: SetUpPart & DialsPart): (readonly [Dial, number])[] {
  if (!settings) return [];
  const looped = isLooped(plan);
  const guided = set?.checks.some(({ v0 }) => v0.guide !== 0) ?? false;
  return dials
    .filter((dial) => {
      if (dial === 'length') return true;
      if (looped) return false;
      if (dial === 'width') return swings(plan.stitch);
      return dial === 'needlePosition' || guided;
    })
    .filter(
      (dial) => dial !== 'guide' || dialTravel(dial, plan.machine, plan.foot.guide).stepMm > 0,
    )
    .map((dial) => [dial, settings[dialField[dial]]] as const);
}

/** One line of the card. */
function Line({ name, value, unit = '' }: { name: string; value: string; unit?: string }) {
  return (
    <tr className="border-b border-line">
      <th scope="row" className="py-0.5 pr-3 text-left font-normal">
        {name}
      </th>
      <td className="py-0.5 text-right font-bold">
        {value}
        {unit && <span className="font-normal"> {unit}</span>}
      </td>
    </tr>
  );
}

/** The slip on paper: one card on one page, its numbers and nothing to fill in. */
export const PrintedCard = memo(function PrintedCard({
  bench,
}: {
  bench: KeptPart & SetUpPart & WorkPart & DialsPart;
}) {
  const { finish, plan, request, machine, foot, cloth, edge, judgement, folds, passes, work } =
    bench;
  const lengths = useLengths();
  const margin = judgement?.margins[0];
  const values = !folds
    ? []
    : bench.margin
      ? valuesBesideDials(finish, request)
      : startingValuesOf(finish, request);
  const looped = isLooped(plan);
  const stage = folds?.stages.find(({ id }) => id === 'stitch') ?? folds?.stages.at(-1);
  // One that is closed, or open without end, is told in words alone.
  const drawn =
    margin &&
    margin.toMm > margin.fromMm &&
    Number.isFinite(margin.fromMm) &&
    Number.isFinite(margin.toMm)
      ? margin
      : null;
  return createPortal(
    <section aria-label="Card" data-print-alone className="hidden print:block">
      <div className="h-[148mm] w-[105mm] overflow-hidden border border-black bg-white p-4 text-xs leading-tight text-black">
        <h2 className="text-lg">
          {finishName(finish.id)}, {edge.on || edge.name}
        </h2>
        <p>
          {machine.name}
          {looped ? '' : `, ${foot.name}`}; {cloth.name}
        </p>
        {work.sewn && !looped && (
          <p>
            {stitchLabel(plan.stitch.pattern)}; {ridesClause(work)}
          </p>
        )}
        {judgement && margin && (
          <p className="pb-1 font-bold">
            Margin {lengths.fine(-margin.fromMm)} left, {lengths.fine(margin.toMm)} right;{' '}
            {ofHundred(judgement.chance)} of 100
          </p>
        )}
        {stage && <CardSection stage={stage} />}
        {drawn && (
          <CardMargin
            leftMm={-drawn.fromMm}
            rightMm={drawn.toMm}
            leftWords={`left ${lengths.fine(-drawn.fromMm)}`}
            rightWords={`right ${lengths.fine(drawn.toMm)}`}
          />
        )}
        <table className="w-full border-t border-line">
          <tbody>
            {dialRows(bench).map(([dial, mm]) => (
              <Line
                key={dial}
                name={dialName(dial, plan.foot.guidance)}
                value={lengths.fineNumber(mm)}
                unit={lengths.unit}
              />
            ))}
            {values.map((value) => (
              <Line
                key={value.id}
                name={value.name}
                value={valueInWords(value, lengths)}
                unit={value.unit === 'mm' ? lengths.unit : ''}
              />
            ))}
          </tbody>
        </table>
        {passes.map(({ id, name, sewn }) => {
          const clause = sewn && dialsClause(sewn);
          return clause ? (
            <p key={id} className="pt-1">
              <b>{name}:</b> {fill(clause.text, clause.values, lengths)}
            </p>
          ) : null;
        })}
      </div>
    </section>,
    document.body,
  );
});
