import { takeProposal } from '../../bench/plan-change';
import { Suspense, useState } from 'react';
import { goesOverEdge } from '../../../core/diagnose/situation';
import { judge } from '../../../core/plan/judge';
import { ApiError } from '../../ground/api';
import { later } from '../../ground/later';
import { notify } from '../../ground/notices';
import { useCreate } from '../../ground/records';
import { Button } from '../../controls/button';
import { MomentField } from '../../controls/moment-field';
import { ScrapPhotosField } from '../../controls/scrap-photos-field';
import { VerdictChoice } from '../../controls/verdict-choice';
import { useLengths } from '../../ground/lengths-context';
import { useToday } from '../../ground/use-today';
import { issueInWords, refusalInWords } from '../../words/refusals';
import type { Bench } from '../../bench/bench';
import { isLooped } from '../edge/looped';
import { attemptOf, countedChecks, possibleSymptoms } from './attempt-of';
import { isMeasured, MeasuredFields, measuredOf } from './measured-fields';
import { CornersFields, hasBoundCorners } from './corners-fields';
import { countedByPhoto } from './counted-part';
import { CountsFields, troubleOf } from './counts-fields';
import { useScrapDraft } from './scrap-draft';
import { SewnAt } from './sewn-at';
import { situationOf } from './situation';

const EdgePhoto = later(async () => (await import('./edge-photo')).EdgePhoto);
const PhotoCount = later(async () => (await import('./photo-count')).PhotoCount);

/** What a scrap shows: counted along it, seen on it, with the setting it was sewn at. */
export function ScrapForm({ bench }: { bench: Bench }) {
  const { margin, record, set, plan } = bench;
  const lengths = useLengths();
  const create = useCreate('attempts');
  const today = useToday();
  const { draft, set: setDraft, clear } = useScrapDraft(bench.draftKey);
  const [tried, setTried] = useState(false);
  const number = Math.max(0, ...bench.everyAttempt.map((attempt) => attempt.number)) + 1;
  if (margin && (!bench.dials || !set))
    return <p className="p-4 text-soft">Needs a setting first; see the margin below.</p>;
  const sewn = margin ? (draft.settings ?? bench.dials) : null;
  const { counted, other, more } = countedChecks(bench);
  const photoCounted = sewn && countedByPhoto(bench, counted, sewn);
  const blocked = Boolean(set && sewn && judge(set, sewn).blocked);
  const symptoms = possibleSymptoms(bench, draft);
  const looped = isLooped(plan);
  const cornered = hasBoundCorners(bench);
  const hasPhoto = Boolean(draft.photoId ?? draft.otherFacePhotoId);
  const sawSomething =
    (looped && measuredOf(draft) !== null) ||
    symptoms.length > 0 ||
    draft.verdict !== null ||
    hasPhoto ||
    draft.note !== '';
  const trouble = margin && counted ? troubleOf(draft, margin.words, other) : null;
  // One may look and not count: then the number sewn is left empty.
  const onlyLooked = draft.n === null && sawSomething;
  const nothing =
    !margin && !sawSomething ? 'Say what you saw, or what you think of it.' : undefined;
  const wrong = (onlyLooked ? undefined : trouble?.first) ?? nothing;

  const record_ = async () => {
    setTried(true);
    if (wrong || blocked || create.isPending) return;
    takeProposal(record.id);
    await create.mutateAsync(attemptOf(bench, draft, onlyLooked));
    clear();
    setTried(false);
    notify({ kind: 'info', text: `Scrap ${number} is in the book.` });
  };
  const issues = create.error instanceof ApiError ? create.error.issues : [];
  const at = (path: string) => {
    const issue = issues.find((one) => one.path === path);
    return issue && issueInWords(issue, lengths);
  };

  return (
    <form
      className="grid min-h-0 content-start gap-0.5 px-4 py-3 xl:overflow-y-auto"
      aria-label={`Scrap ${number}`}
      onSubmit={(event) => {
        event.preventDefault();
        record_().catch(() => undefined);
      }}
    >
      <h2 className="text-xl">Scrap {number}: what it shows</h2>
      {bench.pass && (
        <p className="text-sm text-soft">
          of another pass: <b className="text-graphite">{bench.pass.name}</b>
        </p>
      )}
      {looped && <MeasuredFields draft={draft} set={setDraft} issues={issues} />}
      {!photoCounted && goesOverEdge(situationOf(bench)) && (
        <Suspense>
          <EdgePhoto draft={draft} set={setDraft} />
        </Suspense>
      )}
      {photoCounted && (
        <Suspense>
          <PhotoCount bench={photoCounted} sewn={sewn} draft={draft} set={setDraft} />
        </Suspense>
      )}
      {margin && counted && (
        <CountsFields
          words={margin.words}
          counted={counted}
          other={other}
          more={more}
          draft={draft}
          tried={tried && !onlyLooked}
          // Counted otherwise than it was measured: then the count stands.
          set={(patch) => setDraft({ ...patch, depths: [], faces: {} })}
        />
      )}
      {cornered && <CornersFields draft={draft} set={setDraft} />}
      <VerdictChoice value={draft.verdict} onChange={(verdict) => setDraft({ verdict })} />
      <SewnAt bench={bench} sewn={sewn} />
      <label className="flex items-center gap-2 py-1">
        <span className="text-sm text-soft">Note</span>
        <input
          className="field"
          maxLength={2000}
          value={draft.note}
          placeholder="thread, starch, what helped…"
          onChange={(event) => setDraft({ note: event.target.value })}
        />
      </label>
      <details
        className="border-b border-line py-1.5"
        open={hasPhoto || draft.sewnOn !== null || at('sewnOn') !== undefined}
      >
        <summary className="min-h-8 cursor-pointer">
          <b>Photo and day</b> <span className="text-sm text-soft">· none, today</span>
        </summary>
        <div className="grid gap-2 py-1">
          <ScrapPhotosField of={`scrap ${number}`} photos={draft} onChange={setDraft} />
          <MomentField
            type="date"
            label="Sewn on"
            value={draft.sewnOn ?? today}
            latest={today}
            trouble={at('sewnOn')}
            onCommit={(sewnOn) => setDraft({ sewnOn })}
          />
        </div>
      </details>
      {tried && nothing && (
        <p role="alert" className="font-bold text-madder">
          {nothing}
        </p>
      )}
      {blocked && (
        <p role="alert" className="font-bold text-madder">
          ✕ At this setting the needle would meet metal; it can’t be recorded as sewn.
        </p>
      )}
      {create.error && (
        <p role="alert" className="font-bold text-madder">
          {issues.length > 0 && issues.every(({ path }) => isMeasured(path))
            ? 'Not recorded: see what was measured, above.'
            : create.error instanceof ApiError
              ? refusalInWords(create.error, lengths)
              : 'The server does not answer. Your counts are kept here; record them again when it is back.'}
        </p>
      )}
      {/* Down to the panel's end, so that what is scrolled under it does not look out below. */}
      <div className="-mb-3 grid bg-paper pt-2 pb-3 xl:sticky xl:-bottom-3">
        <Button type="submit" look="solid" disabled={blocked || create.isPending}>
          Record scrap {number}
        </Button>
      </div>
    </form>
  );
}
