/**
 * What a browser has and jsdom has not, as far as the app asks for it. Nothing is laid out here: every
 * element is as large as it is told to be.
 */
export function fillIn(widthPx = 900, heightPx = 460): void {
  const still = { observe() {}, unobserve() {}, disconnect() {} };
  const page = globalThis as unknown as Record<string, unknown>;
  page['ResizeObserver'] = function ResizeObserver() {
    return still;
  };
  page['matchMedia'] = () => ({ matches: false, addEventListener() {}, removeEventListener() {} });
  const place = { x: 0, y: 0, left: 0, top: 0, right: widthPx, bottom: heightPx };
  const room = { ...place, width: widthPx, height: heightPx };
  Element.prototype.getBoundingClientRect = () => ({ ...room, toJSON: () => room });
  for (const [name, px] of [
    ['offsetWidth', widthPx],
    ['offsetHeight', heightPx],
  ] as const) {
    Object.defineProperty(HTMLElement.prototype, name, { configurable: true, get: () => px });
  }
  Element.prototype.scrollIntoView = () => undefined;
  Element.prototype.hasPointerCapture = () => false;
}
