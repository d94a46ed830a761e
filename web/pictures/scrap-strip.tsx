import type { FinishMargin } from '../../core/finish/finish-margin';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import type { DialSettings } from '../../core/kit/dial-steps';
import { holeXMm, swingOf } from '../../core/stitch/needle-path';
import type { SetUp } from '../../core/margin/set-up';
import type { Swatch } from '../../core/swatch/swatch';
import { openedOut, shownThreadMm } from '../../core/plan/shown-thread';
import { SwatchFace } from './swatch-face';

export interface ScrapStripProps {
  /** Unlike any other on the page. */
  readonly id: string;
  readonly margin: FinishMargin;
  readonly set: SetUp;
  readonly plan: SewingPlan;
  readonly dials: DialSettings;
  readonly swatch: Swatch;
  readonly widthPx: number;
  /** Of one face. */
  readonly heightPx: number;
  readonly label: string;
}

/** A whole scrap, both faces under one another, as long as it was counted; faults are ringed. */
export function ScrapStrip(props: ScrapStripProps) {
  const { id, margin, set, plan, dials, swatch, widthPx, heightPx, label } = props;
  const pxPerMm = (widthPx - 20) / Math.max(1, swatch.lengthMm);
  const [first] = margin.references(plan, dials);
  const shownMm = shownThreadMm(margin, set, plan, dials, swatch);
  const swing = swingOf(plan.stitch).map((u) => holeXMm(u, plan.stitch, dials) - first.atMm);
  const midMm = (Math.min(...swing) + Math.max(...swing)) / 2;
  const gap = 3;
  return (
    <svg width={widthPx} height={2 * heightPx + gap} role="img" aria-label={label}>
      {(['up', 'under'] as const).map((face, row) => {
        const shown = face === 'under' ? shownMm : null;
        return (
          <SwatchFace
            key={face}
            id={`${id}-${face}`}
            face={face}
            x={0}
            y={row * (heightPx + gap)}
            width={widthPx}
            height={heightPx}
            pxPerMm={pxPerMm}
            swatch={swatch}
            lock="inside"
            shownMm={shown}
            regions={shown === null ? margin.regions(plan) : openedOut}
            midMm={shown === null ? midMm : 0}
          />
        );
      })}
    </svg>
  );
}
