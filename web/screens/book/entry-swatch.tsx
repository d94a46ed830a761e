import { useId, useMemo } from 'react';
import { finishById } from '../../../core/finish/catalogue';
import { Impossible } from '../../../core/impossible';
import { setUpOf } from '../../../core/plan/set-up-of';
import { countedSwatch } from '../../../core/swatch/swatch';
import type { AttemptRecord } from '../../../contract/records';
import { ScrapStrip, type ScrapStripProps } from '../../pictures/scrap-strip';
import { countsInWords } from '../../words/counts';

/** What is drawn of a scrap of the book; null where it can no longer be worked out. */
export function entryDrawing(
  entry: AttemptRecord,
): Pick<ScrapStripProps, 'margin' | 'set' | 'plan' | 'dials' | 'swatch'> | null {
  const finish = finishById(entry.finish);
  const margin = finish?.margin(entry.setUp.fold.variant);
  const { settings, setUp, counts } = entry;
  if (!finish || !margin || !settings || counts.length === 0) return null;
  try {
    const set = setUpOf(finish, setUp);
    const [first] = margin.references(setUp, settings);
    const swatch = countedSwatch(set, settings, first, counts, entry.number);
    return { margin, set, plan: setUp, dials: settings, swatch };
  } catch (error) {
    // A set-up of long ago may be one that is refused today.
    if (error instanceof Impossible) return null;
    throw error;
  }
}

interface EntrySwatchProps {
  readonly entry: AttemptRecord;
  readonly widthPx: number;
  readonly heightPx: number;
}

/** Both faces of a scrap of the book, as it was counted. */
export function EntrySwatch({ entry, widthPx, heightPx }: EntrySwatchProps) {
  const drawing = useMemo(() => entryDrawing(entry), [entry]);
  // The same scrap may be drawn twice on a page, on its card and on the slip.
  const id = useId();
  if (!drawing) {
    return <p className="text-soft">Nothing was counted, so there is nothing to draw.</p>;
  }
  return (
    <ScrapStrip
      {...drawing}
      id={id}
      widthPx={widthPx}
      heightPx={heightPx}
      label={`Both faces: ${countsInWords(entry)}`}
    />
  );
}
