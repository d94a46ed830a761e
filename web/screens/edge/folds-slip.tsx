import { Printer } from 'lucide-react';
import type { FoldPlan } from '../../../core/finish/fold-plan';
import { takesField, type FoldField } from '../../../core/finish/fold-request';
import { lengthAfterTrimmingMm, passesOverMm } from '../../../core/fold/opening';
import { isClosed, turnRadians } from '../../../core/edge/shape';
import { gaugeMarks } from '../../../core/plan/gauge-marks';
import { useLengths } from '../../ground/lengths-context';
import { LengthField } from '../../controls/length-field';
import { actionNames, originNames } from '../../words/facts';
import type { KeptPart, SetUpPart, WorkPart } from '../../bench/bench';
import { BoundMeeting } from './bound-meeting';
import { depthRefusal, setFold } from './fold-fields';
import { StripChoice } from './strip-choice';

/** What is added or cut off, the marks in press order, the lengths behind them, the print. */
export function FoldsSlip({ bench }: { bench: KeptPart & SetUpPart & WorkPart }) {
  const { folds } = bench;
  return (
    <div>
      {folds && (
        <>
          <Headline folds={folds} />
          <Marks folds={folds} />
          <Opening bench={bench} folds={folds} />
          <BoundMeeting bench={bench} />
        </>
      )}
      <Fields bench={bench} />
      {folds && !bench.proposed && <Print bench={bench} folds={folds} />}
    </div>
  );
}

/** The one number to cut by. */
function Headline({ folds }: { folds: FoldPlan }) {
  const lengths = useLengths();
  const { allowanceMm, strip, feedMm, marks } = folds;
  const [first] = marks;
  const [words, mm]: [string, number] = strip
    ? ['Strip to cut', strip.widthMm]
    : allowanceMm === 0 && first
      ? [`${first.name}, ${originNames[first.from]}`, first.atMm]
      : ['Allowance beyond the finished edge', allowanceMm];
  return (
    <>
      <p className="text-sm text-soft">{words}</p>
      <p className="big-number text-4xl" data-testid="allowance">
        {lengths.cloth(mm)}
        <span className="font-body text-base font-normal text-soft"> · {lengths.beside(mm)}</span>
      </p>
      {strip && (
        <p className="text-sm text-soft">
          {strip.cutting === 'bias'
            ? 'on the bias'
            : strip.cutting === 'cross'
              ? 'across the grain'
              : 'ready-made'}
          ; going round the edge takes {lengths.fine(Math.max(0, strip.turnOfClothMm))} of it
        </p>
      )}
      {feedMm !== undefined && (
        <p className="text-sm text-soft">
          Keep <b className="text-graphite">{lengths.fine(feedMm)}</b> running into the scroll
        </p>
      )}
    </>
  );
}

function Marks({ folds }: { folds: FoldPlan }) {
  const lengths = useLengths();
  const marks = gaugeMarks(folds).filter(({ id }) => id !== 'strip' && id !== 'feed');
  if (marks.length === 0) return <p className="py-3 text-soft">Nothing to mark on the cloth.</p>;
  const origin = (mark: (typeof marks)[number]) =>
    mark.id === 'tuck' ? 'on each side of the strip' : originNames[mark.from];
  return (
    <>
      <h3 className="pt-3 text-lg">Marks, in order</h3>
      <ol>
        {marks.map((mark, i) => {
          const off = lengths.roundingErrorMm(mark.atMm);
          return (
            <li key={mark.id} className="flex items-baseline gap-2 border-b border-line py-1.5">
              <span className="w-4 shrink-0 text-soft">{i + 1}</span>
              <span className="grow">
                {mark.name}
                <span
                  className={`ml-2 inline-block border-b-2 border-pencil text-sm text-pencil ${mark.action === 'temporary' ? 'border-dashed' : ''}`}
                >
                  {actionNames[mark.action]}
                </span>
                <span className="block text-sm text-soft">{origin(mark)}</span>
              </span>
              <span className="shrink-0 text-right">
                <b className="text-lg">{lengths.cloth(mark.atMm)}</b>
                <span className="block text-sm text-soft">
                  {lengths.beside(mark.atMm)}
                  {Math.abs(off) >= 0.05 &&
                    ` · shown ${off > 0 ? '+' : '−'}${Math.abs(off).toFixed(1)} mm`}
                </span>
              </span>
            </li>
          );
        })}
      </ol>
    </>
  );
}

