import { diagnose } from '../../../core/diagnose/diagnose';
import type { Situation } from '../../../core/diagnose/situation';
import { symptoms, symptomsOf } from '../../../core/diagnose/symptom';
import { isClosed } from '../../../core/plan/edge-shape';
import { useLengths } from '../../app/lengths-context';
import { moveInWords } from '../../words/moves';
import type { Bench } from './bench';
import { useSeen } from './use-seen';

/** More moves than this are no advice. */
const mostMoves = 3;

function situationOf({ finish, plan, machine, foot, edge }: Bench): Situation {
  return {
    finish,
    variant: plan.fold.variant,
    cloth: plan.cloth,
    machine: machine.specs,
    foot: { kind: foot.kind, guide: foot.specs.guide },
    stitch: plan.stitch,
    edge: {
      closed: isClosed(edge),
      curved: edge.minRadiusMm !== null,
      crossed: edge.crossings.length > 0,
    },
  };
}

const faces = {
  right: 'the right side',
  wrong: 'the wrong side',
  both: 'both faces',
  edge: 'the edge',
} as const;

/** What else went wrong, picked from what can, and the one thing to change first. */
export function SeenPanel({ bench }: { bench: Bench }) {
  const [picked, toggle] = useSeen(bench.record.id);
  const lengths = useLengths();
  const situation = situationOf(bench);
  const possible = symptomsOf(situation);
  // What was picked under another finish means nothing under this one.
  const seen = picked.filter((id) => possible.some((one) => one.id === id));
  const moves = diagnose(situation, seen).slice(0, mostMoves);
  if (possible.length === 0) return null;
  return (
    <section aria-label="What else you see" className="px-4 py-3">
      <h2 className="text-xl">What else do you see?</h2>
      <div className="flex flex-wrap gap-1.5 pt-2">
        {possible.map(({ id, name }) => (
          <button
            key={id}
            type="button"
            aria-pressed={seen.includes(id)}
            className={`min-h-9 rounded-[3px] border px-2.5 text-left text-sm ${seen.includes(id) ? 'border-2 border-madder bg-madder-wash font-bold' : 'border-seam bg-slip hover:bg-cloth'}`}
            onClick={() => toggle(id)}
          >
            {seen.includes(id) && <span aria-hidden>✓ </span>}
            {name}
          </button>
        ))}
      </div>
      {seen.length === 0 ? (
        <p className="pt-2 text-soft">Pick what is wrong; it says what to look at and to change.</p>
      ) : (
        <>
          <ul className="pt-2 text-sm text-soft">
            {symptoms
              .filter(({ id }) => seen.includes(id))
              .map(({ id, look, face }) => (
                <li key={id}>
                  <b className="text-graphite">Look at {faces[face]}.</b> {look}
                </li>
              ))}
          </ul>
          <ol aria-label="What to change, likeliest first" className="pt-2">
            {moves.map((move, i) => {
              const { dial, way } = moveInWords(move, lengths);
              return (
                <li
                  key={`${move.dial} ${move.direction}`}
                  className="flex gap-3 border-t border-line py-2"
                >
                  <span aria-hidden className="big-number text-2xl text-soft">
                    {i + 1}
                  </span>
                  <span>
                    <span className={i === 0 ? 'text-lg' : ''}>
                      {dial}: <b>{way}</b>
                    </span>
                    {move.reasons.map(({ symptom, reason, expect }) => (
                      <span key={symptom + reason} className="block text-sm text-soft">
                        {reason} {expect}
                      </span>
                    ))}
                  </span>
                </li>
              );
            })}
          </ol>
          <p className="text-sm text-soft">
            A starting guess from craft practice. Change the first alone, and sew again; where you
            counted, the counts at the right know more.
          </p>
        </>
      )}
    </section>
  );
}
