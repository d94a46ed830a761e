import {
  differenceSdMm,
  differentialLesson,
  settableDifferential,
  usualDifferential,
  z90,
  type DifferentialDial,
  type Stretched,
} from '../loopers/differential';
import { normalDraw } from '../margin/sewist';

/** How often the interval held the truth after so many measured scraps. */
export interface DifferentialCoverage {
  readonly scraps: number;
  readonly held: number;
}

/** Scraps until the edge lies as flat as the dial allows: as advised, and one step at a time. */
export interface DifferentialReached {
  readonly medianAdvised: number;
  readonly ninthAdvised: number;
  readonly medianTrial: number;
  readonly ninthTrial: number;
  /** Of the walks that ended with “enough”, those whose edge was as flat as the dial allows. */
  readonly trulyFlat: number;
}

/** Who sews more scraps than this has given up. */
const mostScraps = 15;

/**
 * The differential at which a made-up cloth would lie flat: most knits need a little gathering,
 * some much. Even in its logarithm, and within what the dial reaches.
 */
function trueFlat(random: () => number): number {
  const [low, high] = [Math.log(0.9), Math.log(1.7)];
  return Math.exp(low + (high - low) * random());
}

/** A scrap as it is measured: sewn at a differential, both lengths read with a tape. */
function measuredScrap(
  flatAt: number,
  differential: number,
  lengthMm: number,
  random: () => number,
): Stretched {
  // Each length has two of the four ends.
  const read = (mm: number) => mm + (differenceSdMm / Math.SQRT2) * normalDraw(random);
  return {
    beforeMm: read(lengthMm),
    afterMm: read((lengthMm * flatAt) / differential),
    differential,
  };
}

type Scraps = [Stretched, ...Stretched[]];

/** Share of sewists whose truth lies in flatAt ± z·sd, after each number of scraps. */
export function differentialCoverage(
  lengthMm: number,
  sewists: number,
  mostMeasured: number,
  dial: DifferentialDial,
  random: () => number,
): DifferentialCoverage[] {
  const held = Array.from({ length: mostMeasured }, () => 0);
  for (let i = 0; i < sewists; i++) {
    const truth = trueFlat(random);
    const scraps: Stretched[] = [];
    let differential = 1;
    for (let n = 0; n < mostMeasured; n++) {
      scraps.push(measuredScrap(truth, differential, lengthMm, random));
      const lesson = differentialLesson(scraps as Scraps, dial);
      if (Math.abs(lesson.flatAt - truth) <= z90 * lesson.flatAtSd) held[n] = (held[n] ?? 0) + 1;
      differential = lesson.to;
    }
  }
  return held.map((count, n) => ({ scraps: n + 1, held: count / sewists }));
}

/** From neutral to flat: as advised, and by one step of the dial towards what was seen. */
export function differentialReached(
  lengthMm: number,
  sewists: number,
  dial: DifferentialDial,
  random: () => number,
): DifferentialReached {
  const step = dial.differentialStep ?? usualDifferential.step;
  const [advised, trial]: [number[], number[]] = [[], []];
  let [ended, flat] = [0, 0];
  for (let i = 0; i < sewists; i++) {
    const truth = trueFlat(random);
    const best = settableDifferential(truth, dial);
    /** As flat as can be told with a tape, or as the dial can. */
    const isFlat = (at: number) =>
      Math.abs(at - best) < 1e-9 ||
      Math.abs((lengthMm * truth) / at - lengthMm) < z90 * differenceSdMm;
    const walk = (next: (scraps: Scraps) => number): number => {
      const scraps: Stretched[] = [];
      let at = 1;
      for (let scrap = 1; scrap <= mostScraps; scrap++) {
        if (isFlat(at)) return scrap;
        scraps.push(measuredScrap(truth, at, lengthMm, random));
        at = next(scraps as Scraps);
      }
      return mostScraps + 1;
    };
    advised.push(walk((scraps) => differentialLesson(scraps, dial).to));
    trial.push(
      walk((scraps) => {
        const { beforeMm, afterMm, differential } = scraps.at(-1) as Stretched;
        const towards = Math.sign(afterMm - beforeMm) * step;
        return settableDifferential(differential + towards, dial);
      }),
    );
    // The advice followed until it says “enough”.
    const scraps: Stretched[] = [];
    let at = 1;
    for (let scrap = 1; scrap <= mostScraps; scrap++) {
      scraps.push(measuredScrap(truth, at, lengthMm, random));
      const lesson = differentialLesson(scraps as Scraps, dial);
      if (lesson.enough) {
        ended++;
        if (isFlat(at)) flat++;
        break;
      }
      at = lesson.to;
    }
  }
  const of = (numbers: number[], share: number) =>
    numbers.sort((a, b) => a - b)[Math.floor((numbers.length - 1) * share)] ?? 0;
  return {
    ...{ medianAdvised: of(advised, 0.5), ninthAdvised: of(advised, 0.9) },
    ...{ medianTrial: of(trial, 0.5), ninthTrial: of(trial, 0.9) },
    trulyFlat: ended > 0 ? flat / ended : 0,
  };
}
