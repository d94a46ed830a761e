import { lazy, type ComponentType } from 'react';
import { keepHere, keptHere } from './kept-here';
import { patiently } from './patiently';

const place = 'loaded anew';
/** A page that fails again so soon after it was loaded is not helped by loading it, ms. */
const onceInMs = 20_000;

/**
 * Loads a part of the app; where it can't be had though the server is there, the whole page: a
 * browser may remember for as long as the page lives that a part could not be fetched once, and a
 * newer server has other parts. Nothing is lost by that: what is not sent is kept over a reload.
 *
 * @param wanted the address one is going to
 */
export async function orPageAnew<T>(load: () => Promise<T>, wanted: () => string): Promise<T> {
  try {
    return await patiently(load);
  } catch (error) {
    const last = keptHere(place);
    if (typeof last === 'number' && Math.abs(Date.now() - last) < onceInMs) throw error;
    keepHere(place, Date.now());
    const to = wanted();
    if (to === location.pathname + location.search) location.reload();
    else location.assign(to);
    return new Promise(() => undefined);
  }
}

const here = () => location.pathname + location.search;

/** A part of a screen that is loaded when it is first drawn. */
export const later = <P extends object>(load: () => Promise<ComponentType<P>>) =>
  lazy(async () => ({ default: await orPageAnew(load, here) }));
