import { edgeSchoolsFor, type EdgeQuestions } from '../../../core/finish/edge-schools';
import { edgeQuestionsOf } from '../../../core/plan/work';
import type { Bench } from '../../bench/bench';
import { SchoolChoices } from './school-choices';

type Asking = Pick<Bench, 'finish' | 'request' | 'folds' | 'record'>;

/** What of these the edge itself brings up with this finish. */
export function EdgeSchools({
  bench: { finish, request, folds, record },
  about,
}: {
  bench: Asking;
  about: readonly (keyof EdgeQuestions)[];
}) {
  const asked = edgeQuestionsOf(finish, request, folds?.finishedDepthMm ?? null);
  return (
    <SchoolChoices
      {...{ record, finish }}
      variant={request.wish.variant}
      schools={edgeSchoolsFor(asked).filter(({ askedBy }) => about.includes(askedBy))}
    />
  );
}
