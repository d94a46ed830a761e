import { Router } from 'express';
import { clothFromHomeTests } from '../../core/cloth/home-tests';
import { formatDecimal, formatInchFraction, formatLength } from '../../core/measure/format-length';
import { parseLength } from '../../core/measure/parse-length';
import { foldPlanOf, unusedFoldFields } from '../../core/plan/fold-plan';
import { judge, type Judgement } from '../../core/plan/judge';
import { lessonOf } from '../../core/plan/learn-plan';
import { setUpOf } from '../../core/plan/set-up-of';
import { startingSetting } from '../../core/plan/starting-setting';
import { homeTests } from '../../contract/cloth';
import { measureRequest } from '../../contract/measure';
import { foldsRequest, learnRequest, settingsRequest } from '../../contract/plan';
import { parseBody } from '../http/refusal';
import { knownFinish } from '../store/sewing-plan';

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

/** The core over HTTP: stateless sums, documented in docs/api.md. */
export function computeRoutes(): Router {
  const router = Router();

  router.post('/measure', (request, response) => {
    const { text, unit, round } = parseBody(measureRequest, request.body);
    const mm = parseLength(text, unit);
    const rounded = formatLength(mm, round);
    const inches = round.includes('/') ? rounded : formatInchFraction(mm, 16);
    const millimetres = round.includes('/') ? formatDecimal(mm, 'mm', 1) : rounded;
    response.json({
      mm,
      display: {
        in: inches.text,
        cm: formatDecimal(mm, 'cm', 2).text,
        mm: millimetres.text,
      },
      roundingErrorMm: rounded.roundingErrorMm,
    });
  });

  router.post('/cloth', (request, response) => {
    response.json(clothFromHomeTests(parseBody(homeTests, request.body)));
  });

  router.post('/folds', (request, response) => {
    const { finish: id, cloth, ...wish } = parseBody(foldsRequest, request.body);
    const finish = knownFinish(id);
    const plan = foldPlanOf(finish, { wish, cloth });
    response.json({
      allowanceMm: plan.allowanceMm,
      marks: plan.marks,
      layersAtStitch: plan.layersAtStitch,
      layersUnderNeedle: plan.layersUnderNeedle,
      stackMm: plan.stackMm,
      stitchFromHemlineMm: plan.stitchFromHemlineMm,
      unused: unusedFoldFields(finish, wish),
    });
  });

  router.post('/settings', (request, response) => {
    const { finish: id, ...plan } = parseBody(settingsRequest, request.body);
    const finish = knownFinish(id);
    const set = setUpOf(finish, plan);
    const judgement = judge(set, startingSetting(finish, plan, set));
    const source = judgement.margins[0]?.source ?? 'guide';
    response.json(settingsAnswer(judgement, set.beliefs[source]?.sigmaMm ?? 0));
  });

  router.post('/learn', (request, response) => {
    const { finish: id, samples, ...plan } = parseBody(learnRequest, request.body);
    const { posterior, now, next, instead, enough } = lessonOf(knownFinish(id), plan, samples);
    response.json({
      shiftMm: posterior.shiftMm,
      shiftInterval: posterior.shiftInterval,
      sigmaMm: posterior.sigmaMm,
      sigmaInterval: posterior.sigmaInterval,
      next: { settings: next.settings, change: next.change },
      predicted: next.predicted,
      staying: now.predicted,
      instead: instead && { settings: instead.settings, change: instead.change },
      enough,
    });
  });

  return router;
}
