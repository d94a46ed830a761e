import { memo, useId } from 'react';
import { beliefFor } from '../../core/margin/belief';
import type { Foot } from '../../core/kit/foot';
import type { Lengths } from '../../core/measure/lengths';
import { needlePath } from '../../core/stitch/needle-path';
import { repeatLengthMm } from '../../core/stitch/pitch';
import { useLengths } from '../ground/lengths-context';
import { dialName } from '../words/dials';
import { factInWords } from '../words/facts';
import { tickStepMm, ticksWithin, upright } from './axis';
import { NumbersTable } from './numbers-table';
import { useBox } from './use-box';
import { useSteadySpan } from './use-steady';
import { drawnStandOffMm, scrollLengthMm } from './attachment-shape';
import { Label } from './label';
import { Scene, isSameView, px, type UnderFootProps, type View } from './under-foot-scene';
import { windowsOf } from './under-foot-windows';

/**
 * From above: foot, slot, guide, needle swing and holes, the cloth's edge with its drift band, and
 * what the counted check allows. Left the bed, to scale; right a lens on the needle.
 */
export function UnderFoot(props: UnderFootProps) {
  const { plan, judgement, beliefs, foot, margin } = props;
  const lengths = useLengths();
  const id = useId();
  const [ref, { width, height }] = useBox<HTMLDivElement>();
  const { settings, clearance, blocked, warnings } = judgement;
  const straightPlate = warnings.find(({ about }) => about === 'straight-plate');
  const [first] = margin.references(plan, settings);
  const belief = beliefFor(beliefs, first.source);
  const repeatMm = repeatLengthMm(plan.stitch, settings.lengthMm, plan.machine);
  const holes = needlePath(plan.stitch, settings, 1, plan.machine);
  const xs = holes.map(({ xMm }) => xMm);
  const [swingLeft, swingRight] = [Math.min(...xs), Math.max(...xs)];
  const focus = [first.atMm, swingLeft, swingRight];
  // Whole millimetres, and not closer for one or two less.
  const focusMm = useSteadySpan(
    [Math.floor(Math.min(...focus) - 0.7), Math.ceil(Math.max(...focus) + 0.7)],
    2,
  );
  const { bed, lens } = windowsOf(
    { width, height },
    {
      bedWidthMm: foot.soleMm.widthMm + 5,
      bedHeightMm: Math.max(repeatMm * 1.35, foot.soleMm.toeMm + foot.soleMm.heelMm + 3),
      // An attachment and the strip that goes into it lie before the foot.
      beforeMm: props.attachment ? drawnStandOffMm(plan) + scrollLengthMm + 10 : 0,
      focusMm,
      onlyBefore: first.onlyBefore ?? false,
    },
  );
  const lensTimes = lens.pxPerMm / bed.pxPerMm;
  const counted = judgement.checks.find(({ name }) => name === margin.countedCheck);
  const runCheck = judgement.checks.find(({ name }) => name !== margin.countedCheck);
  // A low lens has room for where the fold may ride and for what is counted.
  const isLow = lens.height < 130;
  const edgeMm = first.atMm + belief.shiftMm;
  const foldOnRight = edgeMm > lens.midXMm;
  const regions = margin.regions(plan);
  const { words } = margin;
  const shifted = Math.abs(belief.shiftMm) > 0.005;
  const checkInWords = (check: (typeof judgement.checks)[number]) => {
    const shift = beliefs[check.source]?.shiftMm ?? 0;
    const now = lengths.fineNumber(check.v0Mm + check.k * shift);
    const good = Number.isFinite(check.hiMm)
      ? Number.isFinite(check.loMm)
        ? `${lengths.fineNumber(check.loMm)} – ${lengths.fine(check.hiMm)}`
        : `up to ${lengths.fine(check.hiMm)}`
      : `from ${lengths.fine(check.loMm)}`;
    return `${words.checks[check.name]} ${shifted ? 'about ' : ''}${now}, good ${good}`;
  };

  return (
    <div ref={ref} className="relative h-full w-full overflow-hidden">
      {width > 0 && height > 80 && (
        <svg width={width} height={height} role="img" aria-label="View under the foot, to scale">
          <defs>
            <pattern id={`${id}-weave`} width="6" height="6" patternUnits="userSpaceOnUse">
              <path
                d="M0,0 l6,6 M-1,5 l2,2 M5,-1 l2,2"
                stroke="var(--color-seam)"
                strokeOpacity="0.28"
              />
            </pattern>
            {[bed, lens].map((view) => (
              <clipPath
                key={view === bed ? 'bed' : 'lens'}
                id={`${id}-${view === bed ? 'bed' : 'lens'}`}
              >
                <rect x={view.x} y={view.y} width={view.width} height={view.height} />
              </clipPath>
            ))}
          </defs>
          {[bed, lens].map((view) => (
            <g key={view === bed ? 'bed' : 'lens'}>
              <Scene {...props} view={view} lens={view === lens} id={id} />
              <rect
                x={view.x}
                y={view.y}
                width={view.width}
                height={view.height}
                fill="none"
                stroke={view === lens ? 'var(--color-graphite)' : 'var(--color-line)'}
                strokeWidth={view === lens ? 2 : 1}
              />
              <Ruler
                view={view}
                stepMm={tickStepMm(lengths.unit, view.pxPerMm, 52)}
                within={width}
              />
            </g>
          ))}
          {/* needle swing against the slot, on the bed's ruler */}
          <line
            data-part="swing"
            x1={px(bed, swingLeft)}
            x2={px(bed, swingRight)}
            y1={bed.height + 31}
            y2={bed.height + 31}
            stroke={blocked ? 'var(--color-madder)' : 'var(--color-graphite)'}
            strokeWidth={7}
            strokeLinecap="round"
          />
          {regions.map((region, i) => {
            const from = Math.max(0, px(bed, edgeMm + region.fromMm));
            const to = Math.min(bed.width, px(bed, edgeMm + region.toMm));
            if (to - from < 24) return null;
            const end = from > bed.width * 0.5;
            const low = region.only === 'before';
            return (
              <Label
                key={region.name}
                x={end ? Math.min(bed.width - 8, to + 70) : from + 8}
                y={low ? bed.height - 34 : 20 + 18 * (i % 3)}
                end={end}
                text={`${region.name}, ${region.layers}×`}
              />
            );
          })}
          <Label
            x={lens.x + 8}
            y={lens.y + 20}
            text={`×${lensTimes.toFixed(lensTimes < 10 ? 1 : 0)} lens`}
            strong
          />
          {counted && (
            <Label
              between={[lens.x + 8, lens.x + lens.width - 4]}
              x={lens.x + 8}
              y={lens.y + lens.height - 12}
              text={checkInWords(counted)}
              colour="var(--color-moss)"
              strong
            />
          )}
          {!isLow && (
            <Label
              between={[lens.x + 6, lens.x + lens.width - 6]}
              x={px(lens, edgeMm) + (foldOnRight ? -8 : 8)}
              y={lens.y + (first.onlyBefore ? lens.height * 0.5 : 46)}
              end={foldOnRight}
              text={`${first.name} wanders`}
              colour="var(--color-pencil)"
              strong
            />
          )}
          {runCheck && !isLow && (
            <Label x={lens.x + 8} y={lens.y + lens.height - 32} text={checkInWords(runCheck)} />
          )}
          {first.source === 'guide' && (
            <Label
              x={px(bed, settings.guideMm) + 8}
              y={bed.height - 12}
              text={dialName('guide', plan.foot.guidance).toLowerCase()}
              strong
            />
          )}
          <Label
            between={[4, bed.width - 4]}
            x={px(bed, swingRight) + 10}
            y={bed.height + 36}
            text={
              swingRight > swingLeft
                ? `${plan.stitch.twinGapMm ? 'needles and swing' : 'needle swing'} ${lengths.fine(swingRight - swingLeft)}`
                : `needle at ${lengths.fine(swingLeft)}`
            }
          />
          <Label
            between={[4, bed.width - 4]}
            x={px(bed, edgeMm) - 6}
            y={bed.height - 12}
            text={first.name}
            colour="var(--color-pencil)"
            strong
            end
          />
        </svg>
      )}
      {blocked && (
        <p className="absolute inset-x-0 top-7 mx-auto w-fit max-w-[94%] rounded-[3px] border-3 border-madder bg-slip px-4 py-1.5 text-center font-bold text-madder">
          ✕{' '}
          {straightPlate ? (
            factInWords(straightPlate, lengths)
          ) : (
            <>
              Blocked: the needle would meet{' '}
              {clearance.clearanceMm < 0 ? `the ${clearance.nearest}` : 'the end of its swing'} on
              the {clearance.side}, where it is ringed.
            </>
          )}
        </p>
      )}
      <NumbersTable
        caption="Under the foot, in numbers"
        rows={[
          ['Needle swings from', lengths.fine(swingLeft)],
          ['to', lengths.fine(swingRight)],
          ...metalRows(plan.foot, lengths),
          ['Clearance', lengths.fine(clearance.clearanceMm)],
          [`${dialName('guide', plan.foot.guidance)} at`, lengths.fine(settings.guideMm)],
          ...judgement.checks.map((check): [string, string] => [
            words.checks[check.name] ?? check.name,
            lengths.fine(check.v0Mm),
          ]),
        ]}
      />
    </div>
  );
}