/** What cutting an allowance off does to an edge that turns, and what passes through it then. */
function Opening({ bench, folds }: { bench: KeptPart & SetUpPart; folds: FoldPlan }) {
  const { edge, plan } = bench;
  const { cloth, fine } = useLengths();
  const radians = turnRadians(edge);
  const trimMm = -folds.allowanceMm;
  if (radians === 0 || trimMm <= 0) return null;
  const after = lengthAfterTrimmingMm(edge.lengthMm, trimMm, radians);
  const stretch = Math.min(plan.cloth.stretchPercent, plan.strip?.stretchPercent ?? Infinity);
  const passes = passesOverMm(after, stretch);
  const girth = edge.passesOverMm;
  const fits = girth !== null && passes > girth;
  return (
    <p className="border-b border-line py-2" role="status">
      {radians > 0 ? 'The opening grows' : 'The edge shrinks'} from {cloth(edge.lengthMm)} to{' '}
      <b>{cloth(after)}</b> when {cloth(trimMm)} is cut off.
      {isClosed(edge) && radians > 0 && girth !== null && (
        <span className={`block font-bold ${fits ? 'text-moss' : 'text-madder'}`}>
          {fits ? '✓ ' : '✕ '}
          With {plan.strip ? 'cloth and strip stretching' : 'this cloth’s stretch of'}{' '}
          {Math.round(stretch)} %{' '}
          {fits
            ? `it passes over ${cloth(girth)}.`
            : `it opens to ${fine(passes)} only, and ${cloth(girth)} has to pass: leave a placket, or cut more off.`}
        </span>
      )}
    </p>
  );
}

function Fields({ bench }: { bench: KeptPart & SetUpPart }) {
  const lengths = useLengths();
  const { finish, record } = bench;
  const fields = Object.entries(finish.fields).filter(([, rule]) =>
    takesField(rule, record.fold.variant),
  );
  return (
    <div className="grid gap-2 pt-3">
      <StripChoice bench={bench} />
      {fields.map(([name, rule]) => {
        const field = name as FoldField;
        const optional = !rule.neededBy.includes(record.fold.variant);
        return (
          <div key={field}>
            <LengthField
              label={rule.name}
              value={record.fold[field] ?? null}
              optional={optional}
              {...(optional ? { placeholder: rule.startMm === null ? 'not set' : 'usual' } : {})}
              refuse={(mm) => depthRefusal(bench, field, mm, lengths)}
              onCommit={(mm) => setFold(bench, { [field]: mm })}
            />
            {rule.sizesMm && (
              <Sizes bench={bench} field={field} sizesMm={rule.sizesMm} name={rule.name} />
            )}
          </div>
        );
      })}
    </div>
  );
}

/** The sizes a foot is made in. */
function Sizes(props: {
  bench: KeptPart & SetUpPart;
  field: FoldField;
  sizesMm: readonly number[];
  name: string;
}) {
  const { bench, field, sizesMm, name } = props;
  const { fineNumber, unit } = useLengths();
  const now = bench.record.fold[field];
  return (
    <p
      className="flex items-center gap-1.5 pt-1.5 text-sm text-soft"
      role="group"
      aria-label={`Usual sizes: ${name}`}
    >
      {sizesMm.map((mm) => (
        <button
          key={mm}
          type="button"
          aria-pressed={now === mm}
          className={`min-h-9 min-w-11 rounded-[3px] border px-2 ${now === mm ? 'border-2 border-pencil bg-pencil-wash font-bold text-graphite' : 'border-seam'}`}
          onClick={() => setFold(bench, { [field]: mm })}
        >
          {fineNumber(mm)}
        </button>
      ))}
      {unit}, as feet are made
    </p>
  );
}

/** The fold gauge, in the formats and on the paper people have. */
function Print({ bench, folds }: { bench: KeptPart & SetUpPart; folds: FoldPlan }) {
  if (gaugeMarks(folds).length === 0) return null;
  const link = (format: 'pdf' | 'svg', page: 'a4' | 'letter', words: string) => (
    <a
      href={`/api/plans/${bench.record.id}/gauge.${format}?page=${page}`}
      target="_blank"
      rel="noreferrer"
      className="inline-flex min-h-9 items-center rounded-[3px] border border-seam bg-slip px-3 underline underline-offset-2 hover:bg-cloth"
    >
      {words}
    </a>
  );
  return (
    <section aria-label="Fold gauge" className="no-print mt-4 border-t border-line pt-3">
      <h3 className="flex items-center gap-2 text-lg">
        <Printer size={18} aria-hidden /> Fold gauge at true scale
      </h3>
      <p className="pb-2 text-sm text-soft">
        A card with every mark as an edge to press against, and a ruler to check the printer by.
      </p>
      <p className="flex flex-wrap gap-2">
        {link('pdf', 'a4', 'PDF, A4')}
        {link('pdf', 'letter', 'PDF, Letter')}
        {link('svg', 'a4', 'SVG, A4')}
        {link('svg', 'letter', 'SVG, Letter')}
      </p>
    </section>
  );
}
