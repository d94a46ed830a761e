import { Suspense, useEffect, useMemo } from 'react';
import { Navigate, useNavigate, useParams, useSearchParams } from 'react-router';
import { useKeys } from '../../frame/keys';
import { useLengths } from '../../ground/lengths-context';
import { useRecord } from '../../ground/records';
import { LoadState } from '../../controls/trouble';
import type { Bench } from '../../bench/bench';
import { coloursOf } from '../../bench/colours-of';
import { useEdgeBench } from '../../bench/use-edge-bench';
import { useKept, type Kept } from '../../bench/use-kept';
import { usePassBench } from '../../bench/use-pass-bench';
import { Crumbs } from './crumbs';
import { MarginPanel } from './margin-panel';
import { ProposalLine } from './proposal-line';
import { fetchStations, stations } from './stations';
import { StationStrip, stripOf } from './station-strip';

/** Without a dial in focus, the first one on the slip is meant. */
function moveFirstDial({ key }: KeyboardEvent): void {
  const row = document.querySelector<HTMLElement>('[data-dial] input');
  row?.focus();
  row?.dispatchEvent(new KeyboardEvent('keydown', { key, bubbles: true }));
}

/** Digits go to stations, brackets move a dial, t logs a scrap. */
function useEdgeKeys(edgeId: string) {
  const navigate = useNavigate();
  const go = (id: string | undefined) => id && void navigate(`/edges/${edgeId}/${id}`);
  const dials = document.querySelector('[data-dial]') !== null;
  useKeys([
    {
      press: stations.map((_, i) => String(i + 1)),
      shown: `1 – ${stations.length}`,
      does: 'go to a station of the edge',
      act: ({ key }) => go(stations[Number(key) - 1]?.id),
    },
    {
      ...{ press: ['t'], shown: 't', does: 'log a test scrap' },
      act: () => go(stations.at(-1)?.id),
    },
    {
      ...{
        press: ['[', ']'],
        shown: '[ and ]',
        does: 'move the dial in focus by one machine step',
      },
      act: moveFirstDial,
    },
    ...(dials
      ? [
          {
            ...{ press: ['ArrowUp', 'ArrowDown'], shown: '↑ ↓', act: null },
            does: 'the same, while a dial is being typed in',
          },
        ]
      : []),
  ]);
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
  const { cloth, strip, record } = bench;
  const colours = useMemo(() => coloursOf({ cloth, strip, record }), [cloth, strip, record]);
  const lengths = useLengths();
  if (!station) return <Navigate to={`/edges/${bench.edge.id}/cloth`} replace />;
  const { Table, Slip } = station;
  return (
    <>
      <Crumbs
        projectId={bench.edge.projectId}
        projectName={project.data?.name ?? 'Project'}
        edgeId={bench.edge.id}
        edgeName={bench.edge.name}
      />
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
            {...colours}
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
