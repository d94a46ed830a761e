import { stackMm } from '../fold/stack';
import { alongEdge, layersOver, spanOf, type CrossedEdge } from './crossing';

/** A stretch of the edge over which the stack does not change. */
export interface EdgePlateau {
  readonly fromMm: number;
  readonly toMm: number;
  readonly layers: number;
  readonly stackMm: number;
}

/**
 * The stack along an edge, from its beginning to its end: the hem's own layers, and more where a
 * seam crosses. Where two seams lie on one another the thicker counts.
 * Source: docs/formulas.md, “Along the edge”.
 *
 * @param layers at the stitch, between crossings
 * @param thicknessMm of the cloth
 */
export function profileOf(edge: CrossedEdge, layers: number, thicknessMm: number): EdgePlateau[] {
  const spans = edge.crossings.flatMap((crossing) =>
    alongEdge(spanOf(crossing), edge).map((span) => ({
      ...span,
      layers: layersOver(layers, crossing),
    })),
  );
  const ends = [0, edge.lengthMm, ...spans.flatMap(({ fromMm, toMm }) => [fromMm, toMm])];
  // Ends that differ by binary noise are one place; the edge's own two ends stay what they are.
  const places = [...new Set(ends)]
    .sort((a, b) => a - b)
    .filter((mm) => mm === 0 || mm === edge.lengthMm || (mm > 1e-6 && mm < edge.lengthMm - 1e-6))
    .filter((mm, i, all) => mm === edge.lengthMm || i === 0 || mm - (all[i - 1] ?? 0) > 1e-6);
  const plateaus: EdgePlateau[] = [];
  places.slice(0, -1).forEach((fromMm, i) => {
    const toMm = places[i + 1] ?? fromMm;
    const middle = (fromMm + toMm) / 2;
    const here = spans.filter((span) => span.fromMm < middle && span.toMm > middle);
    const most = Math.max(layers, ...here.map((span) => span.layers));
    const last = plateaus.at(-1);
    if (last?.layers === most) plateaus[plateaus.length - 1] = { ...last, toMm };
    else plateaus.push({ fromMm, toMm, layers: most, stackMm: stackMm(most, thicknessMm) });
  });
  return plateaus;
}
