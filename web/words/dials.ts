import type { Dial } from '../../core/kit/dial-steps';
import type { Guidance } from '../../core/kit/foot';

/** What the guide's dial is called, by what the edge rides along. */
const guideNames: Readonly<Record<Guidance, string>> = {
  blade: 'Blade',
  bar: 'Bar',
  bed: 'Seam guide',
  edge: 'Foot edge',
  mark: 'Mark',
  line: 'Line',
  eye: 'By eye',
};

/** What dials are called under a foot. */
export function dialName(dial: Dial, guidance: Guidance, attached = false): string {
  switch (dial) {
    case 'width':
      return 'Width';
    case 'length':
      return 'Length';
    case 'needlePosition':
      return 'Needle';
    case 'guide':
      return attached ? 'Binder' : guideNames[guidance];
  }
}
