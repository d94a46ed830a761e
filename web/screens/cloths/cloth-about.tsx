import { faces, fibres, naps, shines } from '../../../core/cloth/about-cloth';
import type { ClothRecord } from '../../../contract/records';
import { change } from '../../ground/records';
import { LengthField } from '../../controls/length-field';
import { NoteField } from '../../controls/note-field';
import { SelectField } from '../../controls/select-field';
import { TextField } from '../../controls/text-field';
import { faceNames, fibreNames, napNames, shineNames } from '../../words/cloth';
import { PhotoField } from '../../controls/photo-field';
import { ClothColour } from './cloth-colour';
import { ReadyMadeFields } from './ready-made-fields';

/** What one writes down of a cloth beside its tests. */
export function ClothAbout({ cloth }: { cloth: ClothRecord }) {
  const set = (patch: Partial<ClothRecord>) => change('cloths', cloth.id, patch);
  const pick = <K extends string>(
    label: string,
    value: K | null,
    all: readonly K[],
    names: Readonly<Record<K, string>>,
    keep: (value: K | null) => void,
  ) => (
    <SelectField
      label={label}
      value={value ?? ''}
      options={[
        { value: '', label: 'not said' },
        ...all.map((one) => ({ value: one, label: names[one] })),
      ]}
      onChange={(next) => keep((next || null) as K | null)}
    />
  );
  return (
    <div className="grid gap-2.5">
      <TextField label="Name" value={cloth.name} onCommit={(name) => set({ name })} />
      <PhotoField
        of={cloth.name}
        photoId={cloth.photoId}
        onChange={(photoId) => set({ photoId })}
      />
      <ClothColour cloth={cloth} />
      <div className="grid grid-cols-2 gap-3">
        {pick('Fibre', cloth.fibre, fibres, fibreNames, (fibre) => set({ fibre }))}
        {pick('Faces', cloth.face, faces, faceNames, (face) => set({ face }))}
      </div>
      {pick('Nap', cloth.nap, naps, napNames, (nap) => set({ nap }))}
      <SelectField
        label="Under the iron, on a hidden corner"
        value={cloth.shine}
        options={shines.map((one) => ({ value: one, label: shineNames[one] }))}
        onChange={(shine) => set({ shine: shine as ClothRecord['shine'] })}
      />
      <NoteField
        label="How to press it"
        value={cloth.pressNote}
        most={500}
        rows={1}
        onCommit={(pressNote) => set({ pressNote })}
      />
      <div className="grid grid-cols-2 gap-3">
        <LengthField
          label="Width"
          optional
          compact
          value={cloth.widthMm}
          refuse={(mm) => (mm >= 10 && mm <= 5000 ? null : 'Cloth is 1 cm to 5 m wide.')}
          onCommit={(widthMm) => set({ widthMm })}
        />
        <LengthField
          label="Length left"
          optional
          compact
          value={cloth.lengthLeftMm}
          refuse={(mm) => (mm >= 0 && mm <= 200_000 ? null : 'Up to 200 m can be left.')}
          onCommit={(lengthLeftMm) => set({ lengthLeftMm })}
        />
      </div>
      <ReadyMadeFields cloth={cloth} />
      <NoteField
        label="Note"
        value={cloth.note}
        most={2000}
        rows={2}
        onCommit={(note) => set({ note })}
      />
    </div>
  );
}
