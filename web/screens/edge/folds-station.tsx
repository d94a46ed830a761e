import { ChevronLeft, ChevronRight } from 'lucide-react';
import { Slider } from 'radix-ui';
import { useEffect, useState } from 'react';
import type { FoldField } from '../../../core/finish/fold-request';
import { useLengths } from '../../app/lengths-context';
import { Button } from '../../controls/button';
import { LengthField } from '../../controls/length-field';
import { SectionPicture } from '../../pictures/section-picture';
import { actionNames, markNames } from '../../words/facts';
import { cautionInWords, stageTitles, stepInWords } from '../../words/steps';
import type { Bench } from './bench';
import { depthRefusal, setFold } from './fold-fields';

/** The folds at the present setting, so that the needle is drawn where it would be. */
function foldsOf({ finish, plan, judgement }: Bench) {
  const sewn = judgement
    ? Object.fromEntries(judgement.checks.map(({ name, v0Mm }) => [name, v0Mm]))
    : undefined;
  return finish.folds({ wish: plan.fold, cloth: plan.cloth, sewn });
}

/** The section through the hem, foldable step by step. */
export function FoldsTable({ bench }: { bench: Bench }) {
  const folds = foldsOf(bench);
  const [at, setAt] = useState(folds.stages.length - 2);
  const [exaggeration, exaggerate] = useState(1);
  const last = folds.stages.length - 1;
  const index = Math.min(at, last);
  const stage = folds.stages[index];
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if ((event.target as HTMLElement).matches('input, select, [role="slider"], [role="radio"]'))
        return;
      if (event.key === 'ArrowRight') setAt(Math.min(last, index + 1));
      if (event.key === 'ArrowLeft') setAt(Math.max(0, index - 1));
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [index, last]);
  if (!stage) return null;
  return (
    <div className="flex h-full flex-col">
      <div className="flex items-center gap-3 px-4 pt-3">
        <Button
          aria-label="Fold one step back"
          disabled={index === 0}
          onClick={() => setAt(index - 1)}
        >
          <ChevronLeft aria-hidden />
        </Button>
        <p aria-live="polite" className="min-w-0 grow text-center">
          <span className="block text-sm text-soft">
            {index + 1} of {last + 1}
          </span>
          <span className="font-head text-xl font-semibold">
            {stageTitles[stage.id] ?? stage.id}
          </span>
        </p>
        <Button
          aria-label="Fold one step on"
          disabled={index === last}
          onClick={() => setAt(index + 1)}
        >
          <ChevronRight aria-hidden />
        </Button>
      </div>
      <div className="min-h-48 grow">
        <SectionPicture
          folds={folds}
          stage={stage}
          thicknessMm={bench.plan.cloth.thicknessMm}
          exaggeration={exaggeration}
        />
      </div>
      <div className="flex items-center gap-4 border-t border-line px-4 py-2">
        <span className="shrink-0 text-sm">
          Thickness drawn <b>{exaggeration === 1 ? 'true' : `×${exaggeration}`}</b>
        </span>
        <Slider.Root
          className="relative flex h-8 w-48 touch-none items-center"
          min={1}
          max={6}
          step={1}
          value={[exaggeration]}
          onValueChange={([value]) => exaggerate(value ?? 1)}
        >
          <Slider.Track className="relative h-1 grow bg-line">
            <Slider.Range className="absolute h-full bg-pencil" />
          </Slider.Track>
          <Slider.Thumb
            aria-label="How much thicker than true the cloth is drawn"
            className="block size-5 rounded-full border-2 border-pencil bg-slip"
          />
        </Slider.Root>
        <span className="text-sm text-soft">Lengths are always to scale.</span>
      </div>
    </div>
  );
}

const fieldNames: Partial<Record<FoldField, string>> = {
  depthMm: 'Hem depth',
  extensionMm: 'Extension left showing',
  turnMm: 'Turn under',
};

/** Marks from the raw edge, in press order, with the work around them. */
export function FoldsSlip({ bench }: { bench: Bench }) {
  const { finish, plan, record } = bench;
  const lengths = useLengths();
  const folds = foldsOf(bench);
  const fields = Object.entries(finish.fields).filter(([, rule]) =>
    rule.neededBy.includes(plan.fold.variant),
  );
  return (
    <div>
      <p className="text-sm text-soft">Allowance beyond the hemline</p>
      <p className="big-number text-4xl" data-testid="allowance">
        {lengths.cloth(folds.allowanceMm)}
        <span className="font-body text-base font-normal text-soft">
          {' '}
          · {lengths.beside(folds.allowanceMm)}
        </span>
      </p>
      <h3 className="pt-3 text-lg">Marks from the raw edge</h3>
      <ol>
        {folds.marks.map(({ name, fromRawEdgeMm, action }, i) => {
          const off = lengths.roundingErrorMm(fromRawEdgeMm);
          return (
            <li key={name} className="flex items-baseline gap-2 border-b border-line py-1.5">
              <span className="w-4 shrink-0 text-soft">{i + 1}</span>
              <span className="grow">
                {markNames[name] ?? name}
                <span
                  className={`ml-2 inline-block border-b-2 border-pencil text-sm text-pencil ${action === 'temporary' ? 'border-dashed' : ''}`}
                >
                  {actionNames[action]}
                </span>
              </span>
              <span className="text-right">
                <b className="text-lg">{lengths.cloth(fromRawEdgeMm)}</b>
                <span className="block text-sm text-soft">
                  {lengths.beside(fromRawEdgeMm)}
                  {Math.abs(off) >= 0.05 &&
                    ` · shown ${off > 0 ? '+' : '−'}${Math.abs(off).toFixed(1)} mm`}
                </span>
              </span>
            </li>
          );
        })}
      </ol>
      <div className="grid gap-2 pt-3">
        {fields.map(([field]) => (
          <LengthField
            key={field}
            label={fieldNames[field as FoldField] ?? field}
            value={record.fold[field as FoldField] ?? null}
            refuse={(mm) => depthRefusal(bench, field as FoldField, mm)}
            onCommit={(mm) => mm !== null && setFold(bench, { [field]: mm })}
          />
        ))}
      </div>
      <h3 className="pt-4 text-lg">The work, in order</h3>
      <ol className="list-decimal pl-5">
        {finish.steps(plan).map((step) => (
          <li key={step.id} className="py-1">
            {stepInWords(step, lengths)}
            {step.cautions.map((caution) => (
              <span key={caution} className="block text-sm text-ochre">
                ! {cautionInWords(caution)}
              </span>
            ))}
          </li>
        ))}
      </ol>
    </div>
  );
}
