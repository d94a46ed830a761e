import { Impossible, refusal } from '../impossible';

const messages = {
  'no-stitch':
    'No stitch of this kind and length is told from the cloth: thread and cloth have the same colour here, another seam lies in the window, or it was sewn at another length than is set. Light it from the side, set its length, sew the scrap with another thread, or count by hand.',
  'no-edge':
    'No raw edge is seen that ends on the paper: cloth and paper are nearly alike here, or the edge lies outside of the window. Lay it well inside, or count by hand.',
  'too-fine':
    'Stitches as short as this lie on each other in a photo. Count by hand, or sew the scrap with longer ones.',
  'no-prick':
    'No row of bites is seen on this side. If you see none either, none shows; else light it from the side, or count by hand.',
  closer:
    'Thread lies between the places where bites come out as well: this scrap was sewn with a shorter stitch than is set, or its print looks like thread. Set the length it was sewn with, or count by hand.',
  farther:
    'Bites show at every second or third place only: this scrap was sewn with a longer stitch than is set. Set the length it was sewn with, or count by hand.',
} as const;

/** Says what can’t be told from a picture, and what to do. @throws Impossible always */
export function refuse(code: keyof typeof messages): never {
  throw new Impossible([refusal('picture', code, messages[code])]);
}
