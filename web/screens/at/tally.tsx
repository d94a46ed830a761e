import { Undo2 } from 'lucide-react';
import { useState } from 'react';
import type { Bench } from '../../bench/bench';
import { takeProposal } from '../../bench/plan-change';
import { Button } from '../../controls/button';
import { useKeys } from '../../frame/keys';
import { keepScrap } from '../../ground/outbox';
import { capital } from '../../words/number';
import { attemptOf, countedChecks } from '../test-bench/attempt-of';
import { useScrapDraft } from '../test-bench/scrap-draft';

type Tap = 'good' | 'short' | 'over';

/** How each tap feels, ms on and off, so that one need not look: short, two, long. */
const felt: Readonly<Record<Tap, number[]>> = { good: [25], short: [40, 60, 40], over: [180] };

const counts = { good: { n: 1 }, short: { n: 1, short: 1 }, over: { n: 1, over: 1 } } as const;

/**
 * Counting a scrap by tapping, without looking: three fields that fill the screen, each with a feel
 * of its own. What is tapped is the scrap being written down, and stays over a reload.
 */
export function Tally({ bench, onKept }: { bench: Bench; onKept(): void }) {
  const { draft, set, clear } = useScrapDraft(bench.draftKey);
  const [taps, setTaps] = useState<readonly Tap[]>([]);
  const { counted } = countedChecks(bench);
  const words = bench.margin?.words;
  const tap = (kind: Tap, sign = 1) => {
    const add: { n: number; short?: number; over?: number } = counts[kind];
    set({
      n: (draft.n ?? 0) + sign * add.n,
      short: (draft.short ?? 0) + sign * (add.short ?? 0),
      over: (draft.over ?? 0) + sign * (add.over ?? 0),
    });
    if (sign > 0) navigator.vibrate?.(felt[kind]);
    setTaps(sign > 0 ? [...taps, kind] : taps.slice(0, -1));
  };
  useKeys(
    (['good', 'short', 'over'] as const).map((kind, i) => ({
      ...{ press: [String(i + 1)], shown: String(i + 1), does: `count one as ${kind}` },
      act: () => tap(kind),
    })),
  );
  if (!counted || !words) return null;
  const { n, short, over } = draft;
  const good = (n ?? 0) - (short ?? 0) - (over ?? 0);
  const fields = [
    ['good', 'Good', good, 'bg-moss-fill text-graphite'],
    ['short', capital(words.short), short ?? 0, 'bg-madder-wash text-madder'],
    ...(words.over === null
      ? []
      : ([['over', capital(words.over), over ?? 0, 'bg-ochre-wash text-ochre']] as const)),
  ] as readonly (readonly [Tap, string, number, string])[];
  const last = taps.at(-1);
  return (
    <div className="absolute inset-0 z-30 flex flex-col bg-cloth">
      <div className="grid min-h-0 grow grid-rows-[2fr_1fr_1fr] gap-2 p-2 landscape:grid-cols-[2fr_1fr_1fr] landscape:grid-rows-1">
        {fields.map(([kind, name, count, look], i) => (
          <button
            key={kind}
            type="button"
            className={`flex min-h-20 flex-col items-center justify-center rounded-[3px] border-2 border-graphite ${look}`}
            onClick={() => tap(kind)}
          >
            <span className="big-number text-7xl leading-none">{count}</span>
            <span className="text-2xl font-bold">{name}</span>
            <span className="text-base">key {i + 1}</span>
          </button>
        ))}
      </div>
      <div className="flex shrink-0 flex-wrap items-center justify-between gap-2 border-t border-line p-3">
        <Button disabled={!last} onClick={() => last && tap(last, -1)}>
          <Undo2 size={18} aria-hidden /> Last tap back
        </Button>
        <p role="status" className="text-xl">
          <b>{n ?? 0}</b> {words.counted} counted
        </p>
        <Button onClick={onKept}>Not now</Button>
        <Button
          look="solid"
          disabled={(n ?? 0) === 0}
          onClick={() => {
            takeProposal(bench.record.id);
            keepScrap(attemptOf(bench, draft, false));
            clear();
            onKept();
          }}
        >
          Keep the scrap
        </Button>
      </div>
    </div>
  );
}
