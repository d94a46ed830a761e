import { finishById } from '../../core/finish/catalogue';
import type { Finish } from '../../core/finish/finish';
import { Impossible, refusal } from '../../core/impossible';

/** The finish of an id. @throws Impossible at `finish` */
export function knownFinish(id: string): Finish {
  const finish = finishById(id);
  if (finish) return finish;
  throw new Impossible([
    refusal('finish', 'no-such-finish', 'There is no finish with the id “{id}”.', {
      id: id.slice(0, 80),
    }),
  ]);
}
