import { useVirtualizer } from '@tanstack/react-virtual';
import { memo, useEffect, useRef, type KeyboardEvent } from 'react';
import type { ClothRecord } from '../../../contract/records';
import { useLengths } from '../../ground/lengths-context';

const rowPx = 58;

/** A swatch whose height is the cloth's thickness, eighteen times over. */
function ThicknessSwatch({ mm }: { mm: number }) {
  const height = Math.min(34, Math.max(1.5, mm * 18));
  return (
    <svg width={34} height={36} aria-hidden className="shrink-0">
      <rect
        x={0}
        y={35 - height}
        width={34}
        height={height}
        fill="var(--cloth-3)"
        stroke="var(--cloth-line)"
      />
      <line x1={0} x2={34} y1={35.5} y2={35.5} stroke="var(--cloth-line)" />
    </svg>
  );
}

const ClothRow = memo(function ClothRow({ cloth }: { cloth: ClothRecord }) {
  const { fine } = useLengths();
  const { name, photoId, properties } = cloth;
  return (
    <>
      {photoId ? (
        <img
          src={`/api/photos/${photoId}`}
          alt=""
          loading="lazy"
          className="h-9 w-[34px] shrink-0 rounded-[2px] border border-seam object-cover"
        />
      ) : (
        <ThicknessSwatch mm={properties.thicknessMm} />
      )}
      <span className="min-w-0">
        <span className="block truncate font-bold">{name}</span>
        <span className="block truncate text-sm text-soft">
          {Math.round(properties.weightGsm)} g/m² · {fine(properties.thicknessMm)}
        </span>
      </span>
    </>
  );
});

interface ClothListProps {
  readonly cloths: readonly ClothRecord[];
  readonly chosen: string | undefined;
  onChoose(id: string): void;
}

/** Any number of cloths, of which those in sight are drawn; one is chosen. */
export function ClothList({ cloths, chosen, onChoose }: ClothListProps) {
  const scroller = useRef<HTMLDivElement>(null);
  const rows = useVirtualizer({
    count: cloths.length,
    getScrollElement: () => scroller.current,
    estimateSize: () => rowPx,
    overscan: 8,
  });
  const at = cloths.findIndex(({ id }) => id === chosen);
  const seen = useRef(false);
  useEffect(() => {
    // Once, when the list is opened; later the person scrolls for themselves.
    if (seen.current || at < 0) return;
    seen.current = true;
    rows.scrollToIndex(at, { align: 'auto' });
  }, [at, rows]);

  const go = (index: number) => {
    const next = cloths[Math.max(0, Math.min(cloths.length - 1, index))];
    if (!next) return;
    onChoose(next.id);
    rows.scrollToIndex(cloths.indexOf(next), { align: 'auto' });
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const page = Math.max(1, Math.floor((scroller.current?.clientHeight ?? rowPx) / rowPx) - 1);
    const moves: Readonly<Record<string, number>> = {
      ArrowDown: at + 1,
      ArrowUp: at - 1,
      PageDown: at + page,
      PageUp: at - page,
      Home: 0,
      End: cloths.length - 1,
    };
    const index = moves[event.key];
    if (index === undefined) return;
    event.preventDefault();
    go(index);
  };
  const items = rows.getVirtualItems();
  const drawn = items.some(({ index }) => index === at);
  return (
    <div
      ref={scroller}
      role="listbox"
      aria-label="Cloths"
      tabIndex={0}
      aria-activedescendant={drawn ? `cloth-${chosen}` : undefined}
      onKeyDown={onKeyDown}
      className="min-h-40 grow overflow-y-auto"
    >
      <div role="presentation" className="relative" style={{ height: rows.getTotalSize() }}>
        {items.map(({ index, start }) => {
          const cloth = cloths[index];
          if (!cloth) return null;
          const isChosen = cloth.id === chosen;
          return (
            <div
              key={cloth.id}
              id={`cloth-${cloth.id}`}
              role="option"
              aria-selected={isChosen}
              aria-setsize={cloths.length}
              aria-posinset={index + 1}
              onClick={() => onChoose(cloth.id)}
              style={{ height: rowPx - 4, transform: `translateY(${start}px)` }}
              className={`absolute inset-x-0 top-0 flex cursor-pointer items-center gap-3 rounded-[3px] px-2 ${isChosen ? 'border-2 border-pencil bg-pencil-wash' : 'border border-transparent hover:bg-slip'}`}
            >
              <ClothRow cloth={cloth} />
            </div>
          );
        })}
      </div>
    </div>
  );
}
