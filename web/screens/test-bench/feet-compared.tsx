import { useMemo } from 'react';
import type { FootRecord } from '../../../contract/records';
import { Impossible } from '../../../core/impossible';
import { withAttachment } from '../../../core/kit/binder';
import { presserTroubles, type PresserTrouble } from '../../../core/kit/presser-beside';
import { judge } from '../../../core/plan/judge';
import { setUpOf } from '../../../core/plan/set-up-of';
import { startingSetting } from '../../../core/plan/starting-setting';
import { useLengths } from '../../ground/lengths-context';
import { useList } from '../../ground/records';
import { Button } from '../../controls/button';
import { FootOutline } from '../../pictures/foot-outline';
import { counted } from '../../words/number';
import type { Bench } from '../../bench/bench';
import { changePlan } from '../../bench/plan-change';

/** So many are worth a scrap each. */
const mostFeet = 3;

/** What speaks against a foot, in three words. */
const speaks: Readonly<Record<PresserTrouble, string>> = {
  'no-presser': 'Made for something else.',
  'too-narrow': 'Does not hold the whole binding.',
  'too-long': 'Long for this curve.',
};

/** What a foot would reach behind the attachment, and what was sewn with it. */
interface Tried {
  readonly foot: FootRecord;
  /** Null where the needle would meet it. */
  readonly chance: number | null;
  readonly troubles: readonly PresserTrouble[];
  readonly sewn: number;
  readonly held: number;
}

/** Which foot presses best behind an attachment: up to three of the drawer, a scrap with each. */
export function FeetCompared({ bench }: { bench: Bench }) {
  const { attachment, plan, finish, record, everyAttempt, folds } = bench;
  const feet = useList('feet').data;
  const { fine } = useLengths();
  const outsideMm = folds?.stitchFromHemlineMm ?? (record.fold.depthMm ?? 0) * 0.75;
  const tried = useMemo((): Tried[] => {
    if (!attachment || !feet) return [];
    const all = feet.flatMap((foot): Tried[] => {
      const troubles = presserTroubles(foot, outsideMm, plan.edge.minRadiusMm);
      if (troubles.includes('no-presser')) return [];
      const scraps = everyAttempt.filter(({ names }) => names.foot.endsWith(foot.name));
      const counts = scraps.flatMap((scrap) => scrap.counts);
      const sewn = counts.reduce((sum, { n }) => sum + n, 0);
      const faults = counts.reduce((sum, { short, over }) => sum + short + over, 0);
      return [
        {
          ...{ foot, troubles, sewn, held: sewn - faults },
          chance: chanceWith(bench, withAttachment(foot.specs, attachment.specs)),
        },
      ];
    });
    return all
      .sort(
        (a, b) =>
          a.troubles.length - b.troubles.length ||
          (b.chance ?? -1) - (a.chance ?? -1) ||
          a.foot.soleMm.toeMm - b.foot.soleMm.toeMm,
      )
      .slice(0, mostFeet);
    // oxlint-disable-next-line react/exhaustive-deps -- Of the bench only plan and finish matter.
  }, [attachment, feet, outsideMm, plan, finish, everyAttempt]);
  const next = tried.find(({ sewn, chance }) => sewn === 0 && chance !== null);
  const best = [...tried]
    .filter(({ sewn }) => sewn > 0)
    .sort((a, b) => b.held / b.sewn - a.held / a.sewn)[0];
  return (
    <div className="px-4 py-3">
      <h2 className="text-xl">Which foot presses behind the {attachment?.name.toLowerCase()}?</h2>
      <p className="text-soft" role="status">
        {next
          ? `Sew a scrap with each, everything else the same. Next: ${next.foot.name}.`
          : best
            ? `All are sewn. ${best.foot.name} held ${best.held} of ${best.sewn}.`
            : 'No foot of the drawer presses here.'}
      </p>
      <ul aria-label="Feet that press" className="grid gap-3 pt-3 md:grid-cols-3">
        {tried.map(({ foot, chance, troubles, sewn, held }) => (
          <li key={foot.id} className="border-t-3 border-line pt-2">
            <div className="h-64 overflow-hidden">
              <FootOutline foot={foot} />
            </div>
            <p className="font-bold">{foot.name}</p>
            <p>
              {chance === null
                ? 'The needle would meet it.'
                : `${Math.floor(chance * 100)} of 100 would hold.`}
            </p>
            <p className="text-sm text-soft">
              {troubles.map((trouble) => `${speaks[trouble]} `)}
              {fine(foot.soleMm.widthMm)} wide, {fine(foot.soleMm.toeMm)} to the toe.
            </p>
            <p className="pb-2">
              {sewn === 0
                ? 'Not sewn yet.'
                : `${held} of ${counted(sewn, 'stitch', 'stitches')} held.`}
            </p>
            <Button
              disabled={record.footId === foot.id || chance === null}
              onClick={() => changePlan(record.id, { footId: foot.id, settings: null })}
            >
              {record.footId === foot.id ? 'It is on' : 'Put it on'}
            </Button>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** The chance of the best setting with another foot; null where none clears it. */
function chanceWith({ finish, plan }: Bench, foot: Bench['plan']['foot']): number | null {
  try {
    const other = { ...plan, foot };
    const set = setUpOf(finish, other);
    const judged = judge(set, startingSetting(finish, other, set));
    return judged.blocked ? null : judged.chance;
  } catch (error) {
    if (error instanceof Impossible) return null;
    throw error;
  }
}
