import type * as z from 'zod';
import type { shapeRequest } from '../../contract/shape';
import { deepestHemMm, pressedAwayShare } from '../../core/fold/fullness';
import { lengthAfterTrimmingMm, passesOverMm } from '../../core/fold/opening';
import type { EdgeForm, FlareForm } from '../../core/edge/form';
import { flareRadiusMm } from '../../core/edge/form-course';
import { formIssues } from '../../core/edge/form-issues';
import { deepestEasedMm, flareOf } from '../../core/edge/flare';
import { mitreAngleBoundsDegrees, mitreOf } from '../../core/edge/mitre';
import { longerLeg, pairMarks, slantDegrees, slantMarks, slantTurn } from '../../core/edge/slant';
import { swingEveryMm } from '../../core/edge/swing';
import { deepestSharedMm, taperShare, taperSeam } from '../../core/edge/taper';
import { Impossible, refusal } from '../../core/impossible';

type Asked = z.infer<typeof shapeRequest>;
type Of<K extends Asked['kind']> = Extract<Asked, { kind: K }>;

/** JSON has no infinity: what has no end is null. */
const finite = (value: number): number | null => (Number.isFinite(value) ? value : null);

/** @throws Impossible at the fields as this request calls them */
function refuseForm(form: EdgeForm, lengthMm: number, named: Readonly<Record<string, string>>) {
  const issues = formIssues(form, { lengthMm, closed: true, allowanceMm: null });
  if (issues.length === 0) return;
  throw new Impossible(
    issues.map((issue) => {
      const path = issue.path.replace(/^form\./, '');
      return { ...issue, path: named[path] ?? path };
    }),
  );
}

function taper({ kind: _kind, depthMm, ...asked }: Of<'taper'>) {
  const share = taperShare(asked);
  return {
    missingMm: share.missingMm,
    letOutMm: share.letOutMm,
    takeInMm: share.takeInMm,
    possible: share.possible,
    mostOutMm: share.mostOutMm,
    half: share.half,
    ...(depthMm
      ? {
          deepestMm: finite(deepestSharedMm(asked, depthMm)),
          seam: taperSeam(share, 2 * depthMm),
        }
      : {}),
  };
}

function slant({ frontMm, backMm, flatWidthMm, depthMm }: Of<'slant'>) {
  const leg = { frontMm, backMm, flatWidthMm };
  const form = { kind: 'slant', flatWidthMm, left: { frontMm, backMm }, right: null } as const;
  refuseForm(form, 2 * flatWidthMm, { 'left.backMm': 'backMm' });
  return { angleDegrees: slantDegrees(leg), marks: slantMarks(leg), ...slantTurn(leg, depthMm) };
}

function pair({ flatWidthMm, left, right, allowanceMm }: Of<'pair'>) {
  refuseForm({ kind: 'slant', flatWidthMm, left, right }, 2 * flatWidthMm, {});
  const legs = { left: { ...left, flatWidthMm }, right: { ...right, flatWidthMm } };
  return {
    marks: pairMarks(legs, allowanceMm),
    longer: { front: longerLeg(legs, 'frontMm'), back: longerLeg(legs, 'backMm') },
  };
}

const flareForm = ({ circleFraction, radiusMm, hipMm, heightMm }: Of<'flare'>): FlareForm =>
  circleFraction
    ? { kind: 'flare', by: 'fraction', fraction: circleFraction }
    : radiusMm
      ? { kind: 'flare', by: 'radius', radiusMm }
      : { kind: 'flare', by: 'hip', hipMm: hipMm ?? 0, heightMm: heightMm ?? 0 };

function flare(asked: Of<'flare'>) {
  const { lengthMm, depthMm, cloth } = asked;
  const form = flareForm(asked);
  refuseForm(form, lengthMm, { fraction: 'circleFraction' });
  const radiusMm = flareRadiusMm(form, lengthMm);
  const { share, way } = flareOf(radiusMm, depthMm, cloth);
  const tolerated = pressedAwayShare[cloth.construction];
  return {
    radiusMm,
    fullnessPercent: finite(share * 100),
    toleratedPercent: tolerated * 100,
    deepestMm: deepestHemMm(radiusMm, tolerated),
    deepestEasedMm: deepestEasedMm(radiusMm),
    how: { pressed: 'press', eased: 'ease', 'too full': 'narrower' }[way],
    // To ease a fullness on purpose, the upper cloth is fed by as much more.
    differential: way === 'eased' ? 1 + share : null,
  };
}

function corner({ allowanceMm, angleDegrees }: Of<'corner'>) {
  const [least, most] = mitreAngleBoundsDegrees;
  if (angleDegrees < least || angleDegrees > most) {
    throw new Impossible([
      refusal(
        'angleDegrees',
        'no-mitre',
        'A corner of {angle}° is not mitred; one between {least}° and {most}° is.',
        { angle: angleDegrees, least, most },
      ),
    ]);
  }
  return mitreOf({ allowanceMm, angleDegrees });
}

const curve = ({ radiusMm, marginMm }: Of<'curve'>) => ({
  releaseEveryMm: swingEveryMm(radiusMm, marginMm),
});

function opening({ lengthMm, trimMm, stretchPercent, passesMm, side, turnDegrees }: Of<'opening'>) {
  const turn = ((side === 'inside' ? 1 : -1) * turnDegrees * Math.PI) / 180;
  const openingMm = lengthAfterTrimmingMm(lengthMm, trimMm, turn);
  if (openingMm <= 0) {
    throw new Impossible([
      refusal(
        'trimMm',
        'trimmed-away',
        'Taking {trimMm} off leaves nothing of an outside edge of {lengthMm}; less than {mostMm} can be taken off.',
        { trimMm, lengthMm, mostMm: lengthMm / -turn },
      ),
    ]);
  }
  const stretchedMm = passesOverMm(openingMm, stretchPercent);
  return {
    openingMm,
    stretchedMm,
    passes: (passesMm ?? null) === null ? null : stretchedMm > (passesMm ?? 0),
  };
}

/** What follows from a shape, by its kind. */
export function shapeAnswer(asked: Asked): object {
  switch (asked.kind) {
    case 'taper':
      return taper(asked);
    case 'slant':
      return slant(asked);
    case 'pair':
      return pair(asked);
    case 'flare':
      return flare(asked);
    case 'corner':
      return corner(asked);
    case 'curve':
      return curve(asked);
    case 'opening':
      return opening(asked);
  }
}
