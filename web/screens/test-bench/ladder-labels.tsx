import { createPortal } from 'react-dom';
import { dialField, type Dial } from '../../../core/kit/dial-steps';
import { rungStitches, type PlannedLadder } from '../../../core/plan/ladder-plan';
import { swings } from '../../../core/stitch/needle-path';
import { useLengths } from '../../ground/lengths-context';
import { dialName } from '../../words/dials';
import { finishName } from '../../words/finishes';
import { capital } from '../../words/number';
import type { KeptPart, SetUpPart } from '../../bench/bench';

const dials: readonly Dial[] = ['width', 'length', 'needlePosition', 'guide'];

interface LadderLabelsProps {
  readonly bench: KeptPart & SetUpPart;
  readonly ladder: PlannedLadder;
  readonly firstNumber: number;
}

/** Labels to cut out and pin to the scraps; on paper only. */
export function LadderLabels({ bench, ladder, firstNumber }: LadderLabelsProps) {
  const { plan, finish, cloth, machine, foot, edge, margin } = bench;
  const lengths = useLengths();
  if (!margin) return null;
  const { words } = margin;
  const shown = dials.filter((dial) => dial !== 'width' || swings(plan.stitch));
  return createPortal(
    <section aria-label="Labels" data-print-alone className="hidden print:block">
      <h1 className="pb-1 text-lg">
        Test ladder: {finishName(finish.id)}, {edge.on || edge.name}
      </h1>
      <p className="pb-2 text-sm">
        {cloth.name}; {machine.name}; {foot.name}. Cut apart, pin each to its scrap.
      </p>
      <ol className="grid grid-cols-2 gap-2">
        {ladder.rungs.map((settings, i) => (
          <li
            key={settings[dialField[ladder.dial]]}
            className="break-inside-avoid border border-dashed border-black p-3"
          >
            <p className="flex items-baseline justify-between">
              <b className="text-2xl">Scrap {firstNumber + i}</b>
              <span className="text-sm">
                {i + 1} of {ladder.rungs.length}
              </span>
            </p>
            <dl className="grid grid-cols-[1fr_auto] gap-x-3">
              {shown.map((dial) => (
                <div key={dial} className={`contents ${dial === ladder.dial ? 'font-bold' : ''}`}>
                  <dt>
                    {dial === ladder.dial && '● '}
                    {dialName(dial, plan.foot.guidance)}
                  </dt>
                  <dd>{lengths.fine(settings[dialField[dial]])}</dd>
                </div>
              ))}
            </dl>
            <dl className="grid grid-cols-[1fr_3.5rem] gap-x-3 pt-2">
              {[`${capital(words.counted)} sewn (about ${rungStitches})`, words.short, words.over]
                .filter((line): line is string => line !== null)
                .map((line) => (
                  <div key={line} className="contents">
                    <dt className="pt-1">{line}</dt>
                    <dd className="border-b border-black" />
                  </div>
                ))}
            </dl>
          </li>
        ))}
      </ol>
    </section>,
    document.body,
  );
}
