// The built server opened to the home network, and a device of that network.
import { request } from 'node:http';
import { networkInterfaces } from 'node:os';
import { ask, json, newFolder, underAttack } from './server-under-attack.mjs';

/** An address on which this machine could be reached from a home network; null where it has none. */
function homeAddress() {
  return (
    Object.values(networkInterfaces())
      .flat()
      .filter(({ internal }) => !internal)
      .map(({ address }) => address)
      .find((address) => /^(10|192\.168|172\.(1[6-9]|2\d|3[01]))\.|^f[cd]/.test(address)) ?? null
  );
}

/** Runs `work` with a server that is shared; `left out` where there is no home network. */
export async function underShare(work) {
  const host = homeAddress();
  if (host === null) {
    console.log('left out: this machine is on no home network');
    return 'left out';
  }
  return underAttack(
    async ({ said, ...server }) => {
      let network;
      for (let i = 0; i < 100 && !network; i++) {
        [, network] = /Shared with the home network at (\S+?)\/?\s/.exec(said()) ?? [];
        await new Promise((later) => setTimeout(later, 50));
      }
      if (!network) throw new Error(`nothing was shared on ${host}: ${said()}`);
      return work({ ...server, network });
    },
    newFolder(),
    { HOST: host, PORT: '0' },
  );
}

/** Sends a request as it is, its path and headers too, which `fetch` would put right. */
export function raw(address, { method = 'GET', path = '/', headers = {}, body } = {}) {
  const { hostname, port } = new URL(address);
  return new Promise((done) => {
    const sent = request(
      {
        ...{ host: hostname.replace(/[[\]]/g, ''), port, method, path, timeout: 15_000 },
        headers: { host: new URL(address).host, ...headers },
      },
      (response) => {
        let text = '';
        response.on('data', (chunk) => {
          text += chunk;
          // A line that stays open has said enough.
          if (response.headers['content-type']?.includes('event-stream')) sent.destroy();
        });
        response.on('close', () =>
          done({ status: response.statusCode, headers: response.headers, text }),
        );
      },
    );
    sent.on('error', (error) => done({ status: 0, headers: {}, text: String(error) }));
    sent.on('timeout', () => sent.destroy());
    sent.end(body);
  });
}

/** The digits that the computer shows now. */
export async function digits(api) {
  const { status, text } = await ask(`${api}/sharing/code`, { method: 'POST' });
  if (status !== 201) throw new Error(`no digits: ${status} ${text}`);
  return JSON.parse(text).code;
}

/** Types digits on a device. @returns the status, and the cookie where it was let in */
export async function typed(network, code, name = 'A phone') {
  const body = new URLSearchParams({ code, name }).toString();
  const { status, headers, text } = await raw(network, {
    ...{ method: 'POST', path: '/pair', body },
    headers: {
      'content-type': 'application/x-www-form-urlencoded',
      'content-length': String(body.length),
    },
  });
  return { status, text, cookie: headers['set-cookie']?.[0].split(';')[0] ?? null };
}

/** A device that is let in. @returns its cookie */
export async function paired(api, network, name) {
  const { status, cookie } = await typed(network, await digits(api), name);
  if (status !== 303 || !cookie) throw new Error(`not let in: ${status}`);
  return cookie;
}

/** Changes something that everybody hears of. */
export const change = (api, i) =>
  ask(
    `${api}/threads`,
    json('POST', {
      name: `Thread ${i}`,
      use: 'fine',
      fibre: null,
      tex: null,
      colour: '',
      note: '',
    }),
  );
