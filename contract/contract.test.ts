import type { z } from 'zod';
import { bookQuery } from './book';
import { examplePlan } from '../core/plan/example.fixture';
import { clothDraft, homeTests } from './cloth';
import { issuesOf } from './error';
import { foot, footDraft, machine, machineDraft } from './kit';
import { measureRequest } from './measure';
import { counted, dialSettings, foldWish, learnRequest, settingsRequest, stitch } from './plan';
import { attemptDraft, edgeDraft, planDraft, preferencesDraft, projectDraft } from './records';

const findings = (schema: z.ZodType, value: unknown) => {
  const result = schema.safeParse(value);
  return result.success ? [] : issuesOf(result.error);
};
const settings = { finish: 'blind-hem', ...examplePlan };
const dials = { widthMm: 2, lengthMm: 2, needlePositionMm: 0, guideMm: -1 };
const edge = {
  projectId: 'p',
  name: 'Hem',
  on: '',
  clothId: 'c',
  shape: 'tube',
  lengthMm: 300,
  minRadiusMm: null,
  turnDegrees: null,
  forChild: false,
  form: null,
  spareMm: null,
  purpose: 'hem',
  oldHem: { depthMm: 13, sewn: 'chain', keepLook: false },
  joined: 'round',
  pair: 'pair',
  depthMm: 40,
  secondEdge: null,
  seamAllowanceMm: null,
  passesOverMm: null,
  crossings: [],
};

describe('what is right passes unchanged', () => {
  test.each<[string, z.ZodType, unknown]>([
    ['settings', settingsRequest, settings],
    [
      'learn',
      learnRequest,
      { ...settings, samples: [{ settings: dials, check: 'bite', n: 1, short: 0, over: 1 }] },
    ],
    ['a fold wish', foldWish, { variant: 'flat', depthMm: 40, extensionMm: 8, turnMm: null }],
    ['home tests', homeTests, { construction: 'knit', sampleGrams: 2, rollsOver: null }],
    ['an edge', edgeDraft, edge],
    ['a project', projectDraft, { name: 'Coat', note: '', garment: null }],
    [
      'preferences',
      preferencesDraft,
      {
        unit: 'cm',
        inchRounding: '1/32',
        schools: { ends: 'tails' },
        acceptedPercent: 3.5,
        platesMm: [1.5, 2.5],
      },
    ],
    [
      'a foot',
      foot,
      { slotMm: [-3, 3], guidance: 'bar', guide: { rangeMm: [-1, 1], stepMm: 0.25 } },
    ],
  ])('%s', (_, schema, value) => {
    expect(schema.parse(value)).toEqual(value);
  });

  test('what may be left out has a stated start', () => {
    const { needleSize: _n, pickMm: _p, faultWeights: _f, skill: _s, ...rest } = settings;
    expect(settingsRequest.parse(rest)).toMatchObject({
      needleSize: 80,
      pickMm: 1,
      faultWeights: { below: 1, above: 1 },
      skill: 1,
    });
    expect(measureRequest.parse({ text: '3', unit: 'in' }).round).toBe('1/16');
    expect(stitch.parse({ pattern: 'blind-woven', anchor: 'right' }).runStitches).toBe(5);
  });

  test('names are kept without the blanks around them', () => {
    expect(projectDraft.parse({ name: '  Coat ', note: '' }).name).toBe('Coat');
  });
});

