import { mkdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';

/** Where the tests of one run keep a filled database to copy; what the run before left is thrown away. */
export default function templateAnew({ rootDir }) {
  const folder = join(rootDir, 'test-results', 'template');
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  process.env['PIN_MARGIN_TEMPLATE'] = folder;
}
