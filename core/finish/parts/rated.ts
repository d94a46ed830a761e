import type { PassNeed } from '../kit-need';
import type { Rated } from '../nature';
import { said } from './said';

/** A rating with what makes it so. The numbers of its sentence are the folds' own. */
export const rated = (share: number, about: string, text: string): Rated => ({
  share,
  why: said(about, text),
});

/** A topstitched hem, as it is seen outside. */
export const oneLineShows = (share: number): Rated =>
  rated(share, 'hidden', 'One line of stitching shows outside, {fromEdgeMm} from the edge.');

/** A hem whose raw edge is shut in and stitched through. */
export const shutIn = (share: number): Rated =>
  rated(
    share,
    'sturdy',
    'The raw edge is shut in, and {layers} layers are stitched through: it stands rubbing and washing.',
  );

/** A finish that is there to do its work. */
export const plainToSee = (share: number): Rated =>
  rated(share, 'decorative', 'A plain line: nothing to look at.');

/** An overcast raw edge on the machine at hand. */
export const overcastPass: PassNeed = {
  machineKinds: ['lockstitch'],
  patterns: ['overcast-woven', 'overcast-stretch', 'zigzag', 'three-step'],
  feet: ['overcasting', 'zigzag'],
};

/** A serged raw edge. */
export const sergedPass: PassNeed = {
  machineKinds: ['overlocker'],
  patterns: ['overedge-three-wide', 'overedge-four', 'overedge-three-narrow', 'overedge-two'],
  feet: [],
};
