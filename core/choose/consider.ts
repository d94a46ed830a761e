import { crossingLayers, pressedShare } from '../fold/stack';
import { layersAt } from '../fold/layer';
import type { Finish, FoldPlan, Nature, WorkRequest } from '../finish/finish';
import { completed, type FoldWish } from '../finish/fold-request';
import { isClosed } from '../plan/edge-shape';
import { foldPlanOf, wishForVariant } from '../plan/fold-plan';
import { kitGaps } from '../plan/kit-gaps';
import { chosenWays, machineChanges, stepsOf } from '../plan/work';
import { thickestTimes } from '../seam/crossing';
import { bestChance } from './best-chance';
import { minutesPerMetre } from './minutes';
import type { ChooseRequest } from './request';
import { weighSpare, weighStrip } from './spare';
import {
  fact,
  weighBulk,
  weighChance,
  weighCurve,
  weighFlare,
  weighFray,
  weighLayers,
  weighPurpose,
  weighSlip,
  weighStack,
  weighStretch,
  weighThickness,
  type Hindrance,
  type Reason,
  type Weighing,
} from './weigh';

/**
 * A variant with everything about it that was worked out for this cloth, edge and kit; plain data,
 * so that it can cross from a worker.
 */
export interface Considered {
  readonly finishId: string;
  readonly variant: string;
  readonly nature: Nature;
  readonly wish: FoldWish;
  /** Best chance in the kit; null where no dial is solved. */
  readonly chance: number | null;
  readonly stackMm: number;
  readonly thickestStackMm: number;
  readonly bulkMm: number;
  readonly minutesPerMetre: number;
  readonly machineChanges: number;
  /** How well it suits apart from wishes, 0 to 1. */
  readonly fit: number;
  readonly reasons: readonly Reason[];
  readonly hindrances: readonly Hindrance[];
}

/** A wish to begin with: the finish's own lengths, its depth as wished and its scroll from the kit. */
function firstWish(finish: Finish, variant: string, { edge, kit, cloth }: ChooseRequest): FoldWish {
  const channels = kit.feet
    .filter(({ kind }) => kind === 'hemmer')
    .flatMap(({ channelMm }) => channelMm ?? [])
    .sort((a, b) => a - b);
  // The finest scroll that the cloth still goes into.
  const channelMm = channels.find((mm) => mm >= cloth.thicknessMm * 6) ?? channels.at(-1);
  const turned = finish.nature(variant).turnsUp && finish.fields.depthMm;
  const lengths = {
    ...(turned && edge.depthMm !== null ? { depthMm: edge.depthMm } : {}),
    ...(channelMm === undefined ? {} : { channelMm }),
  };
  const wish = completed(finish.fields, wishForVariant(finish, lengths, variant));
  // Where the wished lengths contradict one another, the finish's own stand.
  return finish.contradictions({ wish, cloth }).length === 0
    ? wish
    : completed(finish.fields, wishForVariant(finish, {}, variant));
}

/** The deepest place of the finished edge, as it lies under the fingers. */
function bulkOf({ stages }: FoldPlan): number {
  const stack = stages.at(-1)?.stack ?? [];
  const places = stack.flatMap(({ fromXMm, toXMm }) => [fromXMm, toXMm, (fromXMm + toXMm) / 2]);
  const heights = places.map((x) =>
    layersAt(stack, x).reduce((sum, { thicknessMm }) => sum + thicknessMm, 0),
  );
  return Math.max(0, ...heights) * pressedShare;
}

/** A variant that cannot be folded in this cloth at all, whatever its lengths. */
function unfoldable(finish: Finish, variant: string, message: string): Considered {
  return {
    finishId: finish.id,
    variant,
    nature: finish.nature(variant),
    wish: { variant },
    chance: null,
    stackMm: 0,
    thickestStackMm: 0,
    bulkMm: 0,
    minutesPerMetre: 0,
    machineChanges: 0,
    fit: 0,
    reasons: [],
    hindrances: [
      { because: fact('folds', message), wouldNeed: fact('other-lengths', 'other lengths') },
    ],
  };
}

