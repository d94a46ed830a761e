import { derivedOf } from '../../../core/edge/derived';
import type { EdgeForm } from '../../../core/edge/form';
import { measuredIssues } from '../../../core/edge/form-issues';
import { usualForms } from '../../../core/edge/things';
import { useLengths } from '../../ground/lengths-context';
import { SelectField } from '../../controls/select-field';
import { formNames } from '../../words/forms';
import { issueInWords } from '../../words/refusals';
import { CorneredFields } from './forms/cornered-fields';
import { CurvedFields } from './forms/curved-fields';
import { FlareFields } from './forms/flare-fields';
import { SlantFields } from './forms/slant-fields';
import { TaperFields } from './forms/taper-fields';
import type { FieldsOf, MeasuredEdge } from './forms/form-length';

/** An edge with a form, and with all that follows from it. */
export const withForm = (form: EdgeForm, lengthMm: number): Omit<MeasuredEdge, 'joined'> => ({
  form,
  ...derivedOf(form, lengthMm),
});

/** A shape or a length that was set by hand, with what follows from it or no longer holds. */
export const setByHand = <P extends Partial<MeasuredEdge>>(form: EdgeForm | null, patch: P) => ({
  ...patch,
  ...(form && patch.lengthMm !== undefined ? derivedOf(form, patch.lengthMm) : {}),
});

interface FormFieldsProps {
  readonly edge: MeasuredEdge;
  /** Cloth beyond the finished edge, where a finish says it. */
  readonly allowanceMm: number | null;
  onChange(patch: Partial<MeasuredEdge>): void;
}

/** The fields that a form needs, and no others. */
function Fields(props: FieldsOf<EdgeForm>) {
  const { form, ...rest } = props;
  switch (form.kind) {
    case 'taper':
      return <TaperFields form={form} {...rest} />;
    case 'slant':
      return <SlantFields form={form} {...rest} />;
    case 'flare':
      return <FlareFields form={form} {...rest} />;
    case 'curved':
      return <CurvedFields form={form} {...rest} />;
    case 'cornered':
      return <CorneredFields form={form} {...rest} />;
  }
}

/** How an edge was measured beyond its length: by what, and what that needs. */
export function FormFields({ edge, allowanceMm, onChange }: FormFieldsProps) {
  const lengths = useLengths();
  const set = (form: EdgeForm) => onChange(withForm(form, edge.lengthMm));
  const refuse = (form: EdgeForm): string | null => {
    const [issue] = measuredIssues(form, edge, allowanceMm);
    return issue ? issueInWords(issue, lengths) : null;
  };
  const begin = (kind: string) => {
    if (kind === 'none') onChange({ form: null });
    else {
      const form = usualForms(edge.lengthMm)[kind as EdgeForm['kind']];
      onChange({ ...withForm(form, edge.lengthMm), joined: null });
    }
  };
  return (
    <>
      <SelectField
        label="What is measured"
        value={edge.form?.kind ?? 'none'}
        options={Object.entries(formNames).map(([value, label]) => ({ value, label }))}
        onChange={begin}
      />
      {edge.form && (
        <div className="grid gap-2 sm:grid-cols-2">
          <Fields form={edge.form} edge={edge} set={set} refuse={refuse} />
        </div>
      )}
    </>
  );
}
