import {
  deepestHemMm,
  easedShare,
  fullnessShare,
  pressedAwayShare,
} from '../../../core/fold/fullness';
import { change } from '../../app/records';
import { useLengths } from '../../app/lengths-context';
import { Choice } from '../../controls/choice';
import { LengthField } from '../../controls/length-field';
import { TextField } from '../../controls/text-field';
import { EdgePlan } from '../../pictures/edge-plan';
import type { Bench } from './bench';
import { depthRefusal, setFold, setVariant } from './fold-fields';

/** The edge as it lies, to scale, and what its curve does to a hem. */
export function EdgeTable({ bench }: { bench: Bench }) {
  const { edge, plan, finish, issues } = bench;
  const depthMm = plan.fold.depthMm ?? 0;
  const allowanceMm =
    issues.length === 0
      ? finish.folds({ wish: plan.fold, cloth: plan.cloth }).allowanceMm
      : depthMm;
  return (
    <div className="flex h-full flex-col">
      <div className="min-h-0 grow">
        <EdgePlan edge={edge} depthMm={depthMm} allowanceMm={allowanceMm} />
      </div>
      <Fullness bench={bench} />
    </div>
  );
}

/** What the curve does to a hem of this depth, in words and one number. */
function Fullness({ bench }: { bench: Bench }) {
  const lengths = useLengths();
  const radius = bench.edge.minRadiusMm;
  const depth = bench.plan.fold.depthMm ?? 0;
  if (radius === null) return null;
  const share = fullnessShare(radius, depth);
  const pressed = pressedAwayShare[bench.plan.cloth.construction];
  const deepest = lengths.cloth(deepestHemMm(radius, easedShare));
  const verdict =
    share <= pressed
      ? 'It presses away.'
      : share <= easedShare
        ? 'Ease it in with a stitch along the raw edge.'
        : `Too full to lie flat: on this curve a hem can be ${deepest} deep.`;
  return (
    <div
      className="flex shrink-0 items-baseline gap-4 border-t border-line px-4 py-2"
      role="status"
    >
      <p className={`big-number shrink-0 text-2xl ${share > easedShare ? 'text-madder' : ''}`}>
        {Number.isFinite(share) ? `${(share * 100).toFixed(1)} % fuller` : 'deeper than the curve'}
      </p>
      <p>
        {share > easedShare ? '✕ ' : ''}
        The raw edge is longer than where it lands. {verdict}{' '}
        <span className="text-sm text-soft">
          Starting guess: up to {Math.round(pressed * 100)} % presses away in this cloth.
        </span>
      </p>
    </div>
  );
}

/** What it is on, how long, how curved, how deep a hem. */
export function EdgeSlip({ bench }: { bench: Bench }) {
  const { edge, record } = bench;
  const set = (patch: Partial<typeof edge>) => change('edges', edge.id, patch);
  return (
    <div className="grid gap-2">
      <h2 className="sr-only">The edge</h2>
      <TextField label="Name" value={edge.name} onCommit={(name) => set({ name })} />
      <TextField label="It is on" value={edge.on} onCommit={(on) => set({ on })} />
      <Choice
        label="Shape"
        value={edge.shape}
        options={[
          { value: 'straight', label: 'Open' },
          { value: 'tube', label: 'Tube' },
        ]}
        onChange={(shape) => set({ shape })}
      />
      <LengthField
        label="Length along the edge"
        value={edge.lengthMm}
        refuse={(mm) =>
          mm >= 10 && mm <= 100_000 ? null : 'An edge is between 1 cm and 100 m long.'
        }
        onCommit={(mm) => mm !== null && set({ lengthMm: mm })}
      />
      <LengthField
        label="Radius of its tightest curve"
        value={edge.minRadiusMm}
        optional
        placeholder="straight"
        refuse={(mm) =>
          mm >= 1 && mm <= 100_000
            ? null
            : 'A radius is between 1 mm and 100 m; leave it empty for a straight edge.'
        }
        onCommit={(minRadiusMm) => set({ minRadiusMm })}
      />
      <LengthField
        label="Hem depth wanted"
        value={record.fold.depthMm ?? null}
        refuse={(mm) => depthRefusal(bench, 'depthMm', mm)}
        onCommit={(mm) => mm !== null && setFold(bench, { depthMm: mm })}
      />
      <Choice
        label="Raw edge"
        value={record.fold.variant}
        options={[
          { value: 'flat', label: 'Overcast' },
          { value: 'enclosed', label: 'Turned in' },
        ]}
        onChange={(variant) => setVariant(bench, variant)}
      />
    </div>
  );
}
