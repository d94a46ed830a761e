import { memo } from 'react';
import { Link } from 'react-router';
import type { PlannedPass } from '../../../core/plan/passes';
import { dialsClause, ridesClause } from '../../../core/finish/dials-clause';
import { useLengths } from '../../ground/lengths-context';
import { fill } from '../../../core/measure/fill';
import { capital, ofHundred } from '../../words/number';
import { valueInWords } from '../../words/starting-value';

/** Values of an overlocker that are no dials and no threads. */
const besides = ['threads', 'cutting-width', 'differential', 'lift'];

interface PassesProps {
  readonly edgeId: string;
  readonly passes: readonly PlannedPass[];
}

/** The other passes of the work, each a line with its own foot, stitch and dials. */
export const Passes = memo(function Passes({ edgeId, passes }: PassesProps) {
  const lengths = useLengths();
  if (passes.length === 0) return null;
  return (
    <section className="mt-2 border-t border-line" aria-labelledby="passes">
      <h3 id="passes" className="pt-2 text-sm text-soft">
        Other passes, each with a setting of its own
      </h3>
      <ul>
        {passes.map((pass) => {
          const { id, name, sewn, machine, values, chance } = pass;
          const clause = sewn && dialsClause(sewn);
          const looped =
            machine?.specs.kind === 'overlocker' || machine?.specs.kind === 'coverstitch';
          return (
            <li key={id} className="border-b border-line py-1.5 leading-snug">
              <b className="block">{name}</b>
              {sewn && clause && machine ? (
                <>
                  <span className="block">
                    {looped
                      ? `Length ${lengths.fine(sewn.settings.lengthMm)}`
                      : capital(fill(clause.text, clause.values, lengths))}
                    {looped &&
                      values
                        .filter((value) => besides.includes(value.id))
                        .map((value) => (
                          <span key={value.id}>
                            {' · '}
                            {value.name.toLowerCase()} {valueInWords(value, lengths)}
                            {value.unit === 'mm' && ` ${lengths.unit}`}
                          </span>
                        ))}
                  </span>
                  <span className="block text-sm text-soft">
                    {machine.name}
                    {!looped && `, ${sewn.footName}, ${ridesClause({ sewn })}`}
                    {chance !== null && ` · about ${ofHundred(chance)} of 100`}
                  </span>
                  <Link
                    to={`/edges/${edgeId}/test?pass=${encodeURIComponent(id)}`}
                    className="no-print inline-flex min-h-9 items-center text-sm text-pencil underline underline-offset-2"
                  >
                    Log a scrap of this pass
                  </Link>
                </>
              ) : (
                <span className="block text-sm text-ochre">
                  Nothing in the drawer sews it; choose another way for it at the finish.
                </span>
              )}
            </li>
          );
        })}
      </ul>
    </section>
  );
});
