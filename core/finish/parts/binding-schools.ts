import type { School } from '../school';
import { said } from './said';

/** Variants of woven strips, and those a coverstitch machine puts on. */
export const woven = ['double-fold', 'single-fold', 'seam-allowances'];
export const covered = ['knit-strip', 'fold-over-elastic'];

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
      costs: [said('binder-foot', 'One pass; needs a ready-folded strip and gentle curves.')],
    },
    {
      id: 'binder-attachment',
      name: 'Binder attachment',
      costs: [
        said('binder-attachment', 'One pass from a flat strip; stand it off further on a curve.'),
      ],
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
    },
  ],
};
