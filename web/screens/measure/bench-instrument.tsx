import { useEffect, useRef, useState } from 'react';
import type { Instrument, Reading } from '../../../core/instrument/instrument';
import { Button } from '../../controls/button';
import { LineChoice } from '../../controls/line-choice';

/** How often the display changes, ms. */
const tickMs = 100;

interface Putting {
  /** What lies on it. */
  readonly load: number;
  readonly since: number;
}

/** An instrument with something on it or not, read as time goes by. */
function useReading(instrument: Instrument, load: number, seed: number) {
  const [putting, setPutting] = useState<Putting>({ load: 0, since: 0 });
  const [reading, setReading] = useState<Reading>({ value: 0, steady: true });
  useEffect(() => {
    const timer = setInterval(() => {
      const seconds = (performance.now() - putting.since) / 1000;
      setReading(instrument.reading(putting.load, seconds, seed));
    }, tickMs);
    return () => clearInterval(timer);
  }, [instrument, putting, seed]);
  return {
    reading,
    isOn: putting.load > 0,
    put: (on: boolean) => {
      setPutting({ load: on ? load : 0, since: performance.now() });
      // Until the display has changed it shows what lay there before, which is nobody's reading.
      setReading({ value: 0, steady: !on });
    },
  };
}

interface BenchInstrumentProps {
  readonly instrument: Instrument;
  /** What one's own is called. */
  readonly own: string;
  /** What really lies on it when the cloth is put there. */
  readonly load: number;
  readonly seed: number;
  /** What is put on, and taken off: “Put the square on”. */
  readonly put: string;
  readonly off: string;
  /** Called with each reading while something lies on it, so that the result is live. */
  onReading?(value: number | null): void;
  onTake(value: number): void;
}

/** One's own instrument, typed in below, or a simulated one to be read here. */
export function BenchInstrument(props: BenchInstrumentProps) {
  const { instrument, own } = props;
  const [which, setWhich] = useState<'own' | 'simulated'>('own');
  return (
    <div>
      <LineChoice<'own' | 'simulated'>
        label="Instrument"
        value={which}
        options={[
          ['own', own],
          ['simulated', instrument.name.replace(/^./, (first) => first.toUpperCase())],
        ]}
        onChange={(next) => {
          setWhich(next);
          props.onReading?.(null);
        }}
      />
      {which === 'simulated' && <Simulated {...props} />}
    </div>
  );
}

function Simulated(props: BenchInstrumentProps) {
  const { instrument, load, seed, put, off, onReading, onTake } = props;
  const { reading, isOn, put: putOn } = useReading(instrument, load, seed);
  const tell = useRef(onReading);
  useEffect(() => {
    tell.current = onReading;
  });
  useEffect(() => {
    tell.current?.(isOn ? reading.value : null);
  }, [isOn, reading.value]);
  const places = String(instrument.resolution).split('.')[1]?.length ?? 0;
  return (
    <div className="mt-2 rounded-[3px] border border-graphite bg-cloth p-3">
      <p
        aria-label="Display"
        className="mb-2 rounded-[2px] border border-seam bg-slip px-3 py-1 text-right"
      >
        <span className="float-left pt-2 text-sm text-soft">
          {reading.steady ? (isOn ? '● steady' : '') : '○ settling'}
        </span>
        <span className="big-number text-3xl">{reading.value.toFixed(places)}</span>{' '}
        {instrument.unit}
      </p>
      <div className="flex gap-2">
        <Button className="grow px-2!" onClick={() => putOn(!isOn)}>
          {isOn ? off : put}
        </Button>
        <Button
          look="solid"
          className="grow px-2!"
          disabled={!isOn || !reading.steady}
          onClick={() => onTake(reading.value)}
        >
          Take the reading
        </Button>
      </div>
      <p className="pt-1 text-sm text-soft">Simulated: near what is believed of this cloth.</p>
    </div>
  );
}
