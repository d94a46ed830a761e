import {
  DndContext,
  KeyboardSensor,
  PointerSensor,
  closestCenter,
  useSensor,
  useSensors,
  type Announcements,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import { memo, useState } from 'react';
import { Link } from 'react-router';
import type { GarmentTask } from '../../../core/garment/garment-task';
import type { Changed } from '../../../core/order/model';
import type { OrderedWork } from '../../../core/garment/work-of';
import { Button } from '../../controls/button';
import { useLengths } from '../../ground/lengths-context';
import { finishInSentence } from '../../words/finishes';
import {
  changeInWords,
  changeMinutesInWords,
  minutesInWords,
  taskInWords,
} from '../../words/order';

/** A task in its order, with what is changed before it. */
export interface OrderRow {
  readonly task: GarmentTask;
  readonly changes: readonly Changed[];
  readonly changeMinutes: number;
}

interface RowProps {
  readonly row: OrderRow;
  readonly number: number;
  readonly looked: boolean;
  readonly next: boolean;
  readonly here: (place: string) => string;
  readonly onLook: (id: string) => void;
  readonly onTick: (task: GarmentTask, on: boolean) => void;
}

/** Going to another place, or changing something on a machine, with its minutes. */
function Changes({ row, here }: Pick<RowProps, 'row' | 'here'>) {
  if (row.changes.length === 0) return null;
  return (
    <p className="flex flex-wrap items-center gap-x-4 gap-y-0.5 border-t border-line bg-cloth px-3 py-1 text-sm">
      {row.changes.map((changed) =>
        changed.what === 'place' ? (
          <b key="place" className="font-head text-base first-letter:uppercase">
            {here(changed.to)}
          </b>
        ) : (
          <span key={changed.what} className="text-madder">
            {changeInWords(changed, here)}
          </span>
        ),
      )}
      <span className="ml-auto font-bold text-madder">
        + {changeMinutesInWords(row.changeMinutes)}
      </span>
    </p>
  );
}

const Row = memo(function Row(props: RowProps) {
  const { row, number, looked, next, here, onLook, onTick } = props;
  const { task } = row;
  const lengths = useLengths();
  const { setNodeRef, setActivatorNodeRef, attributes, listeners, transform, transition } =
    useSortable({ id: task.id });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className="bg-paper"
      onFocus={() => onLook(task.id)}
    >
      <Changes row={row} here={here} />
      <div
        className={`flex items-start gap-2 border-t border-l-4 border-line px-2 py-1.5 ${looked ? 'bg-slip' : ''} ${next ? 'border-l-pencil' : 'border-l-transparent'}`}
      >
        <input
          type="checkbox"
          aria-label={`Step ${number} done`}
          className="mt-1.5 size-5 shrink-0 accent-moss"
          checked={task.done}
          onChange={(event) => onTick(task, event.target.checked)}
        />
        <button
          type="button"
          className="min-h-9 min-w-0 grow text-left"
          aria-current={next ? 'step' : undefined}
          onClick={() => onLook(task.id)}
        >
          <span className="text-sm text-soft">
            {number} · {task.edgeName ?? 'the whole garment'}
          </span>
          <span className={`block leading-snug ${task.done ? 'text-soft line-through' : ''}`}>
            {taskInWords(task, lengths)}
          </span>
        </button>
        <span className="shrink-0 pt-1 text-sm text-soft">{minutesInWords(task.minutes)}</span>
        <button
          ref={setActivatorNodeRef}
          type="button"
          className="no-print flex size-9 shrink-0 cursor-grab touch-none items-center justify-center rounded-[3px] text-soft hover:bg-cloth"
          {...attributes}
          {...listeners}
          aria-label={`Move step ${number}`}
        >
          <GripVertical size={18} aria-hidden />
        </button>
      </div>
    </li>
  );
});

interface OrderListProps extends Pick<RowProps, 'here' | 'onLook' | 'onTick'> {
  readonly rows: readonly OrderRow[];
  readonly looked: string | null;
  readonly nextId: string | null;
  /** Edges whose finish nobody took yet. */
  readonly proposed: OrderedWork['proposed'];
  /** What it would cost more at a place; null where it can't go there. */
  readonly costAt: (id: string, to: number) => number | null;
  readonly onMove: (id: string, to: number) => void;
}

