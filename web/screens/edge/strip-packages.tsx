import { PackageCheck } from 'lucide-react';
import { useState } from 'react';
import { usualJoinSeamMm } from '../../../core/strip/needed';
import { packageFor, type PackageAnswer } from '../../../core/strip/package';
import type { StripAlong } from '../../../core/plan/strip-along';
import { useLengths } from '../../ground/lengths-context';
import { notify } from '../../ground/notices';
import { change } from '../../ground/records';
import { Button } from '../../controls/button';
import { LengthField } from '../../controls/length-field';
import { BoundRectangle } from '../../pictures/bound-rectangle';
import { counted } from '../../words/number';
import type { KeptPart } from '../../bench/bench';

/** A package as they are often sold, mm. Starting guess. */
const usualPackageMm = 2743.2;

/** What is often bound, and how large it usually is, mm. Starting guesses. */
const usualThings: readonly (readonly [name: string, sides: Sides])[] = [
  ['placemat', [330, 480]],
  ['cot blanket', [762, 1016]],
  ['lap quilt', [1067, 1372]],
];

type Sides = readonly [wideMm: number, highMm: number];

/** What is bound, as a rectangle: as it was measured, else one of that perimeter, three to four. */
function sidesOf({ edge }: KeptPart, edgeMm: number): Sides {
  const { form } = edge;
  const [first, second] = form?.kind === 'cornered' ? form.sides : [];
  return first && second
    ? [first.lengthMm, second.lengthMm]
    : [(edgeMm * 3) / 14, (edgeMm * 4) / 14];
}

/** Ready-made: which package binds it, what one of them binds, and taking it. */
export function StripPackages(props: { bench: KeptPart; along: StripAlong; stripMm: number }) {
  const { bench, along, stripMm } = props;
  const { strip, edge } = bench;
  const { cloth } = useLengths();
  const [typedMm, typePackage] = useState<number | null>(null);
  const [typed, typeSides] = useState<readonly [number | null, number | null]>([null, null]);
  const packageMm = typedMm ?? strip?.readyMade?.packageMm ?? usualPackageMm;
  const own = sidesOf(bench, along.neededMm);
  const sides: Sides = [typed[0] ?? own[0], typed[1] ?? own[1]];
  const asIs = typed[0] === null && typed[1] === null;
  const it = packageFor({
    packageMm,
    sides,
    ends: along.ends,
    stripMm,
    joinMm: 2 * usualJoinSeamMm,
  });
  const rectangle = edge.form?.kind === 'cornered' || !asIs;
  const refuse = (mm: number) => (mm >= 10 && mm <= 50_000 ? null : 'A side is 1 cm to 50 m.');
  return (
    <div className="flex min-h-0 grow flex-col md:flex-row">
      <div className="h-60 min-h-0 shrink-0 grow md:h-auto md:w-0 md:shrink">
        <BoundRectangle sides={sides} largest={it.largest.sides} />
      </div>
      <div className="grid w-full shrink-0 content-start gap-1.5 overflow-y-auto border-t border-line px-4 py-2 md:w-104 md:border-t-0 md:border-l">
        <div className="grid grid-cols-[1.15fr_1fr_1fr] gap-2">
          <LengthField
            compact
            label="In a package"
            value={packageMm}
            refuse={(mm) => (mm >= 100 && mm <= 200_000 ? null : 'A package holds 10 cm to 200 m.')}
            onCommit={typePackage}
          />
          <LengthField
            compact
            label="Wide"
            value={sides[0]}
            refuse={refuse}
            onCommit={(mm) => typeSides([mm, typed[1]])}
          />
          <LengthField
            compact
            label="High"
            value={sides[1]}
            refuse={refuse}
            onCommit={(mm) => typeSides([typed[0], mm])}
          />
        </div>
        {!rectangle && (
          <p className="text-sm text-soft">
            Not a rectangle: sides of the same length round, three to four.
          </p>
        )}
        <Answer it={it} />
        <p className="text-sm">
          One package binds up to{' '}
          <b>
            {cloth(it.largest.sides[0])} × {cloth(it.largest.sides[1])}
          </b>{' '}
          in this proportion, without a join.
        </p>
        <p className="text-sm text-soft">
          Round what else:{' '}
          {usualThings.map(([name, size]) => {
            const of = packageFor({
              ...{ packageMm, sides: size, ends: along.ends, stripMm },
              joinMm: 2 * usualJoinSeamMm,
            });
            return (
              <span key={name} className="mr-2 inline-block">
                {of.spareMm >= -1e-6 ? '✓' : '✕'} {name}, {cloth(size[0])} × {cloth(size[1])}
              </span>
            );
          })}
        </p>
        {asIs && <TakeOff bench={bench} neededMm={it.neededMm} />}
      </div>
    </div>
  );
}

function Answer({ it }: { it: PackageAnswer }) {
  const { cloth } = useLengths();
  return (
    <div role="status">
      <p className={`big-number text-2xl ${it.joins === 0 ? 'text-moss' : 'text-ochre'}`}>
        {it.joins === 0 ? '✓ ' : '! '}
        {counted(it.packages, 'package')}
      </p>
      <p>
        {cloth(it.perimeterMm)} round, {cloth(it.neededMm)} with both ends:{' '}
        {it.joins === 0
          ? `${cloth(it.spareMm)} over, no join.`
          : `${counted(it.joins, 'join')}, mid-side and never at a corner; one alone misses ${cloth(-it.spareMm)}.`}
      </p>
    </div>
  );
}

/** What is left of a ready-made binding on the shelf, and taking what is needed of it. */
function TakeOff({ bench: { strip }, neededMm }: { bench: KeptPart; neededMm: number }) {
  const { cloth } = useLengths();
  if (!strip?.readyMade) return null;
  const left = strip.lengthLeftMm ?? 0;
  const enough = left >= neededMm - 1e-6;
  return (
    <>
      <p className={`text-sm ${enough ? 'text-soft' : 'font-bold text-madder'}`}>
        {enough
          ? `${cloth(left)} of ${strip.name} lie on the shelf.`
          : `${strip.name}: ${cloth(left)} on the shelf, ${cloth(neededMm - left)} missing.`}
      </p>
      <Button
        className="min-h-10"
        disabled={!enough}
        onClick={() => {
          change('cloths', strip.id, { lengthLeftMm: Math.max(0, left - neededMm) });
          notify({
            kind: 'info',
            text: `${cloth(neededMm)} of ${strip.name} are off the shelf; undo gives them back.`,
          });
        }}
      >
        <PackageCheck size={16} aria-hidden /> Cut it off
      </Button>
    </>
  );
}
