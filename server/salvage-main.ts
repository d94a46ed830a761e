import { salvage } from './database/salvage';
import { settingsFrom } from './settings';

/** `npm run salvage`: what can still be read of a damaged database, into a new file. */
async function main(): Promise<void> {
  const { dataFolder } = settingsFrom(process.env);
  const { file, tables } = await salvage(dataFolder);
  for (const { table, kept, lost } of tables) {
    console.log(`${table}: ${kept} kept${lost > 0 ? `, ${lost} could not be read` : ''}`);
  }
  console.log(
    `\nWritten to ${file}. Look whether it will do; then move the damaged pin-margin.sqlite (and its -wal) away, and give this file its name.`,
  );
}

main().catch((error: unknown) => {
  console.error(
    `Nothing could be salvaged: ${error instanceof Error ? error.message : String(error)}`,
  );
  process.exitCode = 1;
});
