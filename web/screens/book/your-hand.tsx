import { useQuery } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import type { Skill } from '../../../core/book/skill';
import type { UsualScraps } from '../../../core/book/usual';
import { send } from '../../ground/api';
import { BeliefChart } from '../../pictures/belief-chart';
import { alongGuidance } from '../../words/facts';
import { capital, counted } from '../../words/number';

/** How a steadiness reads: below one is steadier than the starting guess. */
function steadinessInWords({ factor, interval }: NonNullable<Skill['now']>): string {
  const [from, to] = interval;
  if (to < 1) return 'Steadier than the starting guess.';
  if (from > 1) return 'Less steady than the starting guess.';
  return Math.abs(factor - 1) < 0.1
    ? 'About as steady as the starting guess.'
    : `Perhaps ${factor < 1 ? 'steadier' : 'less steady'} than the starting guess; not sure yet.`;
}

function Guidance({ skill }: { skill: Skill }) {
  const { guidance, now, periods, scraps, needed } = skill;
  return (
    <section aria-label={capital(alongGuidance(guidance))} className="border-b border-line py-3">
      <div className="flex flex-wrap items-baseline justify-between gap-x-4">
        <h2 className="text-xl">{capital(alongGuidance(guidance))}</h2>
        {now ? (
          <p>
            <b className="big-number text-3xl">{now.factor.toFixed(2)}</b> of the usual spread{' '}
            <span className="text-soft">
              ({now.interval[0].toFixed(2)} to {now.interval[1].toFixed(2)})
            </span>
          </p>
        ) : (
          <p className="font-bold text-ochre">
            Not enough samples yet: {counted(scraps, 'scrap')} of {needed}.
          </p>
        )}
      </div>
      {now && (
        <p className="text-sm text-soft">
          {steadinessInWords(now)} From {counted(now.stitches, 'stitch', 'stitches')} on{' '}
          {counted(now.scraps, 'scrap')}.
        </p>
      )}
      {periods.length > 1 && (
        <div className="h-48 pt-1">
          <BeliefChart
            name="Spread against the rule"
            isLength={false}
            level={1}
            points={periods.map(({ fromDay, toDay, factor, interval }) => ({
              at:
                fromDay === toDay
                  ? format(parseISO(toDay), 'd MMM yy')
                  : `${format(parseISO(fromDay), 'd MMM')} – ${format(parseISO(toDay), 'd MMM yy')}`,
              middle: factor,
              interval,
            }))}
          />
        </div>
      )}
    </section>
  );
}

/** The skill per kind of guidance over time, with its doubt, and the scraps one usually needs. */
export function YourHand() {
  const { data: skills } = useQuery({
    queryKey: ['attempts', 'skill'],
    queryFn: () => send<Skill[]>('GET', 'book/skill'),
  });
  const { data: usual } = useQuery({
    queryKey: ['attempts', 'usual'],
    queryFn: () => send<UsualScraps | null>('GET', 'book/usual'),
  });
  if (!skills) return <p className="p-5 text-soft">Reading the book…</p>;
  return (
    <div
      role="region"
      aria-label="Your hand"
      tabIndex={0}
      className="min-h-0 grow overflow-y-auto px-5 py-3"
    >
      <p className="max-w-prose text-soft">
        How widely your edge wanders, against the starting guess for a steady hand: 1 is as guessed,
        less is steadier. The band holds nine chances of ten. Each set-up’s own offset is taken out
        first.
      </p>
      {usual && (
        <p className="pt-1">
          You usually need <b>{Math.round(usual.median * 10) / 10}</b> scraps until you keep one, by{' '}
          {usual.edges} edges.
        </p>
      )}
      {skills.length === 0 && (
        <p className="pt-3 text-lg">
          Not enough samples yet. Count a few scraps, and this fills itself.
        </p>
      )}
      {skills.map((skill) => (
        <Guidance key={skill.guidance} skill={skill} />
      ))}
    </div>
  );
}
