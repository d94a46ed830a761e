import { useMemo, type ReactNode } from 'react';
import type { StripPlan } from '../../../core/finish/fold-plan';
import { Impossible } from '../../../core/impossible';
import { stripAlong, type StripAlong } from '../../../core/plan/strip-along';
import { joinsAlong, noJoinsAtMm } from '../../../core/strip/along';
import { cutStrip, type StripAsked, type StripCut, type StripWay } from '../../../core/strip/cut';
import { usualJoinSeamMm, usualPieceMm, type StripEnds } from '../../../core/strip/needed';
import { takings } from '../../../core/strip/taking';
import type { KeptPart, SetUpPart } from '../../bench/bench';
import { stripChoiceOf } from '../../bench/strip-choice';
import { useTypedPiece } from '../../bench/typed-piece';
import { useLengths } from '../../ground/lengths-context';
import { LengthField } from '../../controls/length-field';
import { LineChoice } from '../../controls/line-choice';
import { CuttingPlan } from '../../pictures/cutting-plan';
import { JoinsLine } from '../../pictures/joins-line';
import { ownColours } from '../../pictures/own-colours';
import { TubePicture } from '../../pictures/tube-picture';
import { counted } from '../../words/number';
import { issueInWords } from '../../words/refusals';
import { StripPackages } from './strip-packages';
import { StripPieces, StripSheet } from './strip-pieces';

const endNames = [
  ['turned', 'Turned in'],
  ['overlap', 'Lapped'],
  ['diagonal', 'Joined aslant'],
] as const;

/** How long the strip is cut for this edge, and from what. */
export function StripCutPanel({ bench, strip }: { bench: KeptPart & SetUpPart; strip: StripPlan }) {
  const { record, strip: own } = bench;
  const lengths = useLengths();
  const { setEnds } = stripChoiceOf(bench);
  const along = stripAlong(bench.edge, record);
  const { ends } = along;
  const trimMm = record.fold.seamAllowanceMm ?? 0;
  const ready = own?.readyMade ?? null;
  const percent = Math.round(along.shorterShare * 100);
  return (
    <div className="flex h-full flex-col">
      <div className="flex flex-wrap items-center gap-x-4 border-b border-line px-3">
        <p className="text-sm">
          <b>{lengths.cloth(along.edgeMm)}</b> of edge{trimMm > 0 && ', after trimming'}
          {percent > 0 && `; cut ${percent} % shorter`}
        </p>
        <LineChoice<StripEnds>
          label="How its ends meet"
          value={ends}
          options={endNames}
          onChange={setEnds}
          className="ml-auto"
        />
      </div>
      {ready || strip.cutting === 'none' ? (
        <StripPackages {...{ bench, along }} stripMm={strip.widthMm} />
      ) : (
        <div
          className="flex min-h-0 grow flex-col"
          style={ownColours({ cloth: (own ?? bench.cloth).colour, thread: null })}
        >
          <FromCloth
            {...{ bench, along }}
            stripMm={strip.widthMm}
            ways={strip.cutting === 'bias' ? ['bias', 'tube'] : ['across', 'bias']}
          />
        </div>
      )}
    </div>
  );
}

const wayNames = { bias: 'On the bias', across: 'Across the grain', tube: 'A tube' } as const;

function FromCloth(props: {
  bench: KeptPart & SetUpPart;
  along: StripAlong;
  stripMm: number;
  ways: readonly StripWay[];
}) {
  const { bench, along, stripMm, ways } = props;
  const { edgeMm, neededMm, ends } = along;
  const lengths = useLengths();
  const cloth = bench.strip ?? bench.cloth;
  const choice = stripChoiceOf(bench);
  const way = ways.find((one) => one === choice.way) ?? ways[0] ?? 'bias';
  const [piece, setPiece] = useTypedPiece(bench.record.id);
  const wideMm = piece[0] ?? cloth.widthMm ?? usualPieceMm[0];
  const longMm = piece[1] ?? (cloth.lengthLeftMm || usualPieceMm[1]);
  const asked = useMemo(
    (): StripAsked => ({
      ...{ way, stripMm, ends, seamMm: usualJoinSeamMm },
      neededMm,
      clothMm: [wideMm, longMm],
    }),
    [way, stripMm, ends, neededMm, wideMm, longMm],
  );
  const offered = useMemo(() => takings(asked, 4), [asked]);
  const taking = offered.find(({ pieces }) => pieces === choice.strips) ?? offered[0] ?? null;
  const takenMm = taking?.lengthMm ?? null;
  const cut = useMemo((): StripCut | Impossible => {
    try {
      return cutStrip({ ...asked, clothMm: [wideMm, takenMm ?? longMm] });
    } catch (error) {
      if (error instanceof Impossible) return error;
      throw error;
    }
  }, [asked, wideMm, longMm, takenMm]);
  const refuse = (mm: number) => (mm >= 10 && mm <= 50_000 ? null : 'A piece is 1 cm to 50 m.');
  const joins = cut instanceof Impossible ? null : joinsAlong(along, cut, ends, stripMm);
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
          onChange={choice.setWay}
        />
      </div>
      {cut instanceof Impossible ? (
        <p role="alert" className="px-4 py-3 text-madder">
          {cut.issues.map((issue) => issueInWords(issue, lengths)).join(' ')}
        </p>
      ) : (
        <>
          <div className="flex min-h-0 grow flex-col md:min-h-44 md:flex-row">
            <div className="h-56 min-h-0 shrink-0 grow md:h-auto md:w-0 md:shrink">
              {way === 'tube' ? (
                <TubePicture clothMm={[wideMm, longMm]} stripMm={stripMm} />
              ) : (
                <CuttingPlan
                  clothMm={[wideMm, longMm]}
                  pieces={cut.pieces}
                  cutting={cut.fewest ?? cut.pieces.length}
                  takenMm={takenMm}
                />
              )}
            </div>
            <StripPieces
              {...{ bench, cut, joins, way, taking, offered }}
              pieceMm={[wideMm, longMm]}
              onStrips={choice.setStrips}
            />
          </div>
          {joins && joins.joins.length > 0 && (
            <JoinsLine edgeMm={edgeMm} joins={joins.joins} avoidMm={noJoinsAtMm(along)} />
          )}
          <Enough cut={cut} way={way}>
            <StripSheet planId={bench.record.id} way={way} pieceMm={[wideMm, takenMm ?? longMm]} />
          </Enough>
        </>
      )}
    </>
  );
}

/** Whether it is enough, in one number. */
function Enough({ cut, way, children }: { cut: StripCut; way: StripWay; children: ReactNode }) {
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
            ? `: ${strips === 1 ? 'the longest does, without a join' : counted(strips - 1, 'join')}.`
            : `; this piece gives ${cloth(totalMm)}: ${counted(pieces.length, 'strip')}, ${counted(joins, 'join')}.`}
      </p>
      {children}
    </div>
  );
}
