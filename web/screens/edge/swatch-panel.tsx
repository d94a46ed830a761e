import { useMemo, useState } from 'react';
import { sewSwatch } from '../../../core/swatch/swatch';
import { holeXMm, swingOf } from '../../../core/stitch/needle-path';
import { useLengths } from '../../ground/lengths-context';
import { LineChoice } from '../../controls/line-choice';
import { Button } from '../../controls/button';
import { NumbersTable } from '../../pictures/numbers-table';
import { openedOut, shownThreadMm } from '../../../core/plan/shown-thread';
import { SwatchFace, type Lock } from '../../pictures/swatch-face';
import { TwoFaces } from '../../pictures/two-faces';
import { about, counted } from '../../words/number';
import type { DialsPart, SetUpPart } from '../../bench/bench';

/** A hand's length of scrap. */
const lengthMm = 100;

const locks: readonly (readonly [Lock, string, string])[] = [
  ['inside', 'balanced', 'The threads lock inside the cloth.'],
  ['up', 'upper too tight', 'The bobbin thread is drawn up: blue dots on the side that was up.'],
  ['under', 'upper too loose', 'The upper thread hangs through: blue dots on the under side.'],
];

/** Both faces as this setting would probably sew them, with the faults ringed and counted. */
export function SwatchPanel({ bench }: { bench: SetUpPart & DialsPart }) {
  const { margin, set, dials, plan, judgement } = bench;
  const lengths = useLengths();
  const [seed, setSeed] = useState(1);
  const [lock, setLock] = useState<Lock>('inside');
  const swatch = useMemo(
    () =>
      set && dials && margin
        ? sewSwatch(set, dials, margin.references(plan, dials)[0], lengthMm, seed)
        : null,
    [set, dials, margin, plan, seed],
  );
  if (!swatch || !margin || !dials || !judgement) {
    return <p className="p-6 text-soft">Working out the setting…</p>;
  }
  if (judgement.blocked) {
    return <p className="p-6 font-bold text-madder">✕ Blocked: this setting sews nothing.</p>;
  }
  const { words } = margin;
  const [first] = margin.references(plan, dials);
  const shownMm = set ? shownThreadMm(margin, set, plan, dials, swatch) : null;
  const swing = swingOf(plan.stitch).map((u) => holeXMm(u, plan.stitch, dials) - first.atMm);
  // With the edge in sight where it lies near enough.
  const seen = Math.max(...swing.map(Math.abs)) < 8 && !first.onlyBefore ? [...swing, 0] : swing;
  const midMm = (Math.min(...seen) + Math.max(...seen)) / 2;
  const lockWords = locks.find(([id]) => id === lock)?.[2] ?? '';
  return (
    <div className="flex h-full flex-col">
      <div className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line px-3 py-1">
        <p data-testid="swatch-count">
          <b className="big-number text-2xl">{swatch.faults}</b> of{' '}
          {counted(swatch.stitches.length, words.one, words.counted)} at fault here;{' '}
          <b>{about(swatch.expectedFaults)}</b> expected
        </p>
        <Button className="min-h-9!" onClick={() => setSeed(seed + 1)}>
          Sew another
        </Button>
        <LineChoice<Lock>
          label="Thread tension"
          value={lock}
          options={locks}
          onChange={setLock}
          className="ml-auto"
        />
      </div>
      <TwoFaces
        titles={{
          up: 'The side that was up',
          under: shownMm ? 'Right side, opened out' : 'The under side',
        }}
        lengthMm={lengthMm}
        empty={shownMm?.every((mm) => mm === 0) ? { under: 'nothing shows' } : {}}
        draw={(window) => {
          const shown = window.face === 'under' ? shownMm : null;
          return (
            <SwatchFace
              {...window}
              key={window.id}
              swatch={swatch}
              lock={lock}
              shownMm={shown}
              regions={shown === null ? margin.regions(plan) : openedOut}
              midMm={shown === null ? midMm : 0}
            />
          );
        }}
      />
      <p className="px-3 py-1 text-sm text-soft">
        {lengths.cloth(swatch.lengthMm)} drawn by chance from the same spread as the margin; ringed
        is at fault. {lockWords}
      </p>
      <NumbersTable
        caption="The swatch in numbers"
        rows={[
          ['Counted', String(swatch.stitches.length)],
          ['At fault', String(swatch.faults)],
          ['Expected', about(swatch.expectedFaults)],
          ...Object.entries(swatch.byFault).map(([fault, n]): [string, string] => [
            words.faults[fault]?.long ?? fault,
            String(n),
          ]),
        ]}
      />
    </div>
  );
}
