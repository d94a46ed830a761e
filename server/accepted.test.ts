import fc from 'fast-check';
import * as z from 'zod';
import { resources } from './store/resources';
import { startServer, type RunningServer } from './testing.fixture';

type Json = Record<string, unknown>;
type Schema = Json & {
  readonly anyOf?: readonly Schema[];
  readonly properties?: Readonly<Record<string, Schema>>;
  readonly items?: Schema;
};

const number = (schema: Schema, name: string, otherwise: number) =>
  typeof schema[name] === 'number' && Math.abs(schema[name]) < 1e6 ? schema[name] : otherwise;

/** Values of a schema's kind within its bounds: most of them are accepted, and none is made up to be. */
function valueOf(schema: Schema): fc.Arbitrary<unknown> {
  if (schema.anyOf) return fc.oneof(...schema.anyOf.map(valueOf));
  if (Array.isArray(schema['enum'])) return fc.constantFrom(...(schema['enum'] as unknown[]));
  if ('const' in schema) return fc.constant(schema['const']);
  const [least, most] = [number(schema, 'minimum', 0), number(schema, 'maximum', 1000)];
  switch (schema['type']) {
    case 'integer':
      return fc.integer({ min: Math.ceil(least), max: Math.floor(most) });
    case 'number':
      return fc.oneof(
        fc.double({ min: least, max: most, noNaN: true }),
        fc.constantFrom(least, most, least + (most - least) / 1e6),
      );
    case 'boolean':
      return fc.boolean();
    case 'null':
      return fc.constant(null);
    case 'array':
      return fc.array(schema.items ? valueOf(schema.items) : fc.constant(null), {
        minLength: number(schema, 'minItems', 0),
        maxLength: Math.min(3, number(schema, 'maxItems', 3)),
      });
    case 'object':
      return fc.record(
        Object.fromEntries(
          Object.entries(schema.properties ?? {}).map(([name, part]) => [name, valueOf(part)]),
        ),
      );
    default:
      return fc.string({ minLength: number(schema, 'minLength', 0), maxLength: 12 });
  }
}

const kinds = Object.entries(resources).filter(([, { creatable }]) => creatable);
const fieldsOf = Object.fromEntries(
  Object.entries(resources).map(([name, { draft }]) => {
    const schema = z.toJSONSchema(draft, { unrepresentable: 'any', io: 'input' }) as Schema;
    return [name, Object.entries(schema.properties ?? {})];
  }),
);

/** A few fields of a kind of record with values of their own. */
const someFields = (name: string): fc.Arbitrary<Json> => {
  const fields = fieldsOf[name] ?? [];
  return fc
    .subarray(fields, { minLength: 1, maxLength: Math.min(4, fields.length) })
    .chain((some) =>
      fc.record(Object.fromEntries(some.map(([field, schema]) => [field, valueOf(schema)]))),
    );
};

const step = fc
  .tuple(
    fc.constantFrom(...kinds.map(([name]) => name)),
    fc.constantFrom('create', 'create', 'change', 'change', 'change', 'remove', 'undo', 'redo'),
    fc.nat(50),
  )
  .chain(([kind, how, which]) => someFields(kind).map((fields) => ({ kind, how, which, fields })));

let server: RunningServer;
beforeAll(async () => {
  server = await startServer();
});
afterAll(() => server.stop());

const ask = async (method: string, path: string, body?: object) => {
  const answer = await fetch(`${server.address}/api/${path}`, {
    method,
    headers: { 'content-type': 'application/json' },
    ...(body && { body: JSON.stringify(body) }),
  });
  const text = await answer.text();
  if (answer.status >= 500) throw new Error(`${method} ${path} ${JSON.stringify(body)}: ${text}`);
  return { status: answer.status, text };
};
const rows = async (kind: string) => JSON.parse((await ask('GET', kind)).text) as Json[];

/** Every route that shows or works out something, asked about whatever is stored now. */
async function askEverywhere(): Promise<void> {
  for (const name of Object.keys(resources)) await ask('GET', name);
  for (const path of ['history', 'removed', 'book', 'book/choices', 'book/usual', 'book/skill']) {
    await ask('GET', path);
  }
  for (const file of ['cloths.csv', 'machines.csv', 'feet.csv', 'sample-book.csv']) {
    await ask('GET', `export/${file}`);
  }
  await ask('GET', 'export/sample-book.json');
  for (const plan of await rows('plans')) {
    const id = String(plan['id']);
    await ask('GET', `plans/${id}/worked`);
    await ask('GET', `plans/${id}/gauge.svg?page=a4`);
  }
}

test('no accepted record makes any route fail', async () => {
  let accepted = 0;
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 6, maxLength: 14 }), async (steps) => {
      for (const { kind, how, which, fields } of steps) {
        const all = await rows(kind);
        const row = all[which % Math.max(1, all.length)];
        if (how === 'undo' || how === 'redo') await ask('POST', how, {});
        else if (!row) continue;
        else if (how === 'remove') {
          await ask('DELETE', `${kind}/${String(row['id'])}?version=${String(row['version'])}`);
        } else if (how === 'change') {
          const patch = { version: row['version'], ...fields };
          if ((await ask('PATCH', `${kind}/${String(row['id'])}`, patch)).status === 200)
            accepted++;
        } else {
          const known = (fieldsOf[kind] ?? []).map(([name]) => name);
          const like = Object.fromEntries(known.map((name) => [name, row[name]]));
          if ((await ask('POST', kind, { ...like, ...fields })).status === 201) accepted++;
        }
      }
      await askEverywhere();
    }),
    { numRuns: 12, endOnFailure: true },
  );
  // Refusing everything would be no proof.
  expect(accepted).toBeGreaterThan(15);
});
