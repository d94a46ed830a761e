import type { SymptomId } from '../../../core/diagnose/symptom';
import type { EdgeTrouble } from './edge-seen';

interface EdgeTicksProps {
  readonly found: readonly EdgeTrouble[];
  readonly ticked: readonly SymptomId[];
  onTick(ticked: readonly SymptomId[]): void;
}

/** What is wrong with an edge by its photo; each stands as long as it is ticked. */
export function EdgeTicks({ found, ticked, onTick }: EdgeTicksProps) {
  return found.map(({ id, name, measured }) => (
    <label key={id} className="flex min-h-9 cursor-pointer items-center gap-3">
      <input
        type="checkbox"
        className="size-5 shrink-0 accent-madder"
        checked={ticked.includes(id)}
        onChange={(event) =>
          onTick(event.target.checked ? [...ticked, id] : ticked.filter((other) => other !== id))
        }
      />
      <span>
        <b>{name}</b>: {measured}
      </span>
    </label>
  ));
}
