import { cautionSentences } from '../../core/finish/cautions';
import type { CautionId, WorkStep } from '../../core/finish/work';
import { changesInOrder } from '../../core/garment/own-order';
import { orderOf } from '../../core/garment/tasks';
import { waysInGarment } from '../../core/garment/in-garment';
import { inForce, type OrderedWork } from '../../core/garment/work-of';
import { Impossible } from '../../core/impossible';
import { lengthsFor, type Lengths } from '../../core/measure/lengths';
import { fill } from '../../core/measure/fill';
import { paperTimes } from '../../core/plan/edge-sheet';
import { workRequestOf } from '../../core/plan/of-records';
import type { PrintedPart, PrintedWork } from '../print/work-sheet';
import { noFinishYet } from './sewing-plan';
import { Refusal } from '../http/refusal';
import { taughtPlan } from './taught-plan';
import type { Store } from './store';

const sentences = (ids: readonly CautionId[]) => [
  ...new Set(ids.map((id) => cautionSentences[id])),
];

const placeOf = ({ at }: Pick<WorkStep, 'at'>): string =>
  typeof at === 'string' ? at : `${at.machine}${at.foot ? `, ${at.foot} foot` : ''}`;

async function lengthsOf(store: Store): Promise<Lengths> {
  return lengthsFor(await store.find('preferences', 'mine'));
}

/** The work on an edge, to be printed. @throws Refusal 409 while no finish is taken */
export async function printedEdge(store: Store, edgeId: string): Promise<PrintedWork> {
  const edge = await store.find('edges', edgeId);
  const [row] = await store.list('plans', { edgeId });
  if (!row || row.finish === null) throw new Refusal(409, 'no-finish', noFinishYet);
  const attempts = await store.list('attempts', { planId: row.id });
  const { assembled, samples, carried } = await taughtPlan(store, row, attempts);
  const { finish, plan, names } = assembled;
  const [lengths, project, preferences, machines, feet] = await Promise.all([
    lengthsOf(store),
    store.find('projects', edge.projectId),
    store.find('preferences', 'mine'),
    store.list('machines'),
    store.list('feet'),
  ]);
  const foot = feet.find(({ id }) => id === row.footId);
  const cloth = await store.find('cloths', edge.clothId);
  const strip = row.stripClothId ? await store.find('cloths', row.stripClothId) : null;
  const request = workRequestOf(
    { edge, plan: row, cloth, strip, ...(foot && { foot }) },
    plan,
    finish,
    waysInGarment(preferences.schools, project.garment?.meets ?? [], edge.id),
  );
  const sheet = await store.sums.inner('sheet', {
    ...{ finish: finish.id, plan, request, samples, carried, settings: row.settings },
    kit: { machines, feet },
    foot: { name: names.foot, soleMm: foot?.soleMm ?? { toeMm: 12, heelMm: 14 } },
  });
  const { settings, margin, steps } = sheet;
  const words = finish.margin(plan.fold.variant)?.words ?? null;
  const variant = finish.variants.find(({ id }) => id === plan.fold.variant);
  return {
    title: edge.on ? `${edge.name}, ${edge.on}` : edge.name,
    cautions: sentences(steps.flatMap(({ cautions }) => cautions)),
    parts: [
      {
        heading: `${finish.name}${variant && finish.variants.length > 1 ? `, ${variant.name}` : ''}`,
        facts: [
          `${names.cloth}; ${lengths.cloth(edge.lengthMm)} long; ${names.machine}, ${names.foot}; needle ${row.needleSize}`,
          ...(settings
            ? [
                `Width ${lengths.fine(settings.widthMm)}, length ${lengths.fine(settings.lengthMm)}, needle position ${lengths.fine(settings.needlePositionMm)}, guide ${lengths.fine(settings.guideMm)}`,
              ]
            : []),
          ...(margin && Number.isFinite(margin.fromMm) && Number.isFinite(margin.toMm)
            ? [
                `Margin ${lengths.fine(-margin.fromMm)} to the left, ${lengths.fine(margin.toMm)} to the right`,
              ]
            : []),
          `Folds are drawn with the cloth ${paperTimes} times as thick.`,
        ],
        // A section that is squeezed into a thumb's width would show no layers.
        steps: steps.map((step) => ({
          text: fill(step.text, step.values, lengths),
          beside: placeOf(step),
          done: row.ticks.includes(step.id),
          section: step.section,
        })),
      },
    ],
    scrap: words && { counted: words.counted, short: words.short, over: words.over },
  };
}

/** The work on a garment in its order, to be printed: one part for each visit to a place. */
export async function printedGarment(
  store: Store,
  projectId: string,
  work: OrderedWork,
): Promise<PrintedWork> {
  const [project, machines, lengths] = await Promise.all([
    store.find('projects', projectId),
    store.list('machines'),
    lengthsOf(store),
  ]);
  const { sequence } = inForce(work);
  const tasks = new Map(work.tasks.map((task) => [task.id, task]));
  const parts: (PrintedPart & { steps: PrintedPart['steps'][number][] })[] = [];
  let before = '';
  changesInOrder(orderOf(work), sequence).forEach((changes, i) => {
    const task = tasks.get(sequence[i] ?? '');
    if (!task) return;
    if (task.place !== before || parts.length === 0) {
      const name = machines.find(({ id }) => id === task.place)?.name ?? task.place;
      parts.push({ heading: name.charAt(0).toUpperCase() + name.slice(1), facts: [], steps: [] });
      before = task.place;
    }
    const changed = changes
      .filter(({ what }) => what !== 'place')
      .map(({ what, to }) => `${what} ${to.replace('-', ' ')}`);
    parts.at(-1)!.steps.push({
      text: fill(task.text, task.values, lengths),
      beside: [task.edgeName ?? 'the whole garment', ...changed].join(' · '),
      done: task.done,
      section: null,
    });
  });
  if (parts.length === 0) {
    throw new Impossible([{ path: 'project', message: 'This project has no work to print yet.' }]);
  }
  return {
    title: project.name,
    cautions: sentences(work.tasks.flatMap(({ cautions }) => cautions)),
    parts,
    scrap: null,
  };
}
