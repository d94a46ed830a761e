import { memo, useEffect, useRef } from 'react';
import { Link } from 'react-router';

interface StationStripProps {
  readonly edgeId: string;
  readonly current: string;
  /** Id, name and answer of each station, as text, so that a nudge that changes none is free. */
  readonly stations: string;
}

/** Puts stations into the form the strip takes. */
export function stripOf(
  stations: readonly { readonly id: string; readonly name: string; readonly answer: string }[],
): string {
  return JSON.stringify(stations);
}

/** The stations along a tape, each with its answer; the current one hangs lower. */
export const StationStrip = memo(function StationStrip(props: StationStripProps) {
  const { edgeId, current } = props;
  const stations = JSON.parse(props.stations) as { id: string; name: string; answer: string }[];
  const strip = useRef<HTMLElement>(null);
  useEffect(() => {
    // On a phone the strip is wider than the page.
    strip.current
      ?.querySelector('[aria-current="page"]')
      ?.scrollIntoView({ inline: 'center', block: 'nearest' });
  }, [current]);
  return (
    <nav
      ref={strip}
      aria-label="Stations"
      className="no-print shrink-0 overflow-x-auto border-y border-line bg-paper"
    >
      <ol className="flex min-w-max lg:min-w-0">
        {stations.map((station, i) => (
          <StationLink
            key={station.id}
            {...station}
            edgeId={edgeId}
            number={i + 1}
            isCurrent={station.id === current}
          />
        ))}
      </ol>
    </nav>
  );
});

interface StationLinkProps {
  readonly edgeId: string;
  readonly id: string;
  readonly name: string;
  readonly answer: string;
  readonly number: number;
  readonly isCurrent: boolean;
}

/** One station; a nudge changes the answer of one of them. */
const StationLink = memo(function StationLink(props: StationLinkProps) {
  const { edgeId, id, name, answer, number, isCurrent } = props;
  return (
    <li className="min-w-36 flex-1 border-r border-line first:grow-[1.35]">
      <Link
        aria-current={isCurrent ? 'page' : undefined}
        to={`/edges/${edgeId}/${id}`}
        className={`block h-full px-3.5 py-2 hover:bg-slip ${isCurrent ? 'border-b-4 border-pencil bg-cloth pb-1' : ''}`}
      >
        <span className="flex gap-2 text-sm">
          <span className="text-soft">{number}</span>
          <span className={isCurrent ? 'font-bold text-pencil' : ''}>{name}</span>
        </span>
        <span className="line-clamp-2 text-[0.95rem] leading-tight font-bold">{answer}</span>
      </Link>
    </li>
  );
});
