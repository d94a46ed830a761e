import { server } from './server.fixture';

const post = (body: object) => server.http.post('/api/compute/order').send(body);
const example = {
  tasks: [
    {
      ...{ id: 'n1', minutes: 4, place: 'm1' },
      state: { foot: 'binder', needle: '90 ball', thread: 'moss', plate: null, pressure: 'more' },
    },
    { id: 'p1', minutes: 2, place: 'iron' },
  ],
  before: [['n1', 'p1']],
  costs: {
    ...{ place: 0.5, foot: 1, needle: 1.5, thread: 1, plate: 2, pressure: 0.3 },
    perMachine: { m2: { thread: 6 } },
  },
  start: { place: 'table', machines: { m1: { foot: 'zigzag' } } },
};

describe('the order of work over HTTP', () => {
  test('the sequence, its minutes, and that there is none better', async () => {
    const { status, body } = await post(example);
    expect(status).toBe(200);
    expect(body).toMatchObject({ sequence: ['n1', 'p1'], proved: true });
    expect(body.changeMinutes).toBeCloseTo(4.8, 9);
    expect(body.bound).toBeCloseTo(4.8, 9);
    expect(body.asWritten).toBeCloseTo(4.8, 9);
  });

  test('two seams with one thread are sewn before the other thread; as written may be impossible', async () => {
    const sewn = (id: string, thread: string) => ({
      id,
      minutes: 1,
      place: 'm2',
      state: { thread },
    });
    const { body } = await post({
      tasks: [sewn('a', 'moss'), sewn('b', 'grey'), sewn('c', 'moss')],
      before: [['c', 'a']],
      costs: example.costs,
    });
    expect(body.asWritten).toBeNull();
    // To the machine once, and two threads of six minutes each.
    expect(body.changeMinutes).toBeCloseTo(12.5, 9);
    expect(body.proved).toBe(true);
  });

  test.each([
    [
      {
        before: [
          ['n1', 'p1'],
          ['p1', 'n1'],
        ],
      },
      'before',
      /ring: n1 before p1 before n1/,
    ],
    [{ before: [['n1', 'of the moon']] }, 'before.0.1', /no task called “of the moon”/],
    [{ tasks: [example.tasks[1], example.tasks[1]], before: [] }, 'tasks.1.id', /already/],
    [
      { tasks: [{ id: 'x', place: 'iron', state: { foot: 'y' } }], before: [] },
      'tasks.0.state',
      /no machine/,
    ],
    [{ costs: { foot: -1 } }, 'costs.foot', /0/],
    [{ hurry: true }, 'hurry', /hurry/],
  ])('%j is named', async (patch, path, words) => {
    const { status, body } = await post({ ...example, ...patch });
    expect(status).toBe(400);
    expect(body.error.issues[0].path).toBe(path);
    expect(body.error.issues[0].message).toMatch(words);
  });

  test('more than 500 tasks are refused', async () => {
    const tasks = Array.from({ length: 501 }, (_, i) => ({ id: `t${i}`, place: 'iron' }));
    const { status, body } = await post({ tasks });
    expect([status, body.error.issues[0].path]).toEqual([400, 'tasks']);
  });
});
