import { cleanup } from '@testing-library/react';
import { finishById } from '../../core/finish/catalogue';
import { everyVariant } from '../../core/finish/wishes.fixture';
import { genericFeet } from '../../core/kit/generic-feet';
import { normalDrift } from '../../core/margin/normal';
import type { Margin } from '../../core/margin/margin';
import { judge } from '../../core/plan/judge';
import { examplePlan } from '../../core/plan/example.fixture';
import { setUpOf } from '../../core/plan/set-up-of';
import { shownThreadMm } from '../../core/plan/shown-thread';
import { startingSetting } from '../../core/plan/starting-setting';
import { workedOut } from '../../core/plan/worked.fixture';
import { sewSwatch } from '../../core/swatch/swatch';
import { drawn, numberOf } from '../testing/drawn';
import { MarginBar } from './margin-bar';
import { MiniMargin } from './mini-margin';
import { ScrapStrip } from './scrap-strip';
import { SwatchFace } from './swatch-face';
import { UnderFoot } from './under-foot';

afterEach(cleanup);

/** Every variant whose dials are solved, with its own best setting on a plain kit. */
const sewn = everyVariant.flatMap(([name, finish, variant]) => {
  const plan = workedOut(finish, variant)?.plan;
  const margin = finish.margin(variant);
  if (!plan || !margin) return [];
  const set = setUpOf(finish, plan);
  const dials = startingSetting(finish, plan, set);
  return [{ name, margin, plan, set, dials }];
});

describe('a scrap from both faces', () => {
  test.each(sewn)('rings what is wrong, where it is: $name', ({ margin, plan, set, dials }) => {
    const [first] = margin.references(plan, dials);
    const swatch = sewSwatch(set, dials, first, 90, 7);
    const shownMm = shownThreadMm(margin, set, plan, dials, swatch);
    const picture = drawn(
      <ScrapStrip
        {...{ id: 'scrap', margin, plan, set, dials, swatch, label: 'A scrap' }}
        widthPx={900}
        heightPx={120}
      />,
    );
    const rings = picture.all('circle[data-part=fault]');
    // Faults of any source are ringed on top; under it only those whose thread is to be seen.
    const faulty = swatch.stitches.filter(({ fault }) => fault !== null);
    const under = shownMm
      ? swatch.stitches.filter(({ fault }, i) => fault !== null && shownMm[i]! > 0).length
      : faulty.length;
    expect(rings).toHaveLength(faulty.length + under);
    const pxPerMm = (900 - 20) / swatch.lengthMm;
    const along = rings.slice(0, faulty.length).map((ring) => numberOf(ring, 'cx'));
    const wanted = swatch.holes
      .filter(({ stitch }) => stitch !== null && swatch.stitches[stitch]!.fault !== null)
      .map(({ yMm }) => 10 + yMm * pxPerMm);
    along.forEach((px, i) => expect(px).toBeCloseTo(wanted[i]!, 6));
    // All of the scrap is in the picture.
    for (const { yMm } of swatch.holes) {
      expect(yMm).toBeLessThanOrEqual((900 - 20) / pxPerMm + 1e-9);
    }
  });

  test('a thread pulled to one face is drawn there only', () => {
    const { margin, plan, set, dials } = sewn[0]!;
    const [first] = margin.references(plan, dials);
    const swatch = sewSwatch(set, dials, first, 60, 3);
    const window = { id: 'face', x: 0, y: 0, width: 900, height: 120, pxPerMm: 10, midMm: 0 };
    const pulled = (lock: 'inside' | 'up' | 'under', face: 'up' | 'under') => {
      const { all } = drawn(
        <svg>
          <SwatchFace {...{ ...window, swatch, lock, face, shownMm: null, regions: [] }} />
        </svg>,
      );
      const count = all('circle[data-part=pulled-thread]').length;
      cleanup();
      return count;
    };
    expect(pulled('up', 'up')).toBe(swatch.holes.length);
    expect(pulled('under', 'under')).toBe(swatch.holes.length);
    expect([pulled('up', 'under'), pulled('under', 'up'), pulled('inside', 'up')]).toEqual([
      0, 0, 0,
    ]);
  });
});

const blindHem = finishById('blind-hem')!;
/** A plain foot of its kind, led as the example’s is. */
const foot = {
  ...genericFeet.find(({ kind }) => kind === 'blind')!,
  specs: examplePlan.foot,
} as unknown as Parameters<typeof UnderFoot>[0]['foot'];

function underFoot(dials: Partial<ReturnType<typeof startingSetting>> = {}) {
  const set = setUpOf(blindHem, examplePlan);
  const settings = { ...startingSetting(blindHem, examplePlan, set), ...dials };
  const judgement = judge(set, settings);
  const picture = drawn(
    <UnderFoot
      {...{ judgement, plan: examplePlan, beliefs: set.beliefs, foot }}
      margin={blindHem.margin('flat')!}
    />,
    1000,
    520,
  );
  return { picture, judgement, settings };
}

