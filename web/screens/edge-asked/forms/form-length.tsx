import type { EdgeForm } from '../../../../core/edge/form';
import type { EdgeDraft } from '../../../../contract/records';
import { useLengths } from '../../../ground/lengths-context';
import { LengthField } from '../../../controls/length-field';

/** What of an edge its form decides, and the form. */
export type MeasuredEdge = Pick<
  EdgeDraft,
  'form' | 'shape' | 'lengthMm' | 'minRadiusMm' | 'turnDegrees' | 'joined'
>;

/** What the fields of one form are given. */
export interface FieldsOf<F extends EdgeForm> {
  readonly form: F;
  readonly edge: MeasuredEdge;
  set(form: EdgeForm): void;
  /** Why a form can't be; null when it can. */
  refuse(form: EdgeForm): string | null;
}

/** A length of a form, judged with the whole form as it would be. */
export function FormLength(props: {
  label: string;
  value: number;
  make(mm: number): EdgeForm;
  set(form: EdgeForm): void;
  refuse(form: EdgeForm): string | null;
  leastMm?: number;
  mostMm?: number;
}) {
  const { cloth } = useLengths();
  const { label, value, make, set, refuse, leastMm = 1, mostMm = 50_000 } = props;
  return (
    <LengthField
      compact
      label={label}
      value={value}
      refuse={(mm) =>
        mm < leastMm || mm > mostMm
          ? `It can be ${cloth(leastMm)} to ${cloth(mostMm)}.`
          : refuse(make(mm))
      }
      onCommit={(mm) => mm !== null && set(make(mm))}
    />
  );
}
