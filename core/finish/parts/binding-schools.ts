import type { MachineKind } from '../../kit/machine';
import type { School, SchoolWay } from '../school';
import { said } from './said';

/** Variants of woven strips, and those a coverstitch machine puts on. */
export const woven = ['double-fold', 'single-fold', 'seam-allowances'];
export const covered = ['knit-strip', 'fold-over-elastic'];

const onSewing: readonly MachineKind[] = ['lockstitch', 'straight-stitch'];

const folds = (feet: 'binder' | 'binder-attachment'): Pick<SchoolWay, 'attaches' | 'needs'> => ({
  attaches: feet,
  needs: {
    machineKinds: feet === 'binder' ? onSewing : [...onSewing, 'coverstitch'],
    patterns: [],
    feet: [feet],
  },
});

export const attachSchool: School = {
  id: 'attach',
  question: 'How do you put the binding on?',
  variants: woven,
  ways: [
    {
      id: 'by-hand',
      name: 'Guided by hand, two passes',
      costs: [said('by-hand', 'Goes round any curve; the back must be caught by feel.')],
    },
    {
      id: 'binder-foot',
      name: 'Binder foot',
      costs: [
        said(
          'binder-foot',
          'One pass, any width in its range; needs a folded strip and gentle curves.',
        ),
      ],
      ...folds('binder'),
    },
    {
      id: 'binder-attachment',
      name: 'Binder attachment',
      costs: [
        said('binder-attachment', 'One pass from a flat strip; stand it off further on a curve.'),
      ],
      ...folds('binder-attachment'),
    },
  ],
};

export const stripSource: School = {
  id: 'strip-source',
  question: 'Where does the strip come from?',
  variants: ['double-fold', 'single-fold', 'seam-allowances'],
  ways: [
    {
      id: 'own',
      name: 'Cut your own',
      costs: [said('own', 'Same cloth and the width you want; cutting and joining take time.')],
    },
    {
      id: 'ready-made',
      name: 'Ready-made',
      costs: [said('ready-made', 'Folded already; comes in few widths and stiffer cloth.')],
    },
  ],
};

export const curveSchool: School = {
  id: 'one-seam-open',
  question: 'Bind the opening flat or in the round?',
  variants: ['knit-strip', 'fold-over-elastic'],
  ways: [
    {
      id: 'open',
      name: 'One seam left open',
      costs: [said('open', 'Easy to sew; the seam shows at the edge and meets ten layers.')],
    },
    {
      id: 'round',
      name: 'In the round',
      costs: [said('round', 'No lump; the end must be overlapped and folded.')],
    },
  ],
};

export const coverSchool: School = {
  id: 'attach-cover',
  question: 'How does the strip go under the needles?',
  variants: ['knit-strip'],
  ways: [
    {
      id: 'by-hand',
      name: 'Wrapped by hand',
      costs: [said('by-hand', 'Nothing to buy; the back wanders.')],
    },
    {
      id: 'attachment',
      name: 'Through a binder attachment',
      costs: [said('attachment', 'Even front and back; one width only, and it must stand off.')],
      ...folds('binder-attachment'),
    },
  ],
};

export const elasticSchool: School = {
  id: 'attach-elastic',
  question: 'How is the elastic led?',
  variants: ['fold-over-elastic'],
  ways: [
    {
      id: 'by-hand',
      name: 'Folded and led by hand',
      costs: [said('by-hand', 'Nothing to buy; both hands hold the fold.')],
    },
    {
      id: 'binder',
      name: 'In a woven binder',
      costs: [
        said('binder', 'Kept in its middle with tape, and the binder moved right up to the foot.'),
      ],
      ...folds('binder-attachment'),
    },
    {
      id: 'stretched',
      name: 'Stretched on a sewing machine',
      costs: [said('stretched', 'Zigzagged, pulled a little before and behind; no coverstitch.')],
    },
  ],
};

export const shorterSchool: School = {
  id: 'strip-shorter',
  question: 'How long is a knit strip on an inside curve?',
  variants: ['knit-strip'],
  ways: [
    {
      id: 'little',
      name: 'A twentieth shorter',
      costs: [said('little', 'Lies in towards the body; the edge is pulled by next to nothing.')],
    },
    {
      id: 'as-long',
      name: 'As long as the edge',
      costs: [said('as-long', 'Nothing pulls; a soft knit may stand away at the neck.')],
    },
    {
      id: 'taut',
      name: 'A tenth shorter',
      costs: [said('taut', 'Hugs; only for a strip that goes back to its length when let go.')],
    },
  ],
};

export const pullSchool: School = {
  id: 'elastic-pull',
  question: 'How much is the elastic pulled?',
  variants: ['fold-over-elastic'],
  ways: [
    {
      id: 'openings',
      name: 'A tenth, for necks and armholes',
      costs: [said('openings', 'Holds the edge in without gathering it.')],
    },
    {
      id: 'legs-waist',
      name: 'A fifth, for legs and waists',
      costs: [said('legs-waist', 'Holds on to the body; the edge gathers a little.')],
    },
  ],
};
