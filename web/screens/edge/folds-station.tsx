import { issueInWords } from '../../words/refusals';
import { Tabs } from 'radix-ui';
import { Suspense, useState } from 'react';
import { useSearchParams } from 'react-router';
import type { FoldPlan } from '../../../core/finish/fold-plan';
import { plateausOf } from '../../../core/fold/layer';
import { useLengths } from '../../ground/lengths-context';
import { LineSlider } from '../../controls/line-slider';
import { StagePlayer } from '../../controls/stage-player';
import { AllowanceStrip } from '../../pictures/allowance-strip';
import { SectionPicture } from '../../pictures/section-picture';
import { StripPicture } from '../../pictures/strip-picture';
import type { DialsPart, KeptPart, SetUpPart, WorkPart } from '../../bench/bench';
import { later } from '../../ground/later';
import { StepList } from './step-list';

const StripCutPanel = later(async () => (await import('./strip-cut-panel')).StripCutPanel);
const CornerPanel = later(async () => (await import('./corner-panel')).CornerPanel);
const LoadingPanel = later(async () => (await import('./loading-panel')).LoadingPanel);

const tabs = [
  ['section', 'Fold'],
  ['flat', 'Marks on the flat cloth'],
  ['steps', 'The work, step by step'],
] as const;
/** Where a strip is wrapped round the edge. */
const stripTab = ['cut', 'The strip, cut'] as const;
const cornerTab = ['corner', 'The corner'] as const;
const loadingTab = ['loading', 'Loading'] as const;

type Bench = KeptPart & SetUpPart & WorkPart & DialsPart;

/** What there is to look at of an edge that a strip goes round. */
function tabsOf({ folds, edge, attachment, foot, plan }: Bench) {
  if (!folds?.strip) return tabs;
  const binder = attachment !== null || foot.kind === 'binder';
  return [
    ...tabs,
    stripTab,
    ...(edge.shape === 'cornered' || (plan.fold.variant === 'satin' && edge.minRadiusMm !== null)
      ? [cornerTab]
      : []),
    ...(binder ? [loadingTab] : []),
  ];
}

/** The folds three ways: the section as it folds, the marks on flat cloth, the steps. */
export function FoldsTable({ bench }: { bench: Bench }) {
  const lengths = useLengths();
  const { folds, issues } = bench;
  const [params, setParams] = useSearchParams();
  const shown = tabsOf(bench);
  const view = shown.find(([id]) => id === params.get('view'))?.[0] ?? 'section';
  if (!folds) {
    return (
      <div role="alert" className="p-6">
        <h2 className="text-xl text-madder">These lengths can’t be folded</h2>
        {issues.map((issue) => (
          <p key={issue.path + issue.message}>{issueInWords(issue, lengths)}</p>
        ))}
        <p className="pt-2 text-soft">Change one of them on the slip.</p>
      </div>
    );
  }
  return (
    <Tabs.Root
      value={view}
      onValueChange={(next) =>
        setParams(next === 'section' ? {} : { view: next }, { replace: true })
      }
      className="flex h-full flex-col"
    >
      <Tabs.List aria-label="Picture" className="flex shrink-0 border-b border-line px-2">
        {shown.map(([id, name]) => (
          <Tabs.Trigger
            key={id}
            value={id}
            className="min-h-9 border-b-3 border-transparent px-3 text-sm data-[state=active]:border-pencil data-[state=active]:font-bold data-[state=active]:text-pencil"
          >
            {name}
          </Tabs.Trigger>
        ))}
      </Tabs.List>
      <Tabs.Content value="section" tabIndex={-1} className="min-h-0 grow">
        <Folding folds={folds} />
      </Tabs.Content>
      <Tabs.Content value="flat" tabIndex={-1} className="flex min-h-0 grow flex-col">
        <div className="min-h-44 grow">
          <AllowanceStrip folds={folds} />
        </div>
        {folds.strip && (
          <div className="h-48 shrink-0 border-t border-line">
            <StripPicture strip={folds.strip} />
          </div>
        )}
      </Tabs.Content>
      {folds.strip && (
        <Tabs.Content value="cut" tabIndex={-1} className="min-h-0 grow">
          <Suspense>
            <StripCutPanel bench={bench} strip={folds.strip} />
          </Suspense>
        </Tabs.Content>
      )}
      {folds.strip && (
        <>
          <Tabs.Content value="corner" tabIndex={-1} className="min-h-0 grow">
            <Suspense>
              <CornerPanel bench={bench} />
            </Suspense>
          </Tabs.Content>
          <Tabs.Content value="loading" tabIndex={-1} className="min-h-0 grow">
            <Suspense>
              <LoadingPanel bench={bench} />
            </Suspense>
          </Tabs.Content>
        </>
      )}
      <Tabs.Content value="steps" tabIndex={-1} className="min-h-0 grow overflow-y-auto">
        <StepList bench={bench} />
      </Tabs.Content>
    </Tabs.Root>
  );
}

/** The section, foldable step by step. */
function Folding({ folds }: { folds: FoldPlan }) {
  const lengths = useLengths();
  const telling = Math.max(
    0,
    folds.stages.findIndex(({ id }) => id === 'stitch'),
  );
  const [at, setAt] = useState(telling);
  const [exaggeration, exaggerate] = useState(1);
  const last = folds.stages.length - 1;
  const index = Math.min(at, last);
  const stage = folds.stages[index];
  if (!stage) return null;
  const thickest = plateausOf(stage.stack).reduce((most, next) =>
    next.heightMm > most.heightMm ? next : most,
  );
  return (
    <div className="flex h-full flex-col">
      <StagePlayer
        verb="Fold"
        count={folds.stages.length}
        index={index}
        title={stage.title}
        onIndex={setAt}
      />
      <div className="min-h-44 grow">
        <SectionPicture stage={stage} marks={folds.marks} exaggeration={exaggeration} />
      </div>
      <div className="flex items-center gap-4 border-t border-line px-4 py-1">
        <span className="shrink-0 text-sm">
          Thickness drawn <b>{exaggeration === 1 ? 'true' : `×${exaggeration}`}</b>
        </span>
        <span id="thickness-drawn" className="sr-only">
          How much thicker than true the cloth is drawn
        </span>
        <LineSlider
          labelledBy="thickness-drawn"
          value={exaggeration}
          least={1}
          most={6}
          step={1}
          onChange={exaggerate}
          className="w-40"
        />
        <span className="text-sm text-soft">
          Lengths are always to scale. Thickest: {thickest.layers} layers,{' '}
          <b className="text-graphite">{lengths.fine(thickest.heightMm)}</b>, pressed and under the
          foot about {lengths.fine(thickest.heightMm * 0.7)}.
        </span>
      </div>
    </div>
  );
}
