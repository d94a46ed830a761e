import { render } from '@testing-library/react';
import type { ReactElement } from 'react';
import { fillIn } from './fill-in';

/** A number of an element’s own, e.g. its `x`. @throws Error where it has none */
export function numberOf(element: Element, name: string): number {
  const value = Number(element.getAttribute(name) ?? NaN);
  if (Number.isNaN(value)) throw new Error(`${element.outerHTML} has no ${name}`);
  return value;
}

/** The corners of a path that runs straight from one to the next, px. */
export function cornersOf(path: string): [x: number, y: number][] {
  return Array.from(path.matchAll(/[ML]\s*(-?[\d.]+)[ ,](-?[\d.]+)/g), ([, x, y]) => [
    Number(x),
    Number(y),
  ]);
}

/** A picture in a room of a size, with what is looked for in it. */
export function drawn(picture: ReactElement, widthPx = 900, heightPx = 460) {
  fillIn(widthPx, heightPx);
  const { container, rerender } = render(picture);
  const all = (selector: string) => [...container.querySelectorAll(selector)];
  return {
    container,
    rerender,
    all,
    /** The picture by its name. */
    named: () => container.querySelector('[role=img]')?.getAttribute('aria-label') ?? null,
    /** All that is written in it. */
    words: () => all('svg text').map(({ textContent }) => textContent),
    /** The numbers for those who can’t see it, by their names. */
    rows: () =>
      all('tbody tr').map((row) => [
        row.querySelector('th')?.textContent,
        row.querySelector('td')?.textContent,
      ]),
  };
}
