import { symptoms, symptomsOf, type SymptomId } from '../../../core/diagnose/symptom';
import { SymptomPicture } from '../../pictures/symptom-picture';
import { lookedAtNames } from '../../words/symptoms';
import type { KeptPart, LessonPart, SetUpPart } from '../../bench/bench';
import { useScrapDraft } from './scrap-draft';
import { situationOf } from './situation';

/** What else can go wrong here, each as a small picture; what is picked goes with the scrap. */
export function SymptomPicker({ bench }: { bench: KeptPart & SetUpPart & LessonPart }) {
  const { draft, set } = useScrapDraft(bench.draftKey);
  const possible = symptomsOf(situationOf(bench));
  if (possible.length === 0) return null;
  const toggle = (id: SymptomId) =>
    set({
      symptoms: draft.symptoms.includes(id)
        ? draft.symptoms.filter((one) => one !== id)
        : [...draft.symptoms, id],
    });
  const seen = symptoms.filter(({ id }) => draft.symptoms.includes(id));
  return (
    <section aria-label="What else you see" className="px-4 py-3">
      <h2 className="text-xl">What else do you see?</h2>
      <ul className="text-sm text-soft" aria-live="polite">
        {seen.length === 0 && (
          <li>Pick what is wrong; it says where to look, and the slip what to change.</li>
        )}
        {seen.map(({ id, look, face }) => (
          <li key={id}>
            <b className="text-graphite">Look at {lookedAtNames[face]}.</b> {look}
          </li>
        ))}
      </ul>
      <div className="grid grid-cols-[repeat(auto-fill,minmax(7.25rem,1fr))] gap-1.5 pt-2">
        {possible.map(({ id, name, look, face }) => {
          const picked = draft.symptoms.includes(id);
          return (
            <button
              key={id}
              type="button"
              aria-pressed={picked}
              title={`${lookedAtNames[face]}: ${look}`}
              className={`flex flex-col rounded-[3px] border p-1.5 text-left text-sm leading-tight ${picked ? 'border-2 border-madder bg-madder-wash font-bold' : 'border-seam bg-slip hover:bg-cloth'}`}
              onClick={() => toggle(id)}
            >
              <SymptomPicture id={id} />
              <span className="pt-1">
                {picked && <span aria-hidden>✓ </span>}
                {name}
              </span>
            </button>
          );
        })}
      </div>
    </section>
  );
}
