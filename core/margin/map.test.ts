import fc from 'fast-check';
import { blindHem } from '../finish/blind-hem';
import { examplePlan } from '../plan/example.fixture';
import { judge } from '../plan/judge';
import { setUpOf } from '../plan/set-up-of';
import { bestGuideMm, dialSweep, marginMap } from './map';
import { solve } from './solve';

const set = setUpOf(blindHem, examplePlan);
const screwed = {
  ...set,
  foot: { ...set.foot, guide: { rangeMm: [-3, 0.75] as const, stepMm: 0.25 } },
};

describe('the margin map', () => {
  test('has a cell for every position of the two dials', () => {
    const map = marginMap(set, -1);
    expect(map.widthsMm).toHaveLength(15);
    expect(map.needlePositionsMm).toHaveLength(15);
    expect(map.chances).toHaveLength(225);
  });

  test('each cell is what judging that setting says, and blocked where that is', () => {
    fc.assert(
      fc.property(fc.nat(224), (cell) => {
        const map = marginMap(set, -1);
        const settings = {
          widthMm: map.widthsMm[cell % 15] ?? 0,
          needlePositionMm: map.needlePositionsMm[Math.floor(cell / 15)] ?? 0,
          guideMm: -1,
          lengthMm: 2,
        };
        const { chance, blocked } = judge(set, settings);
        if (blocked) expect(map.chances[cell]).toBeNaN();
        else expect(map.chances[cell]).toBeCloseTo(chance, 6);
      }),
    );
  });

  test('its highest cell is as good as the solved setting', () => {
    for (const one of [set, screwed]) {
      const { chances } = marginMap(one, null);
      const best = Math.max(...[...chances].filter((chance) => !Number.isNaN(chance)));
      const solved = judge(one, { ...solve(one), lengthMm: 2 }).chance;
      expect(best).toBeGreaterThanOrEqual(solved - 1e-6);
      expect(best - solved).toBeLessThanOrEqual(0.0021);
    }
  });

  test('the best guide of a cell is the one its chance is reached at', () => {
    const map = marginMap(screwed, null);
    for (const cell of [40, 100, 130]) {
      const guideMm = map.guidesMm[cell] ?? 0;
      const one = marginMap(screwed, guideMm).chances[cell];
      expect(one).toEqual(map.chances[cell]);
    }
  });

  test('ten million cells are refused, with the reason', () => {
    const fine = {
      ...set,
      machine: { ...set.machine, widthStepMm: 0.01, needleStepMm: 0.01 },
    };
    expect(() => marginMap(fine, -1)).toThrow('A map of 491,401 cells is more than');
  });
});

test('a sweep along one dial agrees with the map', () => {
  const map = marginMap(set, -1);
  const at = { widthMm: 2, needlePositionMm: 0.5, guideMm: -1 };
  const row = map.needlePositionsMm.indexOf(0.5);
  const { positionsMm, chances } = dialSweep(set, 'width', at);
  expect(positionsMm).toEqual(map.widthsMm);
  chances.forEach((chance, i) => {
    const cell = map.chances[row * 15 + i] ?? 0;
    if (Number.isNaN(cell)) expect(chance).toBeNaN();
    else expect(chance).toBeCloseTo(cell, 6);
  });
});

test('the guide of a cell worked out alone is the one the whole map has', () => {
  const map = marginMap(screwed, null);
  map.needlePositionsMm.forEach((needlePositionMm, row) => {
    map.widthsMm.forEach((widthMm, column) => {
      const cell = row * map.widthsMm.length + column;
      if (Number.isNaN(map.chances[cell])) return;
      const alone = bestGuideMm(screwed, { widthMm, needlePositionMm, guideMm: 0 });
      expect(alone).toBeCloseTo(map.guidesMm[cell]!, 5);
    });
  });
});
