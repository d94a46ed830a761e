import type { Migration } from '../migration';

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
 * Whose a change is, what a removal took, and an index of the words of the book; and values that
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
    await tables.addColumn('changes', 'by', `VARCHAR(64) NOT NULL DEFAULT ''`);
    await tables.createIndex('changes_by_undone', 'changes', '"by", undone, id');
    await tables.createIndex('changes_removal', 'changes', 'removal, undone, at');
    await tables.createTable('removals', {
      changeId: 'INTEGER PRIMARY KEY REFERENCES changes (id) ON DELETE CASCADE',
      taken: 'JSON NOT NULL',
    });
    await tables.run(
      `INSERT OR IGNORE INTO removals (changeId, taken)
       SELECT id, (SELECT json_group_array(json_array(json_extract(value, '$.table'), json_extract(value, '$.id')))
         FROM json_each(changes.steps) WHERE json_extract(value, '$.after') IS NULL)
       FROM changes WHERE removal = 1`,
    );
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
