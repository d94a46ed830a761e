import { Plus } from 'lucide-react';
import { useLengths } from '../../ground/lengths-context';
import { issueInWords } from '../../words/refusals';
import { Suspense, useState } from 'react';
import { later } from '../../ground/later';
import { useNavigate } from 'react-router';
import { joinIssues } from '../../../core/edge/edge-issues';
import { asksLength } from '../../../core/edge/form';
import { edgeThings, usualEdge, type EdgeThing, type UsualEdge } from '../../../core/edge/things';
import type { TableSet } from '../../../contract/set-table';
import { ApiError, send } from '../../ground/api';
import { reloadAll, useCreate, useList, writer } from '../../ground/records';
import { Button } from '../../controls/button';
import { FormDialog } from '../../controls/form-dialog';
import { SelectField } from '../../controls/select-field';
import { FormField } from '../../controls/text-field';
import { PictureChoice } from '../../controls/picture-choice';
import { SmallAbove } from '../../pictures/above/small-above';
import { FromAbove } from '../../pictures/from-above';
import { thingNames } from '../../words/forms';
import { PurposeQuestion, StateQuestions } from '../edge-asked/edge-questions';
import { FormFields, setByHand } from '../edge-asked/form-fields';
import { ShapeAndLength } from '../edge-asked/shape-and-length';

// The forms' package is loaded when a cloth is to be put on the shelf from here.
const NewCloth = later(async () => (await import('../cloths/new-cloth')).NewCloth);

type Draft = Omit<UsualEdge, 'lengthMm'> & {
  readonly thing: EdgeThing;
  readonly name: string;
  readonly on: string;
  readonly clothId: string;
  readonly lengthMm: number | null;
};

/** Nothing is known of what nobody named yet, least of all its length. */
const blank: Draft = {
  ...usualEdge('other'),
  ...{ thing: 'other', name: '', on: '', clothId: '', lengthMm: null },
};

/** What an edge is called until somebody calls it something else. */
const usualName = (thing: EdgeThing): string => {
  const name = thingNames[thing];
  return thing === 'other' ? '' : name.charAt(0).toUpperCase() + name.slice(1);
};

/** Usual values of a thing in every field; a name that was typed by hand stays. */
const withThing = (before: Draft, thing: EdgeThing): Draft => ({
  ...before,
  ...usualEdge(thing),
  thing,
  name: before.name === usualName(before.thing) ? usualName(thing) : before.name,
  ...(thing === 'other' ? { lengthMm: null } : {}),
});

/** Makes an edge with a project for it, called after what it is on; one change. @returns its id */
async function withProject({
  clothId,
  ...draft
}: Record<string, unknown> & { name: string; on: string; clothId: string }): Promise<string> {
  const { edgeId } = await writer.during(async () => {
    const set = await send<TableSet>('POST', 'table', {
      edge: { project: draft.on.trim() || draft.name.trim(), draft, clothId },
    });
    await reloadAll();
    return set;
  });
  return edgeId ?? '';
}

function Trouble({ text }: { text: string | undefined }) {
  if (!text) return null;
  return (
    <p role="alert" className="-mt-2 text-sm font-bold text-madder">
      {text}
    </p>
  );
}

