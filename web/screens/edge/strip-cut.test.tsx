import { fireEvent } from '@testing-library/react';
import type { ClothRecord, PlanRecord } from '../../../contract/records';
import {
  TestApp,
  button,
  choose,
  click,
  enter,
  mainText,
  screen,
  undo,
  waitFor,
} from '../../testing/test-app';

const app = new TestApp();
beforeAll(() => app.start());
afterEach(() => app.reset());

const strips = () => document.querySelectorAll('[data-part="piece"]').length;
const field = (name: string) => screen.findByLabelText<HTMLInputElement>(name);
const planOf = (id: string) => app.read<PlanRecord>(`plans/${id}`);

test('a bias strip from the piece that is left: numbered, counted, enough or how much is missing', async () => {
  await app.change('cloths/cloth-ponte', { widthMm: 1500, lengthLeftMm: 400 });
  await app.open('/edges/edge-collar/folds?view=cut');
  await screen.findByText(/of edge, after trimming/);
  await screen.findByText('✓ 2 strips');
  expect(strips()).toBe(2);
  // Joins are placed, and more of them would take less of the cloth.
  expect(document.querySelector('[aria-label^="Joins along the edge"]')).not.toBeNull();
  const joinedFrom = await screen.findByLabelText<HTMLSelectElement>('Joined from');
  const lengths = [...joinedFrom.options].map(({ text }) =>
    Number(/: ([\d.]+) mm/.exec(text)?.[1]),
  );
  expect(lengths.length).toBeGreaterThan(1);
  expect(lengths).toEqual([...lengths].sort((a, b) => b - a));
  choose(joinedFrom, joinedFrom.options[1]!.value);
  await screen.findByText(`✓ ${joinedFrom.options[1]!.value} strips`);
  expect((await field('Along the grain')).value).toBe('400');
  await enter(await field('Along the grain'), '120');
  await waitFor(() => expect(strips()).toBeGreaterThan(2));
  await enter(await field('The piece, across the grain'), '150');
  await screen.findByText(/^✕ .* missing$/);
  await enter(await field('Along the grain'), '20');
  await screen.findByText(/does not fit a cloth of 150 mm by 20 mm/);
  expect(strips()).toBe(0);
});

test('what is cut is off the shelf, and undo gives it back', async () => {
  await app.change('cloths/cloth-ponte', { widthMm: 1500, lengthLeftMm: 700 });
  await app.open('/edges/edge-collar/folds?view=cut');
  const cut = await button(/^Cut [\d.]+ mm off$/);
  const takes = Number(/([\d.]+) mm/.exec(cut.textContent)?.[1]);
  await click(cut);
  const left = async () => (await app.read<ClothRecord>('cloths/cloth-ponte')).lengthLeftMm;
  await waitFor(async () => expect(await left()).toBeCloseTo(700 - takes, 6));
  await undo();
  await waitFor(async () => expect(await left()).toBe(700));
});

test('a tube gives it in one; lapped ends take more; both are kept with the plan', async () => {
  await app.open('/edges/edge-collar/folds?view=cut');
  await click(screen.findByRole('radio', { name: 'A tube' }));
  await screen.findByText(/in one, cut round and round/);
  expect(document.querySelector('[aria-label^="A continuous tube"]')).not.toBeNull();
  const wanted = () => /([\d.]+) mm with both ends/.exec(mainText())?.[1];
  const turned = Number(wanted());
  await click(screen.findByRole('radio', { name: 'Lapped' }));
  await waitFor(() => expect(Number(wanted())).toBeGreaterThan(turned));
  await waitFor(async () =>
    expect((await planOf('plan-collar')).schools).toMatchObject({
      'strip-way': 'tube',
      'strip-ends': 'overlap',
    }),
  );
});

test('ready-made satin: packages, the largest of a proportion, and what is left of it', async () => {
  await app.open('/edges/edge-blanket/folds?view=cut');
  await screen.findByText('✓ 1 package');
  expect(mainText()).toMatch(/3556 mm round, 3594.1 mm with both ends: 749.3 mm over, no join/);
  // 30 × 40 in from 141.5 in, to the last bit.
  await enter(await field('In a package'), '141.5 in');
  await screen.findByText(/0 mm over, no join/);
  expect(mainText()).toMatch(/binds up to\s*762 mm × 1016 mm/);
  expect(mainText()).toMatch(/✓ cot blanket, 762 mm × 1016 mm.*✕ lap quilt/);
  await enter(await field('In a package'), '141 in');
  await screen.findByText(/1 join, mid-side and never at a corner; one alone misses 12.7 mm/);
  // The other way round: what is asked is another size.
  await enter(await field('Wide'), '700');
  await screen.findByText('✓ 1 package');
});

