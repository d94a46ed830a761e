import { fireEvent, within } from '@testing-library/react';
import type { EdgeRecord, ProjectRecord } from '../../../contract/records';
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

const field = (name: string | RegExp) => screen.findByLabelText<HTMLInputElement>(name);
const stored = (id: string) => app.read<EdgeRecord>(`edges/${id}`);
const make = (more: object) =>
  app.send<EdgeRecord>('POST', 'edges', {
    ...{ projectId: 'project-lantern-parade', name: 'Measured', on: 'it', clothId: 'cloth-linen' },
    ...{ shape: 'straight', lengthMm: 1000, minRadiusMm: null, turnDegrees: null },
    ...{ passesOverMm: null, crossings: [] },
    ...more,
  });
/** A project with nothing in it: no wardrobe's work is put in order beside what is tried. */
const openEmptyProject = async () => {
  const { id } = await app.send<ProjectRecord>('POST', 'projects', { name: 'Legs', note: '' });
  await app.open(`/projects/${id}`);
  return id;
};
const lines = (kind: string) => document.querySelectorAll(`[data-part="${kind}"]`).length;

test('a trouser leg by its picture: usual values, a drawing, its purpose and its pair', async () => {
  const projectId = await openEmptyProject();
  await click(button('New edge'));
  const dialog = await screen.findByRole('dialog', { name: 'New edge' });
  const things = within(dialog).getByRole('radiogroup', { name: 'What is it?' });
  await click(within(things).getByRole('radio', { name: 'trouser leg' }));
  expect((await field('Leg, flat across')).value).toBe('220');
  expect(within(dialog).getByRole('img', { name: /from above, to scale/ })).not.toBeNull();
  await enter(await field('Back mark, from the waist'), '1022');
  await click(button('Make the edge'));
  await screen.findByRole('list', { name: /best first/ });
  const edges = await app.read<EdgeRecord[]>(`edges?projectId=${projectId}`);
  expect(edges.find(({ name }) => name === 'Trouser leg')).toMatchObject({
    ...{ purpose: 'hem', pair: 'pair', shape: 'tube', depthMm: 40 },
    form: { kind: 'slant', flatWidthMm: 220, left: { frontMm: 1010, backMm: 1022 } },
  });
});

test('a name that was typed stays when another thing is picked; a usual one follows', async () => {
  await openEmptyProject();
  await click(button('New edge'));
  const pick = async (name: string) => click(screen.findByRole('radio', { name }));
  await pick('napkin');
  expect((await field('Name')).value).toBe('Napkin');
  await pick('blanket');
  expect((await field('Name')).value).toBe('Blanket');
  fireEvent.change(await field('Name'), { target: { value: 'Picnic rug' } });
  await pick('napkin');
  expect((await field('Name')).value).toBe('Picnic rug');
});

