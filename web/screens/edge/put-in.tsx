import { valuesBesideDials } from '../../../core/plan/work';
import { useLengths } from '../../ground/lengths-context';
import { factInWords } from '../../words/facts';
import { valueInWords } from '../../words/starting-value';
import { memo } from 'react';
import { placedIds } from '../test-bench/set-values';
import { InDrawer } from './in-drawer';
import type { Finish } from '../../../core/finish/finish';
import type { WorkRequest } from '../../../core/finish/work';

/** What is put into the machine besides: needle, thread, bobbin, tension, pressure. */
export const PutIn = memo(function PutIn({
  finish,
  request,
}: {
  readonly finish: Finish;
  readonly request: WorkRequest;
}) {
  const lengths = useLengths();
  // Where a binder stands has dials of its own above.
  const values = valuesBesideDials(finish, request).filter(({ id }) => !placedIds.includes(id));
  return (
    <section className="mt-2 border-t border-line" aria-labelledby="put-in">
      <h3 id="put-in" className="pt-2 text-sm text-soft">
        Besides the dials, all starting guesses
      </h3>
      <dl>
        {values.map((one) => (
          <div
            key={one.id}
            className="grid grid-cols-[7rem_1fr] gap-x-3 border-b border-line py-1 leading-snug"
          >
            <dt className="text-sm">{one.name}</dt>
            <dd className="font-bold">
              {valueInWords(one, lengths)}
              {one.unit === 'mm' && (
                <span className="text-sm font-normal text-soft"> {lengths.unit}</span>
              )}
            </dd>
            <dd className="col-start-2 text-sm text-soft">
              {one.because.map((fact) => factInWords(fact, lengths)).join(' ')}
              <InDrawer value={one} />
            </dd>
          </div>
        ))}
      </dl>
    </section>
  );
});
