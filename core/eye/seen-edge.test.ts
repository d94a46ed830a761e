import { eyeCases } from '../study/eye-cases';
import { drawnPhoto } from '../study/drawn-photo';
import { evenDraws } from '../swatch/draw';
import { Impossible } from '../impossible';
import { measureEdge } from './seen-edge';

const kind = eyeCases().find(({ name }) => name === 'raw edge, overcast, striped, soft')!;
const whiskers = [
  // Among the loops, which hold it.
  { alongMm: 15, lengthMm: 1.2, leanMm: 0.2 },
  { alongMm: 35, lengthMm: 3.2, leanMm: -0.6 },
  { alongMm: 62, lengthMm: 4.5, leanMm: 0.8 },
];
const windowOf = (waveMm: number, sticks: typeof whiskers) => {
  const edge = { waveMm, everyMm: 28, whiskers: sticks };
  return drawnPhoto({ ...kind, pxPerMm: 9, look: { ...kind.look, edge } }, evenDraws(9)).window;
};

test('an edge of which nothing is counted has its waves, its course and what sticks out of it', () => {
  const wavy = measureEdge(windowOf(1.2, whiskers));
  // (2π · 1.2 / 28)² / 4 = 1.8 %
  expect(wavy.longerShare).toBeGreaterThan(0.014);
  expect(wavy.longerShare).toBeLessThan(0.021);
  expect(wavy.whiskers).toHaveLength(2);
  for (const { atMm, beyondMm } of wavy.whiskers) {
    const nearest = wavy.line.reduce(
      (least, [x, y]) => Math.min(least, Math.hypot(x - atMm[0], y - atMm[1])),
      Infinity,
    );
    // It sticks out by as much as it lies from the line that is drawn.
    expect(Math.abs(nearest - beyondMm)).toBeLessThan(0.6);
  }
});

test('one that lies straight and clean has none of it; without an edge nothing is told', () => {
  const flat = measureEdge(windowOf(0, []));
  expect(flat.longerShare).toBeLessThan(0.002);
  expect(flat.whiskers).toEqual([]);
  expect(flat.line).toHaveLength(2);
  // Nor is a fold one, beyond which the cloth goes on.
  const hem = eyeCases().find(({ name }) => name === 'blind hem, wrong side, checked, soft')!;
  const { window: folded } = drawnPhoto({ ...hem, pxPerMm: 9 }, evenDraws(9));
  expect(() => measureEdge(folded)).toThrow(Impossible);
  const grey = new Uint8Array(900 * 540).fill(150);
  expect(() => measureEdge({ width: 900, height: 540, pxPerMm: 9, grey })).toThrow(Impossible);
});
