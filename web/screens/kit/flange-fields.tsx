import type { FootRecord } from '../../../contract/records';
import { useLengths } from '../../ground/lengths-context';
import { change } from '../../ground/records';
import { Choice } from '../../controls/choice';
import { LengthField } from '../../controls/length-field';

/** What a flange usually spans where nobody measured it, mm. Starting guess. */
const usualMm = [10, 40] as const;

/** A flange that is set to the strip: from where to where it moves. */
export function FlangeFields({ foot }: { foot: FootRecord }) {
  const { fine } = useLengths();
  const { flangeMm } = foot;
  const set = (next: FootRecord['flangeMm']) => change('feet', foot.id, { flangeMm: next });
  const end = (label: string, at: 0 | 1) => {
    if (!flangeMm) return null;
    const [least, most] = flangeMm;
    return (
      <LengthField
        fine
        label={label}
        value={flangeMm[at]}
        refuse={(mm) => {
          if (at === 0 && mm < 1) return `A flange goes from ${fine(1)} upwards.`;
          return (at === 0 ? mm <= most : mm >= least)
            ? null
            : 'The first number must not be more than the second.';
        }}
        onCommit={(mm) => mm !== null && set(at === 0 ? [mm, most] : [least, mm])}
      />
    );
  };
  return (
    <>
      <Choice
        label="Is there a flange to set to the strip?"
        value={flangeMm ? 'yes' : 'no'}
        options={[
          { value: 'no', label: 'One strip only' },
          { value: 'yes', label: 'It adjusts' },
        ]}
        onChange={(way) => set(way === 'yes' ? [...usualMm] : null)}
      />
      {flangeMm && (
        <div className="grid grid-cols-2 gap-3">
          {end('Narrowest strip', 0)}
          {end('Widest strip', 1)}
        </div>
      )}
    </>
  );
}
