import { countedAlongEdge } from '../../../core/plan/judge';
import type { Lesson } from '../../../core/plan/learn-plan';
import { change } from '../../ground/records';
import { NumberField } from '../../controls/number-field';
import { about, ofHundred } from '../../words/number';
import { enoughInWords } from '../../words/enough';
import type { LessonPart, SetUpPart } from '../../bench/bench';

/** Whether the setting just sewn is good enough for the real edge, against what one accepts. */
export function Enough({ bench, lesson }: { bench: SetUpPart & LessonPart; lesson: Lesson }) {
  const { plan, acceptedShare, margin, attempts } = bench;
  const { now } = lesson;
  const stitches = countedAlongEdge(plan, now.settings.lengthMm);
  const accepted = Math.max(1, stitches * acceptedShare);
  const words = margin?.words.counted ?? 'stitches';
  const last = attempts.at(-1);
  return (
    <div className="border-b border-line py-3" data-testid="enough">
      <p>
        <span className={`big-number ${lesson.enough ? 'text-5xl text-moss' : 'text-3xl'}`}>
          {ofHundred(now.predicted.ok)}
        </span>{' '}
        of 100 <span className="text-soft">at the setting of scrap {last?.number}</span>
      </p>
      <p>
        About {about(now.predicted.expectedFaults)} of {Math.round(stitches)} {words} to resew,{' '}
        <b>
          {now.range.fromFaults} to {now.range.toFaults}
        </b>{' '}
        with nine chances of ten.
      </p>
      <p className="pt-1 text-sm text-soft">
        {enoughInWords({ ...now.range, accepted, enough: lesson.enough })}
      </p>
      <details className="text-sm">
        <summary className="min-h-8 cursor-pointer pt-1 text-soft">
          You accept {Math.round(acceptedShare * 1000) / 10} of 100 · change
        </summary>
        <NumberField
          label="To resew, at most"
          unit="of 100"
          value={Math.round(acceptedShare * 1000) / 10}
          refuse={(it) => (it >= 0.1 && it <= 50 ? null : 'From 0.1 to 50 of 100.')}
          onCommit={(it) => it !== null && change('preferences', 'mine', { acceptedPercent: it })}
        />
      </details>
    </div>
  );
}
