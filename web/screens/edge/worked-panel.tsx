import { memo } from 'react';
import type { WorkedBefore } from '../../../contract/book';
import { dialField, dialTravel, snapToDial, type Dial } from '../../../core/kit/dial-steps';
import { judge } from '../../../core/plan/judge';
import { swings } from '../../../core/stitch/needle-path';
import { useLengths } from '../../ground/lengths-context';
import { changePlan } from '../../bench/plan-change';
import { alongGuidance } from '../../words/facts';
import { likenessInWords } from '../../words/likeness';
import { counted, ofHundred } from '../../words/number';
import type { DialsPart, KeptPart, LessonPart, SetUpPart } from '../../bench/bench';

const dials = Object.keys(dialField) as Dial[];
/** The browser's own: the setting is shown before a package for dates is fetched. */
const day = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeZone: 'UTC' });
type Nearest = WorkedBefore['nearest'][number];

/** A kept setting, set to this machine's steps; what is expected of it here. */
function Kept({
  bench,
  near,
  first,
}: {
  bench: KeptPart & SetUpPart & LessonPart & DialsPart;
  near: Nearest;
  first: boolean;
}) {
  const { plan, set, record, dials: now } = bench;
  const { fineNumber, unit } = useLengths();
  const { attempt, likeness, pinnedHere } = near;
  const { settings } = attempt;
  if (!settings || !set) return null;
  const here = { ...settings };
  for (const dial of dials) {
    const travel = dialTravel(dial, plan.machine, plan.foot.guide);
    here[dialField[dial]] = snapToDial(settings[dialField[dial]], travel);
  }
  const judged = judge(set, here);
  const taken =
    now !== null && dials.every((dial) => now[dialField[dial]] === here[dialField[dial]]);
  return (
    <li className="border-t border-line py-1.5">
      <p className={first ? '' : 'text-sm'}>
        <b>
          {swings(plan.stitch) && `${fineNumber(here.widthMm)} wide, `}
          {fineNumber(here.lengthMm)} long, needle {fineNumber(here.needlePositionMm)} {unit}
        </b>{' '}
        <span className="text-sm text-soft">
          {pinnedHere && <b className="text-pencil">pinned · </b>}
          {attempt.names.cloth}, {day.format(new Date(attempt.sewnOn ?? attempt.createdAt))}
        </span>
      </p>
      <p className="text-sm text-soft">{likenessInWords(likeness)}</p>
      <button
        type="button"
        disabled={taken || judged.blocked}
        className="no-print min-h-9 text-pencil underline underline-offset-2 disabled:text-soft disabled:no-underline"
        onClick={() => changePlan(record.id, { settings: here })}
      >
        {judged.blocked
          ? '✕ the needle would meet metal here'
          : taken
            ? `✓ set; ${ofHundred(judged.chance)} of 100 here`
            : `Start from it: ${ofHundred(judged.chance)} of 100 here`}
      </button>
    </li>
  );
}

/** What other edges taught, what of it is taken over, and the settings that were kept. */
export const WorkedPanel = memo(function WorkedPanel({
  bench,
}: {
  bench: KeptPart & SetUpPart & LessonPart & DialsPart;
}) {
  const { worked, record, plan, margin, dials: now } = bench;
  const { fine, fineNumber } = useLengths();
  if (!worked || !margin) return null;
  const { nearest, from, carried } = worked;
  const found = nearest.filter(({ attempt }) => attempt.settings !== null);
  const learned = Object.keys(carried).length > 0;
  if (!learned && found.length === 0) return null;
  const reference = (now && margin.references(plan, now)[0].name) || margin.words.reference;
  const side = (mm: number) =>
    Math.abs(mm) < 0.03 ? '' : mm < 0 ? ' to the left' : ' to the right';
  const offset = from.sameSetUp ?? from.foot;
  return (
    <details
      className="mt-2 border-l-4 border-pencil bg-pencil-wash px-3 py-1.5"
      data-testid="worked"
    >
      <summary className="min-h-8 cursor-pointer">
        <b>Start from what worked</b>
        <span className="block text-sm text-soft">
          {[
            learned && (record.carryOver ? 'offset and hand taken over' : 'nothing taken over'),
            found.length > 0 && counted(found.length, 'kept setting'),
          ]
            .filter(Boolean)
            .join(' · ')}
        </span>
      </summary>
      {learned && (
        <div className={record.carryOver ? '' : 'text-soft'}>
          {offset && (
            <p>
              {from.sameSetUp
                ? `This very set-up, ${counted(from.sameSetUp.scraps, 'scrap')} on another edge`
                : `This foot on ${counted(from.foot?.cloths ?? 0, 'cloth')}`}
              : the {reference} runs <b>{fine(Math.abs(offset.mm))}</b>
              {side(offset.mm)} ({fineNumber(offset.interval[0])} to{' '}
              {fineNumber(offset.interval[1])}).
            </p>
          )}
          {from.hand && (
            <p>
              Your hand, {alongGuidance(from.hand.guidance)}: <b>{from.hand.factor.toFixed(2)}</b>{' '}
              of the usual spread ({from.hand.interval[0].toFixed(2)} to{' '}
              {from.hand.interval[1].toFixed(2)}, {counted(from.hand.scraps, 'scrap')}).
            </p>
          )}
          <button
            type="button"
            aria-pressed={record.carryOver}
            className="no-print min-h-9 text-pencil underline underline-offset-2"
            onClick={() => changePlan(record.id, { carryOver: !record.carryOver })}
          >
            {record.carryOver ? '✓ taken over here · leave it out' : 'left out here · take it over'}
          </button>
        </div>
      )}
      {found.length > 0 && (
        <ol aria-label="Nearest kept settings">
          {found.map((near, i) => (
            <Kept key={near.attempt.id} bench={bench} near={near} first={i === 0} />
          ))}
        </ol>
      )}
    </details>
  );
});