/** So many done steps above the next one stand as they are; more are folded away. */
const mostDoneShown = 3;

/** How many of the first steps are folded away: they are done, and one goes on below them. */
function foldedCount(rows: readonly OrderRow[]): number {
  const open = rows.findIndex(({ task }) => !task.done);
  const done = open < 0 ? rows.length : open;
  // The last one stays, so that its tick can be taken back.
  return done > mostDoneShown ? done - 1 : 0;
}

/** The steps in their order, to be ticked off and put elsewhere, by the pointer or by keys. */
export function OrderList(props: OrderListProps) {
  const { rows, looked, nextId, proposed, here, costAt, onLook, onTick, onMove } = props;
  const [carried, carry] = useState<{ readonly to: number; readonly cost: number | null } | null>(
    null,
  );
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 5 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const [unfolded, unfold] = useState(false);
  const foldable = foldedCount(rows);
  const folded = unfolded ? 0 : foldable;
  const ids = rows.map(({ task }) => task.id);
  const placeOf = (id: unknown) => ids.indexOf(String(id));
  const said = (id: unknown) => `Step ${placeOf(id) + 1}`;
  const announcements: Announcements = {
    onDragStart: ({ active }) => `${said(active.id)} picked up.`,
    onDragOver: ({ active, over }) =>
      over ? `${said(active.id)} as step ${placeOf(over.id) + 1}.` : `${said(active.id)} nowhere.`,
    onDragEnd: ({ active }) => `${said(active.id)} put down.`,
    onDragCancel: ({ active }) => `${said(active.id)} stays where it was.`,
  };
  return (
    <div>
      <DndContext
        accessibility={{ announcements }}
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragOver={({ active, over }) => {
          const to = placeOf(over?.id);
          carry(to < 0 ? null : { to, cost: costAt(String(active.id), to) });
        }}
        onDragCancel={() => carry(null)}
        onDragEnd={({ active, over }) => {
          carry(null);
          if (over && over.id !== active.id) onMove(String(active.id), placeOf(over.id));
        }}
      >
        <SortableContext items={ids} strategy={verticalListSortingStrategy}>
          {foldable > 0 && (
            <Button className="mb-2" aria-expanded={unfolded} onClick={() => unfold((was) => !was)}>
              {unfolded ? 'Fold away what is done' : `Show the ${folded} steps that are done`}
            </Button>
          )}
          <ol
            className="sheet overflow-hidden"
            aria-label="Steps in their order"
            start={folded + 1}
          >
            {rows.slice(folded).map((row, i) => (
              <Row
                key={row.task.id}
                row={row}
                number={folded + i + 1}
                looked={looked === row.task.id}
                next={nextId === row.task.id}
                here={here}
                onLook={onLook}
                onTick={onTick}
              />
            ))}
          </ol>
        </SortableContext>
      </DndContext>
      {proposed.length > 0 && (
        <p className="pt-2 text-sm text-soft">
          Only proposed yet, and taken with the first of its steps that is done:{' '}
          {proposed.map(({ edgeId, takes }) => (
            <span key={edgeId} className="mr-3 inline-block">
              <Link className="underline" to={`/edges/${edgeId}/finish`}>
                {rows.find(({ task }) => task.edgeId === edgeId)?.task.edgeName}
              </Link>
              , {finishInSentence(takes.finish, takes.fold.variant)}
            </span>
          ))}
        </p>
      )}
      {carried && (
        <p
          role="status"
          className={`slip fixed bottom-4 left-1/2 z-40 -translate-x-1/2 px-4 py-2 text-lg font-bold ${carried.cost === null ? 'text-madder' : carried.cost > 0.05 ? 'text-ochre' : 'text-moss'}`}
        >
          As step {carried.to + 1}:{' '}
          {carried.cost === null
            ? 'it can’t go there'
            : carried.cost > 0.05
              ? `${changeMinutesInWords(carried.cost)} more of changes`
              : carried.cost < -0.05
                ? `${changeMinutesInWords(-carried.cost)} less of changes`
                : 'costs nothing'}
        </p>
      )}
    </div>
  );
}