/** Asks what an edge is for and in which state, on what cloth; the stations ask for the rest. */
export function NewEdge(props: {
  /** Null makes a project for it. */
  projectId: string | null;
  startWith?: EdgeThing;
  open: boolean;
  onOpenChange(open: boolean): void;
}) {
  const lengths = useLengths();
  const { projectId, startWith, open, onOpenChange } = props;
  const cloths = useList('cloths');
  const create = useCreate('edges');
  const navigate = useNavigate();
  const [draft, setDraft] = useState(() => (startWith ? withThing(blank, startWith) : blank));
  const [failed, setFailed] = useState<unknown>(null);
  const [tried, setTried] = useState(false);
  const [asksCloth, setAsksCloth] = useState(false);
  const set = (patch: Partial<Draft>) => setDraft((before) => ({ ...before, ...patch }));
  /** Usual values of a thing in every field; what was typed by hand stays. */
  const pick = (thing: EdgeThing) => setDraft((before) => withThing(before, thing));
  const toCutFrom = (cloths.data ?? []).filter(({ readyMade }) => !readyMade);
  const clothId = draft.clothId || (toCutFrom[0]?.id ?? '');
  const { lengthMm } = draft;
  const noCloth = cloths.data !== undefined && toCutFrom.length === 0;
  const [unjoined] = draft.purpose === 'seam' ? joinIssues(draft, draft) : [];
  const missing = {
    name: draft.name.trim() === '' ? 'Give the edge a name.' : undefined,
    length: draft.lengthMm === null ? 'How long is it? Type a length.' : undefined,
    cloth: noCloth ? 'Put a cloth on the shelf first; the button is beside this line.' : undefined,
    seam: unjoined?.message,
  };
  const submit = async () => {
    setTried(true);
    if (Object.values(missing).some(Boolean)) return;
    const { thing: _thing, ...asked } = draft;
    const whole = {
      ...asked,
      secondEdge: draft.purpose === 'seam' ? draft.secondEdge : null,
      crossings: [],
    };
    const edgeId =
      projectId === null
        ? await withProject({ ...whole, clothId })
        : (await create.mutateAsync({ ...whole, clothId, projectId })).id;
    // What finishes it is the next question.
    await navigate(`/edges/${edgeId}/finish`);
  };
  const error = create.error ?? failed;
  const refused = error instanceof ApiError ? error : null;
  return (
    <FormDialog title="New edge" open={open} onOpenChange={onOpenChange} wide="picture">
      <form
        className="grid items-start gap-x-6 gap-y-3 md:grid-cols-2"
        onSubmit={(event) => {
          event.preventDefault();
          setFailed(null);
          submit().catch(setFailed);
        }}
      >
        <div className="grid gap-3 md:sticky md:top-0">
          <PictureChoice
            wraps
            label="What is it?"
            value={draft.thing}
            options={edgeThings.map((thing) => ({
              value: thing,
              label: thingNames[thing],
              picture: <SmallAbove edge={{ ...usualEdge(thing), crossings: [] }} />,
            }))}
            onChange={pick}
          />
          {lengthMm !== null && (
            <div className="sheet h-64 overflow-hidden">
              <FromAbove
                edge={{ ...draft, lengthMm, crossings: [] }}
                depthMm={draft.depthMm ?? 0}
                allowanceMm={draft.depthMm ?? 0}
              />
            </div>
          )}
        </div>
        <div className="grid gap-3">
          <PurposeQuestion
            edge={draft}
            // Its second edge has a name of its own, and is asked for it.
            onChange={(patch) => set({ ...patch, secondEdge: draft.secondEdge })}
          />
          <div className="grid gap-3 sm:grid-cols-2">
            <FormField
              label="Name"
              placeholder="Sleeve, left"
              value={draft.name}
              maxLength={120}
              trouble={tried ? missing.name : undefined}
              onChange={(event) => set({ name: event.target.value })}
            />
            <FormField
              label="What it is on"
              placeholder="drummer’s tunic"
              value={draft.on}
              maxLength={120}
              onChange={(event) => set({ on: event.target.value })}
            />
          </div>
          <div className="flex items-end gap-2">
            <div className="min-w-0 grow">
              {noCloth ? (
                <p className="text-soft">The cloth shelf is empty.</p>
              ) : (
                <SelectField
                  label="Cloth"
                  value={clothId}
                  options={toCutFrom.map(({ id, name }) => ({ value: id, label: name }))}
                  onChange={(id) => set({ clothId: id })}
                />
              )}
            </div>
            <Button className="min-h-11! px-3!" onClick={() => setAsksCloth(true)}>
              <Plus size={18} aria-hidden /> Another cloth
            </Button>
          </div>
          <Trouble text={tried ? missing.cloth : undefined} />
          {draft.form && lengthMm !== null && (
            <FormFields edge={{ ...draft, lengthMm }} allowanceMm={draft.depthMm} onChange={set} />
          )}
          {(draft.form === null || asksLength(draft.form)) && (
            <div className="grid gap-3 sm:grid-cols-2">
              <ShapeAndLength
                shape={draft.form ? null : draft.shape}
                lengthMm={lengthMm}
                onChange={(patch) =>
                  set({
                    ...setByHand(draft.form, patch),
                    // A radius that belonged to another shape says nothing of this one.
                    ...(patch.shape ? { minRadiusMm: null, turnDegrees: null } : {}),
                  })
                }
              />
            </div>
          )}
          <Trouble text={tried ? missing.length : undefined} />
          <StateQuestions edge={draft} onChange={set} />
          <Trouble text={tried ? missing.seam : undefined} />
          {refused && (
            <p role="alert" className="font-bold text-madder">
              {refused.issues.map((issue) => issueInWords(issue, lengths)).join(' ') ||
                refused.message}
            </p>
          )}
          <Button
            type="submit"
            look="solid"
            className="sticky bottom-0"
            disabled={create.isPending}
          >
            Make the edge
          </Button>
        </div>
      </form>
      {asksCloth && (
        <Suspense>
          <NewCloth open onOpenChange={setAsksCloth} onMade={(id) => set({ clothId: id })} />
        </Suspense>
      )}
    </FormDialog>
  );
}
