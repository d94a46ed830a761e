import { useState } from 'react';
import { Link } from 'react-router';
import { useList, useRemove } from '../../app/records';
import { LoadState } from '../../app/trouble';
import { RemoveButton } from '../../controls/remove-button';
import { ClothCard } from './cloth-card';
import { ClothEditor } from './cloth-editor';
import { ClothPicker } from './cloth-picker';

/** The cloth shelf on its own: pick one, test it, see where it is used. */
export function ClothsScreen() {
  const cloths = useList('cloths');
  const edges = useList('edges');
  const remove = useRemove('cloths');
  const [chosenId, choose] = useState<string>();
  if (!cloths.data) return <LoadState what="cloth shelf" error={cloths.error} />;
  const cloth = cloths.data.find(({ id }) => id === chosenId) ?? cloths.data[0];
  const usedBy = edges.data?.filter(({ clothId }) => clothId === cloth?.id) ?? [];
  return (
    <main className="grid min-h-0 grow gap-4 p-4 lg:grid-cols-[17rem_minmax(0,1fr)_21.5rem] lg:px-5">
      <h1 className="sr-only">Cloth shelf</h1>
      <div className="sheet min-h-0 overflow-y-auto">
        <ClothPicker cloths={cloths.data} chosen={cloth?.id} onChoose={choose} />
      </div>
      <div className="sheet min-h-0 overflow-y-auto p-4">
        {cloth ? (
          <ClothEditor key={cloth.id} cloth={cloth} />
        ) : (
          <p className="text-lg">
            The shelf is empty. Describe the first cloth by touch; test it later.
          </p>
        )}
      </div>
      {cloth && (
        <aside aria-label="The cloth" className="slip min-h-0 overflow-y-auto px-5 py-4">
          <ClothCard cloth={cloth} />
          <h3 className="pt-4 text-lg">Used on</h3>
          {usedBy.length === 0 ? (
            <p className="text-soft">no edge yet</p>
          ) : (
            <ul>
              {usedBy.map(({ id, name }) => (
                <li key={id}>
                  <Link
                    to={`/edges/${id}/cloth`}
                    className="text-pencil underline underline-offset-2"
                  >
                    {name}
                  </Link>
                </li>
              ))}
            </ul>
          )}
          <div className="flex items-center justify-end pt-3 text-soft">
            Take it off the shelf
            <RemoveButton
              key={cloth.id}
              what={`cloth “${cloth.name}”`}
              consequence="A cloth that an edge uses cannot go."
              onRemove={() => remove.mutate(cloth)}
            />
          </div>
        </aside>
      )}
    </main>
  );
}
