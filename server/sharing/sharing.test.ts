import fc from 'fast-check';
import { readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { startServer, type RunningServer } from '../testing.fixture';
import { isHomeAddress } from './addresses';
import { Devices, devicesName } from './devices';
import { deviceCookie } from './gate';
import { codeLivesMs, mostWrong, PairingCode } from './pairing-code';
import { networkServer } from './share';

test('home networks are told from the world and from this machine', () => {
  for (const home of ['192.168.0.7', '10.0.0.1', '172.31.255.1', 'fd00::1', '::ffff:192.168.1.2']) {
    expect(isHomeAddress(home)).toBe(true);
  }
  for (const away of ['8.8.8.8', '172.32.0.1', '127.0.0.1', '::1', '2001:db8::1', 'home', '']) {
    expect(isHomeAddress(away)).toBe(false);
  }
});

describe('six digits', () => {
  test('work once', () => {
    const code = new PairingCode();
    const { code: digits } = code.make();
    expect(digits).toMatch(/^\d{6}$/);
    expect(code.try(digits)).toEqual({ ok: true });
    expect(code.try(digits)).toMatchObject({ ok: false, why: 'none' });
  });

  test('live two minutes, by a clock that nobody sets', () => {
    let nowMs = 0;
    const code = new PairingCode(() => nowMs);
    const first = code.make().code;
    nowMs = codeLivesMs;
    expect(code.isStanding).toBe(true);
    nowMs += 1;
    expect(code.try(first)).toMatchObject({ ok: false, why: 'none' });
  });

  test('are void after a few wrong ones, each of which waits longer', () => {
    const code = new PairingCode();
    const right = code.make().code;
    const wrong = right === '000000' ? '111111' : '000000';
    const waits = Array.from({ length: mostWrong }, () => {
      const tried = code.try(wrong);
      return tried.ok ? 0 : tried.waitMs;
    });
    expect(waits).toEqual([500, 1000, 2000, 4000, 8000]);
    expect(code.try(right)).toMatchObject({ ok: false, why: 'none' });
  });

  test('nothing but the digits themselves is right', () => {
    fc.assert(
      fc.property(fc.string(), (typed) => {
        const code = new PairingCode();
        const { code: right } = code.make();
        expect(code.try(typed).ok).toBe(typed === right);
      }),
    );
  });
});

describe('over the network', () => {
  let server: RunningServer;
  let network: Awaited<ReturnType<RunningServer['share']>>;
  beforeEach(async () => {
    server = await startServer();
    network = await server.share();
  });
  afterEach(() => server.stop());

  const digits = async () =>
    (await server.http.post('/api/sharing/code').expect(201)).body.code as string;
  const type = (code: string, name = 'Phone') =>
    network.http.post('/pair').type('form').send({ code, name });
  const cookieOf = (headers: Record<string, unknown>) =>
    String((headers['set-cookie'] as string[])[0]);
  const paired = async (name?: string) => {
    const { headers, status } = await type(await digits(), name);
    expect(status).toBe(303);
    return cookieOf(headers).split(';')[0]!;
  };

  test('without pairing nothing but the pairing page answers', async () => {
    const { status, text, headers } = await network.http.get('/pair');
    expect(status).toBe(200);
    expect(text).toContain('Pair this device');
    expect(headers['content-security-policy']).toContain("default-src 'none'");
    expect(text).not.toMatch(/<script|Lantern|cape/i);
    for (const path of [
      '/api/projects',
      '/api/health',
      '/api/events',
      '/assets/x.js',
      '/mark.svg',
    ]) {
      const answer = await network.http.get(path);
      expect([path, answer.status]).toEqual([path, 401]);
      expect(answer.body.error.code).toBe('not-paired');
    }
    const page = await network.http.get('/').set('Accept', 'text/html,*/*;q=0.8');
    expect([page.status, page.headers['location']]).toEqual([303, '/pair']);
    await network.http.patch('/api/plans/plan-cape').send({ version: 1, note: '' }).expect(401);
    await network.http.post('/api/sharing/code').expect(401);
  });

  test('the right digits let one device in, by a cookie no script and no other site gets', async () => {
    const { headers } = await type(await digits());
    const cookie = cookieOf(headers);
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Strict/);
    expect(cookie).toMatch(/Path=\//);
    const own = cookie.split(';')[0]!;
    const { body } = await network.http.get('/api/projects').set('Cookie', own).expect(200);
    expect(body).toHaveLength(1);
    // What it changes is stored, and a code it has heard of does not work again.
    const plan = (await network.http.get('/api/plans/plan-cape').set('Cookie', own)).body;
    await network.http
      .patch('/api/plans/plan-cape')
      .set('Cookie', own)
      .send({ version: plan.version, ticks: ['cut'] })
      .expect(200);
    expect((await server.http.get('/api/plans/plan-cape')).body.ticks).toEqual(['cut']);
  });

  test('digits that were used, are wrong, or are none, let nobody in', async () => {
    const code = await digits();
    await type(code);
    const again = await type(code);
    expect(again.status).toBe(403);
    expect(again.text).toContain('no such code');
    expect(again.headers['set-cookie']).toBeUndefined();
    const next = await digits();
    const wrong = await type(next === '123456' ? '654321' : '123456');
    expect(wrong.status).toBe(403);
    expect(wrong.text).toContain('not the digits');
    for (const odd of ['', '12345', '1234567', '12345６', '<script>']) {
      expect((await type(odd)).status).toBe(403);
    }
    expect(server.devices.list()).toHaveLength(1);
  });

  test('who guesses on is refused', async () => {
    const statuses: number[] = [];
    for (let i = 0; i < 24; i++) {
      if (i % 5 === 0) await digits();
      statuses.push((await type('000000')).status);
    }
    expect(statuses.filter((status) => status === 403)).toHaveLength(20);
    expect(statuses.at(-1)).toBe(429);
  });

  test('a device that is taken away is out at once, its open lines too', async () => {
    const cookie = await paired('Old tablet');
    const line = await fetch(`${network.address}/api/events`, { headers: { Cookie: cookie } });
    const reader = line.body!.getReader();
    const ended = (async () => {
      try {
        while (!(await reader.read()).done);
      } catch {
        // Cut off, which is an end too.
      }
      return 'ended';
    })();
    const [device] = (await server.http.get('/api/sharing')).body.devices;
    expect(device.name).toBe('Old tablet');
    await server.http.delete(`/api/sharing/devices/${device.id}`).expect(204);
    expect(await ended).toBe('ended');
    await network.http.get('/api/projects').set('Cookie', cookie).expect(401);
    await server.http.delete(`/api/sharing/devices/${device.id}`).expect(404);
  });

  test('who comes in is decided at the computer itself', async () => {
    const cookie = await paired('Phone');
    await paired('Tablet');
    await network.http.post('/api/sharing/code').set('Cookie', cookie).expect(403);
    const [first, second] = server.devices.list();
    await network.http
      .delete(`/api/sharing/devices/${second!.id}`)
      .set('Cookie', cookie)
      .expect(403);
    // A device sees itself and nobody else.
    const { body } = await network.http.get('/api/sharing').set('Cookie', cookie).expect(200);
    expect(body.devices.map(({ id }: { id: string }) => id)).toEqual([first!.id]);
  });

  test('a cookie made up, or of another machine, is none', async () => {
    for (const made of ['x', 'a'.repeat(5000), server.devices.list()[0]?.tokenHash ?? 'hash']) {
      const answer = await network.http
        .get('/api/projects')
        .set('Cookie', `${deviceCookie}=${made}`);
      expect(answer.status).toBe(401);
    }
  });

  test('other sites, and names that are not this machine’s, are refused even with the cookie', async () => {
    const cookie = await paired();
    await network.http
      .get('/api/projects')
      .set({ Cookie: cookie, Host: 'sewing.example' })
      .expect(403);
    await network.http
      .post('/api/projects')
      .set({ Cookie: cookie, Origin: 'http://sewing.example' })
      .send({ name: 'x', note: '' })
      .expect(403);
    await network.http
      .get('/api/projects')
      .set({ Cookie: cookie, 'Sec-Fetch-Site': 'cross-site' })
      .expect(403);
    await network.http
      .post('/pair')
      .set('Origin', 'http://sewing.example')
      .type('form')
      .send({ code: await digits(), name: 'x' })
      .expect(403);
  });

  test('the list is kept for the next start, without what lets a device in', async () => {
    const cookie = await paired('Phone \u0007beside “it”');
    const path = join(server.dataFolder, devicesName);
    const text = readFileSync(path, 'utf8');
    expect(text).toContain('Phone beside “it”');
    expect(text).not.toContain(cookie.split('=')[1]);
    expect(statSync(path).mode & 0o077).toBe(0);
    expect(new Devices(server.dataFolder).known(cookie.split('=')[1])?.name).toContain('Phone');
    writeFileSync(path, '{"devices": 7}');
    expect(() => new Devices(server.dataFolder)).toThrow(/devices\.json” is damaged/);
  });

  test('at the computer itself nothing is asked', async () => {
    await server.http.get('/api/projects').expect(200);
    await server.http.get('/pair').expect(404);
  });
});

test('nothing is shared: no digits are given out', async () => {
  const server = await startServer();
  const { status, body } = await server.http.post('/api/sharing/code');
  expect([status, body.error.code]).toEqual([409, 'not-shared']);
  await server.stop();
});

test('a certificate that can’t be read is named, and nothing is opened without it', () => {
  expect(() =>
    networkServer(() => undefined, { certFile: '/none.pem', keyFile: '/none.key' }),
  ).toThrow('PIN_MARGIN_CERT is “/none.pem”: ENOENT. Nothing was shared.');
});
