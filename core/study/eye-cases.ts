import type { Face } from '../eye/seen-on';
import { finishById } from '../finish/catalogue';
import type { Finish } from '../finish/finish';
import type { SewingPlan } from '../finish/sewing-plan';
import { plainPlan } from '../plan/plain-plan';
import type { EyeCase } from './drawn-photo';

const cloths = {
  'plain, dark thread': { cloth: 0.6, thread: 0.3, weave: 0.1, print: 'plain', shadow: 0.3 },
  'plain, light thread': { cloth: 0.4, thread: 0.65, weave: 0.12, print: 'plain', shadow: 0.35 },
  'coarse weave': { cloth: 0.45, thread: 0.75, weave: 0.2, print: 'plain', shadow: 0.3 },
  striped: { cloth: 0.5, thread: 0.8, weave: 0.12, print: 'striped', shadow: 0.35 },
  checked: { cloth: 0.5, thread: 0.75, weave: 0.12, print: 'checked', shadow: 0.35 },
  spotted: { cloth: 0.55, thread: 0.85, weave: 0.15, print: 'spotted', shadow: 0.35 },
  'little contrast': { cloth: 0.5, thread: 0.6, weave: 0.12, print: 'plain', shadow: 0.3 },
} as const satisfies Record<string, EyeCase['look']>;

const blurs = { sharp: 0.03, soft: 0.1, blurred: 0.18 } as const;

function known(id: string, variant: string, more: Partial<SewingPlan> = {}) {
  const finish = finishById(id) as Finish;
  return { finish, plan: { ...plainPlan(finish, variant), ...more } };
}

/** Three short stitches from bite to bite make twenty-three bites of a scrap. */
const blind = () => {
  const { finish, plan } = known('blind-hem', 'flat');
  return { finish, plan: { ...plan, stitch: { ...plan.stitch, runStitches: 2 } } };
};

/**
 * Every cloth under every blur: a blind hem’s two faces, over a fold that is sharp and one that is round, of a usual thread and
 * of any; a line along a fold, a zigzag beside an edge, two lines of a coverstitch, a raw edge swung over; of two cloths the
 * whole card as well, as a phone sees it that is not held straight.
 */
export function eyeCases(): EyeCase[] {
  const cases: EyeCase[] = [];
  const add = (
    name: string,
    sewn: { finish: Finish; plan: SewingPlan },
    face: Face,
    cloth: keyof typeof cloths,
    blur: keyof typeof blurs,
    { lengthMm = 1.3, ...more }: Partial<EyeCase> = {},
  ) =>
    cases.push({
      ...{ name: `${name}, ${cloth}, ${blur}`, ...sewn, face, lengthMm, ...more },
      ...{ look: cloths[cloth], blurMm: blurs[blur], noise: 4, pxPerMm: 12 },
    });
  for (const cloth of Object.keys(cloths) as (keyof typeof cloths)[]) {
    for (const blur of Object.keys(blurs) as (keyof typeof blurs)[]) {
      add('blind hem, wrong side', blind(), 'wrong', cloth, blur);
      add('blind hem, right side', blind(), 'right', cloth, blur);
      add('hem stitched along its fold', known('double-hem', 'narrow'), 'wrong', cloth, blur, {
        lengthMm: 2.5,
      });
      add('hem zigzagged beside its edge', known('single-hem', 'zigzag'), 'wrong', cloth, blur, {
        lengthMm: 2.5,
      });
      if (blur !== 'blurred') {
        const name = 'blind hem over a round fold, wrong side';
        add(name, blind(), 'wrong', cloth, blur, { isRound: true });
        const any = 'blind hem of any thread, wrong side';
        add(any, blind(), 'wrong', cloth, blur, { isAnyThread: true });
      }
      if (blur === 'soft') {
        add('hem coverstitched', known('coverstitch-hem', 'narrow'), 'wrong', cloth, blur, {
          lengthMm: 3,
        });
      }
      add('raw edge, overcast', known('overcast', 'zigzag'), 'wrong', cloth, blur, { lengthMm: 2 });
    }
  }
  const flat = ['plain, light thread, soft', 'checked, soft'];
  const onCard = cases
    .filter(({ name }) => flat.some((one) => name.endsWith(one)))
    .map((it): EyeCase => ({ ...it, name: `${it.name}, on its card`, onCard: true }));
  return [...cases, ...onCard];
}
