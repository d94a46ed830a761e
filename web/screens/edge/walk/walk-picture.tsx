import type { WorkStep } from '../../../../core/finish/work';
import { FromAbove } from '../../../pictures/from-above';
import { OldStitching } from '../../../pictures/old-stitching';
import { SectionPicture } from '../../../pictures/section-picture';
import { WornLeg } from '../../../pictures/worn-leg';
import type { Bench } from '../../../bench/bench';

/** Steps that are seen on the edge as it lies on the table. */
const onTheTable = ['slant-marks', 'cut-line', 'cut', 'snip', 'taper', 'mark', 'second-leg'];

type Drawn = Pick<Bench, 'edge' | 'folds'>;

/** The stage of the folds that a step makes: its own by name, else as far as its phase has come. */
function stageOf({ id, phase }: WorkStep, folds: NonNullable<Bench['folds']>) {
  const { stages } = folds;
  const own = stages.find((stage) => stage.id === id);
  if (own) return own;
  const sewn = stages.findIndex((stage) => stage.id === 'stitch');
  if (phase === 'measure' || phase === 'prepare') return stages[0];
  if (phase === 'fold') return stages[Math.max(0, sewn - 1)] ?? stages.at(-1);
  return phase === 'close' || phase === 'check' || phase === 'press'
    ? stages.at(-1)
    : (stages[sewn] ?? stages.at(-1));
}

/** What a step of the walk looks like: the leg as it is worn, the old stitching, the table, the folds. */
export function WalkPicture({ bench: { edge, folds }, step }: { bench: Drawn; step: WorkStep }) {
  const id = step.id.replace(/^second /, '');
  const { form, oldHem } = edge;
  if ((id === 'try-on' || id === 'measure-on') && form?.kind === 'slant') {
    const { flatWidthMm, left, right } = form;
    return (
      <div className="flex h-full flex-col md:flex-row">
        <div className="min-h-0 grow">
          <WornLeg leg={{ ...left, flatWidthMm }} name={right ? 'left leg' : 'either leg'} />
        </div>
        {right && (
          <div className="min-h-0 grow">
            <WornLeg leg={{ ...right, flatWidthMm }} name="right leg" />
          </div>
        )}
      </div>
    );
  }
  if ((id === 'find-end' || id === 'take-out') && oldHem) {
    return <OldStitching sewn={oldHem.sewn} />;
  }
  if (!folds || onTheTable.includes(id) || id === 'try-on' || id === 'press-out') {
    return (
      <FromAbove
        edge={edge}
        depthMm={folds?.finishedDepthMm ?? 0}
        allowanceMm={folds?.allowanceMm ?? 0}
      />
    );
  }
  const stage = stageOf({ ...step, id }, folds);
  return stage ? <SectionPicture stage={stage} marks={folds.marks} exaggeration={1} small /> : null;
}
