import type { EdgeWave } from '../../core/swatch/edge-wave';
import { edgeAsideMm, loopedThreads } from '../../core/swatch/overedge';
import type { Pattern } from '../../core/stitch/stitch';
import type { FaceWindow } from './two-faces';
import { RimmedPath } from './rimmed-path';

/** Which looper is drawn out of balance: none, or its loops slip to the other face. */
export type LooperBalance = 'meeting' | 'over' | 'under';

interface LoopedEdgeProps extends FaceWindow {
  readonly pattern: Pattern;
  readonly widthMm: number;
  readonly stitchMm: number;
  readonly wave: EdgeWave;
  readonly balance: LooperBalance;
}

/** The edge as it will lie: cloth above, its looped edge below, waved or gathered by the feed. */
export function LoopedEdge(props: LoopedEdgeProps) {
  const { id, pattern, face, widthMm, stitchMm, wave, balance, x, y, width, height, pxPerMm } =
    props;
  const { needleLinesMm, loopsMm } = loopedThreads(pattern, widthMm, face);
  const edgeY = y + height * 0.68;
  const spanMm = width / pxPerMm;
  const at = (alongMm: number, inMm: number): string => {
    // Waves die out away from the edge.
    const share = Math.max(0, 1 - inMm / 12);
    const aside = edgeAsideMm(wave, alongMm) * share;
    return `${(x + alongMm * pxPerMm).toFixed(1)},${(edgeY + (aside - inMm) * pxPerMm).toFixed(1)}`;
  };
  const steps = Array.from({ length: Math.ceil(spanMm / 0.5) + 1 }, (_, i) => i * 0.5);
  const lineAt = (inMm: number) => `M${steps.map((mm) => at(mm, inMm)).join(' L')}`;
  const stitches = Array.from({ length: Math.ceil(spanMm / stitchMm) + 1 }, (_, i) => i * stitchMm);
  // A looper that is too tight draws the other one's loops round the edge onto its own face.
  const slipped =
    (balance === 'over' && face === 'up') || (balance === 'under' && face === 'under') ? 1.2 : 0;
  const loops =
    loopsMm &&
    `M${stitches
      .flatMap((mm) => [at(mm, loopsMm[1]), at(mm + stitchMm / 2, loopsMm[0] + slipped)])
      .join(' L')}`;
  const puckers =
    wave.look === 'gathered'
      ? stitches.filter((_, i) => i % Math.max(1, Math.round(0.25 / -wave.excess)) === 0)
      : [];
  return (
    <g clipPath={`url(#${id})`}>
      <clipPath id={id}>
        <rect x={x} y={y} width={width} height={height} />
      </clipPath>
      <rect x={x} y={y} width={width} height={height} fill="var(--color-bed)" />
      <path
        d={`${lineAt(0)} L${x + width},${y} L${x},${y} Z`}
        fill={face === 'up' ? 'var(--cloth-1)' : 'var(--cloth-2)'}
        stroke="var(--cloth-edge)"
      />
      {puckers.map((mm) => (
        <path
          key={mm}
          d={`M${at(mm, 0)} L${at(mm + 0.8, 5 + 30 * -wave.excess)}`}
          stroke="var(--cloth-edge)"
          strokeWidth={2}
        />
      ))}
      {needleLinesMm.map((inMm) => (
        <RimmedPath
          key={inMm}
          d={lineAt(inMm)}
          fill="none"
          stroke="var(--thread)"
          strokeWidth={Math.max(1.4, 0.3 * pxPerMm)}
          strokeDasharray={`${stitchMm * pxPerMm * 0.8} ${stitchMm * pxPerMm * 0.2}`}
        />
      ))}
      {loops && (
        <RimmedPath
          d={loops}
          fill="none"
          stroke="var(--color-pencil)"
          strokeWidth={Math.max(1.2, 0.25 * pxPerMm)}
          strokeLinejoin="round"
        />
      )}
      {slipped > 0 && (
        <RimmedPath
          d={stitches.map((mm) => `M${at(mm, 0)} L${at(mm, slipped)}`).join(' ')}
          stroke="var(--color-madder)"
          strokeWidth={Math.max(1.2, 0.25 * pxPerMm)}
        />
      )}
      <rect x={x} y={y} width={width} height={height} fill="none" stroke="var(--color-line)" />
    </g>
  );
}
