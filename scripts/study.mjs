// `npm run study`: simulated sewists whose truth is known learn their margin; how often the
// intervals hold it, and how many scraps it takes. The same numbers every time.
import { rmSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { installPackages, root } from './prepare.mjs';

installPackages();
const { build } = await import('vite');
// Within the project: the finder of marks is taken as it is installed.
const folder = join(root, 'dist', 'study');
await build({
  root,
  configFile: false,
  logLevel: 'warn',
  build: {
    ssr: join(root, 'core', 'study', 'study-run.ts'),
    outDir: folder,
    emptyOutDir: true,
    rollupOptions: { output: { entryFileNames: 'study.mjs' } },
  },
  ssr: { noExternal: true, external: ['js-aruco2'] },
});
const { runStudy, runDifferentialStudy, runPlacingStudy, runMeasuredStudy, ...eye } = await import(
  pathToFileURL(join(folder, 'study.mjs')).href
);
const [covered, walked] = process.argv[2]
  ? [Number(process.argv[2]), Number(process.argv[2])]
  : [500, 500];
const rows = runStudy(covered, walked, (name) => console.error(`… ${name}`));
const looped = runDifferentialStudy(covered);
const placed = runPlacingStudy(walked);
const measured = runMeasuredStudy(Math.ceil(walked / 5));
// A photo takes as long as a hundred sewists.
const photos = Math.max(2, Math.ceil(walked / 25));
const told = (name) => console.error(`… ${name}`);
const eyed = eye.runEyeStudy(photos, told);
const faces = eye.runFacesStudy(photos, told);
const lights = eye.runLightsStudy(photos, told);
rmSync(folder, { recursive: true, force: true });

const percent = (share) => (Number.isFinite(share) ? `${(100 * share).toFixed(1)} %` : '–');
console.log('| set-up | after | offset held | spread held |');
console.log('| --- | --- | --- | --- |');
for (const { name, coverage } of rows) {
  for (const { scraps, offset, spread } of coverage) {
    console.log(`| ${name} | ${scraps} | ${percent(offset)} | ${percent(spread)} |`);
  }
}
console.log(
  '\n| set-up | advised, median (nine of ten) | one step at a time, median (nine of ten) |',
);
console.log('| --- | --- | --- |');
for (const { name, reached: it } of rows) {
  const say = (n) => (n > 15 ? 'over 15' : n);
  console.log(
    `| ${name} | ${say(it.medianAdvised)} (${say(it.ninthAdvised)}) | ${say(it.medianTrial)} (${say(it.ninthTrial)}) |`,
  );
}

console.log('\n| differential | after | flat place held |');
console.log('| --- | --- | --- |');
for (const { name, coverage } of looped) {
  for (const { scraps, held } of coverage)
    console.log(`| ${name} | ${scraps} | ${percent(held)} |`);
}
console.log(
  '\n| differential | advised, median (nine of ten) | one step at a time, median (nine of ten) | flat where it said enough |',
);
console.log('| --- | --- | --- | --- |');
for (const { name, reached: it } of looped) {
  const say = (n) => (n > 15 ? 'over 15' : n);
  console.log(
    `| ${name} | ${say(it.medianAdvised)} (${say(it.ninthAdvised)}) | ${say(it.medianTrial)} (${say(it.ninthTrial)}) | ${percent(it.trulyFlat)} |`,
  );
}

console.log(
  '\n| attachment | screwed on, off by | advised, median (nine of ten) | one adjustment at a time, median (nine of ten) |',
);
console.log('| --- | --- | --- | --- |');
for (const { name, offMm, reached: it } of placed) {
  const say = (n) => (n > 15 ? 'over 15' : n);
  console.log(
    `| ${name} | ${offMm} mm | ${say(it.medianAdvised)} (${say(it.ninthAdvised)}) | ${say(it.medianTrial)} (${say(it.ninthTrial)}) |`,
  );
}

console.log(
  '\n| depths measured, spread 0.07 mm | as sure as 24 counted | offset’s 90 % interval after 24 counted | after 24 measured | held by 12 measured |',
);
console.log('| --- | --- | --- | --- | --- |');
for (const { name, told: it } of measured) {
  console.log(
    `| ${name} | ${it.asSure} | ${it.countedWidthMm.toFixed(2)} mm | ${it.measuredWidthMm.toFixed(2)} mm | ${percent(it.heldByHalf)} |`,
  );
}

console.log(
  '\n| photo of | said it can’t | bites found | found where nothing is, a photo | faults told within one | with two answers | asked about | depth off, median (nine of ten) | stitch length off | depth within its own 90 % | sure and wrong, a photo |',
);
console.log('| --- | --- | --- | --- | --- | --- | --- | --- | --- | --- | --- |');
for (const { name, seen: it } of eyed) {
  const mm = (value) => (Number.isFinite(value) ? `${value.toFixed(3)} mm` : '–');
  console.log(
    `| ${name} | ${it.refused} of ${it.photos} | ${percent(it.foundShare)} | ${it.falseFinds.toFixed(2)} | ${percent(it.withinOneShare)} | ${percent(it.answered.withinOneShare)} | ${it.answered.answers.toFixed(1)} | ${mm(it.depthErrorMm.median)} (${mm(it.depthErrorMm.nineOfTen)}) | ${mm(it.lengthErrorMm)} | ${percent(it.coverage)} | ${it.surelyWrong.toFixed(2)} |`,
  );
}

console.log(
  '\n| both faces of | not looked at | not laid together | matched rightly | depth off by the wrong side | by both |',
);
console.log('| --- | --- | --- | --- | --- | --- |');
for (const { name, seen: it } of faces) {
  const { alone, both } = it.depthErrorMm;
  console.log(
    `| ${name} | ${it.refused} of ${it.scraps} | ${it.unsure} | ${percent(it.rightlyShare)} | ${alone.toFixed(3)} mm | ${both.toFixed(3)} mm |`,
  );
}

console.log(
  '\n| lamp on one side, then on the other | not looked at | told within one by the first photo | by both | depth off by the first photo | by both | depth within its own 90 % |',
);
console.log('| --- | --- | --- | --- | --- | --- | --- |');
for (const { name, seen: it } of lights) {
  const { alone, both } = it.depthErrorMm;
  const { withinOne } = it;
  console.log(
    `| ${name} | ${it.refused} of ${it.scraps} | ${withinOne.alone} | ${withinOne.both} | ${alone.toFixed(3)} mm | ${both.toFixed(3)} mm | ${percent(it.coverage)} |`,
  );
}
