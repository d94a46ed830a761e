import type { ClothRecord } from '../../../contract/records';
import { useLengths } from '../../ground/lengths-context';
import { faceNames, fibreNames, gradeNames, napNames, shineNames } from '../../words/cloth';
import { capital } from '../../words/number';

/** A cloth's properties, each marked as measured or derived. */
export function ClothCard({ cloth }: { cloth: ClothRecord }) {
  const { fine } = useLengths();
  const { properties } = cloth;
  const rows: readonly (readonly [name: string, key: string, value: string])[] = [
    ['Weight', 'weightGsm', `${Math.round(properties.weightGsm)} g/m²`],
    ['Thickness', 'thicknessMm', fine(properties.thicknessMm)],
    ['Stretch', 'stretchPercent', `${Math.round(properties.stretchPercent)} %`],
    ['Recovery', 'recoveryPercent', `${Math.round(properties.recoveryPercent ?? 100)} %`],
    ['Fray', 'fray', gradeNames.fray[properties.fray]],
    ['Curl', 'curl', gradeNames.curl[properties.curl]],
    ['Slip', 'slip', gradeNames.slip[properties.slip]],
  ];
  return (
    <div>
      <h2 className="text-2xl break-words">{cloth.name}</h2>
      <p className="text-sm text-soft">
        {[properties.construction, cloth.fibre && fibreNames[cloth.fibre]]
          .filter(Boolean)
          .join(', ')}
      </p>
      {cloth.photoId && (
        <img
          src={`/api/photos/${cloth.photoId}`}
          alt={`Photo of ${cloth.name}`}
          className="mt-2 max-h-32 w-full rounded-[3px] border border-line object-cover"
        />
      )}
      <dl className="mt-2">
        {rows.map(([name, key, value]) => {
          const derived = properties.estimated?.includes(key);
          return (
            <div key={key} className="flex items-baseline gap-2 border-b border-line py-1.5">
              <dt className="w-24 shrink-0">{name}</dt>
              <dd
                className={`grow ${key === 'weightGsm' || key === 'thicknessMm' ? 'big-number text-2xl' : 'font-bold'}`}
              >
                {derived && (
                  <span className="font-body text-base font-normal text-soft">about </span>
                )}
                {value}
              </dd>
              <dd className={`text-sm ${derived ? 'text-ochre' : 'text-moss'}`}>
                {derived ? '~ derived' : '✓ measured'}
              </dd>
            </div>
          );
        })}
      </dl>
      {cutAndPress(cloth).map((line) => (
        <p key={line} className="pt-1 text-sm">
          {line}
        </p>
      ))}
      {cloth.note && <p className="pt-2 text-sm text-soft">{cloth.note}</p>}
    </div>
  );
}

/** What face, nap and iron ask for. */
function cutAndPress({ face, nap, shine, pressNote }: ClothRecord): string[] {
  const cut = [face && faceNames[face], nap && napNames[nap]].filter(Boolean).join(', ');
  const turned = nap === 'one-way' ? '; cut every piece the same way up' : '';
  const press = shine === 'shines' ? ': press cloth, or from the wrong side' : '';
  return [
    ...(cut ? [`${capital(cut)}${turned}.`] : []),
    `${capital(shineNames[shine])}${press}. ${pressNote}`.trim(),
  ];
}
