import { useState } from 'react';
import { startingValuesOf } from '../../../core/plan/work';
import { edgeWave } from '../../../core/swatch/edge-wave';
import { LineChoice } from '../../controls/line-choice';
import { LineSlider } from '../../controls/line-slider';
import { LoopedEdge, type LooperBalance } from '../../pictures/looped-edge';
import { TwoFaces } from '../../pictures/two-faces';
import type { SetUpPart, WorkPart } from '../../bench/bench';

/** A hand's length of scrap. */
const lengthMm = 100;

const balances: readonly (readonly [LooperBalance, string, string])[] = [
  ['meeting', 'loopers meeting', 'The loopers meet on the edge.'],
  ['over', 'upper too tight', 'The lower looper’s loops are drawn over the upper side: ease it.'],
  [
    'under',
    'lower too tight',
    'The upper looper’s loops are drawn underneath: ease the lower one.',
  ],
];

const looks = {
  flat: 'The edge lies flat.',
  waved: 'The edge is stretched and stands in waves: raise the differential.',
  gathered: 'The edge is drawn in and puckers: lower the differential.',
} as const;

/** How an overlocked or covered edge will lie, as its differential and its loopers are set. */
export function LoopedSwatch({ bench }: { bench: SetUpPart & WorkPart }) {
  const { finish, request, plan } = bench;
  const values = startingValuesOf(finish, request);
  const number = (id: string, otherwise: number) =>
    Number(values.find((value) => value.id === id)?.value ?? otherwise);
  const starting = number('differential', 1);
  const [turned, setTurned] = useState<number | null>(null);
  const [balance, setBalance] = useState<LooperBalance>('meeting');
  const differential = turned ?? starting;
  const wave = edgeWave(plan.cloth, differential);
  const pattern = finish.needs(plan.fold.variant).patterns[0] ?? 'overedge-four';
  const covers = pattern.startsWith('cover');
  const shape = {
    pattern,
    widthMm: number('cutting-width', plan.fold.depthMm ?? 5),
    stitchMm: number('length', 2.5),
    wave,
    balance: covers ? ('meeting' as const) : balance,
  };
  return (
    <div className="flex h-full flex-col">
      <div className="flex flex-wrap items-center gap-x-4 border-b border-line px-3 py-1">
        <span id="differential" className="text-sm">
          Differential
        </span>
        <LineSlider
          labelledBy="differential"
          value={differential}
          least={0.7}
          most={2}
          step={0.1}
          onChange={setTurned}
          className="w-44"
        />
        <b className="big-number text-2xl">{differential.toFixed(1)}</b>
        {Math.abs(differential - starting) > 0.01 && (
          <button type="button" className="text-sm underline" onClick={() => setTurned(null)}>
            back to {starting.toFixed(1)}
          </button>
        )}
        {!covers && (
          <LineChoice<LooperBalance>
            label="Looper tension"
            value={balance}
            options={balances}
            onChange={setBalance}
            className="ml-auto"
          />
        )}
      </div>
      <TwoFaces
        titles={{ up: 'Upper side', under: 'Under side' }}
        lengthMm={lengthMm}
        draw={(window) => <LoopedEdge {...shape} {...window} key={window.id} />}
      />
      <p className="px-3 py-1 text-sm text-soft" data-testid="edge-look">
        {looks[wave.look]} {covers ? '' : balances.find(([id]) => id === balance)?.[2]} Starting
        guesses; look at your own scrap.
      </p>
    </div>
  );
}
