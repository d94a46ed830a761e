import { Suspense, useEffect, useMemo } from 'react';
import { createPortal } from 'react-dom';
import { Link, Navigate, useNavigate, useParams, useSearchParams } from 'react-router';
import { useLengths } from '../../app/lengths-context';
import { useRecord } from '../../app/records';
import { LoadState } from '../../app/trouble';
import { ownColours } from '../../pictures/own-colours';
import type { Bench } from '../../bench/bench';
import { useEdgeBench } from '../../bench/use-edge-bench';
import { useKept, type Kept } from '../../bench/use-kept';
import { usePassBench } from '../../bench/use-pass-bench';
import { MarginPanel } from './margin-panel';
import { ProposalLine } from './proposal-line';
import { fetchStations, stations } from './stations';
import { StationStrip, stripOf } from './station-strip';

/** Digits go to stations, brackets move the dial in focus, t logs a scrap. */
function useEdgeKeys(edgeId: string) {
  const navigate = useNavigate();
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      const typing = target.matches('input, textarea, select');
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (event.key === '[' || event.key === ']') {
        // Without a dial in focus, the first one on the slip is meant.
        const row = document.querySelector<HTMLElement>('[data-dial] input');
        if (!typing && row) {
          event.preventDefault();
          row.focus();
          row.dispatchEvent(new KeyboardEvent('keydown', { key: event.key, bubbles: true }));
        }
        return;
      }
      if (typing || document.querySelector('[role="dialog"], [role="alertdialog"]')) return;
      const station = event.key === 't' ? stations.at(-1) : stations[Number(event.key) - 1];
      if (!station) return;
      event.preventDefault();
      void navigate(`/edges/${edgeId}/${station.id}`);
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [edgeId, navigate]);
}

/** Stations that show nothing but what a finish would be. */
const shownOfAFinish = ['folds', 'setting', 'test'];

function Stations({ bench: whole, stationId }: { bench: Bench; stationId: string }) {
  const [params] = useSearchParams();
  const ofPass = usePassBench(whole, stationId === 'test' ? params.get('pass') : null);
  const bench = stationId === 'test' ? ofPass : whole;
  const project = useRecord('projects', bench.edge.projectId);
  const station = stations.find(({ id }) => id === stationId);
  useEdgeKeys(bench.edge.id);
  const { colour } = bench.cloth;
  const { thread, threadColour } = bench.record;
  const coloured = colour !== null;
  const stripColour = bench.strip?.colour ?? null;
  const colours = useMemo(
    () =>
      ownColours({
        cloth: colour,
        thread: threadColour ?? (thread === 'matching' ? colour : null),
        strip: stripColour,
      }),
    [colour, thread, threadColour, stripColour],
  );
  const lengths = useLengths();
  const crumbs = document.getElementById('crumbs');
  if (!station) return <Navigate to={`/edges/${bench.edge.id}/cloth`} replace />;
  const { Table, Slip } = station;
  return (
    <>
      {crumbs &&
        createPortal(
          <nav aria-label="Where you are" className="flex min-w-0 items-center gap-2">
            <Link
              to={`/projects/${bench.edge.projectId}`}
              className="max-w-44 min-w-12 shrink truncate underline underline-offset-2"
            >
              {project.data?.name ?? 'Project'}
            </Link>
            <span aria-hidden>/</span>
            <h1 className="min-w-0 truncate font-body font-bold" title={bench.edge.name}>
              {bench.edge.name}
            </h1>
          </nav>,
          crumbs,
        )}
      <StationStrip
        edgeId={bench.edge.id}
        current={station.id}
        stations={stripOf(
          stations.map(({ id, name, answer }) => ({ id, name, answer: answer(whole, lengths) })),
        )}
      />
      <main
        key={station.id}
        className="grid min-h-0 grow grid-cols-[minmax(0,1fr)] gap-4 p-4 lg:grid-cols-[minmax(0,1fr)_21.5rem] lg:px-5"
      >
        <div className="no-print flex min-h-0 flex-col gap-3">
          <section
            aria-label={`${station.name}: the table`}
            {...(coloured ? { 'data-coloured': '' } : {})}
            style={colours}
            className="sheet min-h-80 grow overflow-auto contain-content lg:min-h-0"
          >
            <Suspense>
              <Table bench={bench} />
            </Suspense>
          </section>
          <MarginPanel bench={bench} brief={['cloth', 'finish', 'test'].includes(station.id)} />
        </div>
        <aside
          aria-label={`${station.name}: the slip`}
          className="slip min-h-0 overflow-y-auto px-5 py-4"
        >
          {shownOfAFinish.includes(station.id) && <ProposalLine bench={bench} />}
          <Suspense>
            <Slip bench={bench} />
          </Suspense>
        </aside>
      </main>
    </>
  );
}

/** The bench of an edge, once everything of it is there; the other stations are fetched after it. */
function AtTheBench({ kept, stationId }: { kept: Kept; stationId: string }) {
  const bench = useEdgeBench(kept);
  const solved = bench.dials !== null || !bench.margin || bench.issues.length > 0;
  const ready = solved && !bench.busy;
  useEffect(() => {
    // Only after what was asked for has come and been painted; soon after, for the server may go.
    if (ready) requestAnimationFrame(() => setTimeout(fetchStations));
  }, [ready]);
  return <Stations bench={bench} stationId={stationId} />;
}

/** One edge: stations, table, slip and the margin, all in one place. */
export function EdgeScreen() {
  const { edgeId = '', station = 'cloth' } = useParams();
  const state = useKept(edgeId);
  if (state.state === 'ready') return <AtTheBench kept={state.kept} stationId={station} />;
  return <LoadState what="edge" error={state.state === 'failed' ? state.error : null} />;
}
