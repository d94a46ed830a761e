import { fireEvent, within } from '@testing-library/react';
import { catalogue } from '../../../core/finish/catalogue';
import { startingWish } from '../../../core/finish/wishes.fixture';
import { TestApp, mainText, screen, waitFor } from '../../testing/test-app';

jest.setTimeout(60_000);
const app = new TestApp();
beforeAll(() => app.start());
afterAll(() => app.stop());

const variants = catalogue.flatMap((finish) =>
  finish.variants.map(({ id }) => [`${finish.id}.${id}`, finish, id] as const),
);
const unsound = /[{}]|NaN|undefined/;

test.each(variants)(
  '%s opens, folds, lists its work and its starting values',
  async (_, finish, variant) => {
    await app.change('plans/plan-tabard', {
      finish: finish.id,
      fold: startingWish(finish, variant),
      settings: null,
    });
    await app.open('/edges/edge-tabard/folds');
    await screen.findByRole('img', { name: /^Section through the hem/ });
    const stageOf = () => screen.getByText(/^\d of \d$/).textContent ?? '';
    const stages = Number(stageOf().at(-1));
    for (let i = 0; i < stages; i++) fireEvent.keyDown(document.body, { key: 'ArrowLeft' });
    await waitFor(() => expect(stageOf()).toBe(`1 of ${stages}`));
    for (let i = 0; i < stages; i++) fireEvent.keyDown(document.body, { key: 'ArrowRight' });
    await waitFor(() => expect(stageOf()).toBe(`${stages} of ${stages}`));
    expect(screen.getAllByText(/\d layers?$/).length).toBeGreaterThan(0);

    await app.open('/edges/edge-tabard/folds?view=flat');
    await screen.findByRole('img', { name: /^Flat cloth/ });
    await app.open('/edges/edge-tabard/folds?view=steps');
    await waitFor(() => expect(screen.getAllByRole('checkbox').length).toBeGreaterThan(2));
    expect(mainText()).not.toMatch(unsound);

    await app.open('/edges/edge-tabard/setting');
    const slip = await screen.findByRole('complementary', { name: /^Setting/ });
    await waitFor(() =>
      expect(within(slip).getAllByRole('heading')[0]?.textContent).toContain(finish.name),
    );
    expect(slip.textContent).not.toMatch(unsound);
  },
);
