import { lazy, type ComponentType } from 'react';
import type { Lengths } from '../../app/lengths';
import { finishName } from '../../words/finishes';
import { counted } from '../../words/number';
import type { Bench } from './bench';
import { ClothSlip, ClothTable } from './cloth-station';
import { EdgeSlip, EdgeTable } from './edge-station';
import { FinishSlip, FinishTable } from './finish-station';
import { FoldsSlip, FoldsTable } from './folds-station';
import { SettingSlip, SettingTable } from './setting-station';

// Loaded when somebody tests: the dates' package comes with it.
const TestTable = lazy(async () => ({ default: (await import('./test-station')).TestTable }));
const TestSlip = lazy(async () => ({ default: (await import('./test-station')).TestSlip }));

type Part = ComponentType<{ bench: Bench }>;

/** A station: what it is called, its answer in one line, and its two halves. */
export interface Station {
  readonly id: string;
  readonly name: string;
  answer(bench: Bench, lengths: Lengths): string;
  readonly Table: Part;
  readonly Slip: Part;
}

function testAnswer({ attempts, record, lesson }: Bench): string {
  const kept = attempts.find(({ id }) => id === record.keptAttemptId);
  if (kept) return `scrap ${kept.number} kept`;
  if (attempts.length === 0) return 'no scrap yet';
  const scraps = counted(attempts.length, 'scrap');
  return lesson ? `${scraps}, ${lesson.enough ? 'enough' : 'not yet'}` : scraps;
}

/** The stations in the order people work; each is open at any time. */
export const stations: readonly Station[] = [
  {
    id: 'cloth',
    name: 'Cloth',
    answer: ({ cloth }, { fine }) => `${cloth.name}, ${fine(cloth.properties.thicknessMm)}`,
    Table: ClothTable,
    Slip: ClothSlip,
  },
  {
    id: 'edge',
    name: 'Edge',
    answer: ({ edge }, { cloth }) =>
      `${edge.minRadiusMm ? 'Curved, ' : ''}${cloth(edge.lengthMm)} ${edge.shape === 'tube' ? 'round' : 'long'}`,
    Table: EdgeTable,
    Slip: EdgeSlip,
  },
  {
    id: 'finish',
    name: 'Finish',
    answer: ({ record }) => finishName(record.finish, record.fold.variant),
    Table: FinishTable,
    Slip: FinishSlip,
  },
  {
    id: 'folds',
    name: 'Folds',
    answer: ({ finish, plan, issues }, { cloth }) =>
      issues.length > 0
        ? 'needs a look'
        : `${cloth(finish.folds({ wish: plan.fold, cloth: plan.cloth }).allowanceMm)} allowance`,
    Table: FoldsTable,
    Slip: FoldsSlip,
  },
  {
    id: 'setting',
    name: 'Setting',
    answer: ({ dials, judgement }, { fineNumber, unit }) =>
      judgement?.blocked
        ? 'blocked'
        : dials
          ? `${fineNumber(dials.widthMm)} wide, ${fineNumber(dials.lengthMm)} ${unit} long`
          : 'working it out',
    Table: SettingTable,
    Slip: SettingSlip,
  },
  { id: 'test', name: 'Test', answer: testAnswer, Table: TestTable, Slip: TestSlip },
];
