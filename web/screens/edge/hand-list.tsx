import type { HandsAt } from '../../../core/plan/hands-along';
import { useLengths } from '../../ground/lengths-context';
import { handInWords } from '../../words/hands';

/** What a stretch looks like under the picture. */
const swatch: Partial<Record<HandsAt['kind'], string>> = {
  handwheel: 'bg-ochre',
  'shim-behind': 'bg-pencil',
  'shim-front': 'border-2 border-pencil bg-slip',
  curve: 'bg-moss',
  corner: 'rotate-45 bg-moss',
};

/** What to do along the edge, one under the other as it comes. */
export function HandList(props: { hands: readonly HandsAt[]; lengthMm: number }) {
  const lengths = useLengths();
  return (
    <section
      aria-label="What the hands do"
      tabIndex={0}
      className="shrink-0 overflow-auto border-t border-line md:w-80 md:border-t-0 md:border-l"
    >
      <ol aria-label="From the start to the close">
        {props.hands.map((hand, i) => {
          const { what, where, how } = handInWords(hand, lengths, props.lengthMm);
          const look = swatch[hand.kind];
          return (
            <li key={`${hand.kind} ${i}`} className="flex gap-3 border-b border-line px-3 py-1.5">
              <span
                aria-hidden
                className="mt-0.5 grid size-6 shrink-0 place-items-center rounded-full bg-pencil text-sm font-bold text-slip"
              >
                {i + 1}
              </span>
              <span className="min-w-0">
                <span className="flex flex-wrap items-center gap-x-2">
                  {look && <span aria-hidden className={`inline-block h-2.5 w-2.5 ${look}`} />}
                  <b>{what}</b> <span className="text-soft">{where}</span>
                </span>
                <span className="block text-sm">{how}</span>
              </span>
            </li>
          );
        })}
      </ol>
    </section>
  );
}
