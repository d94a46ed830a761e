import { about } from './number';

interface Expected {
  readonly fromFaults: number;
  readonly toFaults: number;
  /** How many of the edge's stitches one is content to sew again. */
  readonly accepted: number;
  readonly enough: boolean;
}

/** The stopping rule in words: how sure it is that enough is enough. */
export function enoughInWords({ fromFaults, toFaults, accepted, enough }: Expected): string {
  const most = about(accepted);
  if (enough && toFaults <= accepted) {
    return `Surely enough: even at the worst end it is no more than the ${most} you accept.`;
  }
  if (enough) {
    return `Likely enough: you accept ${most}, and it can still become ${toFaults}. One more scrap at this setting would make it surer.`;
  }
  if (fromFaults > accepted) {
    return `Surely not enough: even at the best end it is more than the ${most} you accept.`;
  }
  return `Not enough yet: you accept ${most}, and more is likelier.`;
}
