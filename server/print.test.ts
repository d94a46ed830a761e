import { startServer, type RunningServer } from './testing.fixture';

let server: RunningServer;
beforeAll(async () => {
  server = await startServer();
});
afterAll(() => server.stop());

const binary = (response: NodeJS.ReadableStream, done: (error: null, body: Buffer) => void) => {
  const chunks: Buffer[] = [];
  response.on('data', (chunk: Buffer) => chunks.push(chunk));
  response.on('end', () => done(null, Buffer.concat(chunks)));
};

interface Line {
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
}

/** Every straight line of a PDF page, in mm, read from the page's own operators. */
function linesOf(pdf: string): Line[] {
  const [, left, bottom, right, top] =
    /\/MediaBox \[(\S+) (\S+) (\S+) (\S+)\]/.exec(pdf)?.map(Number) ?? [];
  expect([left, bottom]).toEqual([0, 0]);
  // The page's first operator turns the axes: x to the right, y down, one unit a point.
  expect(pdf).toMatch(new RegExp(`1 0 0 -1 0 ${top} cm`));
  expect(right).toBeGreaterThan(0);
  const mm = (pt: string) => (Number(pt) / 72) * 25.4;
  return [...pdf.matchAll(/(\S+) (\S+) m\s+(\S+) (\S+) l\s+S/g)].map(
    ([, x1 = '', y1 = '', x2 = '', y2 = '']) => ({
      x1: mm(x1),
      y1: mm(y1),
      x2: mm(x2),
      y2: mm(y2),
    }),
  );
}

const gauge = (planId: string, format: string, query = '') =>
  server.http
    .get(`/api/plans/${planId}/gauge.${format}${query}`)
    .buffer(true)
    .parse(binary as never);
const horizontal = ({ y1, y2 }: Line) => Math.abs(y1 - y2) < 0.001;

describe.each(['a4', 'letter'])('a fold gauge on %s', (page) => {
  test('its steps and both rulers measure right, by the file’s own coordinates', async () => {
    const { status, body, headers } = await gauge('plan-shirt', 'pdf', `?page=${page}`);
    expect(status).toBe(200);
    expect(headers['content-type']).toBe('application/pdf');
    const pdf = (body as Buffer).toString('latin1');
    const [width, height] = page === 'a4' ? [210, 297] : [215.9, 279.4];
    const box = /\/MediaBox \[0 0 (\S+) (\S+)\]/.exec(pdf);
    expect((Number(box?.[1]) / 72) * 25.4).toBeCloseTo(width, 1);
    expect((Number(box?.[2]) / 72) * 25.4).toBeCloseTo(height, 1);

    const lines = linesOf(pdf);
    const level = lines.filter(horizontal);
    const lengths = level.map(({ x1, x2 }) => Math.abs(x2 - x1));
    expect(lengths.some((mm) => Math.abs(mm - 50) < 0.005)).toBe(true);
    expect(lengths.some((mm) => Math.abs(mm - 50.8) < 0.005)).toBe(true);

    // The shirt's hem: turn 8, hemline 41, fold back 66 mm, each above the same lower edge.
    const { body: plan } = await server.http.get('/api/plans/plan-shirt');
    expect(plan.fold).toMatchObject({ depthMm: 25, extensionMm: 8, turnMm: 8 });
    const base = Math.max(
      ...level
        .filter(({ x1, x2 }) => Math.abs(x2 - x1) > 41 && Math.abs(x2 - x1) < 43)
        .map(({ y1 }) => y1),
    );
    const heights = level.map(({ y1 }) => base - y1);
    for (const wanted of [8, 41, 66]) {
      expect(heights.some((mm) => Math.abs(mm - wanted) < 0.005)).toBe(true);
    }
  });
});

test('the SVG is the same drawing in millimetres', async () => {
  const { status, body, headers } = await gauge('plan-shirt', 'svg', '?page=letter');
  expect(status).toBe(200);
  expect(headers['content-type']).toContain('image/svg+xml');
  const svg = (body as Buffer).toString();
  expect(svg).toContain('width="215.9mm" height="279.4mm" viewBox="0 0 215.9 279.4"');
  const lines = [
    ...svg.matchAll(/<line x1="([\d.]+)" y1="([\d.]+)" x2="([\d.]+)" y2="([\d.]+)"/g),
  ].map(([, x1, y1, x2, y2]) => [x1, y1, x2, y2].map(Number));
  const level = lines.filter(([, y1, , y2]) => y1 === y2);
  expect(level.some(([x1 = 0, , x2 = 0]) => Math.abs(x2 - x1 - 50.8) < 1e-6)).toBe(true);
  expect(svg).toContain('Marshal’s shirt');
});

test('a name that is markup is printed as it is written', async () => {
  const { body: edge } = await server.http.get('/api/edges/edge-shirt');
  await server.http
    .patch('/api/edges/edge-shirt')
    .send({ version: edge.version, name: '<b>Śmiała & "co"</b>' });
  const { body } = await gauge('plan-shirt', 'svg');
  const svg = (body as Buffer).toString();
  expect(svg).toContain('&lt;b&gt;Śmiała &amp; &quot;co&quot;&lt;/b&gt;');
  expect(svg).not.toContain('<b>');
  expect((await gauge('plan-shirt', 'pdf')).status).toBe(200);
});

test.each([
  ['plan-shirt', 'pdf', '?page=a5', 400, 'a4 or letter'],
  ['plan-shirt', 'pdf', '?paper=a4', 400, 'paper'],
  ['plan-shirt', 'png', '', 404, 'gauge.pdf or gauge.svg'],
  ['nobody', 'pdf', '', 404, 'nobody'],
])('refused: %s %s%s', async (plan, format, query, status, words) => {
  const answer = await server.http.get(`/api/plans/${plan}/gauge.${format}${query}`);
  expect(answer.status).toBe(status);
  expect(JSON.stringify(answer.body)).toContain(words);
});