/** Ticks of a window in the person's unit; the same while the window stands still. */
const Ruler = memo(
  function Ruler({ view, stepMm, within }: { view: View; stepMm: number; within: number }) {
    const { fineNumber } = useLengths();
    const half = view.width / 2 / view.pxPerMm;
    const ticks = ticksWithin(view.midXMm - half, view.midXMm + half, stepMm);
    const x = (mm: number) => px(view, mm);
    return (
      <>
        <path
          d={upright(ticks.map(x), view.y + view.height, view.y + view.height + 6)}
          stroke="var(--color-soft)"
        />
        <g fontSize={13} textAnchor="middle" fill="var(--color-soft)">
          {ticks.map((tick) => (
            <text
              key={tick}
              x={Math.min(within - 16, Math.max(12, x(tick)))}
              y={view.y + view.height + 21}
            >
              {fineNumber(tick)}
            </text>
          ))}
        </g>
      </>
    );
  },
  (one, other) =>
    one.stepMm === other.stepMm && one.within === other.within && isSameView(one.view, other.view),
);

/** Where the foot leaves the needle room, as rows. */
function metalRows({ slotMm, besideMm }: Foot, { fine }: Lengths): [string, string][] {
  if (slotMm) {
    return [
      ['Slot from', fine(slotMm[0])],
      ['Slot to', fine(slotMm[1])],
    ];
  }
  return besideMm
    ? [
        ['Foot stands from', fine(besideMm[0])],
        ['to', fine(besideMm[1])],
      ]
    : [];
}
