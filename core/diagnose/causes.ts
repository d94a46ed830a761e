import type { DialId, Direction } from './move';
import { hasBinder, hasLoopers, isBound, usesScroll, type Situation } from './situation';
import type { SymptomId } from './symptom';

/** A cause and the one move against it. */
export interface Cause {
  readonly dial: DialId;
  readonly direction: Direction;
  /** How often it is this, among the causes of the symptom; the rest is left to the situation. */
  readonly weight: number;
  readonly reason: string;
  /** What to expect of the move. */
  readonly expect: string;
  /** Where the cause can be at work; everywhere when left out. */
  when?(situation: Situation): boolean;
}

const thick = ({ cloth }: Situation) => cloth.weightGsm >= 280;
const fine = ({ cloth }: Situation) => cloth.weightGsm < 90;
const stretchy = ({ cloth }: Situation) => cloth.stretchPercent >= 15;
const slides = ({ cloth }: Situation) => cloth.slip >= 2;
const frays = ({ cloth }: Situation) => cloth.fray >= 2;
const lock = (it: Situation) => !hasLoopers(it);
const cause = (
  dial: DialId,
  direction: Direction,
  weight: number,
  reason: string,
  expect: string,
  when?: Cause['when'],
): Cause => ({ dial, direction, weight, reason, expect, ...(when ? { when } : {}) });

// One cause a line, to be read as the table it is.
/**
 * What a symptom comes from, likeliest first where nothing else is known. Weights are starting
 * guesses from craft practice; a cause that the situation speaks for counts double.
 */
