import type { PlanRecord } from '../../../contract/records';
import type { Finish } from '../../../core/finish/finish';
import type { School } from '../../../core/finish/school';
import { chosenWays } from '../../../core/plan/work';
import { useLengths } from '../../ground/lengths-context';
import { change, useRecord } from '../../ground/records';
import { WayChoice } from '../../controls/way-choice';
import { factInWords } from '../../words/facts';
import type { Bench } from '../../bench/bench';

const none = {};

/** Questions on which practitioners differ; an answer becomes the person's default too. */
export function SchoolChoices(props: {
  /** The plan whose answer it is. */
  record: Pick<Bench['record'], 'id' | 'schools'>;
  finish: Finish;
  variant: string;
  schools: readonly School[];
  /** What else of the plan an answer changes. */
  onWay?: (school: School, way: string) => Partial<PlanRecord>;
}) {
  const { record, finish, variant, schools, onWay } = props;
  const { data: preferences } = useRecord('preferences', 'mine');
  const lengths = useLengths();
  const defaults = preferences?.schools ?? none;
  const ways = chosenWays(finish, variant, record.schools, defaults);
  return schools.map((school) => (
    <WayChoice
      key={school.id}
      label={school.question}
      value={ways[school.id] ?? ''}
      options={school.ways.map((way) => ({
        value: way.id,
        label: way.name,
        about: way.costs.map((fact) => factInWords(fact, lengths)).join(' '),
      }))}
      onChange={(way) => {
        const chosen = { [school.id]: way };
        const more = onWay?.(school, way) ?? {};
        change('plans', record.id, { schools: { ...record.schools, ...chosen }, ...more });
        if (preferences) {
          change('preferences', 'mine', { schools: { ...defaults, ...chosen } });
        }
      }}
    />
  ));
}