describe('at the edge station', () => {
  test('legs that differ are drawn beside each other, and told in the table of marks', async () => {
    const form = { kind: 'slant', flatWidthMm: 230, right: null };
    const edge = await make({ form: { ...form, left: { frontMm: 1010, backMm: 1022 } } });
    await app.open(`/edges/${edge.id}/edge`);
    await screen.findByText('3.0°');
    expect(mainText()).toMatch(/a snip at the front crease opens/);
    expect(lines('finished')).toBe(1);
    await click(screen.findByLabelText('The right leg differs'));
    await enter(await field('Front mark, right leg'), '1004');
    await screen.findByText(/The left leg is 6 mm longer in front/);
    expect(lines('finished')).toBe(2);
    const rows = within(screen.getByRole('table', { name: /^Marks from the waist/ })).getAllByRole(
      'row',
    );
    expect(rows).toHaveLength(7);
    await undo();
    await waitFor(() => expect(mainText()).not.toContain('longer in front'));
  });

  test('a slant too steep is refused at its field, and the drawing stays', async () => {
    const form = { kind: 'slant', flatWidthMm: 230, right: null };
    const edge = await make({ form: { ...form, left: { frontMm: 1010, backMm: 1022 } } });
    await app.open(`/edges/${edge.id}/edge`);
    await screen.findByText('3.0°');
    await enter(await field('Back mark, from the waist'), '1200');
    expect((await screen.findByText(/up to 20° are cut, which is 83\.7 mm/)).role).toBe('alert');
    expect(mainText()).toContain('3.0°');
    expect((await stored(edge.id)).form).toMatchObject({ left: { backMm: 1022 } });
  });

  test('a taper is shared by its seams, as far as the allowance gives', async () => {
    const edge = await make({});
    await app.open(`/edges/${edge.id}/edge`);
    choose(await field('What is measured'), 'taper');
    await enter(await field('Flat across the raw edge'), '6 1/2 in');
    await enter(await field('Flat across where it lands'), '7 1/2 in');
    await screen.findByText('25.4 mm missing');
    expect(mainText()).toMatch(/let out 6\.4 mm at the raw edge, take in 6\.4 mm/);
    await enter(await field('Allowance inside each seam'), '10');
    await screen.findByText(/The allowance gives 4 mm and no more/);
    await enter(await field('Allowance inside each seam'), '5');
    await screen.findByText(/gives 0 mm, since 6 mm stay in a seam/);
    await waitFor(async () =>
      expect(await stored(edge.id)).toMatchObject({
        shape: 'tube',
        form: { insideAllowanceMm: 10 },
      }),
    );
    expect((await stored(edge.id)).lengthMm).toBeCloseTo(355.6, 6);
  });

  test('a blanket is as long as its sides, and its mitres are drawn and told', async () => {
    const edge = await make({});
    await app.open(`/edges/${edge.id}/edge`);
    choose(await field('What is measured'), 'cornered');
    await enter(await field('Width'), '762');
    await enter(await field('Height'), '1016');
    await waitFor(async () => expect((await stored(edge.id)).lengthMm).toBe(3556));
    expect(mainText()).toMatch(/from the raw corner along each edge/);
    expect(lines('mitre')).toBe(8);
    await click(screen.findByLabelText('Corners are mitred'));
    await screen.findByText('4 corners');
    expect(lines('mitre')).toBe(0);
  });

  test('curves are told apart along the edge, and none begins inside another', async () => {
    const edge = await make({ lengthMm: 1200 });
    await app.open(`/edges/${edge.id}/edge`);
    choose(await field('What is measured'), 'curved');
    await click(button('Add a curve'));
    await waitFor(() => expect(screen.getAllByLabelText('Begins at')).toHaveLength(2));
    const [, second] = screen.getAllByLabelText('Begins at');
    await enter(second!, '700');
    await screen.findByText(/inside the one that ends at 840 mm/);
    const radii = screen.getAllByLabelText('Radius');
    await enter(radii[0]!, '200');
    await waitFor(async () =>
      expect(await stored(edge.id)).toMatchObject({ shape: 'outside-curve', minRadiusMm: 200 }),
    );
  });

  test('a half circle by its hips: the radius follows, and so does the fullness', async () => {
    const edge = await make({ lengthMm: 2600 });
    await app.open(`/edges/${edge.id}/edge`);
    choose(await field('What is measured'), 'flare');
    await waitFor(async () => expect((await stored(edge.id)).turnDegrees).toBeCloseTo(180, 6));
    choose(await field('Measured by'), 'hip');
    await enter(await field('Round the hips'), '1000');
    await enter(await field('From hips to hem'), '500');
    await waitFor(async () => expect((await stored(edge.id)).minRadiusMm).toBeCloseTo(812.5, 6));
    await enter(await field('Round the hips'), '2600');
    await screen.findByText(/does not flare/);
    await enter(await field('Length along the edge'), '3000');
    await waitFor(async () => expect((await stored(edge.id)).minRadiusMm).toBeCloseTo(750, 6));
  });

  test('one looks nearer by the keys and sees all of it again', async () => {
    await app.open('/edges/edge-collar/edge');
    const picture = await screen.findByRole('img', { name: /from above, to scale/ });
    const shape = () => picture.querySelector('[data-part="finished"]')?.getAttribute('d');
    const before = shape();
    fireEvent.keyDown(picture, { key: '+' });
    await waitFor(() => expect(shape()).not.toBe(before));
    fireEvent.keyDown(picture, { key: '0' });
    await waitFor(() => expect(shape()).toBe(before));
    expect((await button('Look from further')).disabled).toBe(true);
  });

  test('a mark is moved by keys on the picture, and stays where the edge can be', async () => {
    const form = { kind: 'slant', flatWidthMm: 230, right: null };
    const edge = await make({ form: { ...form, left: { frontMm: 1010, backMm: 1092 } } });
    await app.open(`/edges/${edge.id}/edge`);
    const back = await screen.findByRole('slider', { name: 'Back mark, left leg, on the picture' });
    expect(back.getAttribute('aria-valuenow')).toBe('1092');
    fireEvent.keyDown(back, { key: 'ArrowUp' });
    await waitFor(async () =>
      expect((await stored(edge.id)).form).toMatchObject({ left: { backMm: 1093 } }),
    );
    // Ten more would be steeper than 20 degrees.
    fireEvent.keyDown(back, { key: 'PageUp' });
    await waitFor(() => expect(back.getAttribute('aria-valuenow')).toBe('1093'));
    await undo();
    await waitFor(() => expect(back.getAttribute('aria-valuenow')).toBe('1092'));
  });

  test('along the edge the curves stand where they are, and the corners', async () => {
    const curves = [{ fromMm: 200, toMm: 700, radiusMm: 180, side: 'outside' }];
    const edge = await make({ form: { kind: 'curved', curves } });
    await app.open(`/edges/${edge.id}/edge?view=along`);
    await screen.findByRole('rowheader', { name: 'To do 2: Curve, 200 mm to 700 mm' });
    expect(lines('curve')).toBe(1);
    const sides = [400, 300, 400, 300].map((lengthMm) => ({
      lengthMm,
      angleDegrees: 90,
      mitred: true,
    }));
    await app.change(`edges/${edge.id}`, { form: { kind: 'cornered', sides } });
    // Begun in the middle of the first side, the second corner comes after half of it and a side.
    await screen.findByRole('rowheader', { name: 'To do 3: Corner, at 500 mm' });
    expect(lines('corner')).toBe(4);
  });
});

