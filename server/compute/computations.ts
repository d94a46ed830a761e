import { plainNeed, plainText } from '../../core/choose/plain-text';
import { rank } from '../../core/choose/rank';
import { clothFromHomeTests } from '../../core/cloth/home-tests';
import { formatDecimal, formatInchFraction, formatLength } from '../../core/measure/format-length';
import { parseLength } from '../../core/measure/parse-length';
import { catalogue } from '../../core/finish/catalogue';
import { edgeIssues } from '../../core/edge/edge-issues';
import { handZones } from '../../core/edge/hands';
import { isClosed } from '../../core/edge/shape';
import { Impossible } from '../../core/impossible';
import { impliedVariant } from '../../core/finish/fold-request';
import { assumedLengths, foldPlanOf, unusedFoldFields } from '../../core/plan/fold-plan';
import { judge, type Judgement } from '../../core/plan/judge';
import { setUpOf } from '../../core/plan/set-up-of';
import { startingSetting } from '../../core/plan/starting-setting';
import { liftsOf } from '../../core/kit/machine';
import { alongTheEdge } from '../../core/seam/crossings';
import { finishesRequest } from '../../contract/choose';
import { homeTests } from '../../contract/cloth';
import { measureRequest } from '../../contract/measure';
import { orderRequest } from '../../contract/order';
import { foldsRequest, learnRequest, settingsRequest } from '../../contract/plan';
import { crossingsRequest } from '../../contract/seam';
import { shapeRequest } from '../../contract/shape';
import { stripsRequest } from '../../contract/strip';
import { parseBody } from '../http/refusal';
import { knownEdge, turnAnswer } from './known-edge';
import { knownFinish } from './known-finish';
import { askedPlan, refuseStrip } from './asked-plan';
import { learnAnswer } from './learn-answer';
import { orderAnswer } from './order-answer';
import { shapeAnswer } from './shape-answer';
import { stripsAnswer } from './strips-answer';

/** JSON has no infinity: an open end is null. */
const finite = (value: number): number | null => (Number.isFinite(value) ? value : null);

function settingsAnswer(judgement: Judgement, sigmaMm: number) {
  const { settings, checks, margins, chance, clearance, stitchesPerMetre, warnings } = judgement;
  const [margin] = margins;
  return {
    settings,
    checks: checks.map((check) => ({
      name: check.name,
      source: check.source,
      v0: check.v0Mm,
      k: check.k,
      loMm: finite(check.loMm),
      hiMm: finite(check.hiMm),
      below: check.below,
      above: check.above,
      belowChance: check.belowChance,
      aboveChance: check.aboveChance,
    })),
    margin: {
      leftMm: margin ? finite(-margin.fromMm) : null,
      rightMm: margin ? finite(margin.toMm) : null,
      leftFault: margin?.leftFault ?? null,
      rightFault: margin?.rightFault ?? null,
    },
    sigmaMm,
    chance,
    clearanceMm: clearance.clearanceMm,
    stitchesPerMetre,
    warnings,
  };
}