test('a finish without marks has no gauge, and says so', async () => {
  const { body: plan } = await server.http.get('/api/plans/plan-tabard');
  const changed = await server.http.patch('/api/plans/plan-tabard').send({
    version: plan.version,
    finish: 'overcast',
    fold: { variant: 'zigzag' },
    settings: null,
  });
  expect(changed.status).toBe(200);
  const answer = await server.http.get('/api/plans/plan-tabard/gauge.pdf');
  expect(answer.status).toBe(409);
  expect(answer.body.error.message).toContain('nothing to press or measure');
});

describe('a sheet of marks', () => {
  const edge = async (form: object, more: object = {}) => {
    const { body } = await server.http.post('/api/edges').send({
      ...{
        projectId: 'project-lantern-parade',
        name: 'Legs',
        on: 'trousers',
        clothId: 'cloth-linen',
      },
      ...{ shape: 'straight', lengthMm: 1000, minRadiusMm: null, turnDegrees: null },
      ...{ passesOverMm: null, crossings: [], depthMm: 28, form, ...more },
    });
    return String(body.id);
  };
  const sheet = async (id: string, page = 'a4') => {
    const { body, status } = await server.http
      .get(`/api/edges/${id}/marks.pdf?page=${page}`)
      .buffer(true)
      .parse(binary as never);
    expect(status).toBe(200);
    return linesOf((body as Buffer).toString('latin1'));
  };
  const lengthOf = ({ x1, y1, x2, y2 }: Line) => Math.hypot(x2 - x1, y2 - y1);

  test.each(['a4', 'letter'])('the slant is a card at its angle, on %s', async (page) => {
    const id = await edge({
      ...{ kind: 'slant', flatWidthMm: 230, right: null },
      left: { frontMm: 1010, backMm: 1022 },
    });
    const lines = await sheet(id, page);
    const slanted = lines.filter((it) => !horizontal(it) && Math.abs(it.x1 - it.x2) > 0.01);
    expect(slanted).toHaveLength(1);
    const [{ x1, y1, x2, y2 }] = slanted as [Line];
    expect((Math.atan2(y2 - y1, x2 - x1) * 180) / Math.PI).toBeCloseTo(2.9866, 2);
    expect(lines.some((it) => horizontal(it) && Math.abs(lengthOf(it) - 50) < 0.01)).toBe(true);
  });

  test.each([90, 60, 120])('a mitre of %i° meets the raw edges where it is sewn', async (angle) => {
    const rest = angle === 90 ? [90, 90, 90] : angle === 60 ? [60, 60] : [60, 120, 60];
    const sides = [angle, ...rest].map((angleDegrees) => ({
      ...{ lengthMm: 400, angleDegrees, mitred: true },
    }));
    const id = await edge({ kind: 'cornered', sides });
    const lines = await sheet(id);
    // The raw edges are the two that begin in the corner; the sewing line the two from the fold.
    const half = (angle * Math.PI) / 360;
    const seamMm = 28 / Math.sin(half);
    const seams = lines.filter((it) => Math.abs(lengthOf(it) - seamMm) < 0.02);
    expect(seams).toHaveLength(2);
    const ends = seams.map(({ x2, y2 }) => [x2, y2] as const);
    const apart = Math.hypot(ends[0]![0] - ends[1]![0], ends[0]![1] - ends[1]![1]);
    // Both ends lie 2A·cot(α/2) from the corner, the angle apart.
    expect(apart).toBeCloseTo(2 * (56 / Math.tan(half)) * Math.sin(half), 1);
  });

  test('a curve has its radius', async () => {
    const curves = [{ fromMm: 0, toMm: 300, radiusMm: 120, side: 'outside' }];
    const lines = await sheet(await edge({ kind: 'curved', curves }));
    const arc = lines.slice(0, 48);
    // Through three of its points goes one circle.
    const [a, b, c] = [arc[0]!, arc[20]!, arc[40]!].map(({ x1, y1 }) => [x1, y1] as const);
    const side = (p: readonly [number, number], q: readonly [number, number]) =>
      Math.hypot(p[0] - q[0], p[1] - q[1]);
    const [ab, bc, ca] = [side(a!, b!), side(b!, c!), side(c!, a!)];
    const twice = Math.abs((b![0] - a![0]) * (c![1] - a![1]) - (c![0] - a![0]) * (b![1] - a![1]));
    expect((ab * bc * ca) / (2 * twice)).toBeCloseTo(120, 0);
  });

  test('a mitre larger than the page is said to be, and every other edge has a sheet too', async () => {
    const sides = [900, 900, 900, 900].map((lengthMm) => ({
      ...{ lengthMm, angleDegrees: 90, mitred: true },
    }));
    const id = await edge({ kind: 'cornered', sides }, { depthMm: 120 });
    const { body } = await server.http
      .get(`/api/edges/${id}/marks.svg`)
      .buffer(true)
      .parse(binary as never);
    expect((body as Buffer).toString()).toContain('larger than this page');
    for (const plain of ['edge-cape', 'edge-collar', 'edge-lining']) await sheet(plain);
    await server.http.get('/api/edges/edge-cape/marks.png').expect(404);
    await server.http.get('/api/edges/none/marks.pdf').expect(404);
    await server.http.get('/api/edges/edge-cape/marks.pdf?page=a9').expect(400);
  });
});
