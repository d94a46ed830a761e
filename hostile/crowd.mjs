// Two hundred devices that listen, and some of them that fall asleep for an hour.
import { readFileSync } from 'node:fs';
import { connect } from 'node:net';
import { change, paired, underShare } from './home-network.mjs';
import { expect, watchHealth } from './server-under-attack.mjs';

/** A change every three seconds for an hour is 1200; in short some fall asleep for ten minutes. */
const long = { devices: 200, asleep: 20, whileAsleep: 1200 };
const short = { devices: 60, asleep: 10, whileAsleep: 200 };

/** A line of a device, which hears until it is put to sleep. */
function listener(network, cookie, since = '') {
  const { hostname, port, host } = new URL(network);
  const heard = { text: '', last: '', isCut: false };
  const socket = connect(Number(port), hostname.replace(/[[\]]/g, ''));
  socket.on('error', () => (heard.isCut = true));
  socket.on('close', () => (heard.isCut = true));
  socket.on('data', (chunk) => {
    heard.text += chunk;
    heard.last = [...heard.text.matchAll(/^id: (\S+)/gm)].at(-1)?.[1] ?? heard.last;
    if (heard.text.length > 100_000) heard.text = heard.text.slice(-50_000);
  });
  socket.write(
    `GET /api/events?since=${since} HTTP/1.1\r\nHost: ${host}\r\nCookie: ${cookie}\r\nAccept: text/event-stream\r\n\r\n`,
  );
  return { heard, socket };
}

async function until(holds, words, ms = 10_000) {
  const begun = performance.now();
  while (!holds()) {
    if (performance.now() - begun > ms) throw new Error(words);
    await new Promise((later) => setTimeout(later, 5));
  }
  return performance.now() - begun;
}

const residentMb = (pid) =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'))?.[1]) / 1024;

/** All of them hear of a change; the sleepers cost nothing, and miss nothing when they wake. */
export function crowded(isShort) {
  const { devices, asleep, whileAsleep } = isShort ? short : long;
  return underShare(async ({ api, network, pid }) => {
    const cookies = [];
    for (let i = 0; i < devices; i++) cookies.push(await paired(api, network, `Device ${i}`));
    const lines = cookies.map((cookie) => listener(network, cookie));
    await until(() => lines.every(({ heard }) => heard.text.includes(': listening')), 'not let in');

    const slowest = [];
    for (let i = 0; i < 20; i++) {
      const before = lines.map(({ heard }) => heard.last);
      const begun = performance.now();
      expect((await change(api, i)).status === 201, 'not written');
      await until(
        () => lines.every(({ heard }, k) => heard.last !== before[k]),
        'not every device heard of a change',
      );
      slowest.push(performance.now() - begun);
    }
    slowest.sort((a, b) => a - b);

    const sleepers = lines.slice(0, asleep);
    const knew = sleepers.map(({ heard }) => heard.last);
    for (const { socket } of sleepers) socket.pause();
    const before = residentMb(pid);
    const health = watchHealth(api);
    for (let i = 0; i < whileAsleep; i++) await change(api, 1000 + i);
    const { p99 } = await health();
    const grownMb = residentMb(pid) - before;
    expect(grownMb < 150, `${asleep} sleepers cost ${grownMb.toFixed(0)} MB`);

    // Awake: the line is dead or stale, so it is asked for again with the last change that was heard.
    for (const { socket } of sleepers) socket.destroy();
    const awake = sleepers.map((_, k) => listener(network, cookies[k], knew[k]));
    await until(
      () => awake.every(({ heard }) => /^data: /m.test(heard.text)),
      'a device that woke was not told that it missed something',
    );
    for (const { socket } of [...awake, ...lines]) socket.destroy();
    console.log(
      `crowd: ${devices} devices heard of each of 20 changes, the slowest ${slowest.at(-1).toFixed(0)} ms after it was sent (median ${slowest[10].toFixed(0)}); ${asleep} that slept through ${whileAsleep} changes cost ${grownMb.toFixed(0)} MB and were told when they woke; health at the 99th of a hundred ${p99.toFixed(0)} ms`,
    );
    expect(slowest.at(-1) < 1000, 'a change took more than a second to be heard of');
  });
}
