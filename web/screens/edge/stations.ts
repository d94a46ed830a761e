import type { ComponentType } from 'react';
import { later } from '../../ground/later';
import { patiently } from '../../ground/patiently';
import type { Lengths } from '../../../core/measure/lengths';
import { servesPurpose } from '../../../core/finish/nature';
import type { FoldPlan } from '../../../core/finish/fold-plan';
import { swings } from '../../../core/stitch/needle-path';
import { isClosed } from '../../../core/edge/shape';
import { finishName } from '../../words/finishes';
import { counted } from '../../words/number';
import { purposeNames } from '../../words/edges';
import { isLooped } from './looped';
import type { Bench } from '../../bench/bench';
import { SettingSlip } from './setting-slip';
import { SettingTable } from './setting-table';

/** A half of a station that is loaded when somebody goes there, or a little before. */
const half = <K extends string>(load: () => Promise<Record<K, Part>>, name: K) =>
  later(async () => (await load())[name]);
const load = {
  cloth: () => import('./cloth-station'),
  edge: () => import('./edge-station'),
  finish: () => import('./finish-station'),
  finishSlip: () => import('./finish-slip'),
  folds: () => import('./folds-station'),
  foldsSlip: () => import('./folds-slip'),
  test: () => import('../test-bench/test-station'),
  starting: () => import('./starting-slip'),
  map: () => import('./map-panel'),
  swatch: () => import('./swatch-panel'),
  section: () => import('../../pictures/section-picture'),
  chart: () => import('../../pictures/dial-chart'),
};

/** Fetches every station, so that each opens at once, and also while the server is away. */
export function fetchStations(): void {
  void Promise.allSettled(Object.values(load).map((fetch) => patiently<unknown>(fetch)));
}

type Part = ComponentType<{ bench: Bench }>;

/** A station: what it is called, its answer in one line, and its two halves. */
export interface Station {
  readonly id: string;
  readonly name: string;
  answer(bench: Bench, lengths: Lengths): string;
  readonly Table: Part;
  readonly Slip: Part;
}

/** What is shown of a finish that nobody took yet is a proposal. */
const asProposed = (answer: string, proposed: boolean) =>
  proposed ? `proposal: ${answer}` : answer;

/** The folds in a few words: what is added, or what is cut off. */
function foldsInShort({ allowanceMm, strip }: FoldPlan, cloth: Lengths['cloth']): string {
  if (strip) return `strip ${cloth(strip.widthMm)} wide`;
  return allowanceMm > 0 ? `${cloth(allowanceMm)} allowance` : 'nothing added';
}

const isSewn = (finish: Bench['finish'], { fold }: Bench['record']) =>
  finish.needs(fold.variant).machineKinds.length > 0;

function testAnswer({ attempts, record, lesson, margin, proposed, finish }: Bench): string {
  if (proposed) return 'after choosing';
  if (!margin) return isSewn(finish, record) ? 'sew and look' : 'cut and rub';
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
    Table: half(load.cloth, 'ClothTable'),
    Slip: half(load.cloth, 'ClothSlip'),
  },
  {
    id: 'edge',
    name: 'Edge',
    answer: ({ edge }, { cloth }) =>
      `${purposeNames[edge.purpose]}, ${edge.minRadiusMm ? 'curved, ' : ''}${cloth(edge.lengthMm)} ${isClosed(edge) ? 'round' : 'long'}${edge.oldHem ? ', old hem in it' : ''}`,
    Table: half(load.edge, 'EdgeTable'),
    Slip: half(load.edge, 'EdgeSlip'),
  },
  {
    id: 'finish',
    name: 'Finish',
    answer: ({ record, proposed, finish, edge }) =>
      proposed
        ? 'not chosen yet'
        : `${servesPurpose(finish.nature(record.fold.variant), edge.purpose) ? '' : '! '}${finishName(record.finish, record.fold.variant)}`,
    Table: half(load.finish, 'FinishTable'),
    Slip: half(load.finishSlip, 'FinishSlip'),
  },
  {
    id: 'folds',
    name: 'Folds',
    answer: ({ folds, proposed }, { cloth }) =>
      folds ? asProposed(foldsInShort(folds, cloth), proposed) : 'needs a look',
    Table: half(load.folds, 'FoldsTable'),
    Slip: half(load.foldsSlip, 'FoldsSlip'),
  },
  {
    id: 'setting',
    name: 'Setting',
    answer: (
      { dials, judgement, margin, plan, proposed, finish, record, issues },
      { fineNumber, unit },
    ) =>
      asProposed(
        !margin
          ? isSewn(finish, record)
            ? 'starting values'
            : 'nothing to set'
          : judgement?.blocked
            ? 'blocked'
            : dials
              ? `${swings(plan.stitch) && !isLooped(plan) ? `${fineNumber(dials.widthMm)} wide, ` : ''}${fineNumber(dials.lengthMm)} ${unit} long`
              : issues.length > 0
                ? 'can’t be sewn so'
                : 'working it out',
        proposed,
      ),
    Table: SettingTable,
    Slip: SettingSlip,
  },
  {
    id: 'test',
    name: 'Test',
    answer: testAnswer,
    Table: half(load.test, 'TestTable'),
    Slip: half(load.test, 'TestSlip'),
  },
];
