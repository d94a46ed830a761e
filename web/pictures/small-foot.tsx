import type { GenericFoot } from '../../core/kit/generic-feet';
import { footParts } from './foot-parts';
import { FootShape } from './foot-shape';

/** All are drawn to one scale, so that they can be told apart. */
const scale = 2.6;

/** A plain foot from above, small. */
export function SmallFoot({ foot }: { foot: GenericFoot }) {
  const { guide } = foot.specs;
  const guideMm = 'atMm' in guide ? guide.atMm : guide.rangeMm[0];
  const ys = footParts(foot, guideMm).flatMap(({ points }) => points.map(([, y]) => y));
  const middle = (Math.min(...ys) + Math.max(...ys)) / 2;
  return (
    <svg viewBox="0 0 152 130" width={70} height={60} aria-hidden className="shrink-0">
      <FootShape
        foot={foot}
        guideMm={guideMm}
        x={(mm) => 76 + mm * scale}
        y={(mm) => 65 - (mm - middle) * scale}
      />
    </svg>
  );
}
