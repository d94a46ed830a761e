import type { School } from '../school';
import { overcastPass, sergedPass } from './rated';
import { said } from './said';

/** How the ends of an open edge are secured. */
export const endsSchool: School = {
  id: 'ends',
  question: 'How do you end the stitching?',
  ways: [
    {
      id: 'backstitch',
      name: 'Backstitch',
      costs: [said('backstitch', 'Quick; chews up fine cloth.')],
    },
    {
      id: 'tails',
      name: 'Leave tails and tie',
      costs: [said('tails', 'Neat on fine cloth; a minute more at each end.')],
    },
  ],
};

/** How a crease that decides the seam is pressed. */
export const creaseSchool: School = {
  id: 'crease',
  question: 'How do you press the crease?',
  ways: [
    {
      id: 'by-eye',
      name: 'Along the seam, by eye',
      costs: [said('by-eye', 'Nothing to cut out; the crease wanders by half a millimetre.')],
    },
    {
      id: 'template',
      name: 'Over a card',
      costs: [said('template', 'Steadier; a card to cut and to move along.')],
    },
  ],
};

/** From which side a turned hem is topstitched. */
export const topstitchSide: School = {
  id: 'topstitch-side',
  question: 'From which side do you topstitch?',
  ways: [
    {
      id: 'inside',
      name: 'From the inside',
      costs: [
        said('inside', 'You see the fold you must catch; the better side of the stitch is inside.'),
      ],
    },
    {
      id: 'right-side',
      name: 'From the right side',
      costs: [
        said('right-side', 'The stitch looks better; the fold must be felt, basted or guided.'),
      ],
    },
  ],
};

/** How a raw edge that stays inside is kept from fraying. */
export const rawEdgeSchool = (variants: readonly string[]): School => ({
  id: 'raw-edge',
  question: 'How do you hold the raw edge inside?',
  variants,
  ways: [
    {
      id: 'overcast',
      name: 'Overcast',
      costs: [said('overcast', 'Any machine that zigzags; a line of thread more.')],
      needs: overcastPass,
    },
    {
      id: 'serged',
      name: 'Serged',
      costs: [said('serged', 'Softest and quickest; needs an overlocker.')],
      needs: sergedPass,
    },
    {
      id: 'pinked',
      name: 'Pinked',
      costs: [said('pinked', 'Flattest; only for cloth that hardly frays.')],
      suits: ({ fray }) => fray <= 1,
    },
    {
      id: 'left',
      name: 'Left as it is',
      costs: [said('left', 'For knits and felt; cloth that frays is overcast all the same.')],
      suits: ({ fray }) => fray === 0,
      sparesWork: true,
    },
  ],
});
