CREATE TABLE `profile` (
	`sha256` text PRIMARY KEY NOT NULL,
	`name` text NOT NULL,
	`device_class` text NOT NULL,
	`space` text NOT NULL,
	`bytes` integer NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `recipe` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`version` integer NOT NULL,
	`recipe` text NOT NULL,
	`remarks` text NOT NULL,
	`from_id` integer,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `recipe_once` ON `recipe` (`name`,`version`);--> statement-breakpoint
CREATE TABLE `sheet_file` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`work_id` integer NOT NULL,
	`kind` text NOT NULL,
	`master_id` integer NOT NULL,
	`name` text NOT NULL,
	`sha256` text NOT NULL,
	`pdf_sha256` text NOT NULL,
	`bytes` integer NOT NULL,
	`width_px` integer NOT NULL,
	`height_px` integer NOT NULL,
	`ppi` integer NOT NULL,
	`content` text NOT NULL,
	`checks` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`master_id`) REFERENCES `master`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sheet_file_of_work` ON `sheet_file` (`work_id`);--> statement-breakpoint
CREATE INDEX `sheet_file_bytes` ON `sheet_file` (`sha256`);--> statement-breakpoint
ALTER TABLE `print_file` ADD `kind` text DEFAULT 'print' NOT NULL;--> statement-breakpoint
ALTER TABLE `print_file` ADD `channels` integer DEFAULT 3 NOT NULL;--> statement-breakpoint
ALTER TABLE `print_file` ADD `factor` real DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `print_file` ADD `recipe_id` integer REFERENCES recipe(id);
--> statement-breakpoint
-- A recipe becomes a list of steps; every number of it is kept.
DROP TRIGGER `print_file_no_update`;
--> statement-breakpoint
UPDATE `print_file` SET `factor` = `recipe` ->> '$.resample.factor', `recipe` = json_object(
  'steps', json_array(
    json_object('kind', 'capture', 'on', json('false'), 'amount', 50, 'radius', 0.7, 'threshold', 3, 'noise', 0, 'grain', 2),
    json_object('kind', 'adjust', 'on', json('false'), 'lightness', 0, 'contrast', 0, 'warmth', 0, 'saturation', 0),
    json_object('kind', 'resample', 'on', json('true'), 'kernel', json(`recipe` -> '$.resample.kernel'), 'ppi', json(`recipe` -> '$.ppi')),
    json_object('kind', 'output', 'on', json('true'), 'amount', json(`recipe` -> '$.outputSharpen.amount'), 'radius', json(`recipe` -> '$.outputSharpen.radius'), 'threshold', json(`recipe` -> '$.outputSharpen.threshold'))),
  'marks', json('false'),
  'convert', json_object('target', json(`recipe` -> '$.convert.space'), 'intent', json(`recipe` -> '$.convert.intent'), 'blackPoint', json(`recipe` -> '$.convert.blackPoint')),
  'file', json_object('bits', 8, 'format', 'tiff', 'compression', 'none', 'quality', 92, 'name', '{size}_{title}_{ppi}ppi_v{version}'));
--> statement-breakpoint
CREATE TRIGGER `print_file_no_update` BEFORE UPDATE ON `print_file` BEGIN SELECT RAISE(ABORT, 'print_file is append-only'); END;
--> statement-breakpoint
UPDATE `job` SET `spec` = json_set(`spec`, '$.recipe', json_object(
  'steps', json_array(
    json_object('kind', 'capture', 'on', json('false'), 'amount', 50, 'radius', 0.7, 'threshold', 3, 'noise', 0, 'grain', 2),
    json_object('kind', 'adjust', 'on', json('false'), 'lightness', 0, 'contrast', 0, 'warmth', 0, 'saturation', 0),
    json_object('kind', 'resample', 'on', json('true'), 'kernel', json(`spec` -> '$.recipe.resample.kernel'), 'ppi', json(`spec` -> '$.recipe.ppi')),
    json_object('kind', 'output', 'on', json('true'), 'amount', json(`spec` -> '$.recipe.outputSharpen.amount'), 'radius', json(`spec` -> '$.recipe.outputSharpen.radius'), 'threshold', json(`spec` -> '$.recipe.outputSharpen.threshold'))),
  'marks', json('false'),
  'convert', json_object('target', json(`spec` -> '$.recipe.convert.space'), 'intent', json(`spec` -> '$.recipe.convert.intent'), 'blackPoint', json(`spec` -> '$.recipe.convert.blackPoint')),
  'file', json_object('bits', 8, 'format', 'tiff', 'compression', 'none', 'quality', 92, 'name', '{size}_{title}_{ppi}ppi_v{version}'))) WHERE `kind` = 'printFile';
--> statement-breakpoint
CREATE TRIGGER `recipe_no_update` BEFORE UPDATE ON `recipe` BEGIN SELECT RAISE(ABORT, 'recipe is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `recipe_no_delete` BEFORE DELETE ON `recipe` BEGIN SELECT RAISE(ABORT, 'recipe is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `profile_no_update` BEFORE UPDATE ON `profile` BEGIN SELECT RAISE(ABORT, 'profile is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `profile_no_delete` BEFORE DELETE ON `profile` BEGIN SELECT RAISE(ABORT, 'profile is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `sheet_file_no_update` BEFORE UPDATE ON `sheet_file` BEGIN SELECT RAISE(ABORT, 'sheet_file is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `sheet_file_no_delete` BEFORE DELETE ON `sheet_file` BEGIN SELECT RAISE(ABORT, 'sheet_file is append-only'); END;
