import { Printer } from 'lucide-react';
import type { Cloth } from '../../../core/cloth/cloth';
import { tapersOf, type EdgeForm } from '../../../core/edge/form';
import type { FittedEdge } from '../../../core/edge/fullness';
import { mitreOf } from '../../../core/edge/mitre';
import {
  longerLeg,
  pairMarks,
  slantDegrees,
  slantTurn,
  slantPlaceNames,
} from '../../../core/edge/slant';
import {
  deepestSharedMm,
  deepestUntaperedMm,
  taperShare,
  type Taper,
} from '../../../core/edge/taper';
import { turnOnEdge, type TurnOnEdge } from '../../../core/edge/turned-on';
import { pressedAwayShare } from '../../../core/fold/fullness';
import { useLengths } from '../../ground/lengths-context';

interface FactsProps<K extends EdgeForm['kind']> {
  readonly form: Extract<EdgeForm, { kind: K }>;
  readonly depthMm: number;
  /** Cloth beyond the finished edge. */
  readonly allowanceMm: number;
  /** How much too long or too short a raw edge may be and still press flat, a share. */
  readonly pressedShare: number;
}

function Big({ number, children }: { number: string; children: React.ReactNode }) {
  return (
    <div className="flex flex-wrap items-baseline gap-x-4 gap-y-1">
      <p className="big-number shrink-0 text-2xl">{number}</p>
      <p className="min-w-0">{children}</p>
    </div>
  );
}

