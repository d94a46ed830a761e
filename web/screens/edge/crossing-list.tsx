import { Plus, X } from 'lucide-react';
import { issueInWords } from '../../words/refusals';
import { unitOnce } from '../../../core/plain-fill';
import { useLengths } from '../../ground/lengths-context';
import { crossingIssues, crossingKinds, type Crossing } from '../../../core/seam/crossing';
import { isClosed } from '../../../core/edge/shape';
import { change } from '../../ground/records';
import { LengthField } from '../../controls/length-field';
import { SelectField } from '../../controls/select-field';
import { crossingNames } from '../../words/shapes';
import type { KeptPart } from '../../bench/bench';

/** How wide a seam's allowances usually lie, mm. Starting guess. */
const usualWidthMm = 16;

/** The seams that cross the edge: how each was made, where, and how wide it lies. */
export function CrossingList({ bench: { edge } }: { bench: KeptPart }) {
  const set = (crossings: readonly Crossing[]) =>
    change('edges', edge.id, { crossings: [...crossings] });
  const replace = (i: number, patch: Partial<Crossing>) =>
    edge.crossings.map((crossing, k) => (k === i ? { ...crossing, ...patch } : crossing));
  const lengths = useLengths();
  const refusal = (crossings: readonly Crossing[]) => {
    const closed = isClosed(edge);
    const [issue] = crossingIssues({ lengthMm: edge.lengthMm, closed, crossings });
    return issue ? issueInWords(issue, lengths) : null;
  };
  const add = () => {
    // In the middle of the widest gap, where another seam is most likely.
    const places = edge.crossings.map(({ atMm }) => atMm);
    const ends = [0, ...places, edge.lengthMm].sort((a, b) => a - b);
    const gaps = ends.slice(1).map((end, i) => ({ end, from: ends[i] ?? 0 }));
    const widest = gaps.reduce((a, b) => (b.end - b.from > a.end - a.from ? b : a));
    const atMm = Math.round((widest.from + widest.end) / 2);
    set([
      ...edge.crossings,
      { kind: 'open', atMm, widthMm: Math.min(usualWidthMm, edge.lengthMm) },
    ]);
  };
  return (
    <section aria-label="Seams that cross it" className="border-t border-line pt-2">
      <div className="flex items-center justify-between">
        <h3 className="text-lg">Seams that cross it</h3>
        <button
          type="button"
          className="inline-flex min-h-9 items-center gap-1.5 rounded-[3px] px-2 font-bold hover:bg-cloth"
          onClick={add}
        >
          <Plus size={17} aria-hidden /> Add a seam
        </button>
      </div>
      <ol className="grid gap-2">
        {edge.crossings.map((crossing, i) => (
          <li key={i} className="border-b border-line pb-2">
            <div className="flex items-end gap-2">
              <div className="grow">
                <SelectField
                  label={`Seam ${i + 1}`}
                  value={crossing.kind}
                  options={crossingKinds.map((kind) => ({
                    value: kind,
                    label: crossingNames[kind],
                  }))}
                  onChange={(kind) => set(replace(i, { kind: kind as Crossing['kind'] }))}
                />
              </div>
              <button
                type="button"
                aria-label={`Remove seam ${i + 1}`}
                className="grid size-10 place-items-center rounded-[3px] text-soft hover:bg-cloth hover:text-madder"
                onClick={() => set(edge.crossings.filter((_, k) => k !== i))}
              >
                <X size={18} aria-hidden />
              </button>
            </div>
            <div className="grid grid-cols-2 gap-2 pt-1">
              <LengthField
                compact
                label="Middle of it at"
                value={crossing.atMm}
                refuse={(atMm) => refusal(replace(i, { atMm }))}
                onCommit={(atMm) => atMm !== null && set(replace(i, { atMm }))}
              />
              <LengthField
                compact
                label="Lies this wide"
                value={crossing.widthMm}
                refuse={(widthMm) =>
                  widthMm >= 1 && widthMm <= 200
                    ? refusal(replace(i, { widthMm }))
                    : unitOnce(`A seam lies ${lengths.cloth(1)} to ${lengths.cloth(200)} wide.`)
                }
                onCommit={(widthMm) => widthMm !== null && set(replace(i, { widthMm }))}
              />
            </div>
          </li>
        ))}
      </ol>
    </section>
  );
}
