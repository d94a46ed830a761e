import { within } from '@testing-library/react';
import type { FootRecord } from '../../../contract/records';
import { TestApp, button, click, enter, screen, waitFor } from '../../testing/test-app';

const app = new TestApp();
beforeAll(() => app.start());
afterEach(() => app.reset());

test('a foot is described by measuring it, in any unit, and its drawing follows', async () => {
  await app.open('/kit');
  await click(button('Open zigzag foot'));
  const drawing = await screen.findByRole('img', { name: 'The foot from above, to scale' });
  await within(drawing).findByText('−4.5');
  await enter(await screen.findByLabelText(/slot, left end/i), '-1/8 in');
  await within(drawing).findByText('−3.17');
  await enter(await screen.findByLabelText(/slot, left end/i), '6');
  await screen.findByText('The first number must be less than the second.');

  await click(screen.findByRole('radio', { name: 'Adjusts' }));
  const from = await screen.findByRole<HTMLInputElement>('textbox', { name: 'From' });
  expect(from.value).toBe('−3');
  await waitFor(async () =>
    expect((await app.read<FootRecord>('feet/foot-zigzag')).specs).toMatchObject({
      slotMm: [expect.closeTo(-3.175, 6), 4.5],
      guide: { rangeMm: [-3, -1] },
    }),
  );
});

test('a new machine starts with plain numbers and can be taken out again', async () => {
  await app.open('/kit');
  await click(button('Another machine'));
  await waitFor(() =>
    expect(screen.getByLabelText<HTMLInputElement>('Machine').value).toBe('New machine'),
  );
  await enter(screen.getByLabelText('Machine'), 'Travel machine');
  const machines = screen.getByRole('region', { name: 'Machines' });
  await within(machines).findByRole('button', { name: 'Travel machine' });
  await click(button('Remove “Travel machine”'));
  await click(button('Remove'));
  await waitFor(() => expect(within(machines).queryByText('Travel machine')).toBeNull());
});

test('a machine that edges are planned for stays, and says why', async () => {
  await app.open('/kit');
  await click(button('Fine-step machine, 9 mm wide'));
  await click(button(/^Remove “Fine-step/));
  await click(button('Remove'));
  await screen.findByText(/This machine is used by \d plans/);
  expect(await app.read<unknown[]>('machines')).toHaveLength(3);
});

test('an empty drawer says what to do first', async () => {
  await app.send('DELETE', 'projects/project-lantern-parade?version=1');
  for (const table of ['machines', 'feet', 'needles', 'threads']) {
    for (const { id, version } of await app.read<FootRecord[]>(table)) {
      await app.send('DELETE', `${table}/${id}?version=${version}`);
    }
  }
  await app.open('/kit');
  await screen.findByText(/^The drawer is empty\./);
});
