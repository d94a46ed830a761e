import { Tabs } from 'radix-ui';
import { createContext, memo, Suspense, useContext, type ComponentType } from 'react';
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

/** The bench the pictures are of: tabs stand still while a dial is turned, what they show does not. */
const Shown = createContext<Bench | null>(null);

/** What a tab shows of the bench. */
function Of({ picture: Picture }: { picture: ComponentType<{ bench: Bench }> }) {
  const bench = useContext(Shown);
  return bench && <Picture bench={bench} />;
}

/** The view under the foot; behind a tab, the section with the needle in place. */
export function SettingTable({ bench }: { bench: Bench }) {
  const { margin, folds, plan, judgement, set, issues } = bench;
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
  return (
    <Shown value={bench}>
      <Pictures looped={isLooped(plan)} />
    </Shown>
  );
}

/** The pictures there are of a setting. No width and no needle position of loopers can be turned: there is no map of them. */
const Pictures = memo(function Pictures({ looped }: { looped: boolean }) {
  const [params, setParams] = useSearchParams();
  const usual = looped ? 'swatch' : 'foot';
  return (
    <Tabs.Root
      value={params.get('view') ?? usual}
      onValueChange={(view) => setParams(view === usual ? {} : { view }, { replace: true })}
      className="flex h-full flex-col"
    >
      <div className="flex shrink-0 flex-wrap border-b border-line px-2">
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
        {!looped && <Of picture={Clearance} />}
      </div>
      <Tabs.Content
        value="foot"
        tabIndex={-1}
        className="h-136 shrink-0 sm:h-auto sm:min-h-0 sm:shrink sm:grow"
      >
        <Of picture={UnderThisFoot} />
      </Tabs.Content>
      <Tabs.Content value="map" tabIndex={-1} className="min-h-0 grow">
        <Suspense>
          <Of picture={MapPanel} />
        </Suspense>
      </Tabs.Content>
      <Tabs.Content value="swatch" tabIndex={-1} className="min-h-0 grow">
        <Suspense>
          <Of picture={looped ? LoopedSwatch : SwatchPanel} />
        </Suspense>
      </Tabs.Content>
      <Tabs.Content value="section" tabIndex={-1} className="min-h-0 grow">
        <Suspense>
          <Of picture={Section} />
        </Suspense>
      </Tabs.Content>
    </Tabs.Root>
  );
});

const tab =
  'min-h-9 border-b-3 border-transparent px-3 text-sm data-[state=active]:border-pencil data-[state=active]:font-bold data-[state=active]:text-pencil';

function Section({ bench: { folds } }: { bench: Bench }) {
  const stage = folds?.stages.find(({ id }) => id === 'stitch');
  return stage && folds && <SectionPicture stage={stage} marks={folds.marks} exaggeration={1} />;
}

/** How far the needle stays from metal. */
function Clearance({ bench: { judgement } }: { bench: Bench }) {
  const { fine } = useLengths();
  if (!judgement) return null;
  return (
    <span className="ml-auto self-center pr-2 text-right text-sm text-soft">
      clearance{' '}
      <b className={judgement.blocked ? 'text-madder' : ''}>
        {fine(judgement.clearance.clearanceMm)}
      </b>
    </span>
  );
}
