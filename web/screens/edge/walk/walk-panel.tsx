import { ChevronLeft, Check } from 'lucide-react';
import { useMemo, useState } from 'react';
import { Link } from 'react-router';
import { stepsOfSecond } from '../../../../core/plan/second-of-pair';
import { stepsOf } from '../../../../core/plan/work';
import { useKeys } from '../../../frame/keys';
import { useLengths } from '../../../ground/lengths-context';
import { Button } from '../../../controls/button';
import { cautionInWords, placeInWords, stepInWords } from '../../../words/steps';
import type { Bench } from '../../../bench/bench';
import { tickStep } from '../../../bench/plan-change';
import { WalkPicture } from './walk-picture';

type Walked = Pick<Bench, 'edge' | 'folds' | 'finish' | 'work' | 'record' | 'proposed'>;

/** Where a step is looked at more closely. */
const stationOf: Partial<Record<string, readonly [path: string, words: string]>> = {
  set: ['setting', 'See the setting'],
  scrap: ['test', 'Write the scrap down'],
};

/**
 * The work on a ready-made thing, one step at a time with its picture: done goes on, back goes back;
 * the second of a pair after the first.
 */
export function WalkPanel({ bench }: { bench: Walked }) {
  const { edge, finish, work, record, proposed } = bench;
  const lengths = useLengths();
  const [looked, look] = useState<string | null>(null);
  const all = useMemo(() => {
    const first = stepsOf(finish, work);
    const second = stepsOfSecond(first);
    return [...first.filter(({ id }) => second.length === 0 || id !== 'second-leg'), ...second];
  }, [finish, work]);
  const done = (id: string) => record.ticks.includes(id);
  const next = all.findIndex(({ id }) => !done(id));
  const at = looked === null ? -1 : all.findIndex(({ id }) => id === looked);
  const index = at >= 0 ? at : next >= 0 ? next : all.length - 1;
  const step = all[index];
  const tick = (on: boolean) => {
    if (!step) return;
    const after = all[index + 1]?.id ?? null;
    // While no finish is taken the steps can be looked at; nothing is taken by ticking one.
    if (proposed) return look(after ?? step.id);
    tickStep(record.id, step.id, on);
    look(on ? after : step.id);
  };
  const back = () => look(all[Math.max(0, index - 1)]?.id ?? null);
  useKeys([
    {
      ...{ press: [' ', 'ArrowRight'], shown: 'Space →', does: 'done, the next step' },
      act: () => tick(true),
    },
    { press: ['ArrowLeft'], shown: '←', does: 'one step back', act: back },
  ]);
  if (!step) return null;
  const [station, words] = stationOf[step.phase] ?? [];
  const finished = next < 0;
  const second = step.id.startsWith('second ');
  return (
    <div className="flex h-full flex-col">
      <div className="h-96 shrink-0 md:h-auto md:min-h-0 md:shrink md:grow">
        <WalkPicture bench={bench} step={step} />
      </div>
      <div className="grid shrink-0 gap-2 border-t border-line px-4 py-3">
        <p role="status" className="text-soft">
          <b className="text-graphite">
            {index + 1} of {all.length}
          </b>
          {second && ', the second one'} · {placeInWords(step)}
          {finished && ' · all done'}
        </p>
        <p className={`text-xl leading-snug ${done(step.id) ? 'text-soft' : ''}`}>
          {done(step.id) && '✓ '}
          {stepInWords(step, lengths)}
        </p>
        {step.cautions.length > 0 && (
          <p className="text-ochre">
            {step.cautions.map((caution) => (
              <b key={caution} className="mr-3">
                ! {cautionInWords(caution)}
              </b>
            ))}
          </p>
        )}
        <div className="no-print flex flex-wrap items-center gap-3">
          <Button aria-label="One step back" disabled={index === 0} onClick={back}>
            <ChevronLeft aria-hidden /> Back
          </Button>
          {done(step.id) ? (
            <>
              <Button onClick={() => tick(false)}>Not done yet</Button>
              <Button
                look="solid"
                disabled={index === all.length - 1}
                onClick={() => look(all[index + 1]?.id ?? null)}
              >
                Next
              </Button>
            </>
          ) : (
            <Button
              look="solid"
              disabled={proposed && index === all.length - 1}
              onClick={() => tick(true)}
            >
              {proposed ? (
                'Next'
              ) : (
                <>
                  <Check size={18} aria-hidden /> Done, next
                </>
              )}
            </Button>
          )}
          {proposed && (
            <Link className="underline" to={`/edges/${edge.id}/finish`}>
              Choose a finish, to tick them off
            </Link>
          )}
          {step.id === 'slant-marks' && (
            <a
              className="inline-flex min-h-9 items-center underline"
              href={`/api/edges/${edge.id}/marks.pdf`}
              target="_blank"
              rel="noreferrer"
            >
              Print the marks
            </a>
          )}
          {station && (
            <Link className="underline" to={`/edges/${edge.id}/${station}`}>
              {words}
            </Link>
          )}
        </div>
      </div>
    </div>
  );
}
