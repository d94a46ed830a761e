import type { SVGProps } from 'react';

/** How far a rim stands out on either side, px. */
export const rimPx = 1.2;

/** A path whose line is as wide as it says, px. */
type RimmedPathProps = SVGProps<SVGPathElement> & { readonly strokeWidth: number };

/** A rim is nearly opaque; under what is seen through it is lighter by as much. */
const rimOpacity = 0.85;
const hazeTimes = 1.5;

/**
 * A light rim under a line, where a cloth brings its own colour: marks, faults and drift are seen on any ground. Under
 * a fill that is seen through it lies as a haze. A second path, and no shadow: shadows are blurred anew for every frame
 * a dial is turned in.
 *
 * @param props.strokeWidth of the line that lies on it, px
 */
export function Rim(props: RimmedPathProps) {
  const { d, fillRule, strokeWidth, strokeDasharray, strokeLinejoin, strokeLinecap } = props;
  const { fillOpacity, strokeOpacity = 1 } = props;
  return (
    <path
      {...{ d, fillRule, strokeDasharray, strokeLinejoin, strokeLinecap }}
      className="rim"
      fill={fillOpacity === undefined ? 'none' : 'var(--mark-halo)'}
      fillOpacity={Math.min(1, Number(fillOpacity ?? 0) * hazeTimes)}
      strokeWidth={strokeWidth + 2 * rimPx}
      strokeOpacity={Number(strokeOpacity) * rimOpacity}
    />
  );
}

/** A path with a rim of its own. */
export function RimmedPath(props: RimmedPathProps) {
  return (
    <>
      <Rim {...props} />
      <path {...props} />
    </>
  );
}
