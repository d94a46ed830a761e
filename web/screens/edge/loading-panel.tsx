import { useState } from 'react';
import { stepsOf } from '../../../core/plan/work';
import { useLengths } from '../../ground/lengths-context';
import { StagePlayer } from '../../controls/stage-player';
import { LoadingPicture, loadingSteps } from '../../pictures/loading-picture';
import { cautionInWords, stepInWords } from '../../words/steps';
import type { KeptPart, SetUpPart, WorkPart } from '../../bench/bench';

const titles: Readonly<Record<(typeof loadingSteps)[number], string>> = {
  'lay-attachment': 'Screwed on',
  'set-flange': 'Flange, foot, needle',
  'centre-elastic': 'Kept in its middle',
  'point-strip': 'A point at 45°',
  'coax-strip': 'Coaxed through',
  'even-folds': 'Folds even',
  'strip-alone': 'The strip alone first',
  'hold-start': 'Then the cloth',
  'lost-back': 'When the back is lost',
};

/** How a binder is loaded and begun, one step and one drawing at a time. */
export function LoadingPanel({ bench }: { bench: KeptPart & SetUpPart & WorkPart }) {
  const { finish, work, attachment } = bench;
  const lengths = useLengths();
  const [at, setAt] = useState(0);
  const steps = stepsOf(finish, work).flatMap((step) => {
    const id = loadingSteps.find((one) => one === step.id);
    return id ? [{ id, step }] : [];
  });
  const index = Math.min(at, steps.length - 1);
  const shown = steps[index];
  if (!shown) return <p className="p-6 text-soft">Nothing is loaded for a strip led by hand.</p>;
  return (
    <div className="flex h-full flex-col">
      <StagePlayer
        verb="Load"
        count={steps.length}
        index={index}
        title={titles[shown.id]}
        onIndex={setAt}
      />
      <div className="flex min-h-0 grow flex-col items-center md:flex-row">
        <div className="h-56 w-full min-w-0 grow p-2 md:h-full md:w-0">
          <LoadingPicture step={shown.id} foot={attachment === null} />
        </div>
        <div className="w-full shrink-0 px-5 pb-3 md:w-72">
          <p className="text-lg">{stepInWords(shown.step, lengths)}</p>
          <p className="pt-2 text-sm text-ochre">
            {shown.step.cautions.map(cautionInWords).join(' ')}
          </p>
        </div>
      </div>
    </div>
  );
}
