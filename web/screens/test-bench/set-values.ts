import type { StartingValue } from '../../../core/finish/work';
import { valuesBesideDials } from '../../../core/plan/work';
import type { LessonPart, SetUpPart, WorkPart } from '../../bench/bench';
import type { ScrapDraft } from './scrap-draft';

/** A value that is set or put in beside the solved dials, as it stands on the next scrap. */
export interface SetValue extends StartingValue {
  readonly now: number | string;
  /** What it was on the scrap before, or what the plan starts with. */
  readonly before: number | string;
}

/** Values that have a dial of their own on the slip. */
export const placedIds = ['flange', 'stand-off'];

/** What stands besides the solved dials: as on the scrap before, until it is changed. */
export function setValuesOf(
  { finish, request, attempts }: SetUpPart & WorkPart & LessonPart,
  draft: Pick<ScrapDraft, 'dialValues'>,
): SetValue[] {
  const last = attempts.at(-1);
  return valuesBesideDials(finish, request).map((value) => {
    // Where a binder stands the plan says, and the slip turns.
    if (placedIds.includes(value.id)) {
      return { ...value, before: last?.dialValues[value.id] ?? value.value, now: value.value };
    }
    const before = (last?.finish === finish.id ? last.dialValues[value.id] : null) ?? value.value;
    return { ...value, before, now: draft.dialValues[value.id] ?? before };
  });
}
