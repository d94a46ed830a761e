import type { FootRecord, MachineRecord } from '../../contract/records';
import { genericFeet } from '../../core/kit/generic-feet';
import { genericMachines } from '../../core/kit/generic-machines';
import { asItIs, requestWith, withOne, withoutOne } from './what-if';

const stored = { version: 1, createdAt: '', updatedAt: '', note: '' };
const machine = {
  ...stored,
  id: 'm',
  name: 'Home',
  specs: genericMachines.lockstitch,
} as MachineRecord;
const foot = { ...stored, ...genericFeet[0]!, id: 'f', name: 'Zigzag' } as unknown as FootRecord;
const facts = {
  cloth: {
    construction: 'woven',
    weightGsm: 200,
    thicknessMm: 0.4,
    stretchPercent: 2,
    fray: 1,
    curl: 0,
    slip: 0,
  },
  edge: {
    lengthMm: 1000,
    shape: 'straight',
    minRadiusMm: null,
    turnDegrees: null,
    depthMm: null,
    crossings: [],
  },
} as const;
const asked = (patch: Partial<typeof asItIs>) =>
  requestWith(facts, [machine], [foot], { ...asItIs, ...patch });

test('as it is changes nothing', () => {
  const request = asked({});
  expect(request.cloth).toBe(facts.cloth);
  expect(request.kit.machines).toEqual([machine.specs]);
  expect(request.kit.feet).toHaveLength(1);
});

test('thicker, thinner, and never thinner than cloth can be', () => {
  expect(asked({ thickerMm: 0.2 }).cloth.thicknessMm).toBeCloseTo(0.6, 9);
  expect(asked({ thickerMm: -0.2 }).cloth.thicknessMm).toBeCloseTo(0.2, 9);
  expect(asked({ thickerMm: -5 }).cloth.thicknessMm).toBe(0.05);
});

test('a foot more, a foot less', () => {
  expect(asked({ foot: withOne('hemmer-4') }).kit.feet.map(({ kind }) => kind)).toEqual([
    'zigzag',
    'hemmer',
  ]);
  expect(asked({ foot: withoutOne('f') }).kit.feet).toEqual([]);
});

test('a machine more, a machine less', () => {
  expect(asked({ machine: withOne('overlocker') }).kit.machines.map(({ kind }) => kind)).toEqual([
    'lockstitch',
    'overlocker',
  ]);
  expect(asked({ machine: withoutOne('m') }).kit.machines).toEqual([]);
});
