import { useMemo, useState } from 'react';
import { turnRadians } from '../../../core/edge/shape';
import type { StripPlan } from '../../../core/finish/fold-plan';
import { lengthAfterTrimmingMm } from '../../../core/fold/opening';
import { Impossible } from '../../../core/impossible';
import { cutStrip, type StripCut, type StripWay } from '../../../core/strip/cut';
import { usualJoinSeamMm, type StripEnds } from '../../../core/strip/needed';
import { packageFor } from '../../../core/strip/package';
import type { KeptPart } from '../../bench/bench';
import { useLengths } from '../../app/lengths-context';
import { LengthField } from '../../controls/length-field';
import { LineChoice } from '../../controls/line-choice';
import { CuttingPlan } from '../../pictures/cutting-plan';
import { counted } from '../../words/number';
import { issueInWords } from '../../words/refusals';

/** A piece as there often is one, where nobody said what is left of the cloth, mm. */
const usualPieceMm = [1400, 300] as const;
/** A package as they are often sold, mm. Starting guess. */
const usualPackageMm = 2740;

const endNames = [
  ['turned', 'Turned in'],
  ['overlap', 'Lapped'],
  ['diagonal', 'Joined aslant'],
] as const;

/** How long the strip is cut for this edge, and from what. */
export function StripCutPanel({ bench, strip }: { bench: KeptPart; strip: StripPlan }) {
  const { edge, cloth, strip: own, record } = bench;
  const lengths = useLengths();
  const [ends, setEnds] = useState<StripEnds>('turned');
  const trimMm = record.fold.seamAllowanceMm ?? 0;
  const edgeMm = lengthAfterTrimmingMm(edge.lengthMm, trimMm, turnRadians(edge));
  return (
    <div className="flex h-full flex-col">
      <div className="flex flex-wrap items-center gap-x-4 border-b border-line px-3">
        <p className="text-sm">
          <b>{lengths.cloth(edgeMm)}</b> of edge{trimMm > 0 && ', after trimming'}
        </p>
        <LineChoice<StripEnds>
          label="How its ends meet"
          value={ends}
          options={endNames}
          onChange={setEnds}
          className="ml-auto"
        />
      </div>
      {strip.cutting === 'none' ? (
        <FromPackages edgeMm={edgeMm} ends={ends} stripMm={strip.widthMm} />
      ) : (
        <FromCloth
          cloth={own ?? cloth}
          {...{ edgeMm, ends, stripMm: strip.widthMm }}
          ways={strip.cutting === 'bias' ? ['bias', 'tube'] : ['across', 'bias']}
        />
      )}
    </div>
  );
}

const wayNames = { bias: 'On the bias', across: 'Across the grain', tube: 'A tube' } as const;

function FromCloth(props: {
  cloth: KeptPart['cloth'];
  edgeMm: number;
  ends: StripEnds;
  stripMm: number;
  ways: readonly StripWay[];
}) {
  const { cloth, edgeMm, ends, stripMm, ways } = props;
  const lengths = useLengths();
  const [way, setWay] = useState<StripWay>(ways[0] ?? 'bias');
  const [piece, setPiece] = useState<readonly [number | null, number | null]>([null, null]);
  const wideMm = piece[0] ?? cloth.widthMm ?? usualPieceMm[0];
  const longMm = piece[1] ?? (cloth.lengthLeftMm || usualPieceMm[1]);
  const cut = useMemo((): StripCut | Impossible => {
    try {
      const asked = { way, stripMm, ends, neededMm: edgeMm, seamMm: usualJoinSeamMm };
      return cutStrip({ ...asked, clothMm: [wideMm, longMm] });
    } catch (error) {
      if (error instanceof Impossible) return error;
      throw error;
    }
  }, [way, stripMm, ends, edgeMm, wideMm, longMm]);
  const refuse = (mm: number) => (mm >= 10 && mm <= 50_000 ? null : 'A piece is 1 cm to 50 m.');
  return (
    <>
      <div className="flex flex-wrap items-end gap-x-4 px-3 pt-2">
        <LengthField
          compact
          label="The piece, across the grain"
          value={wideMm}
          refuse={refuse}
          onCommit={(mm) => setPiece([mm, piece[1]])}
        />
        <LengthField
          compact
          label="Along the grain"
          value={longMm}
          refuse={refuse}
          onCommit={(mm) => setPiece([piece[0], mm])}
        />
        <LineChoice<StripWay>
          label="How it is cut"
          value={way}
          options={ways.map((one) => [one, wayNames[one]] as const)}
          onChange={setWay}
        />
      </div>
      {cut instanceof Impossible ? (
        <p role="alert" className="px-4 py-3 text-madder">
          {cut.issues.map((issue) => issueInWords(issue, lengths)).join(' ')}
        </p>
      ) : (
        <>
          <div className="h-64 min-h-0 shrink-0 md:h-auto md:shrink md:grow">
            <CuttingPlan
              clothMm={[wideMm, longMm]}
              pieces={cut.pieces}
              cutting={cut.fewest ?? cut.pieces.length}
            />
          </div>
          <Enough cut={cut} way={way} />
        </>
      )}
    </>
  );
}