/** The answers of `/api/compute`, by name: a body in, what is sent back out. */
export const computations = {
  measure(body: unknown) {
    const { text, unit, round } = parseBody(measureRequest, body);
    const mm = parseLength(text, unit);
    const rounded = formatLength(mm, round);
    const inches = round.includes('/') ? rounded : formatInchFraction(mm, 16);
    const millimetres = round.includes('/') ? formatDecimal(mm, 'mm', 1) : rounded;
    return {
      mm,
      display: {
        in: inches.text,
        cm: formatDecimal(mm, 'cm', 2).text,
        mm: millimetres.text,
      },
      roundingErrorMm: rounded.roundingErrorMm,
    };
  },

  cloth(body: unknown) {
    return clothFromHomeTests(parseBody(homeTests, body));
  },

  folds(body: unknown) {
    const request = parseBody(foldsRequest, body);
    const { finish: id, cloth, strip: made, variant, edge, ...lengths } = request;
    const finish = knownFinish(id);
    const wish = { ...lengths, variant: variant ?? impliedVariant(finish, lengths) };
    refuseStrip(finish, wish.variant, made ?? null);
    const plan = foldPlanOf(finish, { wish, cloth, strip: made });
    const { strip, trim, feedMm, shortensMm, outsideNeedleMm } = plan;
    return {
      allowanceMm: plan.allowanceMm,
      variant: wish.variant,
      marks: plan.marks.map(({ id: name, atMm, action, from }) => ({
        name,
        fromRawEdgeMm: atMm,
        action,
        measuredFrom: from,
      })),
      layersAtStitch: plan.layersAtStitch,
      layersUnderNeedle: plan.layersUnderNeedle,
      stackMm: plan.stackMm,
      stitchFromHemlineMm: plan.stitchFromHemlineMm,
      finishedDepthMm: plan.finishedDepthMm,
      ...(feedMm === undefined ? {} : { feedMm }),
      ...(shortensMm === undefined ? {} : { shortensMm }),
      ...(outsideNeedleMm === undefined
        ? {}
        : { outsideNeedleMm, beyondFinishedEdgeMm: plan.allowanceMm - outsideNeedleMm }),
      ...(trim ? { trim } : {}),
      ...(strip
        ? {
            stripWidthMm: strip.widthMm,
            cutting: strip.cutting,
            tuckInMm: strip.tuckInMm,
            turnOfClothMm: strip.turnOfClothMm,
            stripFoldsAtMm: strip.foldsAtMm,
          }
        : {}),
      ...(edge ? { onEdge: turnAnswer(edge, plan, cloth) } : {}),
      assumed: assumedLengths(finish, wish),
      unused: unusedFoldFields(finish, wish),
    };
  },

  crossings(body: unknown) {
    const { cloth, layersAtStitch, sole, presserLiftMm, presserLiftHighMm, ...asked } = parseBody(
      crossingsRequest,
      body,
    );
    const edge = asked.edge ? knownEdge(asked.edge) : null;
    const crossed = {
      lengthMm: edge?.lengthMm ?? asked.lengthMm ?? 0,
      closed: asked.closed ?? (edge ? isClosed(edge) : false),
      crossings: asked.crossings,
    };
    const lifts = liftsOf({ presserLiftMm, presserLiftHighMm });
    return {
      ...alongTheEdge(crossed, layersAtStitch, cloth, sole, lifts),
      ...(edge ? { hands: handZones(edge, asked.marginMm ?? null), ...crossed } : {}),
    };
  },

  settings(body: unknown) {
    const { finish, plan } = askedPlan(parseBody(settingsRequest, body));
    const set = setUpOf(finish, plan);
    const judgement = judge(set, startingSetting(finish, plan, set));
    const source = judgement.margins[0]?.source ?? 'guide';
    return {
      ...settingsAnswer(judgement, set.beliefs[source]?.sigmaMm ?? 0),
      variant: plan.fold.variant,
      reference: plan.foot.reference ?? null,
    };
  },

  shape(body: unknown) {
    return shapeAnswer(parseBody(shapeRequest, body));
  },

  strips(body: unknown) {
    return stripsAnswer(parseBody(stripsRequest, body));
  },

  order(body: unknown) {
    return orderAnswer(parseBody(orderRequest, body));
  },

  learn(body: unknown) {
    return learnAnswer(parseBody(learnRequest, body));
  },

  finishes(body: unknown) {
    const { cloth, edge, kit, wishes } = parseBody(finishesRequest, body);
    const { circleFraction: _fraction, depthMm = null, ...asked } = edge;
    const shaped = { ...asked, ...knownEdge(edge) };
    const issues = edgeIssues({ ...shaped, depthMm });
    if (issues.length > 0) {
      throw new Impossible(issues.map((it) => ({ ...it, path: `edge.${it.path}` })));
    }
    const { ranked, ruledOut } = rank(catalogue, {
      cloth,
      edge: { ...shaped, depthMm },
      kit: {
        machines: kit.machines,
        feet: [...kit.feet, ...kit.attachments].map(
          ({ kind, channelMm, mouthMm: _mouth, flangeMm: _flange, stripMm, ...specs }) => ({
            ...{ kind, channelMm, stripMm },
            specs,
          }),
        ),
      },
      wishes,
    });
    return {
      ranked: ranked.map((it) => ({
        finish: it.finishId,
        variant: it.variant,
        group: it.group,
        score: it.score,
        chance: it.chance,
        stackMm: it.stackMm,
        minutesPerMetre: it.minutesPerMetre,
        reasons: it.reasons.map(({ fact, points, shared }) => ({
          about: fact.about,
          text: plainText(fact),
          weight: points,
          shared,
        })),
        minutes: it.minutes,
        passage: it.passage,
      })),
      ruledOut: ruledOut.map((it) => ({
        finish: it.finishId,
        variant: it.variant,
        group: it.group,
        because: it.hindrances.map(({ because }) => plainText(because)),
        wouldNeed: it.hindrances.map(({ wouldNeed }) => plainNeed(wouldNeed)),
      })),
    };
  },
} as const;

export type Computation = keyof typeof computations;
