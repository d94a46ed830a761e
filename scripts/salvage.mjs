// `npm run salvage`: copies what can still be read of a damaged database into a new file.
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build, installPackages, root } from './prepare.mjs';

installPackages();
build();
await import(pathToFileURL(join(root, 'dist', 'server', 'salvage-main.js')).href);
