import type { ExchangeTable } from '../../contract/exchange';

/** One column of a table's CSV: where its value stands in the record and how it is written. */
export interface Column {
  readonly name: string;
  readonly path: readonly (string | number)[];
  /**
   * A `text` may be empty, a `word` that is empty is not said; a `list` is parted by spaces.
   * `counts` reads `bite 24 7 0; run 24 0 0`: of 24, 7 below and none above.
   */
  readonly as: 'text' | 'word' | 'number' | 'boolean' | 'list' | 'counts' | 'json';
}

const at = (as: Column['as'], name: string, path: string = name): Column => ({
  name,
  as,
  path: path.split('.').map((step) => (/^\d+$/.test(step) ? Number(step) : step)),
});
const text = (name: string, path?: string) => at('text', name, path);
const word = (name: string, path?: string) => at('word', name, path);
const number = (name: string, path?: string) => at('number', name, path);

/** The columns of each table, in the order they are written; lengths in mm. */
export const columns: Readonly<Record<ExchangeTable, readonly Column[]>> = {
  cloths: [
    word('id'),
    text('name'),
    word('construction', 'tests.construction'),
    word('fibre'),
    word('like'),
    word('weightClass'),
    number('sampleGrams', 'tests.sampleGrams'),
    number('sampleSideMm', 'tests.sampleSideMm'),
    number('ozPerSqYd', 'tests.ozPerSqYd'),
    number('stackHeightMm', 'tests.stackHeightMm'),
    number('stackLayers', 'tests.stackLayers'),
    number('restMm', 'tests.restMm'),
    number('pulledMm', 'tests.pulledMm'),
    number('afterMm', 'tests.afterMm'),
    number('looseThreads', 'tests.looseThreads'),
    number('curlMm', 'tests.curlMm'),
    at('boolean', 'rollsOver', 'tests.rollsOver'),
    number('slipDegrees', 'tests.slipDegrees'),
    word('face'),
    word('nap'),
    word('shine'),
    text('pressNote'),
    number('widthMm'),
    number('lengthLeftMm'),
    text('note'),
    word('photoId'),
    word('createdAt'),
  ],
  machines: [
    word('id'),
    text('name'),
    word('kind', 'specs.kind'),
    number('maxWidthMm', 'specs.maxWidthMm'),
    number('widthStepMm', 'specs.widthStepMm'),
    number('maxLengthMm', 'specs.maxLengthMm'),
    number('lengthStepMm', 'specs.lengthStepMm'),
    number('needleLeftMm', 'specs.needleRangeMm.0'),
    number('needleRightMm', 'specs.needleRangeMm.1'),
    number('needleStepMm', 'specs.needleStepMm'),
    number('plateLeftMm', 'specs.plateHoleMm.0'),
    number('plateRightMm', 'specs.plateHoleMm.1'),
    number('presserLiftMm', 'specs.presserLiftMm'),
    number('presserLiftHighMm', 'specs.presserLiftHighMm'),
    word('lengthMeans', 'specs.lengthMeans'),
    at('list', 'patterns', 'specs.patterns'),
    at('list', 'shanks', 'specs.shanks'),
    text('note'),
    word('createdAt'),
  ],
  feet: [
    word('id'),
    text('name'),
    word('kind'),
    word('shank', 'specs.shank'),
    number('slotLeftMm', 'specs.slotMm.0'),
    number('slotRightMm', 'specs.slotMm.1'),
    word('guidance', 'specs.guidance'),
    number('guideAtMm', 'specs.guide.atMm'),
    number('guideFromMm', 'specs.guide.rangeMm.0'),
    number('guideToMm', 'specs.guide.rangeMm.1'),
    number('guideStepMm', 'specs.guide.stepMm'),
    number('channelMm'),
    number('mouthMm'),
    number('stripMm'),
    number('soleWidthMm', 'soleMm.widthMm'),
    number('soleToeMm', 'soleMm.toeMm'),
    number('soleHeelMm', 'soleMm.heelMm'),
    number('standOffMm', 'soleMm.standOffMm'),
    text('note'),
    word('createdAt'),
  ],
  needles: [
    word('id'),
    text('name'),
    number('size'),
    word('point'),
    number('left'),
    text('note'),
    word('createdAt'),
  ],
  threads: [
    word('id'),
    text('name'),
    word('use'),
    word('fibre'),
    number('tex'),
    text('colour'),
    text('note'),
    word('createdAt'),
  ],
  attempts: [
    word('id'),
    word('sewnOn'),
    word('finish'),
    text('cloth', 'names.cloth'),
    text('machine', 'names.machine'),
    text('foot', 'names.foot'),
    number('number'),
    number('widthMm', 'settings.widthMm'),
    number('lengthMm', 'settings.lengthMm'),
    number('needlePositionMm', 'settings.needlePositionMm'),
    number('guideMm', 'settings.guideMm'),
    at('counts', 'counts'),
    at('list', 'symptoms'),
    word('verdict'),
    at('boolean', 'pinned'),
    text('note'),
    word('photoId'),
    word('planId'),
    word('clothId'),
    word('machineId'),
    word('footId'),
    at('json', 'dialValues'),
    at('json', 'setUp'),
    word('createdAt'),
  ],
};
