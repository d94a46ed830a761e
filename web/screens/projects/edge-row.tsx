import { Link } from 'react-router';
import type { TableEdge } from '../../../contract/worktable';
import type { ClothRecord, EdgeRecord, PlanRecord } from '../../../contract/records';
import { finishById } from '../../../core/finish/catalogue';
import type { Finish } from '../../../core/finish/finish';
import { Impossible } from '../../../core/impossible';
import { isClosed } from '../../../core/edge/shape';
import { foldPlanOf } from '../../../core/plan/fold-plan';
import { useLengths } from '../../ground/lengths-context';
import { useList, useRemove } from '../../ground/records';
import { RemoveButton } from '../../controls/remove-button';
import { SectionPicture } from '../../pictures/section-picture';
import { counted } from '../../words/number';
import { finishName } from '../../words/finishes';
import { nextInWords } from '../../words/next-move';

/** The folds of a plan, as long as its lengths agree with the cloth. */
function foldsIfAny(finish: Finish, plan: PlanRecord, cloth: ClothRecord) {
  try {
    return foldPlanOf(finish, { wish: plan.fold, cloth: cloth.properties });
  } catch (error) {
    if (error instanceof Impossible) return null;
    throw error;
  }
}

interface EdgeRowProps {
  readonly edge: EdgeRecord;
  readonly plan: PlanRecord | undefined;
  /** How far it has come, and what comes next; undefined until that is known. */
  readonly table: TableEdge | undefined;
}

/** How far an edge has come, in a few words. */
function stateOf({ finish, variant, scraps, keptNumber }: TableEdge): string {
  if (keptNumber !== null) return `setting of scrap ${keptNumber} kept`;
  if (finish === null) return 'no finish chosen yet';
  if (scraps > 0) return counted(scraps, 'scrap');
  return finishById(finish)?.margin(variant) ? 'no scrap yet' : 'starting values';
}

/** An edge in the list: its section, cloth, length, how far it has come and what comes next. */
export function EdgeRow({ edge, plan, table }: EdgeRowProps) {
  const lengths = useLengths();
  const cloth = useList('cloths').data?.find(({ id }) => id === edge.clothId);
  const remove = useRemove('edges');
  const finish = plan?.finish ? finishById(plan.finish) : undefined;
  const folds = cloth && plan && finish ? foldsIfAny(finish, plan, cloth) : null;
  const last = folds?.stages.find(({ id }) => id === 'stitch') ?? folds?.stages.at(-1);
  const kept = typeof table?.keptNumber === 'number';
  const scraps = table?.scraps ?? 0;
  return (
    <li className="sheet flex items-center gap-4 pr-2">
      <Link
        to={`/edges/${edge.id}`}
        className="flex min-w-0 grow flex-col gap-x-5 gap-y-1 p-3 hover:bg-slip sm:flex-row sm:items-center"
      >
        <span className="h-14 w-48 max-w-full shrink-0">
          {last && <SectionPicture stage={last} marks={[]} exaggeration={2} small />}
        </span>
        <span className="min-w-0 grow">
          <span className="block font-head text-xl font-semibold break-words">{edge.name}</span>
          <span className="block text-soft">
            {cloth?.name} · {lengths.cloth(edge.lengthMm)} {isClosed(edge) ? 'round' : 'long'}
            {plan?.finish && ` · ${finishName(plan.finish, plan.fold.variant)}`}
          </span>
        </span>
        {table && (
          <span className="shrink-0 sm:max-w-60 sm:text-right">
            <span className={`block ${kept ? 'font-bold text-moss' : 'text-soft'}`}>
              {kept ? '✓ ' : ''}
              {stateOf(table)}
            </span>
            {table.next.kind !== 'choose' && (
              <span className="block font-bold text-pencil">
                {nextInWords(table.next, lengths)}
              </span>
            )}
          </span>
        )}
      </Link>
      <RemoveButton
        what={`edge “${edge.name}”`}
        consequence={
          scraps === 0
            ? 'No scrap was sewn for it.'
            : `Its ${counted(scraps, 'scrap')} ${scraps === 1 ? 'stays' : 'stay'} in the sample book.`
        }
        onRemove={() => remove.mutate(edge)}
      />
    </li>
  );
}
