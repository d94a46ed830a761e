import { forPurpose } from '../../../core/edge/for-purpose';
import { purposes } from '../../../core/edge/purpose';
import { usuallyJoined } from '../../../core/edge/shape';
import { joinings, oldHemSewings, pairings, type OldHemSewing } from '../../../core/edge/state';
import type { EdgeDraft } from '../../../contract/records';
import { useLengths } from '../../ground/lengths-context';
import { LengthField } from '../../controls/length-field';
import { PictureChoice } from '../../controls/picture-choice';
import { SelectField } from '../../controls/select-field';
import { TextField } from '../../controls/text-field';
import {
  JoiningSketch,
  OldHemSketch,
  PairingSketch,
  PurposeSketch,
} from '../../pictures/edge-sketch';
import {
  joiningNames,
  oldHemSewingNames,
  pairingNames,
  purposeMeanings,
  purposeNames,
} from '../../words/edges';

/** What of an edge is asked with pictures: what it is for, and what is done to it already. */
export type AskedEdge = Pick<
  EdgeDraft,
  | 'purpose'
  | 'oldHem'
  | 'joined'
  | 'pair'
  | 'depthMm'
  | 'secondEdge'
  | 'seamAllowanceMm'
  | 'shape'
  | 'turnDegrees'
  | 'lengthMm'
>;

interface EdgeQuestionsProps {
  /** The length may be unknown yet. */
  readonly edge: Omit<AskedEdge, 'lengthMm'> & { readonly lengthMm: number | null };
  onChange(patch: Partial<AskedEdge>): void;
  /** Whether the wished depth is asked here; not where a finish asks for its own. */
  readonly asksDepth?: boolean;
}

/** A usual old hem, when somebody says there is one, mm. */
const usualOldHemMm = 13;

/** What an edge is for. */
export function PurposeQuestion({ edge, onChange }: EdgeQuestionsProps) {
  return (
    <PictureChoice
      label="What is this edge?"
      value={edge.purpose}
      options={purposes.map((purpose) => ({
        value: purpose,
        label: purposeNames[purpose],
        picture: <PurposeSketch purpose={purpose} />,
        about: purposeMeanings[purpose],
      }))}
      onChange={(purpose) => onChange(forPurpose(edge, purpose))}
    />
  );
}

/** What state it is in, as far as its purpose asks for that. */
export function StateQuestions({ edge, onChange, asksDepth = true }: EdgeQuestionsProps) {
  const { cloth } = useLengths();
  const { purpose, oldHem, lengthMm } = edge;
  const turned = purpose === 'hem' || purpose === 'opening';
  const mostMm = (lengthMm ?? 2000) / 2;
  return (
    <>
      {purpose === 'seam' && (
        <div className="grid grid-cols-2 gap-2">
          <TextField
            label="Joined to"
            value={edge.secondEdge ?? ''}
            onCommit={(secondEdge) => onChange({ secondEdge })}
          />
          <LengthField
            label="Seam allowance"
            value={edge.seamAllowanceMm}
            refuse={(mm) =>
              mm >= 3 && mm <= 60
                ? null
                : `A seam allowance is between ${cloth(3)} and ${cloth(60)}; ${cloth(15)} is usual.`
            }
            onCommit={(seamAllowanceMm) => onChange({ seamAllowanceMm })}
          />
        </div>
      )}
      {turned && (
        <PictureChoice
          label="Is an old hem in it?"
          value={oldHem ? (oldHem.keepLook ? 'kept' : 'out') : 'none'}
          options={[
            { value: 'none', label: 'none', picture: <OldHemSketch hem="none" /> },
            { value: 'out', label: 'comes out', picture: <OldHemSketch hem="out" /> },
            { value: 'kept', label: 'its look stays', picture: <OldHemSketch hem="kept" /> },
          ]}
          onChange={(hem) =>
            onChange({
              oldHem:
                hem === 'none'
                  ? null
                  : {
                      depthMm: oldHem?.depthMm ?? Math.min(usualOldHemMm, mostMm),
                      sewn: oldHem?.sewn ?? (hem === 'kept' ? 'topstitched' : 'lock'),
                      keepLook: hem === 'kept',
                    },
            })
          }
        />
      )}
      {turned && oldHem && (
        <div className="grid grid-cols-2 gap-2">
          <LengthField
            label="How deep it is"
            value={oldHem.depthMm}
            refuse={(mm) =>
              mm >= 3 && mm <= mostMm
                ? null
                : `An old hem is ${cloth(3)} deep or more, and no deeper than the leg lies wide.`
            }
            onCommit={(depthMm) => depthMm !== null && onChange({ oldHem: { ...oldHem, depthMm } })}
          />
          <SelectField
            label="How it is sewn"
            value={oldHem.sewn}
            options={oldHemSewings.map((value) => ({ value, label: oldHemSewingNames[value] }))}
            onChange={(sewn) => onChange({ oldHem: { ...oldHem, sewn: sewn as OldHemSewing } })}
          />
        </div>
      )}
      <div className="grid grid-cols-2 gap-3">
        <PictureChoice
          label="How it lies now"
          value={edge.joined ?? usuallyJoined(edge)}
          options={joinings.map((joining) => ({
            value: joining,
            label: joiningNames[joining],
            picture: <JoiningSketch joining={joining} />,
          }))}
          onChange={(joined) => onChange({ joined })}
        />
        <PictureChoice
          label="Alone, or a pair"
          value={edge.pair}
          options={pairings.map((pairing) => ({
            value: pairing,
            label: pairingNames[pairing],
            picture: <PairingSketch pairing={pairing} />,
          }))}
          onChange={(pair) => onChange({ pair })}
        />
      </div>
      {turned && asksDepth && (
        <LengthField
          label="Depth you would like"
          value={edge.depthMm}
          optional
          placeholder="any depth"
          refuse={(mm) =>
            mm >= 1 && mm <= 1000 ? null : `A hem is between ${cloth(1)} and ${cloth(1000)} deep.`
          }
          onCommit={(depthMm) => onChange({ depthMm })}
        />
      )}
    </>
  );
}
