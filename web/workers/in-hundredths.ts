/**
 * Tells how far something is no oftener than at every hundredth: a picture is gone through row by row, and each that is told is a
 * message to the page, which draws it.
 */
export function inHundredths(told: (share: number) => void): (share: number) => void {
  let last = -1;
  return (share) => {
    const hundredth = Math.floor(share * 100);
    if (hundredth <= last) return;
    last = hundredth;
    told(share);
  };
}
