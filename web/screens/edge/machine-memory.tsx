import { Save } from 'lucide-react';
import { memo, useState } from 'react';
import type { Memorised } from '../../../contract/kit';
import { dialIssues } from '../../../core/plan/dial-issues';
import { judge } from '../../../core/plan/judge';
import { differencesFrom, type MachineSetting } from '../../../core/kit/memory';
import { patternsOf } from '../../../core/kit/machine';
import { valuesBesideDials } from '../../../core/plan/work';
import { newId } from '../../ground/new-id';
import { useLengths } from '../../ground/lengths-context';
import { change } from '../../ground/records';
import type { Bench } from '../../bench/bench';
import { changePlan } from '../../bench/plan-change';
import { Button } from '../../controls/button';
import { finishName } from '../../words/finishes';
import { settingName, setToInWords } from '../../words/set-to';

/** How the machine stands for this work. */
function standing(bench: Bench): MachineSetting {
  const { plan, foot, dials, finish, request } = bench;
  return {
    pattern: plan.stitch.pattern,
    foot: foot.name,
    settings: dials,
    values: Object.fromEntries(
      valuesBesideDials(finish, request).map(({ id, value }) => [id, value]),
    ),
  };
}

/** Why a saved setting can't be set here; null when it can. */
function hindrance(bench: Bench, { pattern, settings }: Memorised): string | null {
  const { plan, set } = bench;
  if (!patternsOf(plan.machine).includes(pattern)) return 'this machine no longer has the stitch';
  if (!settings || !bench.margin) return 'it has no dials that are turned here';
  if (pattern !== plan.stitch.pattern) return 'it is for another stitch';
  if (dialIssues(plan, settings).length > 0) return 'a dial would stand past its range';
  return set && judge(set, settings).blocked ? 'the needle would meet metal with this foot' : null;
}

function Entry({ bench, entry, now }: { bench: Bench; entry: Memorised; now: MachineSetting }) {
  const lengths = useLengths();
  const differences = differencesFrom(entry, now);
  const why = hindrance(bench, entry);
  const { settings } = entry;
  return (
    <li className="border-b border-line py-2 last:border-0">
      <p>
        <b className="break-words">{entry.name}</b>{' '}
        <span className="text-sm text-soft">
          {entry.cloth} · {finishName(entry.finish, entry.variant)}
        </span>
      </p>
      {differences.length === 0 ? (
        <p className="text-sm text-moss">✓ It stands so.</p>
      ) : (
        <>
          <ul className="text-sm">
            {differences.map(({ id, saved, now: is }) => (
              <li key={id}>
                {settingName(id)}: <b>{setToInWords(id, saved, lengths)}</b>
                <span className="text-soft">, now {setToInWords(id, is, lengths)}</span>
              </li>
            ))}
          </ul>
          {why ? (
            <p className="text-sm text-soft">Can’t be recalled here: {why}.</p>
          ) : (
            <Button
              className="mt-1"
              aria-label={`Set the dials as “${entry.name}”`}
              onClick={() => settings && changePlan(bench.record.id, { settings })}
            >
              Set the dials so
            </Button>
          )}
        </>
      )}
    </li>
  );
}

/** Settings saved on the machine: save this one under a name, recall another. */
export const MachineMemory = memo(function MachineMemory({ bench }: { bench: Bench }) {
  const { machine, cloth, finish, record } = bench;
  const [name, setName] = useState('');
  const now = standing(bench);
  const save = () => {
    const called = name.trim();
    if (called === '') return;
    const entry: Memorised = {
      ...{ id: newId(), name: called, cloth: cloth.name, finish: finish.id },
      ...{ variant: record.fold.variant, foot: now.foot, pattern: bench.plan.stitch.pattern },
      settings: now.settings,
      values: { ...now.values },
    };
    change('machines', machine.id, { memory: [entry, ...machine.memory] });
    setName('');
  };
  return (
    <details className="border-t border-line py-1.5">
      <summary className="min-h-8 cursor-pointer">
        <b>The machine’s memory</b>{' '}
        <span className="text-sm text-soft">
          · {machine.memory.length === 0 ? 'nothing saved' : `${machine.memory.length} saved`}
        </span>
      </summary>
      <form
        className="flex items-end gap-2 py-1"
        onSubmit={(event) => {
          event.preventDefault();
          save();
        }}
      >
        <label className="min-w-0 grow">
          <span className="mb-1 block text-sm text-soft">Save this setting as</span>
          <input
            className="field"
            maxLength={80}
            placeholder="fluffy rolled, chiffon"
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <Button type="submit" aria-label="Save on the machine" disabled={name.trim() === ''}>
          <Save size={18} aria-hidden />
        </Button>
      </form>
      <ul>
        {machine.memory.map((entry) => (
          <Entry key={entry.id} bench={bench} entry={entry} now={now} />
        ))}
      </ul>
    </details>
  );
});
