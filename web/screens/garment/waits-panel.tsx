import { useState } from 'react';
import type { Wait } from '../../../core/garment/garment-task';
import { ringOf } from '../../../core/order/order-issues';
import { Button } from '../../controls/button';
import { SelectField } from '../../controls/select-field';
import { waitWords } from '../../words/order';
import type { OrderRow } from './order-list';
import { changeGarment, type GarmentBench } from './use-garment';

/** Things a step waits for, or that wait for it. */
function Others(props: {
  title: string;
  others: readonly { readonly id: string; readonly why: Wait['why'] }[];
  nameOf: (id: string) => string;
  onLook: (id: string) => void;
}) {
  const { title, others, nameOf, onLook } = props;
  if (others.length === 0) return null;
  return (
    <div>
      <h3 className="text-sm font-bold text-soft">{title}</h3>
      <ul>
        {others.map(({ id, why }) => (
          <li key={id + why}>
            <button
              type="button"
              className="min-h-9 text-left leading-snug underline-offset-2 hover:underline"
              onClick={() => onLook(id)}
            >
              {nameOf(id)} <span className="text-sm text-soft">({waitWords[why]})</span>
            </button>
          </li>
        ))}
      </ul>
    </div>
  );
}

/** What a step waits for and what waits for it; and “this before that”, by hand. */
export function WaitsPanel(props: {
  id: string;
  rows: readonly OrderRow[];
  waits: readonly Wait[];
  bench: GarmentBench;
  nameOf: (id: string) => string;
  onLook: (id: string) => void;
}) {
  const { id, rows, waits, bench, nameOf, onLook } = props;
  const [other, setOther] = useState('');
  const [trouble, setTrouble] = useState<string | null>(null);
  const { before } = bench.garment;
  const own = before.filter((pair) => pair.includes(id));
  const wish = () => {
    const tasks = rows.map(({ task }) => task);
    const all = bench.work?.waits.map(({ first, then }) => [first, then] as const) ?? [];
    const ring = ringOf({ tasks, before: [...all, [id, other]] });
    if (ring) {
      setTrouble(`That goes round in a ring: ${ring.map(nameOf).join(' → ')}.`);
      return;
    }
    setTrouble(null);
    changeGarment(bench, {
      before: [...before, [id, other]],
    });
  };
  return (
    <>
      <h2 className="text-lg leading-snug">{nameOf(id)}</h2>
      <Others
        title="Waits for"
        others={waits
          .filter(({ then }) => then === id)
          .map(({ first, why }) => ({ id: first, why }))}
        nameOf={nameOf}
        onLook={onLook}
      />
      <Others
        title="Waiting for it"
        others={waits
          .filter(({ first }) => first === id)
          .map(({ then, why }) => ({ id: then, why }))}
        nameOf={nameOf}
        onLook={onLook}
      />
      <div className="no-print grid gap-2 border-t border-line pt-3">
        <SelectField
          label="Do it before …"
          value={other}
          options={[
            { value: '', label: 'pick a step' },
            ...rows
              .filter(({ task }) => task.id !== id)
              .map(({ task }) => ({ value: task.id, label: nameOf(task.id) })),
          ]}
          onChange={(value) => {
            setOther(value);
            setTrouble(null);
          }}
        />
        <Button disabled={other === ''} onClick={wish}>
          This before that
        </Button>
        {trouble && (
          <p role="alert" className="text-sm font-bold text-madder">
            {trouble}
          </p>
        )}
        {own.map(([first, then]) => (
          <p key={first + then} className="text-sm">
            “{nameOf(first)}” before “{nameOf(then)}”{' '}
            <button
              type="button"
              className="min-h-9 underline"
              onClick={() =>
                changeGarment(bench, {
                  before: before.filter(([a, b]) => a !== first || b !== then),
                })
              }
            >
              no longer
            </button>
          </p>
        ))}
      </div>
    </>
  );
}
