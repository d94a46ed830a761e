import type { Migration } from '../migration';

/** Feet that press while an attachment folds, the likeliest first. */
const pressers = ['straight', 'clear', 'zigzag', 'edge-guide', 'walking'];

/**
 * A binding is sold as one, has an attachment beside its foot, and corners. Where an attachment was
 * planned as the foot, it becomes the attachment, and a foot of the drawer that presses its foot.
 */
export const bindings: Migration = {
  name: '0012-bindings',
  async up(tables) {
    await tables.addColumn('cloths', 'readyMade', 'JSON');
    await tables.addColumn('feet', 'flangeMm', 'JSON');
    await tables.addColumn('plans', 'attachmentId', 'TEXT');
    await tables.addColumn('plans', 'placing', 'JSON');
    await tables.addColumn('attempts', 'corners', 'JSON');
    const order = pressers.map((kind, i) => `WHEN '${kind}' THEN ${i}`).join(' ');
    const presser = `(SELECT id FROM feet WHERE kind IN (${pressers.map((kind) => `'${kind}'`).join(', ')})
      ORDER BY CASE kind ${order} END, id LIMIT 1)`;
    await tables.run(`UPDATE plans SET attachmentId = footId, footId = ${presser}
      WHERE attachmentId IS NULL AND ${presser} IS NOT NULL
        AND footId IN (SELECT id FROM feet WHERE kind = 'binder-attachment')`);
  },
};
