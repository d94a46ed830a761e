import type { ClothRecord } from '../../../contract/records';
import { readyMadeKinds, usualReadyMade, type ReadyMadeKind } from '../../../core/strip/ready-made';
import { useLengths } from '../../ground/lengths-context';
import { change } from '../../ground/records';
import { LengthField } from '../../controls/length-field';
import { SelectField } from '../../controls/select-field';

/** Whether it is cloth, or a binding that is sold as one: how wide it is, and how long a package. */
export function ReadyMadeFields({ cloth }: { cloth: ClothRecord }) {
  const { readyMade } = cloth;
  const { cloth: inCloth } = useLengths();
  const sell = (kind: ReadyMadeKind) => {
    const { widthsMm, packageMm, like } = usualReadyMade[kind];
    change('cloths', cloth.id, {
      readyMade: { kind, finishedMm: widthsMm[0] ?? 9, packageMm },
      lengthLeftMm: cloth.lengthLeftMm ?? packageMm,
      ...(cloth.like ? {} : { like }),
    });
  };
  return (
    <div className="grid gap-2">
      <SelectField
        label="Sold as"
        value={readyMade?.kind ?? ''}
        options={[
          { value: '', label: 'cloth' },
          ...readyMadeKinds.map((kind) => ({
            value: kind,
            label: `${usualReadyMade[kind].name.toLowerCase()}, ready to sew on`,
          })),
        ]}
        onChange={(kind) => {
          const known = readyMadeKinds.find((one) => one === kind);
          if (known) sell(known);
          else change('cloths', cloth.id, { readyMade: null });
        }}
      />
      {readyMade && (
        <div className="grid grid-cols-2 gap-3">
          <LengthField
            compact
            fine
            label="Each face, sewn on"
            value={readyMade.finishedMm}
            refuse={(mm) =>
              mm >= 3 && mm <= 150 ? null : `Bindings are ${inCloth(3)} to ${inCloth(150)} wide.`
            }
            onCommit={(finishedMm) =>
              finishedMm !== null &&
              change('cloths', cloth.id, { readyMade: { ...readyMade, finishedMm } })
            }
          />
          <LengthField
            compact
            label="In a package"
            value={readyMade.packageMm}
            refuse={(mm) => (mm >= 100 && mm <= 200_000 ? null : 'A package holds 10 cm to 200 m.')}
            onCommit={(packageMm) =>
              packageMm !== null &&
              change('cloths', cloth.id, { readyMade: { ...readyMade, packageMm } })
            }
          />
        </div>
      )}
    </div>
  );
}