// oxfmt-ignore
export const causeTable: Readonly<Record<SymptomId, readonly Cause[]>> = {
  'bite-missed': [
    cause('width', 'more', 1, 'The swing does not reach the fold.', 'More bites catch; watch the right side.'),
    cause('guide', 'right', 1, 'The fold rides too far from the needle.', 'Every bite goes deeper by the same.'),
    cause('needlePosition', 'left', 0.7, 'The whole stitch stands too far right.', 'Bites go deeper; the run comes nearer to the fold.'),
    cause('hand', 'other', 0.4, 'The fold leaves the blade now and then.', 'Misses come in groups; they go when the fold touches all the way.'),
  ],
  'bite-shows': [
    cause('width', 'less', 1, 'The bite goes through the fold and out again.', 'Dots get shorter.'),
    cause('guide', 'left', 0.9, 'The fold rides too close.', 'Every bite is shallower by the same.'),
    cause('needlePosition', 'right', 0.6, 'The whole stitch stands too far left.', 'Bites are shallower.'),
    cause('thread', 'other', 0.5, 'A thick or contrasting thread shows where a fine one would not.', 'The same dots are seen less.'),
    cause('upperTension', 'less', 0.4, 'A tight thread draws a dimple.', 'Pits go, dots stay.'),
  ],
  ridge: [
    cause('iron', 'less', 0.9, 'The edge inside was pressed through to the outside.', 'Press beside the edge, with paper under it.'),
    cause('upperTension', 'less', 0.8, 'A tight thread pulls pits.', 'Pits get shallow.'),
    cause('fold', 'less', 0.6, 'The edge inside is too thick.', 'Flat instead of turned in: one layer less.', thick),
  ],
  'hem-tight': [
    cause('fold', 'other', 1, 'The leg tapers: the turned-up part is narrower than where it lands.', 'Let the seams out below the hemline, towards the raw edge, and take a little in where it lands.'),
    cause('fold', 'less', 0.6, 'A deep hem reaches where the leg is wider.', 'Shallower lies easier.'),
    cause('length', 'more', 0.3, 'Short stitches do not give.', 'The edge gives a little more.', stretchy),
  ],
  'hem-full': [
    cause('fold', 'less', 1, 'On a flare the raw edge is longer than where it lands.', 'Half as deep is half as full.'),
    cause('hand', 'other', 0.7, 'The fullness was not eased in.', 'An easing stitch along the raw edge takes it up.'),
    cause('differential', 'more', 0.8, 'The differential can ease the edge before it is turned.', 'The edge draws in as it is sewn.'),
  ],
  'crease-puckers': [
    cause('upperTension', 'less', 0.9, 'The thread is tighter than the cloth.', 'The crease relaxes.'),
    cause('length', 'more', 0.7, 'Short stitches crowd fine cloth.', 'Fewer stitches, less drawn in.', fine),
    cause('hand', 'other', 0.6, 'One layer was stretched against the other.', 'Pin, and let the feed do it.', slides),
    cause('iron', 'other', 0.4, 'The crease was pushed, not pressed.', 'Lift the iron and set it down.'),
  ],
  crooked: [
    cause('fold', 'other', 1, 'Both marks were measured from one point.', 'Mark from the floor, front and back apart.'),
    cause('hand', 'other', 0.5, 'It was pinned lying and hangs otherwise.', 'Hang it overnight before marking.'),
  ],
  whiskers: [
    cause('width', 'more', 1, 'The swing stops short of the edge.', 'The outer stitch falls off the edge.', lock),
    cause('needlePosition', 'right', 0.8, 'The stitch stands too far in.', 'The outer stitch falls off the edge.', lock),
    cause('guide', 'left', 0.8, 'The edge rides too far out.', 'The edge comes under the swing.', lock),
    cause('cuttingWidth', 'less', 1, 'The knife leaves more than the loopers wrap.', 'Threads are cut where they are wrapped.', hasLoopers),
    cause('length', 'less', 0.6, 'Between wide stitches threads slip out.', 'Stitches lie closer.', frays),
  ],
  'edge-tunnels': [
    cause('upperTension', 'less', 0.9, 'The thread draws the edge in.', 'The edge lies flatter.'),
    cause('looperTension', 'less', 1, 'A tight looper draws the edge in.', 'The edge lies flatter.', hasLoopers),
    cause('width', 'less', 0.9, 'A wide swing folds thin cloth.', 'Less cloth to draw in.', lock),
    cause('guide', 'right', 0.6, 'The swing hangs too far over the edge.', 'The bar holds the edge open.', lock),
    cause('cuttingWidth', 'less', 0.7, 'There is more cloth inside the loops than they hold.', 'The edge fills the stitch and lies flat.', hasLoopers),
    cause('pressure', 'more', 0.4, 'The foot does not hold the edge flat.', 'The edge lies flat before the needle.'),
  ],
  'edge-waves': [
    cause('differential', 'more', 1.2, 'The feed stretches the edge.', 'Waves go; gathers mean too far.', hasLoopers),
    cause('pressure', 'less', 1, 'The foot pushes the cloth out before it.', 'The edge is fed as long as it is.'),
    cause('length', 'more', 0.8, 'Every stitch pushes the cloth apart a little.', 'Fewer stitches, less length.'),
    cause('hand', 'other', 0.6, 'The cloth was held back behind or pulled before the foot.', 'Hands guide, the feed feeds.'),
    cause('iron', 'other', 0.3, 'A stretched edge can be steamed back.', 'Waves shrink under steam without weight.', stretchy),
  ],
  'roll-runs-out': [
    cause('hand', 'more', 1, 'Too little cloth is fed into the scroll.', 'The roll closes.'),
    cause('iron', 'other', 0.4, 'Soft cloth slips out of the curl.', 'Starched, it stays.', slides),
  ],
  'roll-crams': [
    cause('hand', 'less', 1, 'Too much cloth is fed into the scroll.', 'The roll gets thin and even.'),
    cause('fold', 'other', 0.5, 'The scroll is too small for this cloth.', 'A wider scroll takes it.', thick),
  ],
  'lump-in-scroll': [
    cause('fold', 'less', 1, 'The seam is too thick for the curl.', 'Trimmed and pressed open before the edge it goes through.'),
    cause('hand', 'other', 0.8, 'The scroll has no room for a lump.', 'Lift the foot, take the cloth out, sew over, put it back.'),
  ],
  'back-missed': [
    cause('fold', 'more', 1, 'The back is no wider than the front.', 'With the back a little wider the stitch finds it.', isBound),
    cause('hand', 'other', 0.6, 'The strip was not pulled down snug.', 'Snug round the edge, both folds reach as far.'),
    cause('pressure', 'more', 0.3, 'Five layers shift under a light foot.', 'Layers stay on one another.', thick),
  ],
  'strip-jams': [
    cause('fold', 'other', 1, 'The strip is not as wide as the mouth asks for.', 'Cut to the stated width, scant half a millimetre.', hasBinder),
    cause('fold', 'more', 0.8, 'The flange is set narrower than the strip.', 'As wide as the strip, it slides through.', hasBinder),
    cause('hand', 'other', 0.7, 'The strip comes in at a slant.', 'Lead it straight, without drag.'),
    cause('iron', 'other', 0.4, 'A limp strip folds where it likes.', 'Starched and pressed, it follows.', slides),
  ],
  'binding-wanders': [
    cause('hand', 'other', 1, 'The curve was pulled straight.', 'Let the edge come curved to the needle; stop and turn often.'),
    cause('fold', 'less', 0.8, 'The flange leaves the strip some play.', 'Set to the strip, the fold runs true.', hasBinder),
    cause('hand', 'more', 0.6, 'The attachment stands too near to the toe for this curve.', 'Further off, the strip has room to turn.', hasBinder),
    cause('length', 'less', 0.5, 'Long stitches cut the corner.', 'The stitch follows the curve.'),
    cause('fold', 'other', 0.7, 'The strip was not cut on the bias.', 'Bias goes round, straight grain does not.'),
  ],
  'opening-small': [
    cause('fold', 'other', 1, 'The seam allowance was left on under the binding.', 'Trim it off first: the edge is then as large as planned.'),
    cause('length', 'more', 0.4, 'Short stitches do not give.', 'A longer stitch, or one that stretches.', stretchy),
    cause('hand', 'less', 0.4, 'The strip was stretched as it went on.', 'Laid on without pull.'),
  ],
  'ten-layers': [
    cause('fold', 'less', 1, 'The bound edges meet in a seam.', 'Bind after the seam is sewn, or stop the binding short of it.'),
    cause('hand', 'other', 0.6, 'The foot climbs on a step.', 'A shim behind, and the handwheel.'),
  ],
  'uneven-over-lump': [
    cause('hand', 'other', 1, 'The foot tips on the step.', 'A shim of that height behind going up, before coming down.'),
    cause('length', 'more', 0.6, 'A thick stack eats length.', 'Stitches look alike over the seam.'),
    cause('fold', 'less', 0.6, 'The seam is thicker than it need be.', 'Graded and hammered, the foot hardly climbs.'),
    cause('pressure', 'more', 0.4, 'The feed loses hold of the thick place.', 'The cloth is carried over.', thick),
  ],
  skipped: [
    cause('needle', 'other', 1, 'The needle is blunt, bent or of the wrong point.', 'A new one, ball for knits, is most of the cure.'),
    cause('needle', 'more', 0.8, 'The needle is too fine for so much cloth.', 'The next size makes a loop again.', thick),
    cause('pressure', 'more', 0.5, 'Cloth lifts with the needle.', 'Held down, the loop forms.', stretchy),
    cause('upperTension', 'less', 0.4, 'A tight thread lets no loop form.', 'The hook finds it.'),
  ],
  'needle-breaks': [
    cause('hand', 'other', 1, 'The needle was pulled, or met a pin or a shim.', 'Handwheel first; pins out; hands only guide.'),
    cause('needle', 'more', 0.9, 'The needle is too fine for the thickest place.', 'One size up stands it.', ({ edge }) => edge.crossed),
    cause('width', 'less', 0.6, 'The swing comes near the foot or the plate.', 'More room on both sides.', lock),
  ],
  'loops-show': [
    cause('upperTension', 'more', 1, 'Loops of the needle thread lie underneath: it is too loose.', 'The threads lock inside the cloth.'),
    cause('upperTension', 'less', 0.7, 'The bobbin thread is pulled up: the needle thread is too tight.', 'The threads lock inside the cloth.', lock),
    cause('looperTension', 'other', 1, 'The loopers do not meet at the edge.', 'Both looper threads meet on the edge.', hasLoopers),
    cause('thread', 'other', 0.6, 'It was threaded with the foot down, outside the discs.', 'Thread anew, foot up.'),
  ],
  'bobbin-puckers': [
    cause('bobbin', 'other', 1, 'Wound fast, the thread was stretched and shrinks in the seam.', 'Wound slowly, puckers do not come back.'),
    cause('upperTension', 'less', 0.7, 'The thread is tighter than the cloth.', 'Puckers relax when it is lower.'),
    cause('needle', 'less', 0.5, 'A thick needle crowds fine cloth.', 'A finer one pushes less aside.', fine),
    cause('length', 'more', 0.5, 'Short stitches crowd the cloth.', 'Fewer stitches, less drawn in.'),
  ],
  'start-chewed': [
    cause('hand', 'other', 1, 'The thread tails were not held, or the edge lies over the hole.', 'Hold both tails; start on a leader or a little in.'),
    cause('needle', 'less', 0.5, 'A thick needle pushes fine cloth down the hole.', 'A finer one goes through.', fine),
    cause('length', 'more', 0.3, 'Tiny stitches at an edge push it down.', 'Start with a longer one.'),
  ],
  'ends-miss': [
    cause('hand', 'other', 1, 'The guide was left before the round was closed.', 'Keep to the guide to the last stitch, then overlap a little.'),
    cause('fold', 'other', 0.5, 'The fold creeps on the way round.', 'Baste or pin the whole round first.', slides),
    cause('pressure', 'less', 0.4, 'The foot pushes the upper layer on.', 'Both layers arrive together.', slides),
  ],
  'trimmed-too-soon': [
    cause('fold', 'other', 1, 'The tuck was cut before it was tried on.', 'A band of the same cloth can lengthen it; next time try on first.'),
  ],
  shine: [
    cause('iron', 'less', 1, 'The bare iron flattened the face.', 'Press cloth, steam, or from the wrong side; steam lifts a little of it.'),
    cause('iron', 'other', 0.6, 'Edges inside were pressed through.', 'Strips of paper under the edges.', (it) => !usesScroll(it)),
  ],
};

/** How much a cause counts in a situation: nothing where it cannot be, double where it is spoken for. */
export function weightOf({ weight, when }: Cause, situation: Situation): number {
  if (!when) return weight;
  return when(situation) ? 2 * weight : 0;
}
