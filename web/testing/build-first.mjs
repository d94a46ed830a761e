import { build } from '../../scripts/prepare.mjs';

/** The parts of the interface are tried beside the built server. */
export default function buildFirst() {
  build();
}
