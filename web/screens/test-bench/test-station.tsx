import { Tabs } from 'radix-ui';
import { Suspense } from 'react';
import { later } from '../../ground/later';
import { useSearchParams } from 'react-router';
import { useLengths } from '../../ground/lengths-context';
import { finishInSentence } from '../../words/finishes';
import type { Bench } from '../../bench/bench';
import { isLooped } from '../edge/looped';
import { StartingTable } from '../edge/starting-slip';
import { AdviceSlip } from './advice-slip';
import { ScrapForm } from './scrap-form';
import { ScrapList } from './scrap-list';
import { SymptomPicker } from './symptom-picker';
import { usualMarkMm, useScrapDraft } from './scrap-draft';

const SideBySide = later(async () => (await import('./side-by-side')).SideBySide);
const FeetCompared = later(async () => (await import('./feet-compared')).FeetCompared);
const LadderPanel = later(async () => (await import('./ladder-panel')).LadderPanel);

const tab =
  'min-h-9 border-b-3 border-transparent px-3 text-sm data-[state=active]:border-pencil data-[state=active]:font-bold data-[state=active]:text-pencil';

/** A scrap and what it shows; beside it, all scraps side by side, and a planned series. */
export function TestTable({ bench }: { bench: Bench }) {
  const [params, setParams] = useSearchParams();
  return (
    <Tabs.Root
      value={params.get('view') ?? 'scrap'}
      onValueChange={(view) => {
        const pass = params.get('pass');
        setParams(
          { ...(view === 'scrap' ? {} : { view }), ...(pass ? { pass } : {}) },
          { replace: true },
        );
      }}
      className="flex h-full flex-col"
    >
      <Tabs.List aria-label="Test bench" className="flex shrink-0 border-b border-line px-2">
        <Tabs.Trigger value="scrap" className={tab}>
          The next scrap
        </Tabs.Trigger>
        <Tabs.Trigger value="beside" className={tab}>
          Side by side
        </Tabs.Trigger>
        {bench.margin && !bench.pass && (
          <Tabs.Trigger value="ladder" className={tab}>
            Test ladder
          </Tabs.Trigger>
        )}
        {bench.attachment && !bench.pass && (
          <Tabs.Trigger value="feet" className={tab}>
            Feet compared
          </Tabs.Trigger>
        )}
      </Tabs.List>
      <Tabs.Content value="scrap" tabIndex={-1} className="min-h-0 grow overflow-y-auto">
        <NextScrap bench={bench} />
      </Tabs.Content>
      <Tabs.Content value="beside" tabIndex={0} className="min-h-0 grow overflow-y-auto">
        <Suspense>
          <SideBySide bench={bench} />
        </Suspense>
      </Tabs.Content>
      <Tabs.Content value="feet" tabIndex={-1} className="min-h-0 grow overflow-y-auto">
        <Suspense>
          <FeetCompared bench={bench} />
        </Suspense>
      </Tabs.Content>
      <Tabs.Content value="ladder" tabIndex={-1} className="min-h-0 grow overflow-y-auto">
        <Suspense>
          <LadderPanel bench={bench} />
        </Suspense>
      </Tabs.Content>
    </Tabs.Root>
  );
}

/** What is written down of a scrap, beside what can be seen on it and what earlier ones came to. */
function NextScrap({ bench }: { bench: Bench }) {
  return (
    <div className="grid grid-cols-1 xl:h-full xl:grid-cols-[22rem_minmax(0,1fr)]">
      <ScrapForm key={bench.draftKey} bench={bench} />
      <div className="min-h-0 border-line xl:overflow-y-auto xl:border-l">
        {!bench.margin && bench.attempts.length === 0 && <HowItShouldLie bench={bench} />}
        {(bench.margin || bench.attempts.length > 0) && <ScrapList bench={bench} />}
        <SymptomPicker key={bench.draftKey} bench={bench} />
      </div>
    </div>
  );
}

/** Whether a needle has any part in it. */
const isSewn = ({ finish, plan }: Bench) => finish.needs(plan.fold.variant).machineKinds.length > 0;

/** Where nothing is counted: how the scrap should come out. */
function HowItShouldLie({ bench }: { bench: Bench }) {
  return (
    <div className="px-4 pt-3">
      <h2 className="text-xl">
        {isSewn(bench) ? 'Sew a scrap and look at both faces' : 'Cut a scrap and rub its edge'}
      </h2>
      <p className="text-soft">
        {isSewn(bench)
          ? `This is how ${finishInSentence(bench.finish.id)} should lie.`
          : 'This is how the edge should lie.'}
      </p>
      <div className="h-80">
        <StartingTable bench={bench} />
      </div>
    </div>
  );
}

/** What the scraps say, and the one next move. */
export function TestSlip({ bench }: { bench: Bench }) {
  const { draft } = useScrapDraft(bench.draftKey);
  const { attempts, lesson } = bench;
  const words = bench.margin?.words;
  const looped = isLooped(bench.plan);
  const lengths = useLengths();
  const measured = attempts.some((one) => one.measured !== null);
  if (lesson || measured || draft.symptoms.length > 0 || (!words && attempts.length > 0)) {
    return <AdviceSlip bench={bench} />;
  }
  if (!words && !isSewn(bench)) {
    return (
      <>
        <h2 className="text-2xl">Nothing is sewn</h2>
        <ol className="list-decimal space-y-1 pt-3 pl-5">
          <li>Same cloth, same grain as the edge.</li>
          <li>Cut a hand’s length with the blade you will use.</li>
          <li>Rub it ten times, pull it gently, wash it if the thing will be washed.</li>
          <li>Say what you think of it, and record it.</li>
        </ol>
      </>
    );
  }
  if (!words) {
    return (
      <>
        <h2 className="text-2xl">One thing at a time</h2>
        <ol className="list-decimal space-y-1 pt-3 pl-5">
          <li>Same cloth, same layers, same grain as the edge.</li>
          <li>Set the starting values. Handwheel for the first stitches.</li>
          <li>Sew a hand’s length, over a seam if the edge crosses one.</li>
          <li>Look at both faces, bend it, pull at it.</li>
          <li>Pick what you see, and record it. Change one value and sew again.</li>
        </ol>
      </>
    );
  }
  return (
    <div>
      <h2 className="text-2xl">
        {attempts.length > 0 && bench.busy ? 'Reading the scraps…' : 'Sew the first scrap'}
      </h2>
      <p className="pt-2 text-soft">
        {attempts.length > 0
          ? 'The scraps so far were not counted, or sewn with another set-up; they teach nothing about this one.'
          : bench.learned.guide
            ? 'The bar starts from what your other edges taught; this one’s scraps go before it.'
            : 'What your hand does is not known yet; the spread on the bar is a starting guess.'}
      </p>
      <ol className="list-decimal space-y-1 pt-3 pl-5">
        <li>Same cloth, same grain, folded and layered as the edge will be.</li>
        {looped && (
          <li>Put two marks along it, {lengths.cloth(draft.beforeMm ?? usualMarkMm)} apart.</li>
        )}
        <li>Set the dials as on the slip. Handwheel for the first stitches.</li>
        <li>
          Sew about 24 {words.counted}, a hand’s length or two{looped && ', past both marks'}.
        </li>
        {looped && (
          <li>
            Lay it down without pulling. Measure between the marks, and how far from the edge the
            looper threads lock.
          </li>
        )}
        <li>{words.look}</li>
      </ol>
    </div>
  );
}
