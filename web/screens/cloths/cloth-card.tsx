import type { ClothRecord } from '../../../contract/records';
import { useLengths } from '../../app/lengths-context';

const grades = {
  fray: ['does not fray', 'frays a little', 'frays', 'frays badly'],
  curl: ['lies flat', 'curls a little', 'curls', 'rolls over'],
  slip: ['grips', 'slips a little', 'slips', 'slides away'],
} as const;

/** A cloth's properties, each marked as measured or derived. */
export function ClothCard({ cloth }: { cloth: ClothRecord }) {
  const { fine } = useLengths();
  const { properties } = cloth;
  const rows: readonly (readonly [name: string, key: string, value: string])[] = [
    ['Weight', 'weightGsm', `${Math.round(properties.weightGsm)} g/m²`],
    ['Thickness', 'thicknessMm', fine(properties.thicknessMm)],
    ['Stretch', 'stretchPercent', `${Math.round(properties.stretchPercent)} %`],
    ['Recovery', 'recoveryPercent', `${Math.round(properties.recoveryPercent ?? 100)} %`],
    ['Fray', 'fray', grades.fray[properties.fray]],
    ['Curl', 'curl', grades.curl[properties.curl]],
    ['Slip', 'slip', grades.slip[properties.slip]],
  ];
  return (
    <div>
      <h2 className="text-2xl break-words">{cloth.name}</h2>
      <p className="text-sm text-soft">{properties.construction}</p>
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
      {cloth.note && <p className="pt-2 text-sm text-soft">{cloth.note}</p>}
    </div>
  );
}
