import { server } from './server.fixture';

const post = (body: object) => server.http.post('/api/compute/strips').send(body);
const asked = async (body: object) => (await post(body).expect(200)).body;
const piece = { clothMm: [500, 400], stripMm: 40, neededMm: 1200 };

describe('strips', () => {
  test('bias: pieces with their places, joins, and whether it is enough', async () => {
    const answer = await asked({ way: 'bias', ...piece });
    expect(answer.pieces.length).toBeGreaterThan(4);
    expect(answer.joins).toBe(answer.pieces.length - 1);
    const [[x1, y1], [x2, y2]] = answer.pieces[0].fromMm;
    expect(Math.hypot(x2 - x1, y2 - y1)).toBeCloseTo(answer.pieces[0].lengthMm, 6);
    expect(y2 - y1).toBeCloseTo(x2 - x1, 9);
    // 1200 of edge and 38.1 for the two turned ends.
    expect(answer.wantedMm).toBeCloseTo(1238.1, 6);
    expect(answer.leftMm).toBeCloseTo(answer.totalMm - 1238.1, 6);
    expect(answer.enough).toBe(true);
    expect((await asked({ way: 'bias', ...piece, neededMm: 9000 })).enough).toBe(false);
  });

  test('across, and a tube beside it', async () => {
    const across = await asked({ way: 'across', ...piece, ends: 'overlap' });
    expect(across).toMatchObject({ joins: 9, totalMm: 10 * 500 - 9 * 12, wantedMm: 1280 });
    const tube = await asked({ way: 'tube', ...piece });
    expect(tube).toMatchObject({ pieces: [], joins: 0, totalMm: 5000 - 80 });
  });

  test('a package round a blanket', async () => {
    const satin = { way: 'package', packageMm: 141.5 * 25.4, sides: [762, 1016] };
    const answer = await asked(satin);
    expect(answer).toMatchObject({ perimeterMm: 3556, joins: 0, packages: 1, enough: true });
    expect(answer.spareMm).toBeCloseTo(0, 6);
    const less = await asked({ ...satin, packageMm: 3000 });
    expect(less).toMatchObject({ enough: false, packages: 2, joins: 1 });
    expect(less.spareMm).toBeCloseTo(-594.1, 6);
    expect(less.largest.sides[0] / less.largest.sides[1]).toBeCloseTo(0.75, 9);
  });

  test.each([
    [{ way: 'bias', ...piece, stripMm: 300 }, 'stripMm'],
    [{ way: 'across', ...piece, stripMm: 450 }, 'stripMm'],
    [{ way: 'bias', ...piece, clothMm: [500] }, 'clothMm'],
    [{ way: 'bias', ...piece, colour: 'red' }, ''],
    [{ way: 'spiral', ...piece }, 'way'],
    [{ way: 'package', packageMm: 10, sides: [1, 2] }, 'packageMm'],
  ])('%j is refused at its field', async (body, path) => {
    const { status, body: answer } = await post(body);
    expect(status).toBe(400);
    expect(answer.error.issues[0].path).toContain(path);
    expect(answer.error.message).not.toMatch(/[{}]|NaN|undefined/);
  });
});
