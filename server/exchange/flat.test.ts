import fc from 'fast-check';
import { fibres } from '../../core/cloth/about-cloth';
import { constructions } from '../../core/cloth/cloth';
import { genericCloths } from '../../core/cloth/generic-cloths';
import { weightClasses } from '../../core/cloth/guesses';
import { guidances } from '../../core/kit/foot';
import { footKinds } from '../../core/kit/foot-kind';
import { machineKinds, patternsOfKind } from '../../core/kit/machine';
import { needlePoints } from '../../core/kit/needle';
import { shanks } from '../../core/kit/shank';
import { symptomIds } from '../../core/diagnose/symptom';
import { examplePlan } from '../../core/plan/example.fixture';
import { verdicts } from '../../contract/records';
import { exchangeTables, type ExchangeTable } from '../../contract/exchange';
import { columns } from './columns';
import { cellsOf, recordOf } from './flat';
import { draftSchema } from './record';

const length = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const text = fc.string({ minLength: 1, maxLength: 60 }).filter((it) => it.trim() === it);
const pair = (min: number, max: number) =>
  fc
    .tuple(length(min, max), length(min, max))
    .filter(([a, b]) => a !== b)
    .map(([a, b]) => [Math.min(a, b), Math.max(a, b)]);

const machine = fc.constantFrom(...machineKinds).chain((kind) =>
  fc.record({
    name: text,
    note: text,
    specs: fc.record(
      {
        kind: fc.constant(kind),
        maxWidthMm: length(0, 20),
        widthStepMm: length(0.01, 5),
        maxLengthMm: length(5, 20),
        lengthStepMm: length(0.01, 5),
        needleRangeMm: pair(-20, 20),
        needleStepMm: length(0.01, 5),
        plateHoleMm: fc.option(pair(-60, 60)),
        presserLiftMm: fc.option(length(2, 25)),
        lengthMeans: fc.constantFrom('stitch', 'repeat'),
        patterns: fc.option(fc.subarray([...patternsOfKind(kind)], { minLength: 1 })),
        shanks: fc.option(fc.subarray([...shanks], { minLength: 1 })),
      },
      {
        requiredKeys: [
          ...(['kind', 'maxWidthMm', 'widthStepMm', 'maxLengthMm', 'lengthStepMm'] as const),
          ...(['needleRangeMm', 'needleStepMm'] as const),
        ],
      },
    ),
  }),
);

const foot = fc.record({
  name: text,
  note: text,
  kind: fc.constantFrom(...footKinds),
  channelMm: fc.option(length(0.5, 80)),
  mouthMm: fc.option(length(1, 150)),
  stripMm: fc.option(length(1, 150)),
  specs: fc.record({
    slotMm: pair(-60, 60),
    guidance: fc.constantFrom(...guidances),
    guide: fc.oneof(
      length(-60, 60).map((atMm) => ({ atMm })),
      pair(-60, 60).map((rangeMm) => ({ rangeMm })),
      fc.tuple(pair(-60, 60), length(0.01, 5)).map(([rangeMm, stepMm]) => ({ rangeMm, stepMm })),
    ),
    shank: fc.option(fc.constantFrom(...shanks)),
  }),
  soleMm: fc.record(
    {
      widthMm: length(4, 60),
      toeMm: length(2, 60),
      heelMm: length(2, 60),
      standOffMm: length(0, 60),
    },
    { requiredKeys: ['widthMm', 'toeMm', 'heelMm'] },
  ),
});

const reading = (min: number, max: number) => fc.option(length(min, max));
const cloth = fc.record({
  name: text,
  note: text,
  pressNote: text,
  weightClass: fc.option(fc.constantFrom(...weightClasses)),
  like: fc.option(fc.constantFrom(...genericCloths.map(({ id }) => id))),
  fibre: fc.option(fc.constantFrom(...fibres)),
  face: fc.option(fc.constantFrom('alike', 'one')),
  nap: fc.option(fc.constantFrom('none', 'one-way')),
  shine: fc.constantFrom('untested', 'none', 'shines'),
  widthMm: reading(10, 5000),
  lengthLeftMm: reading(0, 200_000),
  photoId: fc.option(
    fc.string({ unit: fc.constantFrom(...'0123456789abcdef'), minLength: 64, maxLength: 64 }),
  ),
  tests: fc.record({
    construction: fc.constantFrom(...constructions),
    sampleGrams: reading(0.001, 2000),
    stackHeightMm: reading(0.05, 400),
    stackLayers: fc.option(fc.integer({ min: 1, max: 500 })),
    looseThreads: fc.option(fc.nat(1000)),
    rollsOver: fc.option(fc.boolean()),
    slipDegrees: reading(0, 90),
  }),
});

