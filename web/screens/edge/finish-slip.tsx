import { useNavigate } from 'react-router';
import { refusalInWords } from '../../words/refusals';
import type { Fact } from '../../../core/fact';
import { catalogue } from '../../../core/finish/catalogue';
import { schoolsFor } from '../../../core/plan/work';
import { useLengths } from '../../ground/lengths-context';
import { useList } from '../../ground/records';
import { Button } from '../../controls/button';
import { WayChoice } from '../../controls/way-choice';
import { factInWords } from '../../words/facts';
import { finishInSentence } from '../../words/finishes';
import type { KeptPart, SetUpPart } from '../../bench/bench';
import { attachedWay } from './attach';
import { KitNeeds } from './kit-needs';
import { SchoolChoices } from './school-choices';
import { optionFor, useLookedAt } from './looked-at';
import { takeFinish } from './take-finish';
import { useRanking } from './use-ranking';
import { WhyOut, WhyRanked } from './why';

/** The finish that is looked at: its variants, what it needs, the questions it raises. */
export function FinishSlip({ bench }: { bench: KeptPart & SetUpPart }) {
  const { looked, isChosen, look } = useLookedAt(bench);
  const { finish, wish, trouble } = looked;
  const ranking = useRanking(bench)?.ranking;
  const same = (it: { finishId: string; variant: string }) =>
    it.finishId === finish.id && it.variant === wish.variant;
  const ranked = ranking?.ranked.find(same);
  const out = ranking?.ruledOut.find(same);
  // One construction may be several finishes, which differ in depth, thread or foot alone.
  const alike = catalogue.filter(({ group }) => group === finish.group);
  const lengths = useLengths();
  const navigate = useNavigate();
  const machines = useList('machines').data ?? [];
  const feet = useList('feet').data ?? [];
  const costs = (facts: readonly Fact[]) =>
    facts.map((fact) => factInWords(fact, lengths)).join(' ');
  return (
    <div className="flex min-h-full flex-col">
      <h2 className="text-2xl">{finish.name}</h2>
      <p className="border-b border-line pb-2 text-soft">{finish.about}</p>
      {ranking && ranked && <WhyRanked ranking={ranking} it={ranked} />}
      {out && <WhyOut it={out} />}
      {alike.map((one) => (
        <WayChoice
          key={one.id}
          label={alike.length > 1 ? one.name : 'Variant'}
          value={one.id === finish.id ? wish.variant : ''}
          options={one.variants.map((variant) => ({
            value: variant.id,
            label: variant.name,
            about: costs(variant.costs),
          }))}
          onChange={(variant) => look(one, variant)}
        />
      ))}
      <KitNeeds finish={finish} wish={wish} />
      {trouble && (
        <p role="alert" className="border-b border-line py-2 text-madder">
          {refusalInWords(trouble, lengths)}
        </p>
      )}
      <SchoolChoices
        {...{ record: bench.record, finish, variant: wish.variant }}
        schools={schoolsFor(finish, wish.variant)}
        onWay={(school, way) =>
          isChosen && school.ways.some(({ attaches }) => attaches)
            ? attachedWay(bench, way, feet)
            : {}
        }
      />
      <div className="grow" />
      <div className="sticky -bottom-4 -mx-5 mt-3 border-t border-line bg-slip px-5 py-3">
        {isChosen ? (
          <Button
            look="solid"
            className="w-full"
            onClick={() => void navigate(`/edges/${bench.edge.id}/folds`)}
          >
            On to the folds
          </Button>
        ) : (
          <Button
            look="solid"
            className="w-full"
            onClick={() =>
              takeFinish(bench, optionFor(bench, finish, wish.variant, ranked?.wish), ranked, {
                machines,
                feet,
              })
            }
          >
            Take {finishInSentence(finish.id, wish.variant)}
          </Button>
        )}
      </div>
    </div>
  );
}
