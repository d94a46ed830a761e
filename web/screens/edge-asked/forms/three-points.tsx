import { useState } from 'react';
import { radiusOfRiseMm } from '../../../../core/edge/three-points';
import { LengthField } from '../../../controls/length-field';

/** A radius by three points of the curve: a ruler laid across, and how far the curve stands off it. */
export function ThreePoints({ curve, onRadius }: { curve: string; onRadius(mm: number): void }) {
  const [across, setAcross] = useState<number | null>(null);
  const [rise, setRise] = useState<number | null>(null);
  const measured = (acrossMm: number | null, riseMm: number | null) => {
    setAcross(acrossMm);
    setRise(riseMm);
    if (acrossMm && riseMm) onRadius(radiusOfRiseMm(acrossMm, riseMm));
  };
  return (
    <details className="col-span-full text-sm">
      <summary className="min-h-8 cursor-pointer pt-1 text-soft">
        No radius known: measure three points of it
      </summary>
      <div className="grid grid-cols-2 gap-2">
        <LengthField
          compact
          optional
          label={`${curve}: straight across, end to end`}
          value={across}
          refuse={(mm) =>
            mm > 0 && mm <= 100_000 ? null : 'From one end of the curve to the other.'
          }
          onCommit={(mm) => measured(mm, rise)}
        />
        <LengthField
          compact
          optional
          label={`${curve}: from its middle to the curve`}
          value={rise}
          refuse={(mm) =>
            mm > 0 && (across === null || mm <= across / 2)
              ? null
              : 'Up to half of what it measures across: more is no part of a half circle.'
          }
          onCommit={(mm) => measured(across, mm)}
        />
      </div>
    </details>
  );
}
