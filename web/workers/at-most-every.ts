/**
 * Tells how far something is no oftener than so: a picture is gone through row by row, and each that is told is a
 * frame that the page lays out and the browser draws, on the processors that look at the picture.
 *
 * @param everyMs the first is told at once, one after it no sooner than this
 * @param told hears how far it is, 0 to 1; what falls back is not told
 * @param nowMs the clock
 */
export function atMostEvery(
  everyMs: number,
  told: (share: number) => void,
  nowMs: () => number = () => performance.now(),
): (share: number) => void {
  let toldMs = -Infinity;
  let last = -1;
  return (share) => {
    const now = nowMs();
    if (share <= last || now < toldMs + everyMs) return;
    toldMs = now;
    last = share;
    told(share);
  };
}
