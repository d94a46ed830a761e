import { memo, useEffect, useRef } from 'react';
import type { MarginMap } from '../../core/margin/map';
import { chanceColour } from './chance-colour';
import { themeColour } from './theme-colour';

interface MapGridProps {
  readonly map: MarginMap;
  readonly width: number;
  readonly height: number;
}

/** Hatched, so that it is not colour alone that says blocked. */
function hatching(pen: CanvasRenderingContext2D): CanvasPattern | string {
  const tile = document.createElement('canvas');
  tile.width = tile.height = 7;
  const stroke = tile.getContext('2d');
  if (!stroke) return themeColour('halo');
  stroke.fillStyle = themeColour('halo');
  stroke.fillRect(0, 0, 7, 7);
  stroke.strokeStyle = themeColour('hatch');
  stroke.beginPath();
  for (const from of [-7, 0, 7]) {
    stroke.moveTo(from, 0);
    stroke.lineTo(from + 7, 7);
  }
  stroke.stroke();
  return pen.createPattern(tile, 'repeat') ?? themeColour('halo');
}

/** The cells of a map on a canvas: drawn when the map changes, not when the dials move on it. */
export const MapGrid = memo(function MapGrid({ map, width, height }: MapGridProps) {
  const ref = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const canvas = ref.current;
    const pen = canvas?.getContext('2d');
    if (!canvas || !pen) return;
    const ratio = window.devicePixelRatio || 1;
    canvas.width = Math.round(width * ratio);
    canvas.height = Math.round(height * ratio);
    pen.scale(ratio, ratio);
    const hatch = hatching(pen);
    const [columns, rows] = [map.widthsMm.length, map.needlePositionsMm.length];
    const [w, h] = [width / columns, height / rows];
    for (let row = 0; row < rows; row++) {
      for (let column = 0; column < columns; column++) {
        const chance = map.chances[row * columns + column] ?? NaN;
        // The needle furthest right stands at the top.
        const [x, y] = [column * w, height - (row + 1) * h];
        pen.fillStyle = Number.isNaN(chance) ? hatch : `rgb(${chanceColour(chance).join(' ')})`;
        pen.fillRect(x, y, w + 0.6, h + 0.6);
      }
    }
  }, [map, width, height]);
  return <canvas ref={ref} style={{ width, height }} aria-hidden className="absolute" />;
});
