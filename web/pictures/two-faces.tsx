import type { ReactNode } from 'react';
import { Label } from './label';
import { useBox } from './use-box';

/** What a screen takes for a millimetre: 96 px to the inch. */
const pxPerMm = 96 / 25.4;
/** How many times larger the second look is. */
const times = 4;
/** Between the windows, px. */
const gap = 12;

/** A window of the screen that shows one face at one scale. */
export interface FaceWindow {
  readonly id: string;
  readonly face: 'up' | 'under';
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  readonly pxPerMm: number;
}

interface TwoFacesProps {
  readonly titles: Readonly<Record<FaceWindow['face'], string>>;
  /** The length of seam that the true-size windows have room for, mm. */
  readonly lengthMm: number;
  draw(window: FaceWindow): ReactNode;
  /** Words on a face of which nothing is to be seen. */
  readonly empty?: Partial<Readonly<Record<FaceWindow['face'], string>>>;
}

/** Both faces of a swatch, each true to size and four times larger beside it. */
export function TwoFaces({ titles, lengthMm, draw, empty = {} }: TwoFacesProps) {
  const [ref, { width, height }] = useBox<HTMLDivElement>();
  const trueWidth = Math.min(lengthMm * pxPerMm + 20, width * 0.46);
  const rowHeight = Math.max(60, (height - gap) / 2);
  return (
    <div ref={ref} className="min-h-0 grow overflow-hidden">
      {width > 0 && height > 80 && (
        <svg width={width} height={height} role="img" aria-label="Swatch, both faces, to scale">
          {(['up', 'under'] as const).map((face, row) => {
            const y = row * (rowHeight + gap);
            const place = { face, y, height: rowHeight };
            const besideX = trueWidth + gap;
            return (
              <g key={face}>
                {draw({ ...place, id: `${face}-true`, x: 0, width: trueWidth, pxPerMm })}
                {draw({
                  ...place,
                  id: `${face}-large`,
                  x: besideX,
                  width: width - besideX,
                  pxPerMm: pxPerMm * times,
                })}
                <Label x={8} y={y + 18} text={`${titles[face]}, true size`} strong />
                <Label x={besideX + 8} y={y + 18} text={`×${times}`} strong />
                {empty[face] && (
                  <Label x={trueWidth / 2 + 50} y={y + rowHeight / 2 + 5} end text={empty[face]} />
                )}
              </g>
            );
          })}
        </svg>
      )}
    </div>
  );
}
