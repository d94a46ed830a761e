import { catalogue } from '../finish/catalogue';
import { cloths, edgeOf, evenWishes, fullKit } from './cases.fixture';
import { judgements } from './judgements.fixture';
import { rank } from './rank';
import type { Ranked } from './score';

test('there are eighty judgements, each another one', () => {
  expect(judgements.length).toBeGreaterThanOrEqual(80);
  expect(new Set(judgements.map(({ why }) => why)).size).toBe(judgements.length);
});

const named = ({ finishId, variant }: { finishId: string; variant: string }) => [
  finishId,
  `${finishId}.${variant}`,
];

/** The best of each of the first three constructions, as the list on the screen shows them. */
function firstThree(ranked: readonly Ranked[]): Ranked[] {
  const best = new Map<string, Ranked>();
  for (const it of ranked) if (!best.has(it.group)) best.set(it.group, it);
  return [...best.values()].slice(0, 3);
}

test.each(judgements)('$why', ({ request, first, among, notAmong, out, left }) => {
  const { ranked, ruledOut } = rank(catalogue, {
    cloth: cloths.shirting,
    edge: edgeOf({}),
    kit: fullKit,
    wishes: evenWishes,
    ...request,
  });
  const three = firstThree(ranked).flatMap(named);
  const there = ranked.flatMap(named);
  const leader = ranked[0] ? named(ranked[0]) : [];
  const list = ranked.slice(0, 8).map((it) => `${named(it)[1]} ${it.score.toFixed(1)}`);
  const say = (what: string, names: readonly string[]) => ({ what, names, list });
  if (first && !first.some((name) => leader.includes(name))) {
    expect(say('first', leader)).toEqual(say('first', first));
  }
  if (among && !among.some((name) => three.includes(name))) {
    expect(say('among', three)).toEqual(say('among', among));
  }
  const wrongly = (notAmong ?? []).filter((name) => three.includes(name));
  expect(say('not among', wrongly)).toEqual(say('not among', []));
  const notOut = (out ?? []).filter((name) => there.includes(name));
  expect(say('out', notOut)).toEqual(say('out', []));
  const gone = (left ?? []).filter((name) => !there.includes(name));
  expect(say('left', gone)).toEqual(say('left', []));
  for (const { hindrances } of ruledOut) expect(hindrances.length).toBeGreaterThan(0);
});
