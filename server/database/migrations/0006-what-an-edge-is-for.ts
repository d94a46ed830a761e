import type { Migration } from '../migration';
import type { Tables } from '../tables';

/**
 * What an edge is for and what is done to it already; a plan may have no finish yet; a machine may
 * say how high its foot goes with the lever pushed further (that is in its own JSON, and needs no column).
 *
 * What is stored is read by what was planned for it: a plan that joins makes a seam, one that holds
 * a raw edge an allowance, one that keeps a hem has an old one, and a round hole is an opening.
 */
export const whatAnEdgeIsFor: Migration = {
  name: '0006-what-an-edge-is-for',
  async up(tables) {
    const word = (start: string) => `VARCHAR(16) NOT NULL DEFAULT '${start}'`;
    const number = 'DOUBLE PRECISION';
    // SQLite takes NOT NULL off a column only with the column itself.
    if (await isRequired(tables)) {
      await tables.run('ALTER TABLE plans RENAME COLUMN finish TO finishBefore');
    }
    await tables.addColumn('plans', 'finish', 'TEXT');
    if (await tables.hasColumn('plans', 'finishBefore')) {
      await tables.run('UPDATE plans SET finish = finishBefore');
      await tables.run('ALTER TABLE plans DROP COLUMN finishBefore');
    }
    await tables.addColumn('edges', 'purpose', word('hem'));
    await tables.addColumn('edges', 'oldHem', 'JSON');
    await tables.addColumn('edges', 'joined', 'VARCHAR(16)');
    await tables.addColumn('edges', 'pair', word('alone'));
    await tables.addColumn('edges', 'depthMm', number);
    await tables.addColumn('edges', 'secondEdge', 'TEXT');
    await tables.addColumn('edges', 'seamAllowanceMm', number);
    const run = (sql: string) => tables.run(sql);
    const planned = (condition: string) =>
      `EXISTS (SELECT 1 FROM plans p WHERE p.edgeId = edges.id AND ${condition})`;
    const variant = `json_extract(p.fold, '$.variant')`;
    await run(`UPDATE edges SET purpose = 'opening' WHERE shape = 'inside-curve'`);
    await run(
      `UPDATE edges SET purpose = 'allowance' WHERE ${planned(
        `(p.finish IN ('overcast', 'serged', 'pinked') OR (p.finish = 'bound' AND ${variant} = 'seam-allowances'))`,
      )}`,
    );
    await run(
      `UPDATE edges SET purpose = 'seam', secondEdge = 'the other edge', seamAllowanceMm = coalesce(
        (SELECT max(3, min(60, json_extract(p.fold, '$.seamAllowanceMm'))) FROM plans p WHERE p.edgeId = edges.id), 15)
        WHERE ${planned(`(p.finish = 'french-seam' OR (p.finish = 'overcast' AND ${variant} = 'join'))`)}`,
    );
    // A hem deeper than half its round is none that could be there: its usual depth is taken then.
    await run(
      `UPDATE edges SET oldHem = json_object(
        'depthMm', max(3, min(edges.lengthMm / 2, coalesce(
          (SELECT json_extract(p.fold, '$.depthMm') FROM plans p WHERE p.edgeId = edges.id), 13))),
        'sewn', 'topstitched', 'keepLook', json('true'))
        WHERE ${planned(`p.finish = 'kept-hem'`)}`,
    );
  },
};

/** Whether a plan must still have a finish. */
async function isRequired(tables: Tables): Promise<boolean> {
  const found = await tables.rows(
    `SELECT 1 FROM pragma_table_info('plans') WHERE name = 'finish' AND "notnull" = 1`,
  );
  return found.length > 0;
}
