import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { edgeRing } from '../../../core/garment/edge-ring';
import type { Garment, OwnTask, Piece } from '../../../core/garment/garment';
import { ownTaskId } from '../../../core/garment/garment-task';
import { Button } from '../../controls/button';
import { NumberField } from '../../controls/number-field';
import { TextField } from '../../controls/text-field';
import { SeamRow } from './seam-row';
import { newId } from '../../ground/new-id';
import { changeGarment, type GarmentBench } from './use-garment';

type Changing = Pick<Garment, 'meets' | 'own'>;

/** An item of a list that can be taken out. */
function Removable(props: { what: string; onRemove(): void; children: React.ReactNode }) {
  const { what, onRemove, children } = props;
  return (
    <li className="flex items-start gap-2 border-b border-line px-3 py-2 last:border-0">
      <div className="min-w-0 grow">{children}</div>
      <button
        type="button"
        aria-label={`Take ${what} out`}
        className="flex size-11 shrink-0 items-center justify-center rounded-[3px] hover:bg-cloth"
        onClick={onRemove}
      >
        <X size={18} aria-hidden />
      </button>
    </li>
  );
}

/** Which edges are finished before which seams; the pieces; and what belongs to no edge. */
export function SeamsPanel({ bench }: { bench: GarmentBench }) {
  const { garment, edges } = bench;
  const seams = edges.filter(({ purpose }) => purpose === 'seam');
  const [trouble, setTrouble] = useState<string | null>(null);
  const nameOf = (id: string) =>
    edges.find((edge) => edge.id === id)?.name ??
    garment.own.find((own) => ownTaskId(own.id) === id)?.text ??
    'an edge that is gone';
  const set = (patch: Partial<Changing>) => {
    const next = { meets: garment.meets, own: garment.own, ...patch };
    const ring = edgeRing(next);
    if (ring) {
      setTrouble(`That goes round in a ring: ${ring.map(nameOf).join(' → ')}.`);
      return;
    }
    setTrouble(null);
    changeGarment(bench, next);
  };
  const setPieces = (pieces: readonly Piece[]) => changeGarment(bench, { pieces });
  const changeOwn = (id: string, patch: Partial<OwnTask>) =>
    set({ own: garment.own.map((own) => (own.id === id ? { ...own, ...patch } : own)) });
  return (
    <div className="grid items-start gap-6 lg:grid-cols-2">
      <section>
        <h2 className="mb-1 text-xl">What comes before a seam, and what after</h2>
        {seams.length === 0 && (
          <p className="sheet p-4">
            No seams yet. A seam is an edge that is for a seam; make one, and say here which edges
            are finished before it.
          </p>
        )}
        <ul className="grid gap-3">
          {seams.map((seam) => (
            <SeamRow
              key={seam.id}
              seam={seam}
              edges={edges.filter(({ id }) => id !== seam.id)}
              meets={garment.meets}
              onChange={(meets) => set({ meets })}
            />
          ))}
        </ul>
        {trouble && (
          <p role="alert" className="mt-2 font-bold text-madder">
            {trouble}
          </p>
        )}
      </section>
      <section className="grid gap-6">
        <div>
          <h2 className="mb-1 text-xl">Pieces</h2>
          {garment.pieces.length > 0 && (
            <ul className="sheet">
              {garment.pieces.map((piece, i) => (
                <Removable
                  key={i}
                  what={piece.name}
                  onRemove={() => setPieces(garment.pieces.filter((_, at) => at !== i))}
                >
                  <div className="grid grid-cols-[1fr_8rem] gap-3">
                    <TextField
                      label="Piece"
                      value={piece.name}
                      onCommit={(name) =>
                        setPieces(
                          garment.pieces.map((one, at) => (at === i ? { ...one, name } : one)),
                        )
                      }
                    />
                    <NumberField
                      label="How many"
                      unit="×"
                      value={piece.count}
                      refuse={(count) =>
                        Number.isInteger(count) && count >= 1 && count <= 200
                          ? null
                          : 'A whole number from 1 to 200.'
                      }
                      onCommit={(count) =>
                        count !== null &&
                        setPieces(
                          garment.pieces.map((one, at) => (at === i ? { ...one, count } : one)),
                        )
                      }
                    />
                  </div>
                </Removable>
              ))}
            </ul>
          )}
          <Button
            className="mt-2"
            onClick={() => setPieces([...garment.pieces, { name: 'Piece', count: 1 }])}
          >
            <Plus size={18} aria-hidden /> A piece
          </Button>
        </div>
        <div>
          <h2 className="mb-1 text-xl">Besides the edges</h2>
          {garment.own.length > 0 && (
            <ul className="sheet">
              {garment.own.map((own) => (
                <Removable
                  key={own.id}
                  what={`“${own.text}”`}
                  onRemove={() => set({ own: garment.own.filter(({ id }) => id !== own.id) })}
                >
                  <div className="grid gap-2 sm:grid-cols-[1fr_8rem]">
                    <TextField
                      label="What is done"
                      most={300}
                      value={own.text}
                      onCommit={(text) => changeOwn(own.id, { text })}
                    />
                    <NumberField
                      label="Takes"
                      unit="min"
                      value={own.minutes}
                      refuse={(minutes) =>
                        minutes >= 0 && minutes <= 1440 ? null : 'From 0 to 1440 minutes.'
                      }
                      onCommit={(minutes) => minutes !== null && changeOwn(own.id, { minutes })}
                    />
                  </div>
                  <fieldset className="mt-1">
                    <legend className="text-sm text-soft">These edges wait for it</legend>
                    <div className="flex flex-wrap gap-x-4">
                      {edges.map(({ id, name }) => (
                        <label key={id} className="inline-flex min-h-9 items-center gap-2">
                          <input
                            type="checkbox"
                            className="size-5 accent-moss"
                            checked={own.beforeEdges.includes(id)}
                            onChange={(event) =>
                              changeOwn(own.id, {
                                beforeEdges: event.target.checked
                                  ? [...own.beforeEdges, id]
                                  : own.beforeEdges.filter((one) => one !== id),
                                afterEdges: own.afterEdges.filter((one) => one !== id),
                              })
                            }
                          />
                          {name}
                        </label>
                      ))}
                    </div>
                  </fieldset>
                  {own.afterEdges.length > 0 && (
                    <p className="text-sm text-soft">
                      It waits for: {own.afterEdges.map(nameOf).join(', ')}.
                    </p>
                  )}
                </Removable>
              ))}
            </ul>
          )}
          <Button
            className="mt-2"
            onClick={() =>
              set({
                own: [
                  ...garment.own,
                  {
                    ...{ id: newId(), text: 'Try it on', minutes: 5, place: 'hand' },
                    ...{ beforeEdges: [], afterEdges: [] },
                  },
                ],
              })
            }
          >
            <Plus size={18} aria-hidden /> Something else to do
          </Button>
        </div>
      </section>
    </div>
  );
}
