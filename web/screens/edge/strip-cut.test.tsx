import { TestApp, click, enter, mainText, screen, waitFor } from '../../testing/test-app';

const app = new TestApp();
beforeAll(() => app.start());
afterAll(() => app.stop());

const strips = () => document.querySelectorAll('[data-part="piece"]').length;
const field = (name: string) => screen.findByLabelText<HTMLInputElement>(name);

test('a bias strip from the piece that is left: numbered, counted, enough or how much is missing', async () => {
  await app.change('cloths/cloth-ponte', { widthMm: 1500, lengthLeftMm: 400 });
  await app.open('/edges/edge-collar/folds?view=cut');
  await screen.findByText(/of edge, after trimming/);
  await screen.findByText('✓ 2 strips');
  expect(strips()).toBe(2);
  const spare = () => document.querySelectorAll('[data-part="spare"]').length;
  const before = spare();
  expect(before).toBeGreaterThan(5);
  expect((await field('Along the grain')).value).toBe('400');
  await enter(await field('Along the grain'), '120');
  await waitFor(() => expect(strips()).toBeGreaterThan(2));
  await enter(await field('The piece, across the grain'), '150');
  await screen.findByText(/^✕ .* missing$/);
  await enter(await field('Along the grain'), '20');
  await screen.findByText(/does not fit a cloth of 150 mm by 20 mm/);
  expect(strips()).toBe(0);
});

test('a tube gives it in one; lapped ends take more', async () => {
  await app.open('/');
  await app.open('/edges/edge-collar/folds?view=cut');
  await click(screen.findByRole('radio', { name: 'A tube' }));
  await screen.findByText(/in one, cut round and round/);
  const wanted = () => /([\d.]+) mm with both ends/.exec(mainText())?.[1];
  const turned = Number(wanted());
  await click(screen.findByRole('radio', { name: 'Lapped' }));
  await waitFor(() => expect(Number(wanted())).toBeGreaterThan(turned));
});

test('ready-made satin is counted in packages', async () => {
  await app.change('plans/plan-collar', {
    fold: { variant: 'satin', depthMm: 25, turnMm: 5 },
    settings: null,
  });
  await app.open('/edges/edge-collar/folds?view=cut');
  await screen.findByText('1 package');
  await enter(await field('Length in a package'), '300');
  await screen.findByText('2 packages');
  await screen.findByText(/1 join; one alone misses/);
});
