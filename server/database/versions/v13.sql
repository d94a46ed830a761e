PRAGMA foreign_keys=OFF;
BEGIN TRANSACTION;
CREATE TABLE `SequelizeMeta` (`name` VARCHAR(255) NOT NULL UNIQUE PRIMARY KEY);
INSERT INTO SequelizeMeta VALUES('0001-first-tables');
INSERT INTO SequelizeMeta VALUES('0002-catalogue');
INSERT INTO SequelizeMeta VALUES('0003-crossings');
INSERT INTO SequelizeMeta VALUES('0004-shelf-and-drawer');
INSERT INTO SequelizeMeta VALUES('0005-sample-book');
INSERT INTO SequelizeMeta VALUES('0006-what-an-edge-is-for');
INSERT INTO SequelizeMeta VALUES('0007-true-settings');
INSERT INTO SequelizeMeta VALUES('0008-the-floor');
INSERT INTO SequelizeMeta VALUES('0009-book-in-order');
INSERT INTO SequelizeMeta VALUES('0010-measured-edges');
INSERT INTO SequelizeMeta VALUES('0011-levelling-plates');
INSERT INTO SequelizeMeta VALUES('0012-bindings');
INSERT INTO SequelizeMeta VALUES('0013-garments');
CREATE TABLE IF NOT EXISTS "attempts" (
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
, `measured` JSON, `pass` TEXT, corners JSON);
INSERT INTO attempts VALUES('kept',1,'2026-03-04T05:06:07.000Z','2026-01-01','plan',1,'blind-hem','c','m','f','keep','2026-03-04',0,'{"cloth":"Old cloth","machine":"Old machine","foot":"Old foot"}','[{"check":"bite","n":20,"short":5,"over":0}]','{"widthMm":2}','{}','[]',NULL,'Old note','{"foot":{}}',NULL,NULL,NULL);
INSERT INTO attempts VALUES('later',1,'2026-05-01T00:00:00.000Z','2026-05-01','plan-edge',1,'serged',NULL,NULL,NULL,NULL,NULL,0,'{"cloth":"Old cloth","machine":"Old machine","foot":"Old foot"}','[]',NULL,'{"thread":"fine","needle":"75-ball"}','[]',NULL,'','{"foot":{}}',NULL,NULL,NULL);
CREATE TABLE `changes` (`id` INTEGER PRIMARY KEY AUTOINCREMENT, `at` TEXT NOT NULL, `label` TEXT NOT NULL, `undone` TINYINT(1) NOT NULL, `removal` TINYINT(1) NOT NULL DEFAULT 0, "by" VARCHAR(64) NOT NULL DEFAULT '');
INSERT INTO changes VALUES(1,'2026-11-20T08:00:00.000Z','remove scrap 2',0,1,'');
CREATE TABLE `cloths` (`id` VARCHAR(64) PRIMARY KEY, `version` INTEGER NOT NULL, `createdAt` VARCHAR(32) NOT NULL, `updatedAt` VARCHAR(32) NOT NULL, `name` TEXT NOT NULL, `weightClass` VARCHAR(32), `tests` JSON NOT NULL, `note` TEXT NOT NULL, `like` VARCHAR(64), `fibre` VARCHAR(64), `face` VARCHAR(64), `nap` VARCHAR(64), `photoId` VARCHAR(64), `shine` TEXT NOT NULL DEFAULT 'untested', `pressNote` TEXT NOT NULL DEFAULT '', `widthMm` DOUBLE PRECISION, `lengthLeftMm` DOUBLE PRECISION, `colour` TEXT, readyMade JSON);
INSERT INTO cloths VALUES('c',1,'2026-01-01','2026-01-01','Old cloth',NULL,'{"construction":"woven"}','',NULL,NULL,NULL,NULL,NULL,'untested','',NULL,NULL,NULL,NULL);
CREATE TABLE `edges` (`id` VARCHAR(64) PRIMARY KEY, `version` INTEGER NOT NULL, `createdAt` VARCHAR(32) NOT NULL, `updatedAt` VARCHAR(32) NOT NULL, `projectId` VARCHAR(64) NOT NULL REFERENCES `projects` (`id`) ON DELETE RESTRICT, `name` TEXT NOT NULL, `on` TEXT NOT NULL, `clothId` VARCHAR(64) NOT NULL REFERENCES `cloths` (`id`) ON DELETE RESTRICT, `shape` TEXT NOT NULL, `lengthMm` DOUBLE PRECISION NOT NULL, `minRadiusMm` DOUBLE PRECISION, `turnDegrees` DOUBLE PRECISION, `passesOverMm` DOUBLE PRECISION, `crossings` JSON NOT NULL DEFAULT '"[]"', `forChild` TINYINT(1) NOT NULL DEFAULT 0, `spareMm` DOUBLE PRECISION, `purpose` VARCHAR(16) NOT NULL DEFAULT 'hem', `oldHem` JSON, `joined` VARCHAR(16), `pair` VARCHAR(16) NOT NULL DEFAULT 'alone', `depthMm` DOUBLE PRECISION, `secondEdge` TEXT, `seamAllowanceMm` DOUBLE PRECISION, form JSON);
INSERT INTO edges VALUES('e',1,'2026-01-01','2026-01-01','p','Old edge','skirt','c','straight',900.0,NULL,NULL,NULL,'[]',0,NULL,'hem',NULL,NULL,'alone',NULL,NULL,NULL,'{"kind":"flare","by":"fraction","fraction":0.5}');
INSERT INTO edges VALUES('seam',1,'2026-01-01','2026-01-01','p','seam','','c','straight',420.0,NULL,NULL,NULL,'[]',0,NULL,'seam',NULL,NULL,'alone',NULL,'the other edge',12.0,NULL);
INSERT INTO edges VALUES('join',1,'2026-01-01','2026-01-01','p','join','','c','straight',420.0,NULL,NULL,NULL,'[]',0,NULL,'seam',NULL,NULL,'alone',NULL,'the other edge',6.0,NULL);
INSERT INTO edges VALUES('neck',1,'2026-01-01','2026-01-01','p','neck','','c','inside-curve',420.0,NULL,NULL,NULL,'[]',0,NULL,'opening',NULL,NULL,'alone',NULL,NULL,NULL,NULL);
INSERT INTO edges VALUES('edge',1,'2026-01-01','2026-01-01','p','edge','','c','tube',420.0,NULL,NULL,NULL,'[]',0,NULL,'allowance',NULL,NULL,'alone',NULL,NULL,NULL,NULL);
INSERT INTO edges VALUES('leg',1,'2026-01-01','2026-01-01','p','leg','','c','tube',420.0,NULL,NULL,NULL,'[]',0,NULL,'hem','{"depthMm":20,"sewn":"topstitched","keepLook":true}',NULL,'alone',NULL,NULL,NULL,NULL);
CREATE TABLE `feet` (`id` VARCHAR(64) PRIMARY KEY, `version` INTEGER NOT NULL, `createdAt` VARCHAR(32) NOT NULL, `updatedAt` VARCHAR(32) NOT NULL, `name` TEXT NOT NULL, `specs` JSON NOT NULL, `soleMm` JSON NOT NULL, `note` TEXT NOT NULL, `kind` VARCHAR(32) NOT NULL DEFAULT 'zigzag', `channelMm` DOUBLE PRECISION, `mouthMm` DOUBLE PRECISION, `stripMm` DOUBLE PRECISION, flangeMm JSON);
INSERT INTO feet VALUES('f',1,'2026-01-01','2026-01-01','Old foot','{"slotMm":[-4,4],"guidance":"blade","guide":{"atMm":0}}','{"widthMm":18,"toeMm":12,"heelMm":14}','','blind',NULL,NULL,NULL,NULL);
INSERT INTO feet VALUES('binder',1,'2026-01-01','2026-01-01','Old attachment','{"slotMm":[-3,3],"guidance":"edge","guide":{"atMm":2}}','{"widthMm":18,"toeMm":12,"heelMm":14}','','binder-attachment',NULL,44.0,40.0,NULL);
INSERT INTO feet VALUES('plain',1,'2026-01-01','2026-01-01','Old plain foot','{"slotMm":[-4,4],"guidance":"edge","guide":{"atMm":-2}}','{"widthMm":18,"toeMm":12,"heelMm":14}','','zigzag',NULL,NULL,NULL,NULL);
CREATE TABLE `machines` (`id` VARCHAR(64) PRIMARY KEY, `version` INTEGER NOT NULL, `createdAt` VARCHAR(32) NOT NULL, `updatedAt` VARCHAR(32) NOT NULL, `name` TEXT NOT NULL, `specs` JSON NOT NULL, `note` TEXT NOT NULL, "usual" JSON NOT NULL DEFAULT '{}', "memory" JSON NOT NULL DEFAULT '[]');
INSERT INTO machines VALUES('m',1,'2026-01-01','2026-01-01','Old machine','{}','','{"pressure":3}','[]');
CREATE TABLE `needles` (`id` VARCHAR(64) PRIMARY KEY, `version` INTEGER NOT NULL, `createdAt` VARCHAR(32) NOT NULL, `updatedAt` VARCHAR(32) NOT NULL, `name` TEXT NOT NULL, `note` TEXT NOT NULL, `size` DOUBLE PRECISION NOT NULL, `point` VARCHAR(32) NOT NULL, `left` INTEGER NOT NULL);
INSERT INTO needles VALUES('n',1,'2026-01-01','2026-01-01','Old needle','',80.0,'universal',3);
CREATE TABLE `photos` (`id` VARCHAR(64) PRIMARY KEY, `bytes` BLOB NOT NULL, `widthPx` INTEGER NOT NULL, `heightPx` INTEGER NOT NULL);
INSERT INTO photos VALUES('ab',X'ffd8ffd9',3,2);
CREATE TABLE `plans` (`id` VARCHAR(64) PRIMARY KEY, `version` INTEGER NOT NULL, `createdAt` VARCHAR(32) NOT NULL, `updatedAt` VARCHAR(32) NOT NULL, `edgeId` VARCHAR(64) NOT NULL REFERENCES `edges` (`id`) ON DELETE RESTRICT, `fold` JSON NOT NULL, `machineId` VARCHAR(64) NOT NULL REFERENCES `machines` (`id`) ON DELETE RESTRICT, `footId` VARCHAR(64) NOT NULL REFERENCES `feet` (`id`) ON DELETE RESTRICT, `stitch` JSON NOT NULL, `needleSize` DOUBLE PRECISION NOT NULL, `pickMm` DOUBLE PRECISION NOT NULL, `faultWeights` JSON NOT NULL, `settings` JSON, `keptAttemptId` VARCHAR(64), `schools` JSON NOT NULL DEFAULT '"{}"', `ticks` JSON NOT NULL DEFAULT '"[]"', `carryOver` TINYINT(1) NOT NULL DEFAULT 0, `finish` TEXT, `aim` VARCHAR(16) NOT NULL DEFAULT 'even', `thread` VARCHAR(16) NOT NULL DEFAULT 'matching', `threadColour` TEXT, `reference` TEXT, `stripClothId` TEXT, attachmentId TEXT, placing JSON, "took" JSON NOT NULL DEFAULT '{}');
INSERT INTO plans VALUES('plan',1,'2026-01-01','2026-01-01','e','{"variant":"flat"}','m','f','{}',80.0,1.0,'{"below":1,"above":1}',NULL,'kept','{}','[]',0,'blind-hem','even','matching',NULL,NULL,NULL,NULL,NULL,'{"fold":90}');
INSERT INTO plans VALUES('plan-seam',1,'2026-01-01','2026-01-01','seam','{"variant":"plain","seamAllowanceMm":12,"secondPassMm":6}','m','f','{}',80.0,1.0,'{"below":1,"above":1}',NULL,NULL,'{}','[]',0,'french-seam','even','matching',NULL,NULL,NULL,NULL,NULL,'{}');
INSERT INTO plans VALUES('plan-join',1,'2026-01-01','2026-01-01','join','{"variant":"join","seamAllowanceMm":6}','m','f','{}',80.0,1.0,'{"below":1,"above":1}',NULL,NULL,'{}','[]',0,'overcast','even','matching',NULL,NULL,NULL,NULL,NULL,'{}');
INSERT INTO plans VALUES('plan-neck',1,'2026-01-01','2026-01-01','neck','{"variant":"single-fold","depthMm":8}','m','f','{}',80.0,1.0,'{"below":1,"above":1}',NULL,NULL,'{}','[]',0,'bound','even','matching',NULL,NULL,NULL,NULL,NULL,'{}');
INSERT INTO plans VALUES('plan-edge',1,'2026-01-01','2026-01-01','edge','{"variant":"four-thread","seamAllowanceMm":10}','m','f','{}',80.0,1.0,'{"below":1,"above":1}',NULL,NULL,'{}','[]',0,'serged','even','matching',NULL,NULL,NULL,NULL,NULL,'{}');
INSERT INTO plans VALUES('plan-leg',1,'2026-01-01','2026-01-01','leg','{"variant":"seams","shortenMm":40,"depthMm":20}','m','f','{}',80.0,1.0,'{"below":1,"above":1}',NULL,NULL,'{}','[]',0,'kept-hem','even','matching',NULL,NULL,NULL,NULL,NULL,'{}');
INSERT INTO plans VALUES('plan-binder',1,'2026-01-01','2026-01-01','neck','{"variant":"single-fold","depthMm":8}','m','binder','{}',80.0,1.0,'{"below":1,"above":1}',NULL,NULL,'{}','[]',0,'bound','even','matching',NULL,NULL,NULL,NULL,NULL,'{}');
CREATE TABLE `preferences` (`id` VARCHAR(64) PRIMARY KEY, `version` INTEGER NOT NULL, `createdAt` VARCHAR(32) NOT NULL, `updatedAt` VARCHAR(32) NOT NULL, `unit` TEXT NOT NULL, `inchRounding` TEXT NOT NULL, `schools` JSON NOT NULL DEFAULT '"{}"', `acceptedPercent` DOUBLE PRECISION NOT NULL DEFAULT '2', "platesMm" JSON NOT NULL DEFAULT '[]');
INSERT INTO preferences VALUES('mine',3,'2026-01-01','2026-01-01','in','1/8','{}',2.0,'[]');
CREATE TABLE `projects` (`id` VARCHAR(64) PRIMARY KEY, `version` INTEGER NOT NULL, `createdAt` VARCHAR(32) NOT NULL, `updatedAt` VARCHAR(32) NOT NULL, `name` TEXT NOT NULL, `note` TEXT NOT NULL, "garment" JSON);
INSERT INTO projects VALUES('p',1,'2026-01-01','2026-01-01','Old project','',NULL);
CREATE TABLE IF NOT EXISTS "steps" ("changeId" INTEGER NOT NULL REFERENCES changes (id) ON DELETE CASCADE, "position" INTEGER NOT NULL, "table" VARCHAR(32) NOT NULL, "recordId" VARCHAR(64) NOT NULL, "before" JSON, "after" JSON);
INSERT INTO steps VALUES(1,0,'attempts','gone','{"id":"gone","version":1,"createdAt":"2026-01-01","updatedAt":"2026-01-01","planId":"plan","number":2,"settings":{},"counts":[],"note":"","setUp":{},"names":{}}',NULL);
CREATE TABLE `threads` (`id` VARCHAR(64) PRIMARY KEY, `version` INTEGER NOT NULL, `createdAt` VARCHAR(32) NOT NULL, `updatedAt` VARCHAR(32) NOT NULL, `name` TEXT NOT NULL, `note` TEXT NOT NULL, `use` VARCHAR(32) NOT NULL, `fibre` VARCHAR(64), `tex` DOUBLE PRECISION, `colour` TEXT NOT NULL DEFAULT '');
INSERT INTO threads VALUES('t',1,'2026-01-01','2026-01-01','Old thread','','sewing','polyester',27.0,'blue');
DELETE FROM sqlite_sequence;
INSERT INTO sqlite_sequence VALUES('changes',1);
CREATE INDEX `edges_project_id` ON `edges` (`projectId`);
CREATE INDEX `edges_cloth_id` ON `edges` (`clothId`);
CREATE INDEX `plans_edge_id` ON `plans` (`edgeId`);
CREATE INDEX `plans_machine_id` ON `plans` (`machineId`);
CREATE INDEX `plans_foot_id` ON `plans` (`footId`);
CREATE INDEX attempts_planId_number ON attempts (planId, number);
CREATE INDEX attempts_sewnOn_createdAt ON attempts (sewnOn, createdAt);
CREATE INDEX attempts_clothId_clothName ON attempts (clothId, clothName);
CREATE INDEX attempts_machineId_machineName ON attempts (machineId, machineName);
CREATE INDEX attempts_footId_footName ON attempts (footId, footName);
CREATE INDEX attempts_footId_sewnOn_createdAt ON attempts (footId, sewnOn, createdAt);
CREATE INDEX attempts_finish_verdict_sewnOn_createdAt ON attempts (finish, verdict, sewnOn, createdAt);
CREATE INDEX changes_by_undone ON "changes" ("by", undone, id);
CREATE INDEX changes_removal ON "changes" (removal, undone, at);
CREATE INDEX steps_change ON "steps" (changeId, "table", position);
CREATE INDEX attempts_looked_at ON attempts (sewnOn, createdAt, id, clothName, machineName, footName, note, finish, clothId, machineId, footId, verdict, faultShare, pinned);
CREATE INDEX attempts_createdAt_id ON attempts (createdAt, id);
COMMIT;
