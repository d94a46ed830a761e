-- What apps before the eighth version ran, statement by statement, each on its own but for the
-- four that lie between BEGIN and COMMIT. A killed update stopped between any two of them.

-- 0001-first-tables
CREATE TABLE IF NOT EXISTS `cloths` (`id` VARCHAR(64) PRIMARY KEY, `version` INTEGER NOT NULL, `createdAt` VARCHAR(32) NOT NULL, `updatedAt` VARCHAR(32) NOT NULL, `name` TEXT NOT NULL, `weightClass` VARCHAR(32), `tests` JSON NOT NULL, `note` TEXT NOT NULL);
CREATE TABLE IF NOT EXISTS `machines` (`id` VARCHAR(64) PRIMARY KEY, `version` INTEGER NOT NULL, `createdAt` VARCHAR(32) NOT NULL, `updatedAt` VARCHAR(32) NOT NULL, `name` TEXT NOT NULL, `specs` JSON NOT NULL, `note` TEXT NOT NULL);
CREATE TABLE IF NOT EXISTS `feet` (`id` VARCHAR(64) PRIMARY KEY, `version` INTEGER NOT NULL, `createdAt` VARCHAR(32) NOT NULL, `updatedAt` VARCHAR(32) NOT NULL, `name` TEXT NOT NULL, `specs` JSON NOT NULL, `soleMm` JSON NOT NULL, `note` TEXT NOT NULL);
CREATE TABLE IF NOT EXISTS `projects` (`id` VARCHAR(64) PRIMARY KEY, `version` INTEGER NOT NULL, `createdAt` VARCHAR(32) NOT NULL, `updatedAt` VARCHAR(32) NOT NULL, `name` TEXT NOT NULL, `note` TEXT NOT NULL);
CREATE TABLE IF NOT EXISTS `edges` (`id` VARCHAR(64) PRIMARY KEY, `version` INTEGER NOT NULL, `createdAt` VARCHAR(32) NOT NULL, `updatedAt` VARCHAR(32) NOT NULL, `projectId` VARCHAR(64) NOT NULL REFERENCES `projects` (`id`) ON DELETE RESTRICT, `name` TEXT NOT NULL, `on` TEXT NOT NULL, `clothId` VARCHAR(64) NOT NULL REFERENCES `cloths` (`id`) ON DELETE RESTRICT, `shape` TEXT NOT NULL, `lengthMm` DOUBLE PRECISION NOT NULL, `minRadiusMm` DOUBLE PRECISION);
CREATE TABLE IF NOT EXISTS `plans` (`id` VARCHAR(64) PRIMARY KEY, `version` INTEGER NOT NULL, `createdAt` VARCHAR(32) NOT NULL, `updatedAt` VARCHAR(32) NOT NULL, `edgeId` VARCHAR(64) NOT NULL REFERENCES `edges` (`id`) ON DELETE RESTRICT, `finish` TEXT NOT NULL, `fold` JSON NOT NULL, `machineId` VARCHAR(64) NOT NULL REFERENCES `machines` (`id`) ON DELETE RESTRICT, `footId` VARCHAR(64) NOT NULL REFERENCES `feet` (`id`) ON DELETE RESTRICT, `stitch` JSON NOT NULL, `needleSize` DOUBLE PRECISION NOT NULL, `pickMm` DOUBLE PRECISION NOT NULL, `faultWeights` JSON NOT NULL, `settings` JSON, `keptAttemptId` VARCHAR(64));
CREATE TABLE IF NOT EXISTS `attempts` (`id` VARCHAR(64) PRIMARY KEY, `version` INTEGER NOT NULL, `createdAt` VARCHAR(32) NOT NULL, `updatedAt` VARCHAR(32) NOT NULL, `planId` VARCHAR(64) NOT NULL REFERENCES `plans` (`id`) ON DELETE RESTRICT, `number` INTEGER NOT NULL, `settings` JSON NOT NULL, `counts` JSON NOT NULL, `note` TEXT NOT NULL, `setUp` JSON NOT NULL, `names` JSON NOT NULL);
CREATE TABLE IF NOT EXISTS `preferences` (`id` VARCHAR(64) PRIMARY KEY, `version` INTEGER NOT NULL, `createdAt` VARCHAR(32) NOT NULL, `updatedAt` VARCHAR(32) NOT NULL, `unit` TEXT NOT NULL, `inchRounding` TEXT NOT NULL);
CREATE TABLE IF NOT EXISTS `changes` (`id` INTEGER PRIMARY KEY AUTOINCREMENT, `at` TEXT NOT NULL, `label` TEXT NOT NULL, `steps` JSON NOT NULL, `undone` TINYINT(1) NOT NULL);
CREATE INDEX `edges_project_id` ON `edges` (`projectId`);
CREATE INDEX `edges_cloth_id` ON `edges` (`clothId`);
CREATE INDEX `plans_edge_id` ON `plans` (`edgeId`);
CREATE INDEX `plans_machine_id` ON `plans` (`machineId`);
CREATE INDEX `plans_foot_id` ON `plans` (`footId`);
CREATE INDEX `attempts_plan_id` ON `attempts` (`planId`);

