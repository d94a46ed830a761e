import { ArrowLeftRight, X } from 'lucide-react';
import type { EdgeRecord } from '../../../contract/records';
import type { EdgeTurn, Meeting } from '../../../core/garment/garment';

interface SeamRowProps {
  readonly seam: EdgeRecord;
  /** The other edges and seams of the project. */
  readonly edges: readonly EdgeRecord[];
  readonly meets: readonly Meeting[];
  onChange(meets: readonly Meeting[]): void;
}

/** An edge on its side of a seam: it goes to the other side, or away. */
function EdgeChip(props: { name: string; turn: EdgeTurn; onTurn(): void; onRemove(): void }) {
  const { name, turn, onTurn, onRemove } = props;
  const other = turn === 'before' ? 'after' : 'before';
  return (
    <span className="inline-flex max-w-full items-center rounded-[3px] border border-seam bg-slip">
      <button
        type="button"
        className="inline-flex min-h-11 min-w-0 items-center gap-2 px-2.5 text-left hover:bg-cloth"
        aria-label={`${name}: finish it ${other} the seam instead`}
        onClick={onTurn}
      >
        <span className="min-w-0 break-words">{name}</span>
        <ArrowLeftRight size={15} className="shrink-0 text-soft" aria-hidden />
      </button>
      <button
        type="button"
        className="flex min-h-11 w-9 shrink-0 items-center justify-center border-l border-line hover:bg-cloth"
        aria-label={`${name} does not meet this seam`}
        onClick={onRemove}
      >
        <X size={15} aria-hidden />
      </button>
    </span>
  );
}

/** A seam, with the edges that are finished before it on its left and after it on its right. */
export function SeamRow({ seam, edges, meets, onChange }: SeamRowProps) {
  const own = meets.filter(({ seamId }) => seamId === seam.id);
  const nameOf = (id: string) =>
    edges.find((edge) => edge.id === id)?.name ?? 'an edge that is gone';
  const free = edges.filter(({ id }) => !own.some(({ edgeId }) => edgeId === id));
  const side = (turn: EdgeTurn) => (
    <div className="min-w-0">
      <p className="mb-1 text-sm text-soft">
        {turn === 'before' ? 'finished before' : 'finished after'}
      </p>
      <div className="flex flex-wrap gap-1.5">
        {own
          .filter(({ edge }) => edge === turn)
          .map((meeting) => (
            <EdgeChip
              key={meeting.edgeId}
              name={nameOf(meeting.edgeId)}
              turn={turn}
              onTurn={() =>
                onChange(
                  meets.map((one) =>
                    one === meeting
                      ? { ...one, edge: turn === 'before' ? 'after' : 'before' }
                      : one,
                  ),
                )
              }
              onRemove={() => onChange(meets.filter((one) => one !== meeting))}
            />
          ))}
        {free.length > 0 && (
          <select
            aria-label={`An edge that is finished ${turn} “${seam.name}”`}
            className="min-h-11 w-24 rounded-[3px] border border-dashed border-seam bg-transparent px-2 text-soft"
            value=""
            onChange={(event) =>
              onChange([...meets, { edgeId: event.target.value, seamId: seam.id, edge: turn }])
            }
          >
            <option value="">add …</option>
            {free.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        )}
      </div>
    </div>
  );
  return (
    <li className="sheet grid gap-2 p-3 sm:grid-cols-[1fr_auto_1fr]">
      {side('before')}
      <h3 className="flex items-center border-pencil px-3 text-lg max-sm:border-l-4 sm:max-w-40 sm:border-x-4 sm:text-center">
        {seam.name}
      </h3>
      {side('after')}
    </li>
  );
}
