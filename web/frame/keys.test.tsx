import { act, render, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { useKeys, useKeysInForce, type KeyBinding } from './keys';

const binding = (press: string, does: string, run: (() => void) | null): KeyBinding => ({
  ...{ press: [press], shown: press, does, act: run },
});

function Part({ keys, children }: { keys: readonly KeyBinding[]; children?: React.ReactNode }) {
  useKeys(keys);
  return children;
}

function List() {
  return (
    <ul>
      {useKeysInForce().map(({ shown, does }) => (
        <li key={shown + does}>{`${shown}: ${does}`}</li>
      ))}
    </ul>
  );
}

const told = () => screen.getAllByRole('listitem').map(({ textContent }) => textContent);

test('the part that came last has a key first, and gives it back when it goes', async () => {
  const [outer, inner] = [jest.fn(), jest.fn()];
  const user = userEvent.setup();
  const page = (deep: boolean) => (
    <>
      <Part keys={[binding('n', 'outer', outer), binding('m', 'alone', null)]} />
      {deep && <Part keys={[binding('n', 'inner', inner)]} />}
      <List />
    </>
  );
  const { rerender } = render(page(true));
  await user.keyboard('n');
  expect([outer.mock.calls.length, inner.mock.calls.length]).toEqual([0, 1]);
  expect(told()).toEqual(['n: inner', 'n: outer', 'm: alone']);
  rerender(page(false));
  await user.keyboard('n');
  expect([outer.mock.calls.length, inner.mock.calls.length]).toEqual([1, 1]);
  expect(told()).toEqual(['n: outer', 'm: alone']);
});

test('nothing acts while one types, while a dialog is open, or on a key that a button takes', async () => {
  const run = jest.fn();
  const pressed = jest.fn();
  const user = userEvent.setup();
  const page = (dialog: boolean) => (
    <Part keys={[binding('n', 'next', run), binding(' ', 'next', run)]}>
      <input aria-label="Name" />
      <button type="button" onClick={pressed}>
        Press
      </button>
      {dialog && <div role="dialog" />}
    </Part>
  );
  const { rerender } = render(page(false));
  await user.type(screen.getByLabelText('Name'), 'nn');
  act(() => screen.getByRole('button').focus());
  await user.keyboard(' ');
  expect(pressed).toHaveBeenCalledTimes(1);
  expect(run).not.toHaveBeenCalled();
  await user.keyboard('n');
  expect(run).toHaveBeenCalledTimes(1);
  rerender(page(true));
  await user.keyboard('n');
  expect(run).toHaveBeenCalledTimes(1);
});

test('the command key counts as Ctrl, and Shift tells two apart', async () => {
  const [undo, redo] = [jest.fn(), jest.fn()];
  const user = userEvent.setup();
  render(<Part keys={[binding('Ctrl+z', 'undo', undo), binding('Ctrl+Shift+z', 'redo', redo)]} />);
  await user.keyboard('{Meta>}z{/Meta}{Control>}{Shift>}Z{/Shift}{/Control}z');
  expect([undo.mock.calls.length, redo.mock.calls.length]).toEqual([1, 1]);
});
