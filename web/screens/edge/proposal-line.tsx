import { Link } from 'react-router';
import { finishInSentence } from '../../words/finishes';
import { Button } from '../../controls/button';
import type { KeptPart, SetUpPart } from '../../bench/bench';
import { takeProposal } from '../../bench/plan-change';

/** Over whatever is shown of a finish that nobody took yet: whose idea it is, and how to take it. */
export function ProposalLine({ bench }: { bench: KeptPart & SetUpPart }) {
  if (!bench.proposed) return null;
  const name = finishInSentence(bench.finish.id, bench.record.fold.variant);
  return (
    <section
      aria-label="A proposal"
      className="no-print mb-3 border-2 border-dashed border-pencil bg-pencil-wash px-3 py-2"
    >
      <p>
        <b>A proposal.</b> No finish is chosen yet; {name} leads{' '}
        <Link className="underline underline-offset-2" to={`/edges/${bench.edge.id}/finish`}>
          the list
        </Link>
        .
      </p>
      <Button className="mt-1 min-h-10! py-1!" onClick={() => takeProposal(bench.record.id)}>
        Take it
      </Button>
    </section>
  );
}
