import { Printer, Scissors } from 'lucide-react';
import type { JoinsPlaced } from '../../../core/strip/joins';
import type { StripCut, StripWay } from '../../../core/strip/cut';
import type { Taking } from '../../../core/strip/taking';
import type { OnCloth } from '../../../core/strip/piece';
import { useLengths } from '../../ground/lengths-context';
import { notify } from '../../ground/notices';
import { change } from '../../ground/records';
import { Button } from '../../controls/button';
import { SelectField } from '../../controls/select-field';
import { counted } from '../../words/number';
import type { KeptPart } from '../../bench/bench';

/** A join nearer than this to a corner or a seam is said, mm. */
const nearMm = 25;

interface StripPiecesProps {
  readonly bench: KeptPart;
  readonly cut: StripCut;
  readonly joins: JoinsPlaced | null;
  readonly way: StripWay;
  readonly pieceMm: OnCloth;
  /** How it is taken off the cloth; null where that is not enough. */
  readonly taking: Taking | null;
  /** The same with more joins, which cost less cloth. */
  readonly offered: readonly Taking[];
  onStrips(strips: number): void;
}

/** The pieces by number, what is left of the cloth, and cutting it off the shelf's. */
export function StripPieces(props: StripPiecesProps) {
  const { bench, cut, joins, way, pieceMm, taking, offered, onStrips } = props;
  const takesMm = taking?.lengthMm ?? null;
  const { cloth: inCloth } = useLengths();
  const cloth = bench.strip ?? bench.cloth;
  const strips = cut.pieces.slice(0, cut.fewest ?? cut.pieces.length);
  const left = cloth.lengthLeftMm;
  const take = () => {
    if (takesMm === null || left === null) return;
    change('cloths', cloth.id, { lengthLeftMm: Math.max(0, left - takesMm) });
    notify({
      kind: 'info',
      text: `${inCloth(takesMm)} of ${cloth.name} are off the shelf; undo gives them back.`,
    });
  };
  return (
    <div className="flex w-full shrink-0 flex-col gap-1 overflow-y-auto border-t border-line px-3 py-2 text-sm md:w-60 md:border-t-0 md:border-l">
      {way !== 'tube' && (
        <ol aria-label="Pieces, in the order they are joined" className="columns-2 gap-x-3">
          {strips.map(({ lengthMm, fromMm }, i) => (
            <li key={fromMm.join(' ')} className="flex justify-between border-b border-line">
              <span className="text-soft">{i + 1}</span>
              <b>{inCloth(joins?.cutMm[i] ?? lengthMm)}</b>
            </li>
          ))}
        </ol>
      )}
      {joins && joins.joins.length > 0 && (
        <p className={joins.clearMm < nearMm ? 'font-bold text-ochre' : 'text-soft'}>
          {joins.clearMm < nearMm
            ? `A join comes within ${inCloth(joins.clearMm)} of a corner or a seam: a longer piece would clear it.`
            : joins.clearMm === Infinity
              ? 'No corner or seam is in the way of a join.'
              : `Every join is at least ${inCloth(joins.clearMm)} from corners and seams.`}
        </p>
      )}
      {takesMm !== null && (
        <>
          {offered.length > 1 && taking && (
            <SelectField
              label="Joined from"
              value={String(taking.pieces)}
              options={offered.map(({ pieces, lengthMm }) => ({
                value: String(pieces),
                label: `${counted(pieces, 'strip')}: ${inCloth(lengthMm)}`,
              }))}
              onChange={(strips) => onStrips(Number(strips))}
            />
          )}
          <Button
            onClick={take}
            disabled={left === null || takesMm > left + 1e-6}
            className="min-h-10 text-sm"
          >
            <Scissors size={16} aria-hidden /> Cut {inCloth(takesMm)} off
          </Button>
          <p className="text-soft">
            {inCloth(Math.max(0, pieceMm[1] - takesMm))} of the length remain.
          </p>
          {(left === null || takesMm > left) && (
            <p className="text-soft">
              {left === null
                ? `The shelf does not say how much is left of ${cloth.name}.`
                : `${inCloth(left)} of ${cloth.name} are left on the shelf.`}
            </p>
          )}
        </>
      )}
    </div>
  );
}

/** The cutting plan on paper, with a line at 45° to lay against the selvedge. */
export function StripSheet(props: { planId: string; way: StripWay; pieceMm: OnCloth }) {
  const { planId, way, pieceMm } = props;
  const sheet = (page: 'a4' | 'letter') =>
    `/api/plans/${planId}/strip.pdf?page=${page}&way=${way}&wideMm=${pieceMm[0]}&longMm=${pieceMm[1]}`;
  return (
    <p className="no-print ml-auto flex shrink-0 items-center gap-x-2 text-sm">
      <Printer size={16} aria-hidden /> with a 45° line:
      {(['a4', 'letter'] as const).map((page) => (
        <a
          key={page}
          href={sheet(page)}
          target="_blank"
          rel="noreferrer"
          className="inline-flex min-h-9 items-center underline underline-offset-2"
        >
          {page === 'a4' ? 'A4' : 'Letter'}
        </a>
      ))}
    </p>
  );
}
