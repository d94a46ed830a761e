import { BookOpen, CircleHelp, Layers, Redo2, Ruler, Undo2, Wrench } from 'lucide-react';
import { ToggleGroup } from 'radix-ui';
import { Suspense } from 'react';
import { fieldKeys, travelKeys, useKeys } from './keys';
import { later } from '../ground/later';
import { NavLink, Outlet } from 'react-router';
import { lengthUnits, type LengthUnit } from '../../core/measure/unit';
import { Disputes } from './dispute-line';
import { useKeysHelp } from './use-keys-help';
import { NoticeLine } from './notice-line';
import { OfflineBanner } from './offline-banner';
import { change, useHistory, useRecord, useTravel } from '../ground/records';

// Loaded when somebody asks for it.
const KeysHelp = later(async () => (await import('./keys-help')).KeysHelp);

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
          className="min-h-10 px-2.5 text-sm lg:min-h-8 data-[state=on]:bg-graphite data-[state=on]:font-bold data-[state=on]:text-slip"
        >
          {unit}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}

const rooms = [
  ['/', 'Worktable', Ruler],
  ['/cloths', 'Cloth shelf', Layers],
  ['/kit', 'Kit', Wrench],
  ['/book', 'Sample book', BookOpen],
] as const;

const ways = [
  { way: 'undo', name: 'Undo', Icon: Undo2 },
  { way: 'redo', name: 'Redo', Icon: Redo2 },
] as const;

const bare =
  'inline-flex min-h-11 min-w-11 justify-center lg:min-h-9 lg:min-w-0 shrink-0 items-center gap-1.5 rounded-[3px] px-2 hover:bg-paper disabled:text-seam disabled:hover:bg-transparent';

/** The frame around every screen: name, ways, undo, unit, keys. */
export function Shell() {
  const history = useHistory();
  const travel = useTravel();
  const help = useKeysHelp();
  const { mutate, isPending } = travel;

  useKeys([
    ...travelKeys(mutate),
    ...fieldKeys,
    { press: ['?'], shown: '?', does: 'this list', act: help.open },
  ]);

  return (
    <div className="flex min-h-dvh flex-col lg:h-screen">
      <header className="no-print flex min-h-12 shrink-0 flex-wrap items-center gap-x-2 border-b border-line px-3 lg:gap-x-4 lg:px-5 xl:flex-nowrap">
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
          className="hidden shrink-0 grow gap-1 whitespace-nowrap md:flex xl:justify-end"
        >
          {rooms.map(([to, name]) => (
            <NavLink
              key={to}
              to={to}
              end
              className={({ isActive }) =>
                `${bare} ${isActive ? 'font-bold underline decoration-2 underline-offset-4' : ''}`
              }
            >
              {name}
            </NavLink>
          ))}
        </nav>
        <span className="grow md:hidden" />
        {ways.map(({ way, name, Icon }) => (
          <button
            key={way}
            type="button"
            className={bare}
            aria-label={name}
            disabled={!history.data?.[way] || isPending}
            title={history.data?.[way] ? `${name}: ${history.data[way]}` : `Nothing to ${way}`}
            onClick={() => mutate(way)}
          >
            <Icon size={19} aria-hidden /> <span className="hidden lg:inline">{name}</span>
          </button>
        ))}
        <UnitSwitch />
        <button
          type="button"
          aria-label="Keys"
          className={`${bare} max-md:hidden`}
          onClick={help.open}
        >
          <CircleHelp size={19} aria-hidden /> <span className="hidden lg:inline">Keys</span>
        </button>
      </header>
      <OfflineBanner />
      <Disputes />
      <Outlet />
      {/* Where thumbs are. */}
      <nav
        aria-label="Rooms, at hand"
        className="no-print sticky bottom-0 z-40 mt-auto grid shrink-0 grid-cols-4 border-t border-line bg-cloth md:hidden"
      >
        {rooms.map(([to, name, Icon]) => (
          <NavLink
            key={to}
            to={to}
            end
            className={({ isActive }) =>
              `flex min-h-14 flex-col items-center justify-center gap-0.5 text-sm ${isActive ? 'border-t-4 border-pencil pb-1 font-bold text-pencil' : ''}`
            }
          >
            <Icon size={20} aria-hidden />
            {name}
          </NavLink>
        ))}
      </nav>
      {help.isOpen && (
        <Suspense>
          <KeysHelp {...help} />
        </Suspense>
      )}
      <NoticeLine />
    </div>
  );
}
