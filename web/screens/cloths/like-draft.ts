import type { GenericCloth } from '../../../core/cloth/generic-cloths';

/** A cloth of a plain kind as it is put on the shelf. */
export const likeDraft = ({ id, name, fibre, construction, face, nap, press }: GenericCloth) => ({
  ...{ name, fibre, face, nap },
  weightClass: null,
  like: id,
  pressNote: press,
  tests: { construction },
  note: '',
});