test('a ready-made strip brings its width; another width is named', async () => {
  await app.open('/edges/edge-collar/folds');
  const strip = await screen.findByLabelText<HTMLSelectElement>('The strip is of');
  expect([...strip.options].map(({ value }) => value)).toContain('binding-bias');
  expect([...strip.options].map(({ value }) => value)).not.toContain('binding-satin');
  choose(strip, 'binding-bias');
  await waitFor(async () =>
    expect(await planOf('plan-collar')).toMatchObject({
      stripClothId: 'binding-bias',
      fold: { depthMm: 9 },
    }),
  );
  await enter(await field('Width of the binding'), '6');
  await screen.findByText(/folded for 9 mm makes no binding of 6 mm; 9 mm fits/);
});

test('a bound corner is drawn step by step from both faces, or rounded with its least radius', async () => {
  await app.open('/edges/edge-blanket/folds?view=corner');
  await screen.findByText('Sewn to the very end of the side');
  const faces: string[] = [];
  for (let i = 0; i < 6; i++) {
    faces.push(
      document.querySelector('[aria-label^="The corner from"]')?.getAttribute('aria-label') ?? '',
    );
    await click(button('Corner one step on'));
  }
  await screen.findByText('The same from the back');
  expect(faces[2]).toMatch(/from the back.*71\.84 mm/);
  expect(faces[3]).toMatch(/from the front/);
  await click(screen.findByRole('radio', { name: /Rounded/ }));
  // 50.8 mm of satin that gives 5 %.
  await screen.findByText('1066.8 mm');
});

describe('an attachment before the foot', () => {
  const bind = () =>
    app.change('plans/plan-tabard', {
      finish: 'bound',
      fold: { variant: 'double-fold', depthMm: 9, statedStripMm: 40 },
      attachmentId: 'attachment-binder',
      footId: 'foot-straight',
      machineId: 'machine-home',
      stitch: { pattern: 'straight', anchor: 'centre', runStitches: 1 },
      schools: { attach: 'binder-attachment' },
      settings: null,
    });

  test('is named with its foot, stands where its dial says, and is loaded in steps', async () => {
    await bind();
    await app.open('/edges/edge-tabard/setting');
    const off = await field('Off toe');
    expect(off.value).toBe('12.0');
    expect(document.querySelector('[data-part="attachment"]')?.textContent).toContain('12 mm off');
    await click(button('Off toe one step more'));
    await waitFor(async () =>
      expect((await planOf('plan-tabard')).placing).toMatchObject({ standOffMm: 12.5 }),
    );
    await undo();
    await waitFor(async () => expect((await planOf('plan-tabard')).placing).toBeNull());
    await app.open('/edges/edge-tabard/folds?view=loading');
    await screen.findByText('Screwed on');
    for (let i = 0; i < 6; i++) await click(button('Load one step on'));
    await screen.findByText('When the back is lost');
  });

  test('is taken off by hand, with its strip', async () => {
    await bind();
    await app.open('/edges/edge-tabard/setting');
    const by = await screen.findByLabelText<HTMLSelectElement>('Strip by');
    choose(by, '');
    await waitFor(async () =>
      expect(await planOf('plan-tabard')).toMatchObject({
        attachmentId: null,
        fold: { statedStripMm: null },
        schools: { attach: 'by-hand' },
      }),
    );
  });

  test('up to three feet are compared behind it', async () => {
    await bind();
    await app.open('/edges/edge-tabard/test?view=feet');
    await screen.findByText(/Which foot presses/);
    const list = [...document.querySelectorAll('[aria-label="Feet that press"] li')].map(
      (it) => it.textContent,
    );
    expect(list.length).toBeLessThanOrEqual(3);
    expect(list.some((text) => text.includes('Straight-stitch foot'))).toBe(true);
    expect(mainText()).toMatch(/Next: /);
  });

  test('a mouth that is too narrow for the strip is named', async () => {
    await bind();
    await app.change('feet/attachment-binder', { mouthMm: 30 });
    await app.open('/edges/edge-tabard/setting');
    await screen.findByText(/39\.5 mm does not go into a mouth of 30 mm/);
  });
});

test('corners of a scrap are counted beside front and back', async () => {
  await app.open('/edges/edge-blanket/test');
  const corners = await screen.findByLabelText(/^Corners sewn(?!:)/);
  fireEvent.change(corners, { target: { value: '8' } });
  fireEvent.change(await screen.findByLabelText(/^Corners that gape(?!:)/), {
    target: { value: '2' },
  });
  await click(button('Record scrap 1'));
  await waitFor(async () =>
    expect(await app.read<{ corners: object }[]>('attempts?planId=plan-blanket')).toMatchObject([
      { corners: { n: 8, missed: 2 } },
    ]),
  );
});
