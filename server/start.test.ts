import { mkdtempSync, readdirSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { migrations } from './database/migrate';
import { makeVersion } from './database/versions.fixture';
import { openDatabase } from './database/open';
import { settingsFrom } from './settings';
import { wardrobe } from './demo/wardrobe';
import { startServer } from './testing.fixture';

describe('how a run is set up', () => {
  test('with nothing said, on the loopback address only', () => {
    expect(settingsFrom({})).toMatchObject({ host: '127.0.0.1', port: 4870, logLevel: 'info' });
    expect(settingsFrom({}).dataFolder).toMatch(/data$/);
  });

  test('by the environment', () => {
    const settings = settingsFrom({ PORT: '8080', HOST: '::1', PIN_MARGIN_DATA: '/tmp/elsewhere' });
    expect(settings).toMatchObject({ host: '::1', port: 8080, dataFolder: '/tmp/elsewhere' });
  });

  test.each(['8.8.8.8', 'sewing.example', '127.0.0.1.example', '2001:db8::1', '172.32.0.1'])(
    'an address that is at no home, %s, is refused with the reason',
    (HOST) => {
      expect(() => settingsFrom({ HOST })).toThrow(
        /HOST is “.*”, which is no address of a home network/,
      );
    },
  );

  test.each(['0.0.0.0', '::', '192.168.1.4', '10.2.3.4', 'fd12::7'])(
    'sharing by HOST %s leaves the machine’s own address as it is',
    (HOST) => {
      expect(settingsFrom({ HOST })).toMatchObject({ host: '127.0.0.1', shareOn: HOST });
    },
  );

  test('by its options: shared with all of the home network, begun without the demo', () => {
    expect(settingsFrom({}, ['--share'])).toMatchObject({ shareOn: '0.0.0.0', empty: false });
    expect(settingsFrom({}, ['--empty'])).toMatchObject({ shareOn: null, empty: true });
    expect(() => settingsFrom({}, ['--shared'])).toThrow('“--shared” is no option');
  });

  test('half a certificate is refused', () => {
    expect(() => settingsFrom({ PIN_MARGIN_CERT: '/home/me/cert.pem' })).toThrow(/needs both/);
  });

  test.each(['abc', '-1', '70000', '80.5'])('a port of %s is refused by name', (PORT) => {
    expect(() => settingsFrom({ PORT })).toThrow(`PORT is “${PORT}”`);
  });
});

describe('the data folder', () => {
  test('is made when it is not there, and opened twice it is migrated once', async () => {
    const folder = join(mkdtempSync(join(tmpdir(), 'pin-margin-')), 'deep', 'er');
    const first = await openDatabase(folder);
    await first.close();
    const second = await openDatabase(folder);
    const [ran] = await second.sequelize.query('SELECT name FROM SequelizeMeta');
    expect(ran).toEqual(migrations.map(({ name }) => ({ name })));
    await second.close();
    expect(readdirSync(folder)).toContain('pin-margin.sqlite');
    rmSync(folder, { recursive: true, force: true });
  });

  test('of an older version keeps its records and gets what is new', async () => {
    const folder = mkdtempSync(join(tmpdir(), 'pin-margin-'));
    await makeVersion(join(folder, 'pin-margin.sqlite'), 1);
    const server = await startServer(folder);
    const { body: attempt } = await server.http.get('/api/attempts/kept');
    expect(attempt).toMatchObject({
      ...{ planId: 'plan', finish: 'blind-hem', clothId: 'c', machineId: 'm', footId: 'f' },
      ...{ verdict: 'keep', sewnOn: '2026-03-04', symptoms: [], dialValues: {}, pinned: false },
      ...{ note: 'Old note', settings: { widthMm: 2 } },
    });
    const { body: book } = await server.http.get('/api/book?q=old&sort=faults');
    expect(book.rows.map(({ id }: { id: string }) => id)).toEqual(['kept']);
    expect((await server.http.get('/api/plans/plan')).body).toMatchObject({ carryOver: false });
    const edges = Object.fromEntries(
      (await server.http.get('/api/edges')).body.map((it: { id: string }) => [it.id, it]),
    );
    expect(edges).toMatchObject({
      e: { purpose: 'hem', oldHem: null, joined: null, pair: 'alone', depthMm: null },
      seam: { purpose: 'seam', secondEdge: 'the other edge', seamAllowanceMm: 12 },
      join: { purpose: 'seam', seamAllowanceMm: 6 },
      neck: { purpose: 'opening' },
      edge: { purpose: 'allowance' },
      leg: { purpose: 'hem', oldHem: { depthMm: 20, sewn: 'topstitched', keepLook: true } },
    });
    expect((await server.http.get('/api/plans/plan-leg')).body.finish).toBe('kept-hem');
    // What was taken out before the update can be brought back after it.
    const { body: removed } = await server.http.get('/api/removed');
    expect(removed).toMatchObject([{ label: 'scrap 2' }]);
    await server.http.post('/api/undo').expect(200);
    expect((await server.http.get('/api/attempts/gone')).body).toMatchObject({ symptoms: [] });
    const { body: foot } = await server.http.get('/api/feet/f');
    expect(foot).toMatchObject({ name: 'Old foot', kind: 'blind', channelMm: null });
    const { body: preferences } = await server.http.get('/api/preferences/mine');
    expect(preferences).toMatchObject({ unit: 'in', schools: {} });
    await server.stop();
  });

  test('the demo is not put back into a database that was emptied', async () => {
    const server = await startServer();
    for (const { id, version } of (await server.http.get('/api/projects')).body) {
      await server.http.delete(`/api/projects/${id}?version=${version}`);
    }
    await server.stop(true);
    const again = await startServer(server.dataFolder);
    expect((await again.http.get('/api/projects')).body).toEqual([]);
    expect((await again.http.get('/api/preferences/mine')).body).toMatchObject({ unit: 'mm' });
    await again.stop();
  });
});

describe('the demo wardrobe', () => {
  test('points only at what it brings along, and every id is its own', () => {
    const entries = wardrobe();
    const ids = entries.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const entry of entries) {
      const draft: Record<string, unknown> = { ...entry.draft };
      for (const field of ['projectId', 'clothId', 'edgeId', 'machineId', 'footId', 'planId']) {
        if (draft[field] ?? null) expect(ids).toContain(draft[field]);
      }
    }
  });

  test('holds scraps to learn from, each with the setting it was sewn at', () => {
    const scraps = wardrobe().filter((entry) => entry.table === 'attempts');
    expect(scraps.length).toBeGreaterThanOrEqual(4);
    for (const { draft } of scraps) expect(draft.settings).toHaveProperty('widthMm');
  });
});

