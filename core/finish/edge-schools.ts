import type { School } from './school';
import { said } from './parts/said';

/** What of an edge and its turn brings up a question on which practitioners differ. */
export interface EdgeQuestions {
  /** Sewn into a round, with seams across it. */
  readonly roundWithSeams: boolean;
  /** Turned up, too full where it lands, and not so full that it can't be eased. */
  readonly eased: boolean;
  /** Turned in round a hole, too short where it lands. */
  readonly short: boolean;
  /** There is a second one that has to come out the same. */
  readonly paired: boolean;
  /** A strip goes round corners. */
  readonly boundCorners: boolean;
}

/** A question that the edge brings up, whichever finish it gets. */
export interface EdgeSchool extends School {
  readonly askedBy: keyof EdgeQuestions;
}

/** What practitioners differ on because of the edge itself. Source: the craft; the first way stands. */
export const edgeSchools: readonly EdgeSchool[] = [
  {
    id: 'round-start',
    askedBy: 'roundWithSeams',
    question: 'Where do you start a round?',
    ways: [
      {
        id: 'thickest',
        name: 'Just before the thickest seam',
        costs: [
          said('thickest', 'The end overlaps on the seam, where nobody sees it; it is thick.'),
        ],
      },
      {
        id: 'least-seen',
        name: 'Where it is seen least',
        costs: [
          said('least-seen', 'Thin and easy; let the edge begin there: inside leg, side, back.'),
        ],
      },
    ],
  },
  {
    id: 'curve-easing',
    askedBy: 'eased',
    question: 'How do you ease the fullness in?',
    ways: [
      {
        id: 'gathered',
        name: 'A gathered line and steam',
        costs: [
          said('gathered', 'Works on any machine and to the millimetre; a line more to sew.'),
        ],
      },
      {
        id: 'differential',
        name: 'Differential feed',
        costs: [
          said('differential', 'Even, and done while the edge is serged; needs an overlocker.'),
        ],
      },
      {
        id: 'finger',
        name: 'A finger behind the foot',
        costs: [said('finger', 'Nothing to set; as even as the hand is.')],
      },
    ],
  },
  {
    id: 'inside-curve',
    askedBy: 'short',
    question: 'What lets the turned edge lie round the curve?',
    ways: [
      {
        id: 'clipped',
        name: 'Clipped',
        costs: [said('clipped', 'Lies in any cloth; every clip is a place that can fray.')],
      },
      {
        id: 'stretched',
        name: 'Stretched with the iron',
        costs: [said('stretched', 'Nothing is cut; for knits and for narrow turns on the bias.')],
      },
    ],
  },
  {
    id: 'second-leg',
    askedBy: 'paired',
    question: 'The second one',
    ways: [
      {
        id: 'alone',
        name: 'Measured by itself',
        costs: [said('alone', 'Right for legs or hips that differ; measured twice.')],
      },
      {
        id: 'copied',
        name: 'Copied from the first',
        costs: [said('copied', 'Quick, and both are the same; so is a slip.')],
      },
    ],
  },
  {
    id: 'binding-corner',
    askedBy: 'boundCorners',
    question: 'How is a bound corner turned?',
    ways: [
      {
        id: 'machine',
        name: 'Mitred, a line of stitching down the fold',
        costs: [said('machine', 'Holds in every wash; the line shows on both faces.')],
      },
      {
        id: 'hand',
        name: 'Mitred, closed by hand',
        costs: [said('hand', 'Nothing shows; some minutes for each corner, back and front.')],
      },
      {
        id: 'rounded',
        name: 'Rounded, no mitre',
        costs: [said('rounded', 'Bound in one go like a curve; the corner is cut off the cloth.')],
      },
    ],
  },
];

/** The questions this edge brings up. */
export const edgeSchoolsFor = (asked: EdgeQuestions): EdgeSchool[] =>
  edgeSchools.filter(({ askedBy }) => asked[askedBy]);
