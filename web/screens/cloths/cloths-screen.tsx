import { ArrowLeftRight } from 'lucide-react';
import { Link, useSearchParams } from 'react-router';
import { useList, useRemove } from '../../ground/records';
import { LoadState } from '../../controls/trouble';
import { RemoveButton } from '../../controls/remove-button';
import { ClothAbout } from './cloth-about';
import { ClothPage } from './cloth-page';
import { ClothPicker } from './cloth-picker';

/** The cloth shelf on its own: pick one, test it, see where it is used. */
export function ClothsScreen() {
  const cloths = useList('cloths');
  const edges = useList('edges');
  const remove = useRemove('cloths');
  const [params, setParams] = useSearchParams();
  const chosenId = params.get('cloth');
  const choose = (id: string) => setParams({ cloth: id }, { replace: true });
  if (!cloths.data) return <LoadState what="cloth shelf" error={cloths.error} />;
  const cloth = cloths.data.find(({ id }) => id === chosenId) ?? cloths.data[0];
  const usedBy = edges.data?.filter(({ clothId }) => clothId === cloth?.id) ?? [];
  return (
    <main className="grid min-h-0 grow grid-cols-[minmax(0,1fr)] gap-4 p-4 lg:grid-cols-[18rem_minmax(0,1fr)_19rem] lg:px-5">
      <h1 className="sr-only">Cloth shelf</h1>
      <div className="sheet flex min-h-0 flex-col">
        <ClothPicker cloths={cloths.data} chosen={cloth?.id} onChoose={choose} />
        <Link
          to="/exchange"
          className="mx-3 mb-3 flex min-h-11 items-center gap-2 px-1 text-pencil underline underline-offset-2"
        >
          <ArrowLeftRight size={17} aria-hidden /> Carry it in or out: JSON, CSV
        </Link>
      </div>
      <div className="sheet min-h-0 overflow-y-auto p-4">
        {cloth ? (
          <>
            <h2 className="pb-2 text-2xl break-words">{cloth.name}</h2>
            <ClothPage key={cloth.id} cloth={cloth} />
          </>
        ) : (
          <p className="text-lg">
            The shelf is empty. Put the first cloth there, by touch or like one of forty plain
            kinds; test it later.
          </p>
        )}
      </div>
      {cloth && (
        <aside aria-label="The cloth" className="slip min-h-0 overflow-y-auto px-4 py-3">
          <ClothAbout key={cloth.id} cloth={cloth} />
          <h3 className="pt-3 text-lg">Used on</h3>
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
          <Link
            to={`/book?clothId=${encodeURIComponent(cloth.id)}&verdict=keep`}
            className="inline-flex min-h-11 items-center text-pencil underline underline-offset-2"
          >
            What worked on this cloth
          </Link>
          <div className="flex items-center justify-end pt-2 text-soft">
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