/** Whether it is enough, in one number. */
function Enough({ cut, way }: { cut: StripCut; way: StripWay }) {
  const { cloth } = useLengths();
  const { enough, leftMm, totalMm, wantedMm, pieces, joins, fewest } = cut;
  const strips = fewest ?? pieces.length;
  return (
    <div
      role="status"
      className="flex shrink-0 flex-wrap items-baseline gap-x-4 border-t border-line px-4 py-2 sm:flex-nowrap"
    >
      <p className={`big-number shrink-0 text-2xl ${enough ? 'text-moss' : 'text-madder'}`}>
        {!enough
          ? `✕ ${cloth(-leftMm)} missing`
          : way === 'tube'
            ? '✓ in one'
            : `✓ ${counted(strips, 'strip')}`}
      </p>
      <p>
        {cloth(wantedMm)} with both ends
        {way === 'tube'
          ? `; this piece gives ${cloth(totalMm)} in one, cut round and round.`
          : enough
            ? `: ${strips === 1 ? 'the longest does, without a join' : counted(strips - 1, 'join')}. All of the piece would give ${cloth(totalMm)}.`
            : `; this piece gives ${cloth(totalMm)}: ${counted(pieces.length, 'strip')}, ${counted(joins, 'join')}.`}
      </p>
    </div>
  );
}

/** Ready-made: how many packages, and what one of them binds. */
function FromPackages(props: { edgeMm: number; ends: StripEnds; stripMm: number }) {
  const { edgeMm, ends, stripMm } = props;
  const { cloth } = useLengths();
  const [packageMm, setPackage] = useState(usualPackageMm);
  // Round anything: a rectangle of that perimeter, three to four.
  const sides = [(edgeMm * 3) / 14, (edgeMm * 4) / 14] as const;
  const it = packageFor({ packageMm, sides, ends, stripMm, joinMm: 2 * usualJoinSeamMm });
  return (
    <div className="grid content-start gap-3 px-4 py-3">
      <LengthField
        compact
        label="Length in a package"
        value={packageMm}
        refuse={(mm) => (mm >= 100 && mm <= 200_000 ? null : 'A package holds 10 cm to 200 m.')}
        onCommit={(mm) => mm !== null && setPackage(mm)}
      />
      <div role="status" className="flex flex-wrap items-baseline gap-x-4">
        <p className={`big-number text-2xl ${it.joins === 0 ? 'text-moss' : 'text-ochre'}`}>
          {counted(it.packages, 'package')}
        </p>
        <p>
          {cloth(it.neededMm)} with both ends:{' '}
          {it.joins === 0
            ? `${cloth(it.spareMm)} over, no join.`
            : `${counted(it.joins, 'join')}; one alone misses ${cloth(-it.spareMm)}.`}
        </p>
      </div>
      <p className="text-soft">
        One package binds up to {cloth(it.largest.sides[0])} × {cloth(it.largest.sides[1])}, three
        to four, without a join.
      </p>
    </div>
  );
}