/** Where the hemline and the cut line are marked on each leg, and what the slant does to the turn. */
function SlantFacts({ form, depthMm, allowanceMm }: FactsProps<'slant'>) {
  const { cloth } = useLengths();
  const { flatWidthMm, left, right } = form;
  const legs = { left: { ...left, flatWidthMm }, right: { ...(right ?? left), flatWidthMm } };
  const { snipAt, doubleAt, snipOpensMm } = slantTurn(legs.left, depthMm);
  const marks = pairMarks(legs, Math.max(0, allowanceMm)).filter(
    ({ leg, layer }) => layer === 'outer' && (right !== null || leg === 'left'),
  );
  const differ = (['frontMm', 'backMm'] as const)
    .map((end) => ({ end, ...longerLeg(legs, end) }))
    .filter(({ leg }) => leg !== 'same');
  return (
    <div className="grid gap-2">
      <Big number={`${Math.abs(slantDegrees(legs.left)).toFixed(1)}°`}>
        {snipAt && doubleAt
          ? `Turned up ${cloth(depthMm)}, a snip at the ${slantPlaceNames[snipAt]} opens ${cloth(snipOpensMm)}; as much lies double at the ${slantPlaceNames[doubleAt]}.`
          : 'Level: nothing to snip.'}
        {differ.map(({ end, leg, byMm }) => (
          <span key={end}>
            {' '}
            The {leg} leg is {cloth(byMm)} longer {end === 'frontMm' ? 'in front' : 'at the back'}.
          </span>
        ))}
      </Big>
      <table className="w-full text-left text-sm">
        <caption className="pb-1 text-left text-soft">
          Marks from the waist down, the same on both layers of {right ? 'each leg' : 'both legs'}
        </caption>
        <thead>
          <tr className="border-b border-line">
            {right && <th scope="col">leg</th>}
            <th scope="col">place</th>
            <th scope="col">hemline</th>
            {allowanceMm > 0 && <th scope="col">cut</th>}
          </tr>
        </thead>
        <tbody>
          {marks.map(({ leg, place, mm, cutMm }) => (
            <tr key={`${leg} ${place}`} className="border-b border-line">
              {right && <td>{leg}</td>}
              <th scope="row" className="font-normal">
                {slantPlaceNames[place]}
              </th>
              <td className="font-bold">{cloth(mm)}</td>
              {allowanceMm > 0 && <td>{cloth(cutMm)}</td>}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

/** What is missing where the raw edge lands, and how the seams give it. */
function TaperFacts({ form, ...rest }: FactsProps<'taper'>) {
  const legs = tapersOf(form);
  return legs.map((leg, i) => (
    <div key={i}>
      {legs.length > 1 && <p className="text-sm text-soft">{i === 0 ? 'Left leg' : 'Right leg'}</p>}
      <OneTaper form={leg} {...rest} />
    </div>
  ));
}

function OneTaper({
  form,
  depthMm,
  pressedShare,
}: Omit<FactsProps<'taper'>, 'form'> & { form: Taper }) {
  const { cloth } = useLengths();
  const { missingMm, letOutMm, takeInMm, half, mostOutMm } = taperShare(form);
  const turnedMm = Math.max(depthMm, 1);
  if (missingMm <= 0) {
    return (
      <Big number={cloth(-missingMm)}>
        {missingMm === 0
          ? 'The raw edge is as wide as where it lands: no taper.'
          : 'The raw edge is wider than where it lands, by that across the flat leg: ease it in.'}
      </Big>
    );
  }
  return (
    <Big number={`${cloth(missingMm)} missing`}>
      Each of {form.seams} {form.seams === 1 ? 'seam' : 'seams'}: let out {cloth(letOutMm)} at the
      raw edge, take in {cloth(takeInMm)} where it lands, straight between.
      {!half &&
        ` The allowance gives ${cloth(mostOutMm)} and no more; half and half it would do to ${cloth(deepestSharedMm(form, turnedMm))} deep.`}{' '}
      <span className="text-sm text-soft">
        Up to {cloth(deepestUntaperedMm(form, turnedMm, pressedShare))} deep it needs no taper: that
        presses away.
      </span>
    </Big>
  );
}

/** Where each mitre is sewn and trimmed, by the angles there are. */
function CornerFacts({ form, allowanceMm }: FactsProps<'cornered'>) {
  const { cloth } = useLengths();
  const angles = [
    ...new Set(form.sides.filter(({ mitred }) => mitred).map(({ angleDegrees }) => angleDegrees)),
  ];
  if (angles.length === 0 || allowanceMm <= 0) {
    return (
      <Big number={`${form.sides.length} corners`}>
        {angles.length === 0
          ? 'Stitched off each end, cut, turned and begun anew.'
          : 'Nothing is turned in here, so there is no mitre to sew.'}
      </Big>
    );
  }
  return (
    <div className="grid gap-1">
      {angles.map((angleDegrees) => {
        const mitre = mitreOf({ allowanceMm, angleDegrees });
        return (
          <Big key={angleDegrees} number={cloth(mitre.sewLineFromCornerMm)}>
            from the raw corner along each edge{angles.length > 1 && ` (${angleDegrees}°)`}: there
            the mitre is sewn, {cloth(mitre.seamMm)} long; trim {cloth(mitre.trimFromCornerMm)} from
            the corner.
          </Big>
        );
      })}
    </div>
  );
}

/** How long each line of the turn is, and where the allowance is cut into. */
function LineFacts({
  turn: { rawEdgeMm, landsOnMm, cuts },
  turned,
}: {
  turn: TurnOnEdge;
  turned: boolean;
}) {
  const { cloth } = useLengths();
  if (!turned) return <Big number="0">Nothing is turned in here: the edge is as it is cut.</Big>;
  return (
    <Big number={cloth(rawEdgeMm)}>
      along the raw edge; it lands where there is {cloth(landsOnMm)}.
      {cuts.map(
        ({ kind, everyMm, longMm, opensMm }) =>
          ` ${kind === 'clips' ? 'Clips' : 'Notches'} every ${cloth(everyMm)}, ${cloth(longMm)} long, ${kind === 'clips' ? 'open' : 'take out'} ${cloth(opensMm)} each.`,
      )}
    </Big>
  );
}

/** The marks on paper, with a template at true scale. */
function MarksSheet({ edgeId }: { edgeId: string }) {
  return (
    <p className="no-print flex flex-wrap items-center gap-x-4 gap-y-1 pt-2 text-sm">
      <span className="inline-flex items-center gap-2 font-bold">
        <Printer size={17} aria-hidden /> Sheet of marks
      </span>
      {(['a4', 'letter'] as const).map((page) => (
        <a
          key={page}
          className="inline-flex min-h-9 items-center underline"
          href={`/api/edges/${edgeId}/marks.pdf?page=${page}`}
          target="_blank"
          rel="noreferrer"
        >
          PDF, {page === 'a4' ? 'A4' : 'Letter'}
        </a>
      ))}
    </p>
  );
}

/** What follows from how an edge was measured, in numbers one works by. */
export function MeasuredFacts(props: {
  edgeId: string;
  edge: FittedEdge;
  form: EdgeForm;
  depthMm: number;
  allowanceMm: number;
  cloth: Pick<Cloth, 'construction'>;
}): React.ReactNode {
  const { edgeId, edge, form, cloth, ...up } = props;
  const rest = { ...up, pressedShare: pressedAwayShare[cloth.construction] };
  const facts =
    form.kind === 'slant' ? (
      <SlantFacts form={form} {...rest} />
    ) : form.kind === 'taper' ? (
      <TaperFacts form={form} {...rest} />
    ) : form.kind === 'cornered' ? (
      <CornerFacts form={form} {...rest} />
    ) : (
      <LineFacts turn={turnOnEdge({ ...edge, form }, up, cloth)} turned={up.allowanceMm > 0} />
    );
  return (
    <div className="shrink-0 overflow-auto border-t border-line px-4 py-2 md:w-72 md:border-t-0 md:border-l">
      {facts}
      <MarksSheet edgeId={edgeId} />
    </div>
  );
}