-- 0002-catalogue
ALTER TABLE `feet` ADD `kind` VARCHAR(32) NOT NULL DEFAULT 'zigzag';
UPDATE feet SET kind = 'blind' WHERE json_extract(specs, '$.guidance') = 'blade';
ALTER TABLE `feet` ADD `channelMm` DOUBLE PRECISION;
ALTER TABLE `edges` ADD `turnDegrees` DOUBLE PRECISION;
ALTER TABLE `edges` ADD `passesOverMm` DOUBLE PRECISION;
ALTER TABLE `plans` ADD `schools` JSON NOT NULL DEFAULT '"{}"';
ALTER TABLE `plans` ADD `ticks` JSON NOT NULL DEFAULT '"[]"';
ALTER TABLE `preferences` ADD `schools` JSON NOT NULL DEFAULT '"{}"';

-- 0003-crossings
ALTER TABLE `edges` ADD `crossings` JSON NOT NULL DEFAULT '"[]"';

-- 0004-shelf-and-drawer
ALTER TABLE `cloths` ADD `like` VARCHAR(64);
ALTER TABLE `cloths` ADD `fibre` VARCHAR(64);
ALTER TABLE `cloths` ADD `face` VARCHAR(64);
ALTER TABLE `cloths` ADD `nap` VARCHAR(64);
ALTER TABLE `cloths` ADD `photoId` VARCHAR(64);
ALTER TABLE `cloths` ADD `shine` TEXT NOT NULL DEFAULT 'untested';
ALTER TABLE `cloths` ADD `pressNote` TEXT NOT NULL DEFAULT '';
ALTER TABLE `cloths` ADD `widthMm` DOUBLE PRECISION;
ALTER TABLE `cloths` ADD `lengthLeftMm` DOUBLE PRECISION;
ALTER TABLE `feet` ADD `mouthMm` DOUBLE PRECISION;
ALTER TABLE `feet` ADD `stripMm` DOUBLE PRECISION;
ALTER TABLE `edges` ADD `forChild` TINYINT(1) NOT NULL DEFAULT 0;
ALTER TABLE `edges` ADD `spareMm` DOUBLE PRECISION;
CREATE TABLE IF NOT EXISTS `needles` (`id` VARCHAR(64) PRIMARY KEY, `version` INTEGER NOT NULL, `createdAt` VARCHAR(32) NOT NULL, `updatedAt` VARCHAR(32) NOT NULL, `name` TEXT NOT NULL, `note` TEXT NOT NULL, `size` DOUBLE PRECISION NOT NULL, `point` VARCHAR(32) NOT NULL, `left` INTEGER NOT NULL);
CREATE TABLE IF NOT EXISTS `threads` (`id` VARCHAR(64) PRIMARY KEY, `version` INTEGER NOT NULL, `createdAt` VARCHAR(32) NOT NULL, `updatedAt` VARCHAR(32) NOT NULL, `name` TEXT NOT NULL, `note` TEXT NOT NULL, `use` VARCHAR(32) NOT NULL, `fibre` VARCHAR(64), `tex` DOUBLE PRECISION, `colour` TEXT NOT NULL DEFAULT '');
CREATE TABLE IF NOT EXISTS `photos` (`id` VARCHAR(64) PRIMARY KEY, `bytes` BLOB NOT NULL, `widthPx` INTEGER NOT NULL, `heightPx` INTEGER NOT NULL);

-- 0005-sample-book
BEGIN;
CREATE TABLE attempts_new (
  id VARCHAR(64) PRIMARY KEY,
  version INTEGER NOT NULL,
  createdAt VARCHAR(32) NOT NULL,
  updatedAt VARCHAR(32) NOT NULL,
  planId VARCHAR(64) REFERENCES plans (id) ON DELETE RESTRICT,
  number INTEGER NOT NULL,
  finish VARCHAR(64) NOT NULL DEFAULT '',
  clothId VARCHAR(64),
  machineId VARCHAR(64),
  footId VARCHAR(64),
  verdict VARCHAR(16),
  sewnOn VARCHAR(10),
  pinned TINYINT(1) NOT NULL DEFAULT 0,
  names JSON NOT NULL,
  counts JSON NOT NULL,
  clothName TEXT GENERATED ALWAYS AS (json_extract(names, '$.cloth')) STORED,
  machineName TEXT GENERATED ALWAYS AS (json_extract(names, '$.machine')) STORED,
  footName TEXT GENERATED ALWAYS AS (json_extract(names, '$.foot')) STORED,
  faultShare DOUBLE GENERATED ALWAYS AS (
    (json_extract(counts, '$[#-1].short') + json_extract(counts, '$[#-1].over')) * 1.0
      / json_extract(counts, '$[#-1].n')
  ) STORED,
  settings JSON,
  dialValues JSON NOT NULL DEFAULT '{}',
  symptoms JSON NOT NULL DEFAULT '[]',
  photoId VARCHAR(64),
  note TEXT NOT NULL,
  setUp JSON NOT NULL
);
INSERT INTO attempts_new
  (id, version, createdAt, updatedAt, planId, number, finish, clothId, machineId, footId,
   verdict, sewnOn, names, counts, settings, note, setUp)
  SELECT a.id, a.version, a.createdAt, a.updatedAt, a.planId, a.number, p.finish, e.clothId,
    p.machineId, p.footId, CASE WHEN p.keptAttemptId = a.id THEN 'keep' END,
    substr(a.createdAt, 1, 10), a.names, a.counts, a.settings, a.note, a.setUp
  FROM attempts a JOIN plans p ON p.id = a.planId JOIN edges e ON e.id = p.edgeId;