describe('what every answer carries', () => {
  test('a policy that lets nothing in from elsewhere', async () => {
    const client = mkdtempSync(join(tmpdir(), 'pin-margin-client-'));
    writeFileSync(join(client, 'index.html'), '<meta content="%STYLE_NONCE%">');
    const server = await startServer(undefined, client);
    const { headers, text } = await server.http.get('/');
    const policy = String(headers['content-security-policy']);
    expect(policy).toContain("default-src 'none'");
    expect(policy).toContain("script-src 'self'");
    expect(policy).not.toContain("'unsafe-eval'");
    const nonce = /style-src 'self' 'nonce-([^']{20,})'/.exec(policy)?.[1];
    expect(text).toContain(`content="${nonce}"`);
    expect(headers['x-powered-by']).toBeUndefined();
    const again = await server.http.get('/');
    expect(again.headers['content-security-policy']).not.toBe(policy);
    await server.stop();
    rmSync(client, { recursive: true });
  });

  test.each(['/api/health', '/api/cloths', '/api/nothing', '/api/book'])(
    'at %s, that it is no page and is of now',
    async (path) => {
      const server = await startServer();
      const { headers } = await server.http.get(path);
      expect(headers['content-security-policy']).toMatch(/^default-src 'none'/);
      expect(headers).toMatchObject({
        'x-content-type-options': 'nosniff',
        'cache-control': 'no-store',
        'cross-origin-resource-policy': 'same-origin',
      });
      expect(headers['x-powered-by']).toBeUndefined();
      await server.stop();
    },
  );

  test('lists are narrowed by what they know, and by nothing else', async () => {
    const server = await startServer();
    const plans = await server.http.get('/api/plans?edgeId=edge-veil');
    expect(plans.body).toHaveLength(1);
    for (const query of ['plans?colour=red', 'plans?edgeId=a&edgeId=b', 'cloths?edgeId=1']) {
      expect((await server.http.get(`/api/${query}`)).status).toBe(400);
    }
    expect((await server.http.post('/api/preferences').send({})).status).toBe(405);
    expect((await server.http.delete('/api/preferences/mine?version=1')).status).toBe(405);
    expect((await server.http.delete('/api/edges/edge-veil')).status).toBe(400);
    expect((await server.http.patch('/api/edges/edge-veil').send({ version: 1 })).status).toBe(400);
    await server.stop();
  });
});