describe('a ready-made thing', () => {
  const hem = { depthMm: 38, sewn: 'chain', keepLook: false };
  const legs = {
    ...{ kind: 'slant', flatWidthMm: 230, left: { frontMm: 1010, backMm: 1022 } },
    right: { frontMm: 1004, backMm: 1018 },
  };

  test('is walked through step by step: tried on, old hem out by its stitch, the second leg', async () => {
    await app.change('edges/edge-lamplighter', { oldHem: hem, form: legs, pair: 'pair' });
    await app.open('/edges/edge-lamplighter/edge?view=alter');
    await screen.findByText(/^Put it on, with the shoes/);
    expect(screen.getAllByRole('img', { name: /front .* from the waist/ })).toHaveLength(2);
    await click(screen.findByRole('button', { name: 'Done, next' }));
    await screen.findByText(/find the end that runs/);
    expect(screen.getByRole('img', { name: /runs out from its right end/ })).not.toBeNull();
    expect(document.querySelectorAll('[data-part="loop"]').length).toBeGreaterThan(3);
    // The keys do what the buttons do.
    fireEvent.keyDown(document.body, { key: 'ArrowLeft' });
    await screen.findByText(/✓ Put it on/);
    await waitFor(async () =>
      expect((await app.read<{ ticks: string[] }>('plans/plan-lamplighter')).ticks).toEqual([
        'try-on',
      ]),
    );
    await app.change('edges/edge-lamplighter', { oldHem: { ...hem, sewn: 'lock' } });
    await click(screen.findByRole('button', { name: 'Next' }));
    fireEvent.keyDown(document.body, { key: ' ' });
    await screen.findByText(/^Take the old hem out: cut every fourth stitch/);
    expect(document.querySelectorAll('[data-part="cut"]').length).toBeGreaterThan(1);
  });

  test('nobody is walked who has no old hem', async () => {
    await app.open('/edges/edge-cape/edge?view=alter');
    await screen.findByRole('tab', { name: 'From above' });
    expect(screen.queryByRole('tab', { name: /Alter it/ })).toBeNull();
  });
});

test('along the edge: what the hands do, a school that moves the start, and plates one owns', async () => {
  await app.open('/edges/edge-trousers/edge?view=along');
  const list = await screen.findByRole('list', { name: 'From the start to the close' });
  await within(list).findByText(/Just before the thickest seam/);
  expect(within(list).getByText('Close the round')).not.toBeNull();
  const marks = () => document.querySelectorAll('[data-part="hand"]').length;
  expect(marks()).toBe(within(list).getAllByRole('listitem').length);
  await click(screen.findByRole('radio', { name: /Where it is seen least/ }));
  await within(list).findByText(/Where it is seen least: inside leg/);
  await click(screen.findByText(/Levelling plates you own/));
  await enter(await field('One more'), '2.5');
  await enter(await field('One more'), '2.5');
  await screen.findByText(/or of your plates 2\.5 mm and 2\.5 mm, 5 mm together/);
  await enter(await field('Plate 1'), '99');
  await screen.findByText(/0\.3 to 12 mm thick/);
});

test('legs that taper differently, and a radius by three points', async () => {
  const form = { kind: 'taper', rawFlatMm: 165.1, landingFlatMm: 190.5, seams: 2 };
  const leg = await make({ form: { ...form, insideAllowanceMm: 15 } });
  await app.open(`/edges/${leg.id}/edge`);
  await screen.findByText('25.4 mm missing');
  expect(lines('finished')).toBe(1);
  await click(screen.findByLabelText('The right leg differs'));
  await enter(await field('Right leg, across the raw edge'), '170.5');
  await screen.findByText('20 mm missing');
  expect(lines('finished')).toBe(2);
  const curves = [{ fromMm: 200, toMm: 300, radiusMm: 180, side: 'outside' }];
  const tail = await make({ form: { kind: 'curved', curves } });
  await app.open(`/edges/${tail.id}/edge`);
  await click(screen.findByText(/measure three points of it/));
  await enter(await field('Curve 1: straight across, end to end'), '100');
  await enter(await field('Curve 1: from its middle to the curve'), '20');
  await waitFor(async () => expect((await field('Radius')).value).toBe('72.5'));
});

test('easing is a choice where something is to be eased, and changes the work', async () => {
  const form = { kind: 'flare', by: 'fraction', fraction: 1 };
  const edge = await make({ lengthMm: 4400, form });
  const plans = await app.read<{ id: string }[]>(`plans?edgeId=${edge.id}`);
  const plan = plans[0]!.id;
  await app.change(`plans/${plan}`, {
    finish: 'single-hem',
    fold: { variant: 'overcast', depthMm: 18 },
  });
  await app.open(`/edges/${edge.id}/edge`);
  await screen.findByText(/It is eased in; the slip asks how/);
  await click(screen.findByRole('radio', { name: /Differential feed/ }));
  await app.open(`/edges/${edge.id}/folds?view=steps`);
  await screen.findByText(/serge it with the differential at 1\.1/);
});
