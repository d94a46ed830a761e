import type { Migration } from '../migration';

/** Of a scrap that was photographed on both faces both photos are kept. */
export const bothFaces: Migration = {
  name: '0014-both-faces',
  async up(tables) {
    await tables.addColumn('attempts', 'otherFacePhotoId', 'VARCHAR(64)');
  },
};