describe('what is wrong is named with what would be right', () => {
  test.each<[z.ZodType, unknown, string, string]>([
    [machine, { ...examplePlan.machine, widthStepMm: 0 }, 'widthStepMm', '0.01 to 5 mm'],
    [
      machine,
      { ...examplePlan.machine, needleRangeMm: [2, -2] },
      'needleRangeMm',
      'must not be more',
    ],
    [
      machine,
      { ...examplePlan.machine, lengthStepMm: 5, maxLengthMm: 2 },
      'lengthStepMm',
      'longest stitch',
    ],
    [machine, { ...examplePlan.machine, kind: 'loom' }, 'kind', 'lockstitch'],
    [machine, { ...examplePlan.machine, maxWidthMm: NaN }, 'maxWidthMm', 'A number is needed'],
    [machine, { ...examplePlan.machine, maxWidthMm: '7' }, 'maxWidthMm', 'A number is needed'],
    [foot, { ...examplePlan.foot, slotMm: [1, 1] }, 'slotMm', 'less than the second'],
    [foot, { ...examplePlan.foot, slotMm: [-1, 1, 2] }, 'slotMm', ''],
    [foot, { ...examplePlan.foot, guide: {} }, 'guide', 'left before right'],
    [
      footDraft,
      {
        name: '',
        kind: 'blind',
        channelMm: null,
        specs: examplePlan.foot,
        soleMm: { widthMm: 20, toeMm: 9, heelMm: 9 },
        note: '',
      },
      'name',
      'a name',
    ],
    [machineDraft, { name: 'x'.repeat(121), specs: examplePlan.machine, note: '' }, 'name', '120'],
    [
      clothDraft,
      { name: 'a', weightClass: 'airy', tests: { construction: 'woven' }, note: '' },
      'weightClass',
      'light',
    ],
    [homeTests, { construction: 'woven', stackLayers: 8.5 }, 'stackLayers', 'whole number'],
    [homeTests, { construction: 'woven', slipDegrees: 91 }, 'slipDegrees', '0 to 90°'],
    [dialSettings, { ...dials, lengthMm: 0 }, 'lengthMm', '0.05 to 20 mm'],
    [counted, { check: 'bite', n: 0, short: 0, over: 0 }, 'n', 'at least one'],
    [
      counted,
      { check: 'bite', n: 4, short: 3, over: 2 },
      'short',
      '3 short and 2 over are more than the 4',
    ],
    [counted, { check: 'bite', n: 4, short: -1, over: 0 }, 'short', 'negative'],
    [edgeDraft, { ...edge, lengthMm: 3 }, 'lengthMm', '10 to 100000 mm'],
    [edgeDraft, { ...edge, shape: 'spiral' }, 'shape', 'tube'],
    [edgeDraft, { ...edge, hue: 1 }, 'hue', '“hue”'],
    [edgeDraft, { ...edge, turnDegrees: 400 }, 'turnDegrees', '1 to 360°'],
    [footDraft, { name: 'a', kind: 'ruffler' }, 'kind', 'A foot is one of zigzag'],
    [planDraft.shape.faultWeights, { below: 0, above: 0 }, '', 'must matter'],
    [attemptDraft, { id: '7', planId: 'p', settings: dials, counts: [], note: '' }, 'id', 'UUID'],
    [
      attemptDraft,
      { planId: 'p', settings: dials, counts: [], note: '', symptoms: ['gremlins'] },
      'symptoms.0',
      'no such symptom',
    ],
    [
      attemptDraft,
      { planId: 'p', settings: dials, counts: [], note: '', verdict: 'fine' },
      'verdict',
      'keep, nearly or no',
    ],
    [
      attemptDraft,
      { planId: 'p', settings: dials, counts: [], note: '', sewnOn: 'yesterday' },
      'sewnOn',
      '2026-11-25',
    ],
    [bookQuery, { page: '-1' }, 'page', 'At least 0'],
    [bookQuery, { size: '9999' }, 'size', 'At most 200'],
    [bookQuery, { sort: 'colour' }, 'sort', 'Sort by sewnOn'],
    [
      settingsRequest,
      { ...settings, machine: { ...settings.machine, gears: 3 } },
      'machine.gears',
      '“gears”',
    ],
    [
      settingsRequest,
      { ...settings, cloth: { ...settings.cloth, fray: 4 } },
      'cloth.fray',
      '0, 1, 2 or 3',
    ],
    [settingsRequest, null, '', ''],
    [settingsRequest, [], '', ''],
  ])('%#', (schema, value, path, words) => {
    const found = findings(schema, value);
    expect(found).toContainEqual(
      expect.objectContaining({ path, message: expect.stringContaining(words) }),
    );
    for (const { message } of found) expect(message.length).toBeGreaterThan(0);
  });
});

test('a field that is missing, or of another kind, is told what it should be', () => {
  const said = (body: object) => findings(projectDraft, body).map(({ message }) => message);
  expect(said({})).toContain('It is missing; it is a text.');
  expect(said({ name: 4 })).toContain('It should be a text.');
});
