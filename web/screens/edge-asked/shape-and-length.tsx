import { edgeLengthBoundsMm, type EdgeShape } from '../../../core/edge/shape';
import { LengthField } from '../../controls/length-field';
import { SelectField } from '../../controls/select-field';
import { shapeOptions } from '../../words/shapes';
import type { AskedEdge } from './edge-questions';

interface ShapeAndLengthProps {
  /** Null where how it was measured says it. */
  readonly shape: EdgeShape | null;
  /** Null while nobody said. */
  readonly lengthMm: number | null;
  onChange(patch: Partial<Pick<AskedEdge, 'shape' | 'joined' | 'lengthMm'>>): void;
}

/** How an edge runs, and how far. Another shape forgets how it was joined. */
export function ShapeAndLength({ shape, lengthMm, onChange }: ShapeAndLengthProps) {
  const [least, most] = edgeLengthBoundsMm;
  return (
    <>
      {shape !== null && (
        <SelectField
          label="Shape"
          value={shape}
          options={shapeOptions}
          onChange={(chosen) => onChange({ shape: chosen as EdgeShape, joined: null })}
        />
      )}
      <LengthField
        label="Length along the edge"
        value={lengthMm}
        refuse={(mm) =>
          mm >= least && mm <= most
            ? null
            : `An edge is between ${least / 10} cm and ${most / 1000} m long.`
        }
        onCommit={(mm) => mm !== null && onChange({ lengthMm: mm })}
      />
    </>
  );
}
