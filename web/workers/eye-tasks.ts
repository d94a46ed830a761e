import { expectedOn } from '../../core/eye/expected';
import type { Face } from '../../core/eye/seen-on';
import { pictureOf } from '../../core/eye/grey';
import { measurePhoto, type MeasuredPhoto } from '../../core/eye/photo';
import { finishById } from '../../core/finish/catalogue';
import type { SewingPlan } from '../../core/finish/sewing-plan';
import { Impossible, type Issue } from '../../core/impossible';
import type { DialSettings } from '../../core/kit/dial-steps';
import { setUpOf } from '../../core/plan/set-up-of';

/** What a photo is measured for. */
export interface EyeAsked {
  readonly face: Face;
  readonly finish: string;
  readonly plan: SewingPlan;
  readonly dials: DialSettings;
}

/** What a photo shows, or why it can't be measured. */
export type Eyed =
  | { readonly ok: true; readonly photo: Pick<MeasuredPhoto, 'window' | 'isByColour' | 'measured'> }
  | { readonly ok: false; readonly issues: readonly Issue[] };

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

/** The eye, on a thread of its own. */
export const eyeTasks = {
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
      let pixels: ImageData;
      try {
        pixels = await pixelsOf(file);
      } catch {
        const message = 'This is no picture that can be read; take a JPEG, PNG or WebP.';
        return { ok: false, issues: [{ path: 'picture', message }] };
      }
      const { data: bytes, width, height } = pixels;
      const picture = pictureOf({ width, height, bytes, perPixel: 4 });
      const photo = measurePhoto(picture, expected, 'a4', (share) => {
        onShare(share);
        return true;
      });
      return { ok: true, photo: photo! };
    } catch (error) {
      if (error instanceof Impossible) return { ok: false, issues: error.issues };
      throw error;
    }
  },
};
