import { expectedOn } from '../../core/eye/expected';
import type { Face } from '../../core/eye/seen-on';
import { pictureOf, type Picture } from '../../core/eye/grey';
import { measurePhoto, windowOf, type MeasuredPhoto } from '../../core/eye/photo';
import { measureEdge, type LoopedEdge } from '../../core/eye/seen-edge';
import { finishById } from '../../core/finish/catalogue';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import { Impossible, type Issue } from '../../core/impossible';
import type { DialSettings } from '../../core/kit/dial-steps';
import { setUpOf } from '../../core/plan/set-up-of';
import { atMostEvery } from './at-most-every';
import { shownWindow, type ShownWindow } from './shown-window';

/** What a photo is measured for. */
export interface EyeAsked {
  readonly face: Face;
  readonly finish: string;
  readonly plan: SewingPlan;
  readonly dials: DialSettings;
}

/** A photo that was measured, ready to be painted. */
export interface ShownPhoto extends Pick<MeasuredPhoto, 'isByColour' | 'measured'> {
  readonly window: ShownWindow;
}

/** What a photo shows, or why it can't be measured. */
export type Eyed =
  | { readonly ok: true; readonly photo: ShownPhoto }
  | { readonly ok: false; readonly issues: readonly Issue[] };

/** A photo’s window laid flat, or why it can’t be. */
export type LaidFlat =
  | { readonly ok: true; readonly window: ShownWindow }
  | { readonly ok: false; readonly issues: readonly Issue[] };

/** An edge that loopers sew round, ready to be painted. */
export interface ShownEdge {
  readonly window: ShownWindow;
  readonly edge: LoopedEdge;
}

/** What a photo shows of an edge, or why it can't be measured. */
export type EyedEdge =
  | { readonly ok: true; readonly photo: ShownEdge }
  | { readonly ok: false; readonly issues: readonly Issue[] };

/** A bar that moves ten times a second moves. */
const toldEveryMs = 100;
/** A picture of a phone is made no larger than this, px along its longer side. */
const longestPx = 4500;

/** The picture’s pixels, upright. @throws Error where the browser can’t read it */
async function pixelsOf(file: Blob): Promise<ImageData> {
  const bitmap = await createImageBitmap(file, { imageOrientation: 'from-image' });
  const times = Math.min(1, longestPx / Math.max(bitmap.width, bitmap.height));
  const [width, height] = [Math.round(bitmap.width * times), Math.round(bitmap.height * times)];
  const canvas = new OffscreenCanvas(width, height);
  const context = canvas.getContext('2d')!;
  context.drawImage(bitmap, 0, 0, width, height);
  bitmap.close();
  return context.getImageData(0, 0, width, height);
}

/** The picture in a file; why there is none that can be read. */
async function readPicture(file: Blob): Promise<Picture | Issue> {
  try {
    const { data: bytes, width, height } = await pixelsOf(file);
    return pictureOf({ width, height, bytes, perPixel: 4 });
  } catch {
    const message = 'This is no picture that can be read; take a JPEG, PNG or WebP.';
    return { path: 'picture', message };
  }
}

/** The eye, on a thread of its own. */
export const eyeTasks = {
  /** Lays the window of the card in a photo flat. */
  async flat(file: Blob): Promise<LaidFlat> {
    const picture = await readPicture(file);
    if ('path' in picture) return { ok: false, issues: [picture] };
    try {
      const window = await shownWindow(windowOf(picture));
      return { ok: true, window };
    } catch (error) {
      if (error instanceof Impossible) return { ok: false, issues: error.issues };
      throw error;
    }
  },

  /** Looks at an edge of which no stitch is counted. */
  async edge(file: Blob): Promise<EyedEdge> {
    const picture = await readPicture(file);
    if ('path' in picture) return { ok: false, issues: [picture] };
    try {
      const flat = windowOf(picture);
      const edge = measureEdge(flat);
      const window = await shownWindow(flat);
      return { ok: true, photo: { window, edge } };
    } catch (error) {
      if (error instanceof Impossible) return { ok: false, issues: error.issues };
      throw error;
    }
  },

  /** @param onShare told how far it is, 0 to 1 */
  async measure(
    file: Blob,
    { face, finish: id, plan, dials }: EyeAsked,
    onShare: (share: number) => void,
  ): Promise<Eyed> {
    try {
      const finish = finishById(id);
      if (!finish) return { ok: false, issues: [{ path: 'finish', message: 'No such finish.' }] };
      const expected = expectedOn(face, finish, plan, setUpOf(finish, plan), dials);
      const picture = await readPicture(file);
      if ('path' in picture) return { ok: false, issues: [picture] };
      const tell = atMostEvery(toldEveryMs, onShare);
      const found = measurePhoto(picture, expected, 'a4', (share) => {
        tell(share);
        return true;
      });
      const { isByColour, measured } = found!;
      const window = await shownWindow(found!.window);
      return { ok: true, photo: { window, isByColour, measured } };
    } catch (error) {
      if (error instanceof Impossible) return { ok: false, issues: error.issues };
      throw error;
    }
  },
};
