import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { EdgeShape } from '../../../core/edge/shape';
import { ApiError } from '../../app/api';
import { useCreate, useList } from '../../app/records';
import { Button } from '../../controls/button';
import { FormDialog } from '../../controls/form-dialog';
import { LengthField } from '../../controls/length-field';
import { SelectField } from '../../controls/select-field';
import { shapeOptions } from '../../words/shapes';
import { FormField } from '../../controls/text-field';

/** Asks for what a new edge cannot be without; the stations ask for the rest. */
export function NewEdge(props: {
  projectId: string;
  open: boolean;
  onOpenChange(open: boolean): void;
}) {
  const { projectId, open, onOpenChange } = props;
  const cloths = useList('cloths');
  const create = useCreate('edges');
  const navigate = useNavigate();
  const [draft, setDraft] = useState({
    name: '',
    on: '',
    clothId: '',
    shape: 'straight' as EdgeShape,
    lengthMm: null as number | null,
  });
  const [tried, setTried] = useState(false);
  const clothId = draft.clothId || (cloths.data?.[0]?.id ?? '');
  const noCloth = cloths.data?.length === 0;
  const missing = {
    name: draft.name.trim() === '' ? 'Give the edge a name.' : undefined,
    length: draft.lengthMm === null ? 'How long is it? Type a length.' : undefined,
  };
  const submit = async () => {
    setTried(true);
    if (missing.name || missing.length || noCloth) return;
    const edge = await create.mutateAsync({
      ...draft,
      clothId,
      projectId,
      minRadiusMm: null,
      turnDegrees: null,
      passesOverMm: null,
      crossings: [],
    });
    await navigate(`/edges/${edge.id}/cloth`);
  };
  const refused = create.error instanceof ApiError ? create.error : null;
  return (
    <FormDialog title="New edge" open={open} onOpenChange={onOpenChange}>
      <form
        className="grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          submit().catch(() => undefined);
        }}
      >
        <FormField
          label="Name"
          placeholder="Sleeve, left"
          value={draft.name}
          maxLength={120}
          trouble={tried ? missing.name : undefined}
          onChange={(event) => setDraft({ ...draft, name: event.target.value })}
        />
        <FormField
          label="What it is on"
          placeholder="drummer’s tunic"
          value={draft.on}
          maxLength={120}
          onChange={(event) => setDraft({ ...draft, on: event.target.value })}
        />
        {noCloth ? (
          <p role="alert" className="font-bold text-madder">
            The cloth shelf is empty. Put a cloth there first, then come back.
          </p>
        ) : (
          <SelectField
            label="Cloth"
            value={clothId}
            options={(cloths.data ?? []).map(({ id, name }) => ({ value: id, label: name }))}
            onChange={(id) => setDraft({ ...draft, clothId: id })}
          />
        )}
        <SelectField
          label="Shape"
          value={draft.shape}
          options={shapeOptions}
          onChange={(shape) => setDraft({ ...draft, shape: shape as EdgeShape })}
        />
        <LengthField
          label="Length along the edge"
          value={draft.lengthMm}
          refuse={(mm) =>
            mm >= 10 && mm <= 100_000 ? null : 'An edge is between 1 cm and 100 m long.'
          }
          onCommit={(lengthMm) => setDraft({ ...draft, lengthMm })}
        />
        {tried && missing.length && (
          <p role="alert" className="-mt-2 text-sm font-bold text-madder">
            {missing.length}
          </p>
        )}
        {refused && (
          <p role="alert" className="font-bold text-madder">
            {refused.message}
          </p>
        )}
        <Button type="submit" look="solid" disabled={create.isPending}>
          Make the edge
        </Button>
      </form>
    </FormDialog>
  );
}
