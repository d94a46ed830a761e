import type { Migration } from '../migration';
import type { Tables } from '../tables';

/** What the book is searched by; the words of a scrap, told to the index whenever they change. */
const searched = 'clothName, machineName, footName, note';
const said = (which: 'new' | 'old') =>
  searched
    .split(', ')
    .map((column) => `${which}.${column}`)
    .join(', ');
const forget = `INSERT INTO attempts_words (attempts_words, rowid, ${searched})
  VALUES ('delete', old.rowid, ${said('old')});`;
const learn = `INSERT INTO attempts_words (rowid, ${searched}) VALUES (new.rowid, ${said('new')});`;

/**
 * The writes of a change as rows of their own, so that a long one is never read or written in one
 * piece; a record that was written several times is one step from its first state to its last.
 */
const stepsApart = `INSERT INTO steps (changeId, position, "table", recordId, before, after)
  SELECT changeId, position, tableName, recordId, first, last FROM (
    SELECT c.id AS changeId, j.key AS position,
      json_extract(j.value, '$.table') AS tableName, json_extract(j.value, '$.id') AS recordId,
      first_value(json_extract(j.value, '$.before')) OVER whole AS first,
      last_value(json_extract(j.value, '$.after')) OVER whole AS last,
      row_number() OVER (
        PARTITION BY c.id, json_extract(j.value, '$.table'), json_extract(j.value, '$.id')
        ORDER BY j.key) AS turn
    FROM changes c, json_each(c.steps) j
    WINDOW whole AS (
      PARTITION BY c.id, json_extract(j.value, '$.table'), json_extract(j.value, '$.id')
      ORDER BY j.key ROWS BETWEEN UNBOUNDED PRECEDING AND UNBOUNDED FOLLOWING)
  ) WHERE turn = 1 AND NOT (first IS NULL AND last IS NULL)`;

const named = ['cloths', 'machines', 'feet', 'needles', 'threads', 'projects', 'edges'];
const control = /[\p{Cc}\u2028\u2029\u202a-\u202e\u2066-\u2069]+/gu;

/** Names had no rule about what can't be seen; what is in one becomes a space. */
async function cleanNames(tables: Tables, table: string): Promise<void> {
  for (const { id, name } of await tables.rows(`SELECT id, name FROM "${table}"`)) {
    const clean = String(name).replace(control, ' ').trim() || 'Unnamed';
    if (clean === name || id === undefined) continue;
    await tables.run(`UPDATE "${table}" SET name = ? WHERE id = ?`, [clean, id]);
  }
}

/**
 * Whose a change is, its writes one by one, and an index of the words of the book; and values that
 * older steps had written down as JSON within JSON.
 */
export const theFloor: Migration = {
  name: '0008-the-floor',
  async up(tables) {
    for (const [table, column] of [
      ['plans', 'schools'],
      ['plans', 'ticks'],
      ['preferences', 'schools'],
      ['edges', 'crossings'],
    ] as const) {
      await tables.run(
        `UPDATE "${table}" SET "${column}" = json_extract("${column}", '$')
         WHERE json_type("${column}") = 'text'`,
      );
    }
    for (const table of named) await cleanNames(tables, table);
    await tables.addColumn('changes', 'by', `VARCHAR(64) NOT NULL DEFAULT ''`);
    await tables.createIndex('changes_by_undone', 'changes', '"by", undone, id');
    await tables.createIndex('changes_removal', 'changes', 'removal, undone, at');
    await tables.createTable('steps', {
      changeId: 'INTEGER NOT NULL REFERENCES changes (id) ON DELETE CASCADE',
      position: 'INTEGER NOT NULL',
      table: 'VARCHAR(32) NOT NULL',
      recordId: 'VARCHAR(64) NOT NULL',
      before: 'JSON',
      after: 'JSON',
    });
    await tables.createIndex('steps_change', 'steps', 'changeId, "table", position');
    await tables.run(stepsApart);
    await tables.run('ALTER TABLE changes DROP COLUMN steps');
    await tables.run(
      `CREATE VIRTUAL TABLE IF NOT EXISTS attempts_words
       USING fts5(${searched}, content='attempts', tokenize='trigram')`,
    );
    await tables.run(
      `CREATE TRIGGER IF NOT EXISTS attempts_written AFTER INSERT ON attempts BEGIN ${learn} END`,
    );
    await tables.run(
      `CREATE TRIGGER IF NOT EXISTS attempts_removed AFTER DELETE ON attempts BEGIN ${forget} END`,
    );
    await tables.run(
      `CREATE TRIGGER IF NOT EXISTS attempts_changed AFTER UPDATE OF names, note ON attempts
       BEGIN ${forget} ${learn} END`,
    );
    await tables.run(`INSERT INTO attempts_words (attempts_words) VALUES ('rebuild')`);
  },
};
