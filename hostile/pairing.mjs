// Somebody on the home network who was not asked in: every road, every digit, every cookie.
import seedrandom from 'seedrandom';
import { digits, paired, raw, typed, underShare } from './home-network.mjs';
import { ask, expect } from './server-under-attack.mjs';

/** What only those may read who were let in: names of the demo, and marks of its records. */
const secret = /lantern|marshal|chiffon|"version":|"projectId"|machine-home/i;
const tables = 'projects edges plans cloths machines feet needles threads attempts preferences';
const routes = [
  ...tables.split(' ').map((table) => `/api/${table}`),
  ...'/api/health /api/events /api/archive /api/history /api/undo /api/worktable'.split(' '),
  ...'/api/snapshots /api/removed /api/book /api/sharing /api/sharing/code /api/demo'.split(' '),
  ...'/api/compute/finishes /api/print/scrap-strip.pdf /api/export/book.csv'.split(' '),
  ...'/api/projects/project-lantern-parade/archive /api/edges/edge-cape/work.pdf'.split(' '),
  ...'/ /index.html /at/edge-cape /devices /sw.js /manifest.webmanifest /mark.svg'.split(' '),
];
/** Ways to write an address so that who stands at the door reads another than who is behind it. */
const disguises = [
  (path) => path,
  (path) => `/pair/..${path}`,
  (path) => `/pair/%2e%2e${path}`,
  (path) => `/pair/%2E%2E%2F${path.slice(1)}`,
  (path) => `/${path}`,
  (path) => path.replaceAll('/', '//'),
  (path) => path.toUpperCase(),
  (path) => `${path}/`,
  (path) => `${path}?/pair`,
  (path) => `${path}%00`,
  (path) => `${path};/pair`,
  (path) => `${path}#/pair`,
  (path) => `/pair${path}`,
  (path) => `/./pair/./..${path}`,
  (path) => `\\${path}`,
  (path) => `http://127.0.0.1${path}`,
];
const methods = ['GET', 'HEAD', 'OPTIONS', 'POST', 'PUT', 'PATCH', 'DELETE', 'TRACE', 'PROPFIND'];
const clothes = [
  {},
  { accept: 'text/html' },
  { 'x-forwarded-for': '127.0.0.1', 'x-real-ip': '127.0.0.1', forwarded: 'for=127.0.0.1' },
  { 'x-original-url': '/pair', 'x-rewrite-url': '/pair' },
  { 'x-http-method-override': 'GET', 'content-type': 'application/json' },
  { cookie: 'pin-margin-device=' },
  { cookie: 'pin-margin-device=null; pin-margin-device=undefined' },
];

/** Nothing but the pairing page answers, however it is asked. */
async function everyRoad({ network }) {
  let asked = 0;
  const odd = [];
  for (const route of routes) {
    const tries = disguises.flatMap((disguise) =>
      methods.map((method, i) => ({
        ...{ method, path: disguise(route) },
        headers: clothes[(asked + i) % clothes.length],
      })),
    );
    const answers = await Promise.all(tries.map((one) => raw(network, one)));
    answers.forEach(({ status, headers, text }, i) => {
      const isDoor = status === 303 && headers.location === '/pair';
      const isPage = status === 200 && (text === '' || text.includes('Pair this device'));
      const isNo = [400, 401, 403, 404, 405, 413, 415, 421, 0].includes(status);
      const isOpen = !(isDoor || isPage || isNo) || secret.test(text);
      if (isOpen) odd.push(`${tries[i].method} ${tries[i].path}: ${status} ${text.slice(0, 80)}`);
    });
    asked += answers.length;
  }
  expect(odd.length === 0, `answered to nobody:\n${odd.slice(0, 5).join('\n')}`);
  return asked;
}

