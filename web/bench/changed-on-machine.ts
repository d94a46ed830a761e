import { putBackOf, type PutBack } from '../../core/kit/put-back';
import { startingValuesOf } from '../../core/plan/work';
import { Impossible } from '../../core/impossible';
import type { DialsPart, KeptPart, SetUpPart, WorkPart } from './bench';

/** What this work changes on its machine from how that usually stands. */
export function changedOnMachine({
  machine,
  finish,
  work,
  dials,
}: Pick<
  KeptPart & SetUpPart & WorkPart & DialsPart,
  'machine' | 'finish' | 'work' | 'dials'
>): PutBack[] {
  try {
    return putBackOf(machine.usual, startingValuesOf(finish, work), dials);
  } catch (error) {
    if (error instanceof Impossible) return [];
    throw error;
  }
}
