import { mostListed } from '../../contract/headers';
import { ApiError, send, sendFile, sendList, Unreachable } from './api';

/** What was asked for, and what is answered to it. */
function answering(...answers: (Response | Error)[]) {
  const asked: { address: string; request: RequestInit }[] = [];
  jest.spyOn(globalThis, 'fetch').mockImplementation((address, request = {}) => {
    asked.push({ address: address as string, request });
    const answer = answers[Math.min(asked.length, answers.length) - 1]!;
    return answer instanceof Error ? Promise.reject(answer) : Promise.resolve(answer.clone());
  });
  return asked;
}
afterEach(() => jest.restoreAllMocks());

const json = (body: unknown, status = 200) =>
  new Response(JSON.stringify(body), {
    status,
    headers: { 'content-type': 'application/json' },
  });
const refusal = (code: string, status: number) =>
  json(
    { error: { code, message: 'Not so.', issues: [{ path: 'name', message: 'A name.' }] } },
    status,
  );

describe('a request', () => {
  test('carries its body as JSON, and outlives its page where it changes something', async () => {
    const asked = answering(json({ id: 'a' }));
    await expect(send('POST', 'edges', { name: 'Hem' })).resolves.toEqual({ id: 'a' });
    const [{ address, request } = { address: '', request: {} as RequestInit }] = asked;
    expect(address).toBe('/api/edges');
    expect(request.body).toBe('{"name":"Hem"}');
    expect(new Headers(request.headers).get('content-type')).toBe('application/json');
    expect(request.keepalive).toBe(true);
    await send('GET', 'edges');
    expect(asked[1]!.request.keepalive).toBe(false);
    expect(asked[1]!.request.body).toBeUndefined();
  });

  test('that is answered with nothing is nothing', async () => {
    answering(new Response(null, { status: 204 }));
    await expect(send('DELETE', 'edges/a')).resolves.toBeUndefined();
  });

  test('that is refused says why and at which field', async () => {
    answering(refusal('not-valid', 400));
    const error: unknown = await send('POST', 'edges', {}).catch((it: unknown) => it);
    expect(error).toBeInstanceOf(ApiError);
    expect(error).toMatchObject({
      ...{ status: 400, code: 'not-valid', message: 'Not so.' },
      issues: [{ path: 'name', message: 'A name.' }],
    });
  });

  test.each([
    ['nobody answers', new TypeError('Failed to fetch')],
    ['something else stands in its place', new Response('<html>Sign in</html>', { status: 403 })],
    ['a refusal of nobody we know', json({ error: 'no' }, 500)],
  ])('is to be sent again where %s', async (_, answer) => {
    answering(answer);
    await expect(send('PATCH', 'edges/a', {})).rejects.toMatchObject({
      name: 'Unreachable',
      said: null,
    });
  });

  test.each([
    ['it can’t just now', refusal('busy', 503)],
    ['this device is let in no more', refusal('not-paired', 401)],
  ])('is to be sent again, in the server’s words, where %s', async (_, answer) => {
    answering(answer);
    await expect(send('PATCH', 'edges/a', {})).rejects.toEqual(new Unreachable('Not so.'));
  });
});

test('a file is sent as it is; given up, it says that and nothing else', async () => {
  const given = new AbortController();
  const file = new Blob(['bytes']);
  const asked = answering(json({ id: 'p' }));
  await expect(sendFile('photos', file, given.signal)).resolves.toEqual({ id: 'p' });
  expect(asked[0]!.request.body).toBe(file);
  given.abort(new Error('given up'));
  answering(given.signal.reason as Error);
  await expect(sendFile('photos', file, given.signal)).rejects.toThrow('given up');
});

test('a list comes part by part until one is not full', async () => {
  const full = Array.from({ length: mostListed }, (_, id) => ({ id }));
  const asked = answering(json(full), json(full), json([{ id: 'last' }]));
  const all = await sendList<{ id: unknown }>('attempts?planId=a');
  expect(all).toHaveLength(2 * mostListed + 1);
  expect(all.at(-1)).toEqual({ id: 'last' });
  const parts = asked.map(({ address }) => new URL(address, 'http://here').searchParams);
  expect(parts.map((it) => [it.get('planId'), it.get('limit'), it.get('offset')])).toEqual([
    ['a', `${mostListed}`, '0'],
    ['a', `${mostListed}`, `${mostListed}`],
    ['a', `${mostListed}`, `${2 * mostListed}`],
  ]);
});
