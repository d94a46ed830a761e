import { useLengths } from '../../ground/lengths-context';
import { factInWords } from '../../words/facts';
import type { LessonPart, SetUpPart, WorkPart } from '../../bench/bench';
import { useScrapDraft } from '../test-bench/scrap-draft';
import { SetValueFields } from '../test-bench/set-value-fields';
import { placedIds, setValuesOf } from '../test-bench/set-values';

/**
 * Needles, gap, pressure, differential, loopers: what a machine of loopers is set to besides what is
 * solved. What stands here goes into the next scrap.
 */
export function LooperDials({ bench }: { bench: SetUpPart & WorkPart & LessonPart }) {
  const lengths = useLengths();
  const { draft, set } = useScrapDraft(bench.draftKey);
  const values = setValuesOf(bench, draft).filter(({ id }) => !placedIds.includes(id));
  return (
    <section className="mt-2 border-t border-line" aria-labelledby="looper-dials">
      <h3 id="looper-dials" className="pt-2 text-sm text-soft">
        As the machine stands; the next scrap remembers it
      </h3>
      <div className="grid grid-cols-2 gap-x-3 gap-y-2 pt-1">
        <SetValueFields {...{ values, draft, set }} />
      </div>
      <ul className="pt-2 text-sm text-soft">
        {values.map(({ id, name, because }) => (
          <li key={id}>
            <b>{name}</b>: {because.map((fact) => factInWords(fact, lengths)).join(' ')}
          </li>
        ))}
      </ul>
    </section>
  );
}
