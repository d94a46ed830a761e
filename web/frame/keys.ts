import { useLayoutEffect, useRef, useSyncExternalStore } from 'react';

/** A key, what it does, and how the list of keys shows it. */
export interface KeyBinding {
  /** As `KeyboardEvent.key`, with `Ctrl+` or `Ctrl+Shift+` before it; the command key counts as Ctrl. */
  readonly press: readonly string[];
  readonly shown: string;
  readonly does: string;
  /** Null for a key that a control handles itself while it has the focus: it is only told of. */
  readonly act: ((event: KeyboardEvent) => void) | null;
}

interface Scope {
  bindings: readonly KeyBinding[];
}

/** The part of the page that came last is asked first. */
const scopes: Scope[] = [];
const listeners = new Set<() => void>();
/** What is in force, made anew only when something of it changes. */
let inForce: readonly KeyBinding[] = [];

/** Whether a key press belongs to a text being typed, or to a list being chosen from. */
export function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.matches('input, textarea, select') || target.isContentEditable)
  );
}

/** Whether what has the focus takes a key for itself: space presses, arrows choose. */
function isOwn(target: EventTarget | null, key: string): boolean {
  if (!(target instanceof HTMLElement)) return false;
  if (key === ' ') return target.matches('button, a, summary, [role="radio"], [role="tab"]');
  return key.startsWith('Arrow') && target.matches('[role="radio"], [role="tab"], [role="slider"]');
}

/** A key press as bindings name it. */
function nameOf({ key, ctrlKey, metaKey, shiftKey, altKey }: KeyboardEvent): string {
  if (altKey) return `Alt+${key}`;
  if (!ctrlKey && !metaKey) return key;
  return `${shiftKey ? 'Ctrl+Shift+' : 'Ctrl+'}${key.toLowerCase()}`;
}

function onKey(event: KeyboardEvent): void {
  if (event.defaultPrevented || isTyping(event.target)) return;
  // What stands before the page has the keys to itself.
  if (document.querySelector('[role="dialog"], [role="alertdialog"]')) return;
  if (isOwn(event.target, event.key)) return;
  const name = nameOf(event);
  for (const { bindings } of [...scopes].reverse()) {
    const found = bindings.find(({ press, act }) => act !== null && press.includes(name));
    if (!found?.act) continue;
    event.preventDefault();
    found.act(event);
    return;
  }
}

const same = (a: readonly KeyBinding[], b: readonly KeyBinding[]) =>
  a.length === b.length &&
  a.every(({ shown, does }, i) => shown === b[i]?.shown && does === b[i].does);

function changed(): void {
  const all = [...scopes].reverse().flatMap(({ bindings }) => bindings);
  const told = all.filter(
    ({ shown, does }, i) => all.findIndex((one) => one.shown === shown && one.does === does) === i,
  );
  if (same(told, inForce)) return;
  inForce = told;
  listeners.forEach((listener) => listener());
}

/**
 * Gives a part of the page its keys, as long as it is there. The part that came last goes first;
 * nothing acts while one types or while a dialog is open.
 *
 * @example useKeys([{ press: ['?'], shown: '?', does: 'this list', act: open }])
 */
export function useKeys(bindings: readonly KeyBinding[]): void {
  const scope = useRef<Scope>({ bindings });
  useLayoutEffect(() => {
    scope.current.bindings = bindings;
    changed();
  });
  useLayoutEffect(() => {
    const own = scope.current;
    if (scopes.length === 0) window.addEventListener('keydown', onKey);
    scopes.push(own);
    changed();
    return () => {
      scopes.splice(scopes.indexOf(own), 1);
      if (scopes.length === 0) window.removeEventListener('keydown', onKey);
      changed();
    };
  }, []);
}

/** Every key that does something on the page as it is. */
export function useKeysInForce(): readonly KeyBinding[] {
  return useSyncExternalStore(
    (listener) => {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    () => inForce,
  );
}

/** Undo and redo, wherever one is. */
export const travelKeys = (travel: (way: 'undo' | 'redo') => void): readonly KeyBinding[] => [
  {
    ...{ press: ['Ctrl+z'], shown: 'Ctrl Z', does: 'undo' },
    act: () => travel('undo'),
  },
  {
    ...{ press: ['Ctrl+Shift+z'], shown: 'Ctrl Shift Z', does: 'redo' },
    act: () => travel('redo'),
  },
];

/** What every field does by itself. */
export const fieldKeys: readonly KeyBinding[] = [
  {
    ...{ press: ['Enter'], shown: 'Enter' },
    does: 'take what was typed; Esc leaves it as it was',
    act: null,
  },
];
