import { NavLink } from 'react-router';
import { useLengths } from '../../app/lengths';
import type { Bench } from './bench';
import { stations } from './stations';

/** The stations along a tape, each with its answer; the current one hangs lower. */
export function StationStrip({ bench, current }: { bench: Bench; current: string }) {
  const lengths = useLengths();
  return (
    <nav
      aria-label="Stations"
      className="no-print shrink-0 overflow-x-auto border-y border-line bg-paper"
    >
      <ol className="flex min-w-max lg:min-w-0">
        {stations.map((station, i) => (
          <li key={station.id} className="min-w-36 flex-1 border-r border-line first:grow-[1.35]">
            <NavLink
              to={`/edges/${bench.edge.id}/${station.id}`}
              className={`block h-full px-3.5 py-2 hover:bg-slip ${station.id === current ? 'border-b-4 border-pencil bg-cloth pb-1' : ''}`}
            >
              <span className="flex gap-2 text-sm">
                <span className="text-soft">{i + 1}</span>
                <span className={station.id === current ? 'font-bold text-pencil' : ''}>
                  {station.name}
                </span>
              </span>
              <span className="line-clamp-2 text-[0.95rem] leading-tight font-bold">
                {station.answer(bench, lengths)}
              </span>
            </NavLink>
          </li>
        ))}
      </ol>
    </nav>
  );
}
