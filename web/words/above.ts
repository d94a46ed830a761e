import type { Note } from '../pictures/above/layout';
import type { Lengths } from '../../core/measure/lengths';

/** What stands beside a place on the picture from above. */
export function aboveNote({ kind, mm = 0, name = '' }: Note, { cloth }: Lengths): string {
  const length = cloth(mm);
  switch (kind) {
    case 'length':
      return length;
    case 'mark':
      return name === 'seams' ? `${length}, seams` : length;
    case 'seam':
      return `seam ${name}, ${length}`;
    case 'curve':
      return `radius ${length}`;
    case 'snip':
      return `snip, opens ${length}`;
    case 'double':
      return `${length} lie double`;
    case 'leg':
      return `${name} leg`;
    case 'start':
      return 'begin';
    case 'out':
      return `let out ${length}`;
    case 'in':
      return `take in ${length}`;
  }
}