/** Everything about one variant for this cloth, edge and kit. */
export function consider(finish: Finish, variant: string, request: ChooseRequest): Considered {
  const { cloth, edge, kit } = request;
  const nature = finish.nature(variant);
  const flare = weighFlare(finish, firstWish(finish, variant, request), request);
  const { stripMm = Infinity } = nature;
  // A thick cloth is bound in a thinner one.
  const folded = cloth.thicknessMm > stripMm ? { ...cloth, thicknessMm: stripMm } : cloth;
  const flared = {
    ...flare.wish,
    ...(folded === cloth ? {} : { coreMm: cloth.thicknessMm }),
  };
  const [trouble] = finish.contradictions({ wish: flared, cloth: folded });
  if (trouble) return unfoldable(finish, variant, trouble.message);
  const free = foldPlanOf(finish, { wish: flared, cloth: folded });
  const spare = weighSpare(finish, { wish: flared, cloth: folded }, free, edge);
  const settled = spare.wish;
  const folds = settled === flared ? free : foldPlanOf(finish, { wish: settled, cloth: folded });
  const times = thickestTimes(edge.crossings);
  const work: WorkRequest = {
    wish: settled,
    cloth,
    edge: {
      lengthMm: edge.lengthMm,
      minRadiusMm: edge.minRadiusMm,
      closed: isClosed(edge),
      cornered: edge.shape === 'cornered',
      thickestTimes: times,
    },
    schools: chosenWays(finish, variant),
  };
  const steps = stepsOf(finish, work);
  const thickestStackMm = folds.stackMm * Math.min(times, crossingLayers.french);
  const bulkMm = bulkOf(folds);
  const gaps = kitGaps(finish, work.wish, kit);
  const chance = gaps.length > 0 ? null : bestChance(finish, work.wish, request);
  const { machineKinds } = finish.needs(variant);
  const weighings: Weighing[] = [
    weighFray(cloth, nature.holdsFray),
    weighStretch(request, nature.givesPercent),
    weighCurve(edge, nature.leastRadiusMm),
    weighThickness(cloth, nature.thickestMm),
    flare,
    spare,
    weighStrip(folds, edge),
    weighStack(thickestStackMm, request, machineKinds),
    weighSlip(cloth, nature, folds.finishedDepthMm),
    // The layers of a seam lie inside, beside one another.
    weighLayers(cloth, nature.joins ? 0 : bulkMm / (pressedShare * folded.thicknessMm)),
    weighBulk(bulkMm - pressedShare * cloth.thicknessMm),
    ...weighPurpose(cloth, nature),
    weighChance(chance?.chance ?? null),
  ];
  const child =
    nature.pullsOff && edge.forChild
      ? [
          {
            because: fact('child', 'A small child pulls it off and swallows it.'),
            wouldNeed: fact('another-wearer', 'another wearer'),
          },
        ]
      : [];
  const missing = nature.onlyWith
    ? [
        {
          because: fact('only-with', `It needs ${nature.onlyWith}.`),
          wouldNeed: fact('only-with', nature.onlyWith),
        },
      ]
    : [];
  return {
    finishId: finish.id,
    variant,
    nature,
    wish: work.wish,
    chance: chance?.chance ?? null,
    stackMm: folds.stackMm,
    thickestStackMm,
    bulkMm,
    minutesPerMetre: minutesPerMetre(steps, edge.lengthMm),
    machineChanges: machineChanges(steps),
    fit: weighings.reduce((product, { factor }) => product * factor, 1),
    reasons: weighings.flatMap(({ reason }) => reason ?? []),
    hindrances: [
      ...missing,
      ...child,
      ...gaps.map((gap) => ({
        because: fact('kit', 'The kit has nothing to sew it with.'),
        wouldNeed: gap,
      })),
      ...weighings.flatMap(({ hindrance }) => hindrance ?? []),
    ],
  };
}
