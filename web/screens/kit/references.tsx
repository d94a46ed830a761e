import { Plus, Trash2 } from 'lucide-react';
import {
  defaultGuideStepMm,
  guidances,
  type FootReference,
  type Guidance,
} from '../../../core/kit/foot';
import { guidanceNames } from '../../../core/kit/along';
import { mostReferences } from '../../../contract/kit';
import { useLengths } from '../../ground/lengths-context';
import { Button } from '../../controls/button';
import { LengthField } from '../../controls/length-field';
import { SelectField } from '../../controls/select-field';
import { TextField } from '../../controls/text-field';

interface ReferencesProps {
  readonly references: readonly FootReference[];
  onChange(references: readonly FootReference[]): void;
}

/** Farther than this nothing can be led along, mm. */
const farthestMm = 60;

/** A name that none of them has yet. */
function freshName(references: readonly FootReference[]): string {
  const names = references.map(({ name }) => name);
  for (let i = 1; ; i++) {
    const name = i === 1 ? 'seam guide on the bed' : `another place, ${i}`;
    if (!names.includes(name)) return name;
  }
}

/** Everything an edge can be led along on a foot: toes, marks, plate lines, a seam guide. */
export function References({ references, onChange }: ReferencesProps) {
  const lengths = useLengths();
  const put = (at: number, patch: Partial<FootReference>) =>
    onChange(references.map((one, i) => (i === at ? { ...one, ...patch } : one)));
  const place = (mm: number) =>
    Math.abs(mm) <= farthestMm ? null : `Up to ${lengths.fine(farthestMm)} to either side.`;
  return (
    <details className="border-y border-line py-1">
      <summary className="min-h-9 cursor-pointer pt-1">
        <b>Other places to lead along</b>{' '}
        <span className="text-sm text-soft">
          · {references.length === 0 ? 'none named' : references.length}; the best is taken
        </span>
      </summary>
      <ul>
        {references.map((reference, i) => (
          <li key={reference.name} className="grid grid-cols-2 gap-2 border-b border-line py-2">
            <TextField
              label="Place"
              value={reference.name}
              most={80}
              refuse={(name) =>
                references.some((other) => other.name === name)
                  ? `Another place is called “${name}” already.`
                  : null
              }
              onCommit={(name) => put(i, { name })}
            />
            <SelectField
              label="Led by"
              value={reference.guidance}
              options={guidances.map((value) => ({ value, label: guidanceNames[value] }))}
              onChange={(guidance) => put(i, { guidance: guidance as Guidance })}
            />
            {'atMm' in reference.guide ? (
              <LengthField
                fine
                label="It stands at"
                value={reference.guide.atMm}
                refuse={place}
                onCommit={(atMm) => atMm !== null && put(i, { guide: { atMm } })}
              />
            ) : (
              <p className="self-end pb-2 text-sm text-soft">
                {lengths.fine(reference.guide.rangeMm[0])} to{' '}
                {lengths.fine(reference.guide.rangeMm[1])}, every{' '}
                {lengths.fine(reference.guide.stepMm ?? defaultGuideStepMm)}
              </p>
            )}
            <Button
              className="justify-self-end self-end"
              aria-label={`Take out ${reference.name}`}
              onClick={() => onChange(references.filter((_, at) => at !== i))}
            >
              <Trash2 size={18} aria-hidden />
            </Button>
          </li>
        ))}
      </ul>
      {references.length < mostReferences && (
        <Button
          className="my-2"
          onClick={() =>
            onChange([
              ...references,
              { name: freshName(references), guidance: 'bed', guide: { atMm: 16 } },
            ])
          }
        >
          <Plus size={18} aria-hidden /> Add a place
        </Button>
      )}
    </details>
  );
}
