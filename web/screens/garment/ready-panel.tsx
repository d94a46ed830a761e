import { Printer } from 'lucide-react';
import { readyKinds, type Aid, type ReadyThing } from '../../../core/garment/ready';
import type { OrderedWork } from '../../../core/garment/work-of';
import { useLengths } from '../../ground/lengths-context';
import { Button } from '../../controls/button';
import { needleWords } from '../../words/kit';
import { aidNames, readyNames } from '../../words/order';
import { changeGarment, type GarmentBench } from './use-garment';

/** Everything the garment needs beside its cloth, to print and to tick. */
export function ReadyPanel({ bench, work }: { bench: GarmentBench; work: OrderedWork }) {
  const { cloth } = useLengths();
  const { ready } = bench.garment;
  const nameOf = ({ kind, name, lengthMm, widthMm }: ReadyThing) => {
    if (kind === 'aid') return aidNames[name as Aid];
    if (kind === 'needle') return needleWords(name);
    if (kind === 'thread') return name.startsWith('#') ? 'of the colour picked' : name;
    if (kind === 'strip' && lengthMm !== undefined && widthMm !== undefined) {
      return `${name}: ${cloth(lengthMm)} of ${cloth(widthMm)} wide`;
    }
    return name;
  };
  const lacking = work.ready.filter(({ there }) => there === false);
  const tick = (id: string, on: boolean) =>
    changeGarment(bench, {
      ready: on ? [...ready, id] : ready.filter((one) => one !== id),
    });
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap items-center justify-between gap-3">
        <p role="status">
          <b>
            {work.ready.filter(({ id }) => ready.includes(id)).length} of {work.ready.length}
          </b>{' '}
          ready.{' '}
          {lacking.length > 0 ? (
            <b className="text-madder">Drawer and shelf lack {lacking.length}.</b>
          ) : (
            <span className="text-moss">Drawer and shelf lack nothing.</span>
          )}
        </p>
        <Button className="no-print" onClick={() => window.print()}>
          <Printer size={18} aria-hidden /> Print the list
        </Button>
      </div>
      <div className="columns-1 gap-6 md:columns-2">
        {readyKinds.map((kind) => {
          const things = work.ready.filter((thing) => thing.kind === kind);
          if (things.length === 0) return null;
          return (
            <section key={kind} className="mb-5 break-inside-avoid">
              <h2 className="mb-1 text-xl">{readyNames[kind]}</h2>
              <ul className="sheet">
                {things.map((thing) => (
                  <li key={thing.id} className="border-b border-line last:border-0">
                    <label className="flex min-h-11 cursor-pointer items-baseline gap-3 px-3 py-2">
                      <input
                        type="checkbox"
                        className="size-5 shrink-0 translate-y-0.5 accent-moss"
                        checked={ready.includes(thing.id)}
                        onChange={(event) => tick(thing.id, event.target.checked)}
                      />
                      <span className="min-w-0 grow">
                        <span className="font-bold first-letter:uppercase">{nameOf(thing)}</span>
                        {thing.there === false && (
                          <b className="ml-2 text-madder">
                            {thing.kind === 'strip'
                              ? 'what is left does not give it'
                              : 'not in the drawer'}
                          </b>
                        )}
                        <span className="block text-sm text-soft">
                          {thing.edges.length > 4
                            ? `${thing.edges.slice(0, 3).join(', ')} and ${thing.edges.length - 3} more`
                            : thing.edges.join(', ')}
                        </span>
                      </span>
                    </label>
                  </li>
                ))}
              </ul>
            </section>
          );
        })}
      </div>
    </div>
  );
}
