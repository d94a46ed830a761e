import { ChevronLeft } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { crossingLayers, type CrossingKind } from '../../../core/fold/stack';
import { isClosed } from '../../../core/edge/shape';
import { kitGaps } from '../../../core/plan/kit-gaps';
import { chosenWays, machineChanges, stepsOf } from '../../../core/plan/work';
import { useLengths } from '../../ground/lengths-context';
import { Button } from '../../controls/button';
import { SelectField } from '../../controls/select-field';
import { SectionPicture } from '../../pictures/section-picture';
import { finishName } from '../../words/finishes';
import { gapInWords } from '../../words/kit';
import { crossingNames } from '../../words/shapes';
import type { KeptPart, WorkPart } from '../../bench/bench';
import { tellingStage, type Option } from './looked-at';
import { useKit } from '../../bench/use-kit';

const names: Readonly<Record<CrossingKind, string>> = { none: 'no seam', ...crossingNames };

/** The thickest seam that crosses this edge; one pressed open while none is known. */
function thickestOf({ edge }: KeptPart & WorkPart): CrossingKind {
  const kinds = edge.crossings.map(({ kind }) => kind);
  return kinds.reduce<CrossingKind>(
    (most, kind) => (crossingLayers[kind] > crossingLayers[most] ? kind : most),
    kinds[0] ?? 'open',
  );
}

/** Two or three finishes side by side, for the same cloth and edge. */
export function CompareTable(props: {
  bench: KeptPart & WorkPart;
  options: readonly Option[];
  onBack(): void;
}) {
  const { bench, options, onBack } = props;
  const lengths = useLengths();
  const kit = useKit();
  const [crossing, setCrossing] = useState<CrossingKind>(() => thickestOf(bench));
  const columns = options.flatMap(({ finish, wish, folds }) => {
    if (!folds) return [];
    const schools = chosenWays(finish, wish.variant, bench.record.schools);
    const steps = stepsOf(finish, { ...bench.request, wish, schools });
    return [{ finish, wish, folds, steps, gaps: kitGaps(finish, wish, kit) }];
  });
  type Column = (typeof columns)[number];
  /** Cloth beyond the garment, or the strip, along the whole edge. */
  const extraCloth = ({ folds }: Column) => {
    const acrossMm = folds.strip ? folds.strip.widthMm : Math.max(0, folds.allowanceMm);
    if (acrossMm === 0) return 'none';
    const size = `${lengths.cloth(acrossMm)} × ${lengths.cloth(bench.edge.lengthMm)}`;
    return folds.strip ? `${size} of strip` : size;
  };
  const rows: readonly (readonly [name: string, cell: (column: Column) => ReactNode])[] = [
    ['Allowance', ({ folds }) => lengths.cloth(folds.allowanceMm)],
    ['Layers at the stitch', ({ folds }) => folds.layersUnderNeedle],
    ['Stack under the foot', ({ folds }) => lengths.fine(folds.stackMm)],
    [
      `Stack over ${names[crossing]}`,
      ({ folds }) => lengths.fine(folds.stackMm * crossingLayers[crossing]),
    ],
    ['Extra cloth', extraCloth],
    ['Steps', ({ steps }) => steps.length],
    ['Machine changes', ({ steps }) => machineChanges(steps)],
    [
      'Kit',
      ({ gaps }) =>
        gaps.length === 0
          ? 'you have it'
          : `needs ${gaps.map((gap) => gapInWords(gap, lengths)).join(', ')}`,
    ],
  ];
  return (
    <div className="flex h-full flex-col overflow-auto p-3">
      <div className="flex items-center gap-4 pb-2">
        <Button className="min-h-9! px-3! py-1!" onClick={onBack}>
          <ChevronLeft size={18} aria-hidden /> All finishes
        </Button>
        <span className="grow text-sm text-soft">
          on {bench.cloth.name}, {lengths.cloth(bench.edge.lengthMm)}{' '}
          {isClosed(bench.edge) ? 'round' : 'long'}
        </span>
        <div className="w-72">
          <SelectField
            beside
            label="Over"
            value={crossing}
            options={Object.entries(names).map(([value, label]) => ({ value, label }))}
            onChange={(value) => setCrossing(value as CrossingKind)}
          />
        </div>
      </div>
      <table className="w-full table-fixed border-collapse">
        <thead>
          <tr>
            <td className="w-44" />
            {columns.map(({ finish, wish, folds }) => {
              const stage = tellingStage(folds);
              return (
                <th
                  key={finish.id + wish.variant}
                  scope="col"
                  className="px-2 pb-1 text-left align-bottom"
                >
                  <span className="block h-20">
                    {stage && <SectionPicture stage={stage} marks={[]} exaggeration={2} small />}
                  </span>
                  <span className="block font-head text-lg leading-tight font-semibold">
                    {finishName(finish.id, wish.variant)}
                  </span>
                </th>
              );
            })}
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, cell]) => (
            <tr key={name} className="border-t border-line">
              <th scope="row" className="py-1 pr-2 text-left text-sm font-normal text-soft">
                {name}
              </th>
              {columns.map((column) => (
                <td key={column.finish.id + column.wish.variant} className="px-2 py-1 font-bold">
                  {cell(column)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
