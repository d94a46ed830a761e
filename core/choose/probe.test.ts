import { catalogue } from '../finish/catalogue';
import { genericCloths } from '../cloth/generic-cloths';
import { edgeOf, evenWishes, fullKit, plainKit } from './cases.fixture';
import { rank, type Ranked } from './rank';
import { presets } from './request';
const top = (ranked: readonly Ranked[], n = 4) => {
  const m = new Map<string, Ranked>();
  for (const r of ranked) if (!m.has(r.group)) m.set(r.group, r);
  return [...m.values()]
    .slice(0, n)
    .map((r) => `${r.finishId}.${r.variant} ${r.score.toFixed(0)}`)
    .join(' | ');
};
test('probe', () => {
  let out = '';
  const edges = {
    skirtHem: edgeOf({ shape: 'tube', lengthMm: 1100 }),
    circleHem: edgeOf({ shape: 'circle', lengthMm: 3000 }),
    neck: edgeOf({ purpose: 'opening', shape: 'inside-curve', lengthMm: 508, minRadiusMm: 60 }),
    allow: edgeOf({ purpose: 'allowance', lengthMm: 700 }),
    seam: edgeOf({ purpose: 'seam', lengthMm: 700 }),
  };
  const zero = { hidden: 0, sturdy: 0, light: 0, quick: 0, decorative: 0 };
  const wishes = {
    none: zero,
    unseen: presets[0]!.wishes,
    lasting: presets[1]!.wishes,
    light: presets[2]!.wishes,
    shown: presets[4]!.wishes,
  };
  for (const [en, edge] of Object.entries(edges))
    for (const [wn, w] of Object.entries(wishes)) {
      if (process.env.W && !process.env.W.split(',').includes(wn)) continue;
      if (process.env.E && !process.env.E.split(',').includes(en)) continue;
      out += `\n##### ${en} ${wn}\n`;
      for (const c of genericCloths) {
        const { id, name, fibre, recoveryPercent, face, nap, press, ...cloth } = c as any;
        for (const [kn, kit] of [
          ['plain', plainKit],
          ['full', fullKit],
        ] as const) {
          if (process.env.K && process.env.K !== kn) continue;
          out += `${id.padEnd(18)} ${kn.padEnd(5)} ${top(rank(catalogue, { cloth, edge, kit, wishes: w }).ranked)}\n`;
        }
      }
    }
  require('fs').writeFileSync('/tmp/probe.txt', out);
});
void evenWishes;
