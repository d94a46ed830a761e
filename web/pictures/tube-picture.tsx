import type { OnCloth } from '../../core/strip/piece';
import { tubeDrawn } from '../../core/strip/tube';
import { useLengths } from '../ground/lengths-context';
import { Label } from './label';
import { useBox } from './use-box';

const padPx = 30;

/** The slanted piece of a continuous tube with its cut drawn on it, to scale. */
export function TubePicture({ clothMm, stripMm }: { clothMm: OnCloth; stripMm: number }) {
  const { cloth, fine } = useLengths();
  const [ref, { width, height }] = useBox<HTMLDivElement>();
  const { outline, lines } = tubeDrawn(clothMm, stripMm);
  const [wide, high] = clothMm;
  const scale = Math.min((width - 2 * padPx) / (wide + high), (height - 2 * padPx) / high);
  const left = (width - (wide + high) * scale) / 2;
  const base = (height + high * scale) / 2;
  const at = ([x, y]: OnCloth) => `${left + x * scale},${base - y * scale}`;
  return (
    <div ref={ref} className="h-full w-full">
      {width > 0 && height > 100 && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={`A continuous tube from ${cloth(wide)} by ${cloth(high)}: lines on the bias ${fine(stripMm)} apart, the straight ends sewn to each other one strip further`}
        >
          <polygon
            points={outline.map(at).join(' ')}
            className="fill-(--cloth-1) stroke-(--cloth-line) [stroke-width:1.5]"
          />
          {lines.map(([from, to], i) => (
            <path
              key={i}
              d={`M${at(from)} L${at(to)}`}
              className="fill-none stroke-graphite [stroke-width:1]"
            />
          ))}
          {([0, high] as const).map((y) => (
            <path
              key={y}
              d={`M${at([y, y])} L${at([wide + y, y])}`}
              className="stroke-pencil [stroke-width:4]"
            />
          ))}
          <Label
            x={left + 6}
            y={base + 20}
            text="the blue ends are sewn to each other, one strip further"
            colour="var(--color-pencil)"
            strong
          />
          <Label
            x={left + high * scale + 6}
            y={base - high * scale - 8}
            text={`lines ${fine(stripMm)} apart, cut as one`}
          />
        </svg>
      )}
    </div>
  );
}
