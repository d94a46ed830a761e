import { useQueries } from '@tanstack/react-query';
import { wishForVariant } from '../../../core/plan/fold-plan';
import { useLengths } from '../../app/lengths-context';
import { Button } from '../../controls/button';
import { SectionPicture } from '../../pictures/section-picture';
import { factInWords } from '../../words/facts';
import { finishName } from '../../words/finishes';
import { ofHundred } from '../../words/number';
import { solver } from '../../workers/solver';
import { useNavigate } from 'react-router';
import type { Bench } from './bench';
import { setVariant } from './fold-fields';

/** Each school of the finish on this cloth and edge, with the best chance it reaches. */
export function FinishTable({ bench }: { bench: Bench }) {
  const { finish, plan, record, lesson } = bench;
  const lengths = useLengths();
  const options = finish.schools.map((school) => {
    const wish = wishForVariant(finish, record.fold, school.variant);
    return { school, option: { ...plan, fold: wish } };
  });
  const best = useQueries({
    queries: options.map(({ option }) => ({
      queryKey: ['solve', finish.id, option, lesson?.posterior.shiftMm, lesson?.posterior.sigmaMm],
      queryFn: async () => solver.solve(finish.id, option, lesson?.posterior ?? null),
      staleTime: Infinity,
    })),
  });
  return (
    <div className="flex h-full flex-col gap-3 overflow-y-auto p-4">
      {options.map(({ school, option }, i) => {
        const folds = finish.folds({ wish: option.fold, cloth: option.cloth });
        const sewn = folds.stages.find(({ id }) => id === 'stitch');
        const reached = best[i]?.data;
        const chosen = school.variant === record.fold.variant;
        return (
          <button
            key={school.id}
            type="button"
            aria-pressed={chosen}
            onClick={() => setVariant(bench, school.variant)}
            className={`flex min-h-28 w-full grow items-center gap-5 rounded-[3px] border bg-slip p-4 text-left ${chosen ? 'border-2 border-pencil bg-pencil-wash' : 'border-line hover:border-seam'}`}
          >
            <span className="h-24 w-72 shrink-0">
              {sewn && (
                <SectionPicture
                  folds={folds}
                  stage={sewn}
                  thicknessMm={option.cloth.thicknessMm}
                  exaggeration={2}
                  small
                />
              )}
            </span>
            <span className="grow">
              <span className="block font-head text-xl font-semibold">
                {chosen ? '● ' : '○ '}
                {finishName(finish.id, school.variant)}
              </span>
              {school.costs.map((fact) => (
                <span key={fact.about} className="block text-soft">
                  {factInWords(fact, lengths)}
                </span>
              ))}
            </span>
            <span className="grid shrink-0 grid-cols-3 gap-5 text-right">
              <Figure value={lengths.cloth(folds.allowanceMm)} name="allowance" />
              <Figure
                value={lengths.fine(folds.stackMm * folds.layersUnderNeedle)}
                name="under the run"
              />
              <Figure
                value={reached?.ok ? `${ofHundred(reached.value.chance)}` : '–'}
                name="of 100 at best"
              />
            </span>
          </button>
        );
      })}
    </div>
  );
}

function Figure({ value, name }: { value: string; name: string }) {
  return (
    <span>
      <span className="big-number block text-2xl">{value}</span>
      <span className="block text-sm text-soft">{name}</span>
    </span>
  );
}

/** What speaks for the chosen way on this cloth. */
export function FinishSlip({ bench }: { bench: Bench }) {
  const { finish, record, plan, set } = bench;
  const lengths = useLengths();
  const navigate = useNavigate();
  const counted = set?.checks.find(({ name }) => name === finish.countedCheck);
  const room = counted ? counted.hiMm - counted.loMm : 0;
  const sigma = set?.beliefs.guide?.sigmaMm ?? 0;
  const roomy = room > 3.3 * sigma;
  const frays = plan.cloth.fray >= 2;
  const flat = record.fold.variant === 'flat';
  const reasons: readonly (readonly [good: boolean, title: string, text: string])[] = [
    [
      roomy,
      roomy ? 'Room for the bite' : 'Little room for the bite',
      `${lengths.fine(room)} between missing and showing; the fold wanders by about ${lengths.fine(sigma)}.`,
    ],
    [
      !frays || !flat || plan.cloth.fray < 3,
      frays ? 'The cloth frays' : 'The cloth holds its edge',
      flat
        ? frays
          ? 'Overcast the raw edge before folding.'
          : 'Pinking or leaving the edge would do.'
        : 'Turned in, the raw edge is safe.',
    ],
    [
      flat || plan.cloth.thicknessMm < 0.6,
      flat
        ? 'Flat inside'
        : plan.cloth.thicknessMm < 0.6
          ? 'Thin enough to turn in'
          : 'Thick to turn in',
      `Cloth ${lengths.fine(plan.cloth.thicknessMm)} thick, ${flat ? 'two' : 'three'} layers at the top of the hem.`,
    ],
  ];
  return (
    <div className="flex min-h-full flex-col">
      <h2 className="text-2xl">{finishName(finish.id, record.fold.variant)}</h2>
      <p className="border-b border-line pb-2 text-sm text-soft">on {bench.cloth.name}</p>
      <ul>
        {reasons.map(([good, title, text]) => (
          <li key={title} className="flex gap-3 border-b border-line py-2">
            <span aria-hidden className={`text-xl font-bold ${good ? 'text-moss' : 'text-madder'}`}>
              {good ? '+' : '−'}
            </span>
            <span>
              <b>
                <span className="sr-only">{good ? 'For: ' : 'Against: '}</span>
                {title}
              </b>
              <span className="block text-soft">{text}</span>
            </span>
          </li>
        ))}
      </ul>
      <div className="grow" />
      <Button
        look="solid"
        className="mt-3 w-full"
        onClick={() => void navigate(`/edges/${bench.edge.id}/folds`)}
      >
        On to the folds
      </Button>
    </div>
  );
}
