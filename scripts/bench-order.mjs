// Orders of work: how long they take to find and to prove, and what a general solver for whole
// numbers (HiGHS) makes of the same model in a minute.
import highsLoader from 'highs';

const solverSeconds = 60;
const attributes = ['foot', 'needle', 'thread', 'plate', 'pressure'];
const usual = { place: 0.5, foot: 1, needle: 1.5, thread: 1, plate: 2, pressure: 0.3 };
const plain = ['table', 'iron', 'hand'];

/** The model as a program for whole numbers: which task comes at which place of the sequence. */
function asProgram({ tasks, before, start }) {
  const n = tasks.length;
  const wants = tasks.map(({ place, state }) => [
    ['place', place],
    ...(plain.includes(place)
      ? []
      : attributes.flatMap((it) => (state?.[it] ? [[`${place}/${it}`, state[it]]] : []))),
  ]);
  const values = new Map();
  for (const [slot, value] of wants.flat()) {
    if (!values.has(slot)) values.set(slot, []);
    if (!values.get(slot).includes(value)) values.get(slot).push(value);
  }
  const slots = [...values.keys()];
  const cost = (slot) => usual[slot === 'place' ? 'place' : slot.split('/')[1]];
  const standsAt = (slot) => {
    const [machine, attribute] = slot.split('/');
    return slot === 'place' ? start.place : start.machines?.[machine]?.[attribute];
  };
  const x = (t, p) => `x${t}_${p}`;
  const z = (s, v, p) => `z${s}_${v}_${p}`;
  const c = (s, v, p) => `c${s}_${v}_${p}`;
  const rows = [];
  const objective = [];
  const bounded = [];
  for (let t = 0; t < n; t++)
    rows.push(`${Array.from({ length: n }, (_, p) => x(t, p)).join(' + ')} = 1`);
  for (let p = 0; p < n; p++)
    rows.push(`${Array.from({ length: n }, (_, t) => x(t, p)).join(' + ')} = 1`);
  slots.forEach((slot, s) => {
    const known = values.get(slot);
    for (let p = 0; p < n; p++) {
      rows.push(`${known.map((_, v) => z(s, v, p)).join(' + ')} <= 1`);
      known.forEach((value, v) => {
        objective.push(`${cost(slot)} ${c(s, v, p)}`);
        bounded.push(z(s, v, p), c(s, v, p));
        const was = p === 0 ? (standsAt(slot) === value ? 1 : 0) : null;
        rows.push(
          was === null
            ? `${c(s, v, p)} - ${z(s, v, p)} + ${z(s, v, p - 1)} >= 0`
            : `${c(s, v, p)} - ${z(s, v, p)} >= ${-was}`,
        );
        const asking = wants.flatMap((some, t) =>
          some.some(([one, it]) => one === slot && it === value) ? [x(t, p)] : [],
        );
        if (asking.length > 0) rows.push(`${z(s, v, p)} - ${asking.join(' - ')} >= 0`);
      });
    }
  });
  const index = new Map(tasks.map(({ id }, i) => [id, i]));
  for (const [first, then] of before) {
    const [a, b] = [index.get(first), index.get(then)];
    const terms = Array.from({ length: n }, (_, p) => p)
      .filter((p) => p > 0)
      .flatMap((p) => [`+ ${p} ${x(b, p)}`, `- ${p} ${x(a, p)}`]);
    rows.push(`${terms.join(' ')} >= 1`);
  }
  const names = Array.from({ length: n * n }, (_, i) => x(Math.floor(i / n), i % n));
  return `Minimize\n obj: ${objective.join(' + ')}\nSubject To\n${rows.map((row, i) => ` r${i}: ${row}`).join('\n')}\nBounds\n${bounded.map((name) => ` 0 <= ${name} <= 1`).join('\n')}\nBinary\n ${names.join(' ')}\nEnd\n`;
}

/** Puts the measures of orders into the table. */
export async function benchOrder({ address, row }) {
  const send = async (method, path, body) => {
    const answer = await fetch(`${address}/api/${path}`, {
      method,
      ...(body
        ? { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) }
        : {}),
    });
    if (!answer.ok) throw new Error((await answer.text()).slice(0, 500));
    return answer.json();
  };
  const askedOf = async (projectId) => {
    const { tasks, waits, start } = await send('GET', `projects/${projectId}/order`);
    // Ids as short as the computation takes them.
    const short = new Map(tasks.map(({ id }, i) => [id, `t${i}`]));
    return {
      tasks: tasks.map(({ id, minutes, place, state }) => ({
        ...{ id: short.get(id), minutes, place, state },
      })),
      before: waits.map(({ first, then }) => [short.get(first), short.get(then)]),
      start,
    };
  };
  const timed = async (asked) => {
    const began = performance.now();
    const answer = await send('POST', 'compute/order', asked);
    return { ms: performance.now() - began, ...answer };
  };
  const found = {};
  for (const [kind, clothId] of [
    ['singlet', 'cloth-ponte'],
    ['jacket', 'cloth-flannel'],
  ]) {
    const { id } = await send('POST', 'garments', { kind, name: kind, clothId });
    const asked = await askedOf(id);
    const answer = await timed(asked);
    found[kind] = { asked, answer };
    row(`order of a ${kind}, ${asked.tasks.length} tasks`, answer.ms, 'ms', 1000);
    row(`  minutes of change above its bound`, answer.changeMinutes - answer.bound, 'min', 0.001);
  }
  const whole = await askedOf('project-lantern-parade');
  const answer = await timed(whole);
  row(`order of a wardrobe, ${whole.tasks.length} tasks`, answer.ms, 'ms', 5000);
  row('  minutes of change above its bound', answer.changeMinutes - answer.bound, 'min', null);

  const highs = await highsLoader();
  const { asked, answer: ours } = found.singlet;
  const began = performance.now();
  const solved = highs.solve(asProgram(asked), { time_limit: solverSeconds, output_flag: false });
  row('HiGHS on the singlet, at most a minute', (performance.now() - began) / 1000, 's', null);
  const theirs = solved.Status === 'Infeasible' ? Infinity : solved.ObjectiveValue;
  const known = Number.isFinite(theirs) && Object.keys(solved.Columns ?? {}).length > 0;
  row(
    known ? `  its minutes of change (ours: ${ours.changeMinutes})` : '  it found no order',
    known ? theirs : NaN,
    'min',
    null,
  );
}
