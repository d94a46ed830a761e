// Seeded requests over every route: right ones, wrong ones, and right ones with something wrong.
import seedrandom from 'seedrandom';
import { ask, expect, json, underAttack, watchHealth } from './server-under-attack.mjs';

const odd = [
  ...[
    null,
    true,
    -1,
    0,
    1e308,
    -0.0001,
    9007199254740991,
    '',
    ' ',
    '\u0000',
    '\u202e',
    'x'.repeat(5000),
  ],
  ...[[], {}, [[]], { id: {} }, '../../etc/passwd', "'; DROP TABLE edges; --", '=1+1', '💠', 'NaN'],
];
const lists = [
  'cloths',
  'machines',
  'feet',
  'needles',
  'threads',
  'projects',
  'edges',
  'plans',
  'attempts',
];
const computed = ['measure', 'cloth', 'folds', 'settings', 'learn', 'finishes', 'crossings'];

/** A copy of a value in which a few parts are something else. */
function spoiled(value, random, depth = 0) {
  if (random() < 0.12) return odd[Math.floor(random() * odd.length)];
  if (Array.isArray(value)) {
    const copy = value.map((part) => spoiled(part, random, depth + 1));
    return random() < 0.05 ? [...copy, ...copy, ...copy] : copy;
  }
  if (typeof value === 'number' && random() < 0.3)
    return value * 10 ** Math.floor(random() * 9 - 4);
  if (typeof value !== 'object' || value === null) return value;
  const entries = Object.entries(value).filter(() => random() > 0.04);
  if (random() < 0.05) entries.push(['__proto__x', 1]);
  return Object.fromEntries(
    entries.map(([name, part]) => [name, spoiled(part, random, depth + 1)]),
  );
}

/** @param timed whether the clock may fail it too; on a machine that is busy otherwise it says nothing */
export async function fuzz(requests, timed, seed = 'needle') {
  await underAttack(async ({ api }) => {
    const random = seedrandom(seed);
    const pick = (all) => all[Math.floor(random() * all.length)];
    const stored = {};
    for (const list of lists) stored[list] = JSON.parse((await ask(`${api}/${list}`)).text);
    const plans = stored.plans.filter((plan) => plan.finish);
    const scrap = stored.attempts[0];
    const bodyOf = (name) => {
      if (name === 'measure') return { text: '1 1/2 in', unit: 'mm', round: '1/16' };
      if (name === 'cloth') return stored.cloths[0].tests;
      const { setUp } = scrap;
      if (name === 'folds') return { finish: scrap.finish, cloth: setUp.cloth, ...setUp.fold };
      if (name === 'finishes') {
        return {
          cloth: setUp.cloth,
          edge: { shape: 'straight', purpose: 'hem', lengthMm: 900, minRadiusMm: null },
          kit: {
            machines: [setUp.machine],
            feet: [{ kind: 'blind', ...setUp.foot }],
            attachments: [],
          },
          wishes: {},
        };
      }
      if (name === 'crossings')
        return { cloth: setUp.cloth, lengthMm: 900, closed: true, crossings: [] };
      const settings = { finish: scrap.finish, ...setUp };
      return name === 'learn'
        ? { ...settings, samples: [{ settings: scrap.settings, counts: scrap.counts }] }
        : settings;
    };
    const draft = (row) => {
      const given = ['id', 'version', 'createdAt', 'updatedAt', 'properties'];
      return Object.fromEntries(Object.entries(row).filter(([name]) => !given.includes(name)));
    };
    const makers = [
      () => [
        'GET',
        `${pick(lists)}?${pick(['', 'limit=3', 'offset=-1', 'limit=1e9', 'q=x', 'edgeId=%00'])}`,
      ],
      () => ['GET', `${pick(lists)}/${encodeURIComponent(String(pick(odd)).slice(0, 200))}`],
      () => [
        'GET',
        `book?q=${encodeURIComponent(String(pick(odd)).slice(0, 300))}&sort=${pick(['faults', 'sewnOn', 'x'])}`,
      ],
      () => [
        'GET',
        pick([
          'history',
          'removed',
          'snapshots',
          'book/choices',
          'book/usual',
          'book/skill',
          'health',
        ]),
      ],
      () => ['GET', `plans/${pick(plans).id}/worked`],
      () => [
        'GET',
        `export/${pick(['cloths.csv', 'sample-book.json', 'sample-book.csv', '../x', '__proto__'])}`,
      ],
      () => {
        const name = pick(computed);
        return ['POST', `compute/${name}`, spoiled(bodyOf(name), random)];
      },
      () => {
        const list = pick(lists.filter((name) => stored[name].length > 0));
        return ['POST', list, spoiled(draft(pick(stored[list])), random)];
      },
      () => {
        const list = pick(lists.filter((name) => stored[name].length > 0));
        const row = pick(stored[list]);
        const fields = Object.entries(draft(row)).filter(() => random() < 0.3);
        const patch = spoiled(Object.fromEntries(fields), random);
        return [
          'PATCH',
          `${list}/${row.id}`,
          { version: row.version, ...(patch ?? {}) },
          list,
          row,
        ];
      },
      () => ['DELETE', `${pick(lists)}/nothing?version=${pick(['1', 'x', '', '-1', '1e99'])}`],
      () => [
        'POST',
        pick(['undo', 'redo', 'removed/1/restore', 'removed/x/restore', 'snapshots/x/restore']),
      ],
      () => [
        'POST',
        'import/preview',
        pick(['{', '[]', 'name,size\nx,1', '\uFEFFid;name\n1;2', 'a'.repeat(9999)]),
        'raw',
      ],
      () => ['POST', 'photos', pick(['GIF89a', '\x89PNG\r\n', 'x'.repeat(3000)]), 'raw'],
      () => ['POST', 'archive', pick(['', 'x', 'x'.repeat(2048)]), 'raw'],
    ];
    const slow = [];
    const wrong = [];
    const end = watchHealth(api);
    const one = async () => {
      const [method, path, body, how, row] = pick(makers)();
      const raw = how === 'raw';
      const sent =
        body === undefined
          ? { method }
          : raw
            ? { method, body, headers: { 'content-type': 'application/octet-stream' } }
            : json(method, body);
      const { status, ms, text, response } = await ask(`${api}/${path}`, sent);
      const told = status === 503 && response.headers.get('retry-after');
      if (status === 0 || (status >= 500 && !told))
        wrong.push(
          `${method} ${path} → ${status} ${text.slice(0, 200)} for ${JSON.stringify(body)?.slice(0, 400)}`,
        );
      if (ms > 2000) slow.push(`${method} ${path}: ${Math.round(ms)} ms`);
      if (row && status === 200) Object.assign(row, JSON.parse(text));
    };
    let left = requests;
    const client = async () => {
      while (left-- > 0) await one();
    };
    await Promise.all(Array.from({ length: 8 }, client));
    const { p99, asked } = await end();
    console.log(`  ${requests} requests; health p99 ${p99.toFixed(1)} ms of ${asked}`);
    expect(wrong.length === 0, `${wrong.length} answers of 5xx:\n${wrong.slice(0, 5).join('\n')}`);
    for (const one of slow.slice(0, 5)) console.log(`  over 2 s: ${one}`);
    if (!timed) return;
    expect(slow.length === 0, `${slow.length} took over 2 s: ${slow.slice(0, 5).join('; ')}`);
    expect(p99 < 100, `health took ${p99.toFixed(0)} ms at the 99th percentile`);
  });
}
