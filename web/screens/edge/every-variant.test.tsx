import { fireEvent } from '@testing-library/react';
import { catalogue } from '../../../core/finish/catalogue';
import { startingWish } from '../../../core/finish/wishes.fixture';
import { queryClient } from '../../ground/query-client';
import { TestApp, mainText, waitFor } from '../../testing/test-app';

const app = new TestApp();
beforeAll(() => app.start());

const variants = catalogue.flatMap((finish) =>
  finish.variants.map(({ id }, i) => [`${finish.id}.${id}`, finish, id, i === 0] as const),
);
const unsound = /[{}]|NaN|undefined/;
/** By its label: asking for roles goes over the whole page, and here it is asked for often. */
const drawn = (name: string) =>
  waitFor(() => expect(document.querySelector(`[aria-label^="${name}"]`)).not.toBeNull());

test.each(variants)(
  '%s folds, and has its starting values; one of each finish flat and in steps',
  async (_, finish, variant, first) => {
    await app.change('plans/plan-tabard', {
      finish: finish.id,
      fold: startingWish(finish, variant),
      settings: null,
    });
    // The page before this one must not be taken for it, however late its news arrives.
    await app.open('/nowhere');
    queryClient.clear();
    await app.open('/edges/edge-tabard/setting');
    const slip = () => document.querySelector('aside')?.textContent ?? '';
    await waitFor(() => expect(slip()).toContain(finish.name));
    expect(slip()).not.toMatch(unsound);

    await app.open('/edges/edge-tabard/folds');
    await drawn('Section through the hem');
    const stageOf = () => /(\d) of (\d)/.exec(mainText())?.[0] ?? '';
    await waitFor(() => expect(stageOf()).not.toBe(''));
    const stages = Number(stageOf().at(-1));
    for (let i = 0; i < stages; i++) fireEvent.keyDown(document.body, { key: 'ArrowLeft' });
    await waitFor(() => expect(stageOf()).toBe(`1 of ${stages}`));
    for (let i = 0; i < stages; i++) fireEvent.keyDown(document.body, { key: 'ArrowRight' });
    await waitFor(() => expect(stageOf()).toBe(`${stages} of ${stages}`));
    expect(mainText()).toMatch(/\d layers?/);
    expect(mainText()).not.toMatch(unsound);
    if (!first) return;

    await app.open('/edges/edge-tabard/folds?view=flat');
    await drawn('Flat cloth');
    await app.open('/edges/edge-tabard/folds?view=steps');
    await waitFor(() =>
      expect(document.querySelectorAll('main [type="checkbox"]').length).toBeGreaterThan(2),
    );
    expect(mainText()).not.toMatch(unsound);
  },
);