const needle = fc.record({
  name: text,
  note: text,
  size: fc.integer({ min: 40, max: 140 }),
  point: fc.constantFrom(...needlePoints),
  left: fc.nat(10_000),
});

const thread = fc.record({
  name: text,
  note: text,
  colour: text,
  use: fc.constantFrom('all-purpose', 'cone', 'see-through'),
  fibre: fc.option(fc.constantFrom(...fibres)),
  tex: reading(1, 500),
});

const { presserLiftMm: _lift, patterns: _patterns, ...plainMachine } = examplePlan.machine;
const depth = fc.record({
  depthMm: length(-2, 3),
  depthSpreadMm: length(0, 1),
  atMm: fc.option(fc.tuple(length(0, 100), length(0, 60)), { nil: undefined }),
});
const count = fc
  .tuple(
    ...([fc.constantFrom('bite', 'run'), fc.nat(40), fc.nat(40), fc.nat(40)] as const),
    fc.option(fc.array(depth, { maxLength: 5 }), { nil: undefined }),
  )
  .map(([check, short, over, good, depths]) => ({
    ...{ check, n: short + over + good + 5, short, over },
    ...(depths && { depths }),
  }));
const attempt = fc.record({
  planId: fc.option(fc.constant('plan-a')),
  number: fc.integer({ min: 1, max: 90 }),
  finish: fc.constantFrom('blind-hem', 'serged'),
  clothId: fc.option(fc.constant('cloth-a')),
  machineId: fc.option(fc.constant('machine-a')),
  footId: fc.option(fc.constant('foot-a')),
  names: fc.record({ cloth: text, machine: text, foot: text }),
  setUp: fc.constant({ ...examplePlan, machine: plainMachine }),
  settings: fc.option(
    fc.record({
      widthMm: length(0, 20),
      lengthMm: length(0.05, 20),
      needlePositionMm: length(-20, 20),
      guideMm: length(-60, 60),
    }),
  ),
  dialValues: fc.dictionary(
    fc.constantFrom('needle', 'differential'),
    fc.oneof(text, length(0, 9)),
  ),
  counts: fc.array(count, { maxLength: 3 }),
  symptoms: fc.subarray([...symptomIds]),
  verdict: fc.option(fc.constantFrom(...verdicts)),
  photoId: fc.constant(null),
  sewnOn: fc.option(fc.constant('2026-02-14')),
  note: text,
  pinned: fc.boolean(),
});

const records: Readonly<Record<ExchangeTable, fc.Arbitrary<object>>> = {
  cloths: cloth,
  machines: machine,
  feet: foot,
  needles: needle,
  threads: thread,
  attempts: attempt,
};

/** What is null and what is left out say the same. */
const said = (value: unknown): unknown =>
  JSON.parse(JSON.stringify(value, (_, part: unknown) => part ?? undefined));

describe.each(exchangeTables)('%s', (table) => {
  test('any record goes into cells and comes back as it was', () => {
    const schema = draftSchema(table);
    fc.assert(
      fc.property(records[table], (made) => {
        const record = schema.parse(made);
        const cells = cellsOf(table, { id: 'x', createdAt: '2026-01-01T00:00:00.000Z', ...record });
        const named = Object.fromEntries(columns[table].map(({ name }, i) => [name, cells[i]!]));
        const { record: back, issues } = recordOf(table, named);
        expect(issues).toEqual([]);
        const { id, createdAt, ...draft } = back;
        expect([id, createdAt]).toEqual(['x', '2026-01-01T00:00:00.000Z']);
        expect(said(schema.parse(draft))).toEqual(said(record));
      }),
    );
  });

  test('each column has a name of its own, and covers a field of the schema', () => {
    const names = columns[table].map(({ name }) => name);
    expect(new Set(names).size).toBe(names.length);
    const top = new Set(columns[table].map(({ path }) => path[0]));
    for (const field of Object.keys(draftSchema(table).shape)) expect(top).toContain(field);
  });
});

describe('cells that cannot be read', () => {
  test.each([
    ['sampleGrams', 'much', '“much” is not a number.'],
    ['rollsOver', 'maybe', '“maybe” is neither true nor false.'],
  ])('%s %s', (name, cell, message) => {
    expect(recordOf('cloths', { [name]: cell }).issues).toEqual([{ path: name, message }]);
  });
  test.each([
    ['3,5', 3.5],
    ['−2', -2],
    ['1e2', 100],
    [' 7 ', 7],
    ['', null],
  ])('a number written “%s”', (cell, value) => {
    const { record } = recordOf('cloths', { sampleGrams: cell });
    expect(record).toEqual({ tests: { sampleGrams: value } });
  });
});