/** Guessing gets nowhere: the digits are void after a few, and the guesser is refused. */
async function everyDigit({ api, network }) {
  const right = await digits(api);
  const guesses = Array.from({ length: 400 }, (_, i) =>
    String((Number(right) + 1 + i) % 1_000_000),
  );
  const begun = performance.now();
  const answers = await Promise.all(guesses.map((guess) => typed(network, guess.padStart(6, '0'))));
  const looked = answers.filter(({ status }) => status === 403).length;
  expect(
    answers.every(({ cookie, status }) => cookie === null && status !== 303),
    'a guess was let in',
  );
  expect(looked <= 20, `${looked} guesses of one address were looked at`);
  const late = await typed(network, right);
  expect(late.status !== 303, 'the right digits still work after that many wrong ones');
  return { looked, ms: performance.now() - begun };
}

/** A cookie that differs anywhere, or is another's, lets nobody in. */
async function everyCookie({ network }, cookie) {
  const random = seedrandom('bobbin');
  const [name, token] = cookie.split('=');
  const forged = Array.from({ length: 300 }, () => {
    const at = Math.floor(random() * token.length);
    const other = String.fromCharCode(97 + ((token.charCodeAt(at) + 1) % 26));
    return `${name}=${token.slice(0, at)}${other === token[at] ? 'Z' : other}${token.slice(at + 1)}`;
  });
  forged.push(`${name}=${token.slice(0, -1)}`, `${name}=${token}A`, `other=${token}`);
  const answers = await Promise.all(
    forged.map((one) => raw(network, { path: '/api/projects', headers: { cookie: one } })),
  );
  expect(
    answers.every(({ status }) => status === 401),
    'a forged cookie was let in',
  );
}

/** Another site in a browser that holds the cookie, and a name that was made to point here. */
async function everySite({ network }, cookie) {
  const own = new URL(network).host;
  const asked = [
    { headers: { cookie, origin: 'http://elsewhere.example' } },
    { headers: { cookie, origin: 'null' } },
    { headers: { cookie, 'sec-fetch-site': 'cross-site' } },
    { headers: { cookie, 'sec-fetch-site': 'same-site' } },
    { headers: { cookie, host: 'elsewhere.example' } },
    { headers: { cookie, host: `${own}.elsewhere.example` } },
    { headers: { cookie, host: `elsewhere.example@${own}` } },
  ];
  for (const one of asked) {
    for (const method of ['GET', 'POST', 'DELETE']) {
      const { status } = await raw(network, { path: '/api/projects', method, ...one });
      const words = `${method} ${JSON.stringify(one.headers).slice(0, 200)}: ${status}`;
      expect(status === 403 || status === 400, words);
    }
  }
}

/** Out is out, in the middle of whatever the device does. */
async function takenAway({ api, network }, cookie) {
  let on = true;
  let lastIn = 0;
  const works = Array.from({ length: 8 }, async () => {
    while (on) {
      const { status } = await raw(network, { path: '/api/projects', headers: { cookie } });
      if (status === 200) lastIn = performance.now();
    }
  });
  const id = JSON.parse(
    (await raw(network, { path: '/api/sharing', headers: { cookie } })).text,
  ).ownDevice;
  await new Promise((later) => setTimeout(later, 300));
  const { status } = await ask(`${api}/sharing/devices/${id}`, { method: 'DELETE' });
  expect(status === 204, `not taken away: ${status}`);
  const gone = performance.now();
  await new Promise((later) => setTimeout(later, 700));
  on = false;
  await Promise.all(works);
  expect(lastIn > 0, 'the device was never in');
  return Math.max(0, lastIn - gone);
}

/** Everything at the door of a shared server. */
export function attackedAtTheDoor() {
  return underShare(async (server) => {
    const asked = await everyRoad(server);
    const cookie = await paired(server.api, server.network, 'A phone');
    await everyCookie(server, cookie);
    await everySite(server, cookie);
    const afterMs = await takenAway(server, cookie);
    expect(afterMs < 200, `still in ${afterMs.toFixed(0)} ms after it was taken away`);
    const { looked, ms } = await everyDigit(server);
    console.log(
      `door: ${asked} ways in without pairing, none open; 303 forged cookies, none; of 400 guesses at once ${looked} were looked at in ${(ms / 1000).toFixed(1)} s; out ${afterMs.toFixed(0)} ms after it was taken away`,
    );
  });
}
