import { CircleHelp, Redo2, Undo2, WifiOff, X } from 'lucide-react';
import { ToggleGroup } from 'radix-ui';
import { Suspense, useEffect } from 'react';
import { later } from './later';
import { NavLink, Outlet } from 'react-router';
import { lengthUnits, type LengthUnit } from '../../core/measure/unit';
import { setReachable, useHindrance } from './connection';
import { useDispute } from './disputes';
import { send } from './api';
import { useKeysHelp } from './use-keys-help';
import { notify, useNotice } from './notices';
import { change, reloadAll, useHistory, useRecord, useTravel, writer } from './records';

// Loaded when somebody asks for it.
const DisputeDialog = later(async () => (await import('./dispute-dialog')).DisputeDialog);
const KeysHelp = later(async () => (await import('./keys-help')).KeysHelp);

/** Whether a key press belongs to a text being typed. */
function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.matches('input, textarea, select') || target.isContentEditable)
  );
}

function UnitSwitch() {
  const { data: preferences } = useRecord('preferences', 'mine');
  return (
    <ToggleGroup.Root
      type="single"
      aria-label="Unit of every length"
      value={preferences?.unit ?? 'mm'}
      onValueChange={(unit) => unit && change('preferences', 'mine', { unit: unit as LengthUnit })}
      className="flex shrink-0 overflow-hidden rounded-[3px] border border-seam"
    >
      {lengthUnits.map((unit) => (
        <ToggleGroup.Item
          key={unit}
          value={unit}
          className="min-h-8 px-2.5 text-sm data-[state=on]:bg-graphite data-[state=on]:font-bold data-[state=on]:text-slip"
        >
          {unit}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

/** Asks an unreachable server until it answers, then shows what is stored. */
function OfflineBanner() {
  const hindrance = useHindrance();
  const reachable = hindrance === null;
  useEffect(() => {
    if (reachable) return;
    const timer = setInterval(() => {
      send('GET', 'health')
        .then(() => {
          setReachable(true);
          if (!writer.pending) void reloadAll();
        })
        .catch(() => undefined);
    }, 1500);
    return () => clearInterval(timer);
  }, [reachable]);
  if (reachable) return null;
  return (
    <p
      role="alert"
      className="flex items-center gap-2 bg-ochre-wash px-5 py-2 font-bold text-ochre"
    >
      <WifiOff size={18} aria-hidden />
      {hindrance || 'The server does not answer.'} Keep this page open: changes are sent as soon as
      it is back.
    </p>
  );
}

function NoticeLine() {
  const notice = useNotice();
  return (
    <div
      aria-live="polite"
      className="no-print pointer-events-none fixed inset-x-0 bottom-3 z-50 grid place-items-center"
    >
      {notice && (
        <p
          className={`pointer-events-auto flex max-w-xl items-center gap-3 rounded-[3px] border-2 bg-slip px-4 py-2 ${notice.kind === 'trouble' ? 'border-madder text-madder' : 'border-graphite'}`}
        >
          {notice.text}
          <button
            type="button"
            aria-label="Dismiss"
            className="shrink-0 p-1"
            onClick={() => notify(null)}
          >
            <X size={16} aria-hidden />
          </button>
        </p>
      )}
    </div>
  );
}

const bare =
  'inline-flex min-h-9 shrink-0 items-center gap-1.5 rounded-[3px] px-2 hover:bg-paper disabled:text-seam disabled:hover:bg-transparent';

/** The question about two changes of one thing, while there is one. */
function Disputes() {
  const dispute = useDispute();
  if (!dispute) return null;
  return (
    <Suspense>
      <DisputeDialog dispute={dispute} />
    </Suspense>
  );
}

/** The frame around every screen: name, ways, undo, unit, keys. */
export function Shell() {
  const history = useHistory();
  const travel = useTravel();
  const help = useKeysHelp();
  const { mutate, isPending } = travel;

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (isTyping(event.target)) return;
      const command = event.ctrlKey || event.metaKey;
      if (command && event.key.toLowerCase() === 'z') {
        event.preventDefault();
        mutate(event.shiftKey ? 'redo' : 'undo');
      }
      if (!command && event.key === '?') help.open();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [mutate, help]);

  return (
    <div className="flex min-h-screen flex-col lg:h-screen">
      <header className="no-print flex min-h-12 shrink-0 flex-wrap items-center gap-x-4 border-b border-line px-5 xl:flex-nowrap">
        <NavLink to="/" className="shrink-0 font-head text-xl font-semibold whitespace-nowrap">
          Pin Margin
        </NavLink>
        {/* The edge's screen says here where one is. */}
        <div
          id="crumbs"
          className="order-last min-w-0 basis-full pb-1 empty:hidden xl:order-none xl:basis-auto xl:pb-0"
        />
        <nav
          aria-label="Rooms"
          className="flex shrink-0 grow gap-1 whitespace-nowrap xl:justify-end"
        >
          {[
            ['/', 'Projects'],
            ['/cloths', 'Cloth shelf'],
            ['/kit', 'Kit'],
            ['/book', 'Sample book'],
          ].map(([to, name]) => (
            <NavLink
              key={to}
              to={to ?? '/'}
              end
              className={({ isActive }) =>
                `${bare} ${isActive ? 'font-bold underline decoration-2 underline-offset-4' : ''}`
              }
            >
              {name}
            </NavLink>
          ))}
        </nav>
        <button
          type="button"
          className={bare}
          disabled={!history.data?.undo || isPending}
          title={history.data?.undo ? `Undo: ${history.data.undo}` : 'Nothing to undo'}
          onClick={() => mutate('undo')}
        >
          <Undo2 size={17} aria-hidden /> Undo
        </button>
        <button
          type="button"
          className={bare}
          disabled={!history.data?.redo || isPending}
          title={history.data?.redo ? `Redo: ${history.data.redo}` : 'Nothing to redo'}
          onClick={() => mutate('redo')}
        >
          <Redo2 size={17} aria-hidden /> Redo
        </button>
        <UnitSwitch />
        <button type="button" className={bare} onClick={help.open}>
          <CircleHelp size={17} aria-hidden /> Keys
        </button>
      </header>
      <OfflineBanner />
      <Disputes />
      <Outlet />
      {help.isOpen && (
        <Suspense>
          <KeysHelp {...help} />
        </Suspense>
      )}
      <NoticeLine />
    </div>
  );
}
