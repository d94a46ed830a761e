import { Link } from 'react-router';
import type { MachineRecord } from '../../../contract/records';
import { useLeftChanged } from '../../ground/use-left-changed';
import { tickStep } from '../../bench/plan-change';
import { Button } from '../../controls/button';
import { PutBackList } from '../../controls/put-back-list';

/** What was changed on the machine and not put back: a card for each work until it is ticked. */
export function PutBackCards({ machine }: { machine: MachineRecord }) {
  const left = useLeftChanged(machine.id);
  return left.map(({ planId, edgeId, edgeName, changes }) => (
    <section
      key={planId}
      aria-label={`Put back after ${edgeName}`}
      className="border-2 border-ochre bg-ochre-wash px-4 py-3"
    >
      <h3 className="text-lg">
        Still set for{' '}
        <Link className="underline" to={`/edges/${edgeId}/setting`}>
          {edgeName}
        </Link>
      </h3>
      <PutBackList changes={changes} />
      <Button className="mt-2" onClick={() => tickStep(planId, 'put-back', true)}>
        Put back
      </Button>
    </section>
  ));
}