describe('under the foot', () => {
  test('the needle swings as wide as it does, on the bed’s own scale', () => {
    const { picture, settings } = underFoot();
    const swing = picture.all('line[data-part=swing]')[0]!;
    const px = numberOf(swing, 'x2') - numberOf(swing, 'x1');
    // The bed’s ruler: two ticks and what is written under them.
    const texts = picture
      .all('g[text-anchor=middle] text')
      .filter((text) => numberOf(text, 'x') < 520)
      .map((text) => [parseFloat(text.textContent.replace('−', '-')), numberOf(text, 'x')]);
    const [[mm1, px1], [mm2, px2]] = [texts[1]!, texts[2]!] as [[number, number], [number, number]];
    const pxPerMm = (px2 - px1) / (mm2 - mm1);
    const rows = new Map(picture.rows() as [string, string][]);
    const from = parseFloat(rows.get('Needle swings from')!.replace('−', '-'));
    const to = parseFloat(rows.get('to')!.replace('−', '-'));
    expect(to - from).toBeGreaterThan(0);
    expect(to - from).toBeLessThanOrEqual(settings.widthMm + 1e-9);
    expect(px / pxPerMm).toBeCloseTo(to - from, 1);
  });

  test('what would meet metal is ringed and said, and nothing else is', () => {
    const metal = (picture: ReturnType<typeof underFoot>['picture']) =>
      picture.all('path[data-part=meets-metal]').filter((path) => path.getAttribute('d') !== '');
    const free = underFoot();
    expect(free.judgement.blocked).toBe(false);
    expect(metal(free.picture)).toHaveLength(0);
    expect(free.picture.container.textContent).not.toMatch(/Blocked/);
    cleanup();
    const blocked = underFoot({ widthMm: 7, needlePositionMm: -3.5 });
    expect(blocked.judgement.blocked).toBe(true);
    expect(metal(blocked.picture).length).toBeGreaterThan(0);
    expect(blocked.picture.container.textContent).toMatch(/Blocked: the needle would meet the/);
  });

  test('the numbers beside the picture are those of the judgement', () => {
    const { picture, judgement } = underFoot();
    const rows = new Map(picture.rows() as [string, string][]);
    for (const { name, v0Mm } of judgement.checks) {
      const words = blindHem.margin('flat')!.words.checks[name]!;
      expect(parseFloat(rows.get(words)!.replace('−', '-'))).toBeCloseTo(v0Mm, 1);
    }
    expect(parseFloat(rows.get('Clearance')!)).toBeCloseTo(judgement.clearance.clearanceMm, 1);
  });
});

const marginOf = (more: Partial<Margin>): Margin => ({
  ...{ source: 'guide', fromMm: -0.4, toMm: 0.9, leftFault: 'short', rightFault: 'over' },
  ...{ leftEnd: null, rightEnd: null },
  ...more,
});
const faults = {
  short: { short: 'bite missed', long: 'the bite misses the fold' },
  over: { short: 'bite shows', long: 'the bite shows on the right side' },
};

describe('the margin', () => {
  const bar = (margin: Margin, widthPx = 900) =>
    drawn(
      <MarginBar
        {...{ margin, faults, known: 'guess', reference: 'fold' }}
        belief={normalDrift(0.1, 0.3)}
      />,
      widthPx,
    );
  const green = (picture: ReturnType<typeof bar>) => picture.all('rect.fill-moss-fill')[0];

  test.each([
    [-0.4, 0.9],
    [-0.05, 0.05],
    [0.2, 0.5],
    [-1.4, -0.3],
  ])('is green from %d to %d, to the scale of its axis', (fromMm, toMm) => {
    const picture = bar(marginOf({ fromMm, toMm }));
    const ticks = picture
      .all('g[text-anchor=middle] text')
      .map((text) => [parseFloat(text.textContent.replace('−', '-')), numberOf(text, 'x')]);
    const [[a, x1], [b, x2]] = [ticks[0]!, ticks.at(-1)!] as [[number, number], [number, number]];
    const pxPerMm = (x2 - x1) / (b - a);
    const px = (mm: number) => x1 + (mm - a) * pxPerMm;
    const rect = green(picture)!;
    expect(numberOf(rect, 'x')).toBeCloseTo(px(fromMm), 1);
    expect(numberOf(rect, 'x') + numberOf(rect, 'width')).toBeCloseTo(px(toMm), 1);
  });

  test('where no drift is harmless nothing is green', () => {
    expect(green(bar(marginOf({ fromMm: 0.3, toMm: -0.2 })))).toBeUndefined();
  });

  test('an end at which nothing waits says so, and has no bar', () => {
    const picture = bar(marginOf({ toMm: Infinity, rightFault: null }));
    expect(picture.words()).toContain('any amount right');
    expect(picture.rows()).toContainEqual(['May drift right', 'any amount']);
    expect(picture.rows()).toContainEqual(['Then ', 'nothing']);
    const ends = picture.all('path.stroke-graphite')[0]!.getAttribute('d')!;
    expect(ends.match(/M/g)).toHaveLength(1);
  });

  test('where it is narrow what waits is told below it, and is not lost', () => {
    const wide = bar(marginOf({}));
    expect(wide.words()).toContain('bite shows');
    cleanup();
    const narrow = bar(marginOf({}), 340);
    expect(narrow.words()).not.toContain('bite shows');
    expect(narrow.container.textContent).toContain('bite shows');
    expect(narrow.container.textContent).toMatch(/0\.90? mm, then bite shows/);
  });

  test('attempts under one another share an axis: the same millimetre at the same place', () => {
    const ends = [marginOf({}), marginOf({ fromMm: -1.2, toMm: 0.9 })].map((margin) => {
      const { all } = drawn(
        <MiniMargin {...{ margin }} belief={normalDrift(0, 0.3)} reachMm={2} proposed={false} />,
      );
      const rect = all('rect')[1]!;
      cleanup();
      return numberOf(rect, 'x') + numberOf(rect, 'width');
    });
    expect(ends[0]).toBeCloseTo(ends[1]!, 9);
    expect(ends[0]).toBeCloseTo(((0.9 + 2) / 4) * 900, 9);
  });
});
