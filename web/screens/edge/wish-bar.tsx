import { presets, wishNames, type WishName } from '../../../core/choose/request';
import { LineSlider } from '../../controls/line-slider';
import { SelectField } from '../../controls/select-field';
import { useWishes } from './use-wishes';

const names: Readonly<Record<WishName, string>> = {
  hidden: 'not seen',
  sturdy: 'sturdy',
  light: 'light',
  quick: 'quick',
  decorative: 'decorative',
};

/** What one would like of the finish: a plain preset, or five wishes to lean on. */
export function WishBar({ planId }: { planId: string }) {
  const [wishes, setWishes] = useWishes(planId);
  const preset = presets.find((it) =>
    wishNames.every((name) => Math.abs(it.wishes[name] - wishes[name]) < 0.005),
  );
  return (
    <div className="flex flex-wrap items-end gap-x-3 gap-y-1 border-b border-line px-3 py-2">
      <div className="w-44 xl:w-52">
        <SelectField
          label="What I want"
          value={preset?.name ?? 'own'}
          options={[
            ...presets.map(({ name }) => ({ value: name, label: name })),
            ...(preset ? [] : [{ value: 'own', label: 'My own mixture' }]),
          ]}
          onChange={(name) => {
            const chosen = presets.find((it) => it.name === name);
            if (chosen) setWishes(chosen.wishes);
          }}
        />
      </div>
      {wishNames.map((name) => (
        <div key={name} className="min-w-16 grow px-1">
          <span id={`wish-${name}`} className="block text-sm text-soft">
            {names[name]}
          </span>
          <LineSlider
            labelledBy={`wish-${name}`}
            value={wishes[name]}
            least={0}
            most={1}
            step={0.1}
            onChange={(next) => setWishes({ [name]: next })}
          />
        </div>
      ))}
    </div>
  );
}
