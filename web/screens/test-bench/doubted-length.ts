import type { OtherLength } from '../../../core/eye/other-length';

/** Less likely of the length that is set than this, a row is said to be doubted. */
const hardlyAsSet = 0.9;

const words: Readonly<Record<OtherLength['is'], string>> = {
  closer:
    'Was it sewn with a shorter stitch than is set? Thread lies between these places too. Set its length and count again, unless it is of the print.',
  farther:
    'Was it sewn with a longer stitch than is set? Bites show at every second or third of these places only. Set its length and count again, unless the others lie hidden.',
};

/** What is asked where a row may be of another stitch length than is set; null where it hardly is. */
export const doubtedLength = (other: OtherLength | null): string | null =>
  other && other.asSet < hardlyAsSet ? words[other.is] : null;
