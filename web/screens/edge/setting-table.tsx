import { Tabs } from 'radix-ui';
import { memo, Suspense } from 'react';
import { useSearchParams } from 'react-router';
import type { Bench } from '../../bench/bench';
import { later } from '../../ground/later';
import { useLengths } from '../../ground/lengths-context';
import { isLooped } from './looped';
import { UnderThisFoot } from './under-this-foot';

const StartingTable = later(async () => (await import('./starting-slip')).StartingTable);
const SectionPicture = later(
  async () => (await import('../../pictures/section-picture')).SectionPicture,
);
const SwatchPanel = later(async () => (await import('./swatch-panel')).SwatchPanel);
const LoopedSwatch = later(async () => (await import('./looped-swatch')).LoopedSwatch);
const MapPanel = later(async () => (await import('./map-panel')).MapPanel);

/** The view under the foot; behind a tab, the section with the needle in place. */
export function SettingTable({ bench }: { bench: Bench }) {
  const { margin, folds, plan, judgement, set, issues } = bench;
  const [params, setParams] = useSearchParams();
  if (!margin) return <StartingTable bench={bench} />;
  if (!judgement || !set || !folds) {
    return (
      <p className="p-6 text-soft">
        {issues.length > 0
          ? 'Nothing to draw until the set-up fits; see below.'
          : 'Working out the setting…'}
      </p>
    );
  }
  const stage = folds.stages.find(({ id }) => id === 'stitch');
  // No width and no needle position of loopers can be turned: there is no map of them.
  const looped = isLooped(plan);
  const usual = looped ? 'swatch' : 'foot';
  return (
    <Tabs.Root
      value={params.get('view') ?? usual}
      onValueChange={(view) => setParams(view === usual ? {} : { view }, { replace: true })}
      className="flex h-full flex-col"
    >
      <div className="flex shrink-0 flex-wrap border-b border-line px-2">
        <Pictures looped={looped} />
        {!looped && (
          <span className="ml-auto self-center pr-2 text-right text-sm text-soft">
            clearance{' '}
            <b className={judgement.blocked ? 'text-madder' : ''}>
              {<Clearance mm={judgement.clearance.clearanceMm} />}
            </b>
          </span>
        )}
      </div>
      <Tabs.Content
        value="foot"
        tabIndex={-1}
        className="h-136 shrink-0 sm:h-auto sm:min-h-0 sm:shrink sm:grow"
      >
        <UnderThisFoot bench={bench} />
      </Tabs.Content>
      <Tabs.Content value="map" tabIndex={-1} className="min-h-0 grow">
        <Suspense>
          <MapPanel bench={bench} />
        </Suspense>
      </Tabs.Content>
      <Tabs.Content value="swatch" tabIndex={-1} className="min-h-0 grow">
        <Suspense>
          {looped ? <LoopedSwatch bench={bench} /> : <SwatchPanel bench={bench} />}
        </Suspense>
      </Tabs.Content>
      <Tabs.Content value="section" tabIndex={-1} className="min-h-0 grow">
        <Suspense>
          {stage && <SectionPicture stage={stage} marks={folds.marks} exaggeration={1} />}
        </Suspense>
      </Tabs.Content>
    </Tabs.Root>
  );
}

const tab =
  'min-h-9 border-b-3 border-transparent px-3 text-sm data-[state=active]:border-pencil data-[state=active]:font-bold data-[state=active]:text-pencil';

/** The pictures there are of a setting; drawn once, however often a dial is turned. */
const Pictures = memo(function Pictures({ looped }: { looped: boolean }) {
  return (
    <Tabs.List aria-label="Picture" className="flex flex-wrap">
      <Tabs.Trigger value="foot" className={tab}>
        Under the foot
      </Tabs.Trigger>
      <Tabs.Trigger value="section" className={tab}>
        Section
      </Tabs.Trigger>
      {!looped && (
        <Tabs.Trigger value="map" className={tab}>
          Margin map
        </Tabs.Trigger>
      )}
      <Tabs.Trigger value="swatch" className={tab}>
        Swatch
      </Tabs.Trigger>
    </Tabs.List>
  );
});

function Clearance({ mm }: { mm: number }) {
  return useLengths().fine(mm);
}
