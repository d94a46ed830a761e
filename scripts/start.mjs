// `npm start`: installs and builds what is missing, then serves the app.
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build, installPackages, root } from './prepare.mjs';

try {
  installPackages();
  build();
} catch (error) {
  console.error(`Pin Margin cannot start: ${error.message}`);
  process.exit(1);
}
process.env.NODE_ENV ??= 'production';
await import(pathToFileURL(join(root, 'dist', 'server', 'main.js')).href);
