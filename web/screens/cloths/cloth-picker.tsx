import { Plus } from 'lucide-react';
import { RadioGroup } from 'radix-ui';
import { Suspense, lazy, useState } from 'react';
import type { ClothRecord } from '../../../contract/records';
import { useLengths } from '../../app/lengths-context';

// The forms' package is loaded when the first form is opened.
const NewCloth = lazy(async () => ({ default: (await import('./new-cloth')).NewCloth }));

/** A swatch whose height is the cloth's thickness, ten times over. */
function ThicknessSwatch({ mm }: { mm: number }) {
  const height = Math.min(34, Math.max(1.5, mm * 18));
  return (
    <svg width={34} height={36} aria-hidden className="shrink-0">
      <rect x={0} y={35 - height} width={34} height={height} fill="#b6a98f" stroke="#4d463a" />
      <line x1={0} x2={34} y1={35.5} y2={35.5} stroke="#4d463a" />
    </svg>
  );
}

interface ClothPickerProps {
  readonly cloths: readonly ClothRecord[];
  readonly chosen: string | undefined;
  onChoose(id: string): void;
}

/** The cloth shelf: one is chosen, and new ones can be put there. */
export function ClothPicker({ cloths, chosen, onChoose }: ClothPickerProps) {
  const { fine } = useLengths();
  const [asking, setAsking] = useState(false);
  return (
    <div className="flex min-h-0 flex-col overflow-y-auto p-3">
      <h2 className="px-1 pb-1 text-lg">From the shelf</h2>
      <RadioGroup.Root
        value={chosen ?? null}
        onValueChange={onChoose}
        aria-label="Cloth"
        className="grid gap-1"
      >
        {cloths.map(({ id, name, properties }) => (
          <RadioGroup.Item
            key={id}
            value={id}
            className="flex items-center gap-3 rounded-[3px] border border-transparent p-2 text-left hover:bg-slip data-[state=checked]:border-2 data-[state=checked]:border-pencil data-[state=checked]:bg-pencil-wash"
          >
            <ThicknessSwatch mm={properties.thicknessMm} />
            <span className="min-w-0">
              <span className="line-clamp-2 leading-tight font-bold break-words">{name}</span>
              <span className="text-sm text-soft">
                {Math.round(properties.weightGsm)} g/m² · {fine(properties.thicknessMm)}
              </span>
            </span>
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
      <button
        type="button"
        className="mt-2 flex min-h-11 items-center gap-2 rounded-[3px] border border-dashed border-seam px-3 hover:bg-slip"
        onClick={() => setAsking(true)}
      >
        <Plus size={18} aria-hidden /> Describe a new cloth
      </button>
      {asking && (
        <Suspense>
          <NewCloth open onOpenChange={setAsking} onMade={onChoose} />
        </Suspense>
      )}
    </div>
  );
}