DROP TABLE attempts;
ALTER TABLE attempts_new RENAME TO attempts;
COMMIT;
CREATE INDEX attempts_planId_number ON attempts (planId, number);
CREATE INDEX attempts_sewnOn_createdAt ON attempts (sewnOn, createdAt);
CREATE INDEX attempts_clothId_clothName ON attempts (clothId, clothName);
CREATE INDEX attempts_machineId_machineName ON attempts (machineId, machineName);
CREATE INDEX attempts_footId_footName ON attempts (footId, footName);
CREATE INDEX attempts_footId_sewnOn_createdAt ON attempts (footId, sewnOn, createdAt);
CREATE INDEX attempts_finish_verdict_sewnOn_createdAt ON attempts (finish, verdict, sewnOn, createdAt);
ALTER TABLE `plans` ADD `carryOver` TINYINT(1) NOT NULL DEFAULT 0;
ALTER TABLE `changes` ADD `removal` TINYINT(1) NOT NULL DEFAULT 0;
UPDATE changes SET removal = 1 WHERE EXISTS (
        SELECT 1 FROM json_each(changes.steps) WHERE json_extract(value, '$.after') IS NULL);
ALTER TABLE `preferences` ADD `acceptedPercent` DOUBLE PRECISION NOT NULL DEFAULT '2';

-- 0006-what-an-edge-is-for
ALTER TABLE `edges` ADD `purpose` VARCHAR(16) NOT NULL DEFAULT 'hem';
ALTER TABLE `edges` ADD `oldHem` JSON;
ALTER TABLE `edges` ADD `joined` VARCHAR(16);
ALTER TABLE `edges` ADD `pair` VARCHAR(16) NOT NULL DEFAULT 'alone';
ALTER TABLE `edges` ADD `depthMm` DOUBLE PRECISION;
ALTER TABLE `edges` ADD `secondEdge` TEXT;
ALTER TABLE `edges` ADD `seamAllowanceMm` DOUBLE PRECISION;
UPDATE edges SET purpose = 'opening' WHERE shape = 'inside-curve';
UPDATE edges SET purpose = 'allowance' WHERE EXISTS (SELECT 1 FROM plans p WHERE p.edgeId = edges.id AND (p.finish IN ('overcast', 'serged', 'pinked') OR (p.finish = 'bound' AND json_extract(p.fold, '$.variant') = 'seam-allowances')));
UPDATE edges SET purpose = 'seam', secondEdge = 'the other edge', seamAllowanceMm = coalesce(
        (SELECT max(3, min(60, json_extract(p.fold, '$.seamAllowanceMm'))) FROM plans p WHERE p.edgeId = edges.id), 15)
        WHERE EXISTS (SELECT 1 FROM plans p WHERE p.edgeId = edges.id AND (p.finish = 'french-seam' OR (p.finish = 'overcast' AND json_extract(p.fold, '$.variant') = 'join')));
UPDATE edges SET oldHem = json_object(
        'depthMm', max(3, min(edges.lengthMm / 2, coalesce(
          (SELECT json_extract(p.fold, '$.depthMm') FROM plans p WHERE p.edgeId = edges.id), 13))),
        'sewn', 'topstitched', 'keepLook', json('true'))
        WHERE EXISTS (SELECT 1 FROM plans p WHERE p.edgeId = edges.id AND p.finish = 'kept-hem');
ALTER TABLE plans RENAME COLUMN finish TO finishBefore;
ALTER TABLE `plans` ADD `finish` TEXT;
UPDATE plans SET finish = finishBefore;
ALTER TABLE plans DROP COLUMN finishBefore;

-- 0007-true-settings
ALTER TABLE `cloths` ADD `colour` TEXT;
ALTER TABLE `plans` ADD `aim` VARCHAR(16) NOT NULL DEFAULT 'even';
ALTER TABLE `plans` ADD `thread` VARCHAR(16) NOT NULL DEFAULT 'matching';
ALTER TABLE `plans` ADD `threadColour` TEXT;
ALTER TABLE `plans` ADD `reference` TEXT;
ALTER TABLE `plans` ADD `stripClothId` TEXT;
ALTER TABLE `attempts` ADD `measured` JSON;
ALTER TABLE `attempts` ADD `pass` TEXT;
UPDATE attempts SET dialValues = '{}' WHERE id = 'kept';
UPDATE attempts SET dialValues = '{"thread":"fine","needle":"75-ball"}' WHERE id = 'later';
UPDATE feet SET specs = '{"slotMm":[-4,4],"guidance":"blade","guide":{"atMm":0}}' WHERE id = 'f';
