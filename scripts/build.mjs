// Builds client and server in a process of its own, unless the sources are the ones last built.
import { build } from './prepare.mjs';

build();
