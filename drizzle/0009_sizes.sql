CREATE TABLE `crop_choice` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`work_id` integer NOT NULL,
	`ratio` text NOT NULL,
	`choice` text,
	`picture` real NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `crop_choice_of_work` ON `crop_choice` (`work_id`,`ratio`);--> statement-breakpoint
CREATE TABLE `kept_area` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`work_id` integer NOT NULL,
	`area` text,
	`at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `kept_area_of_work` ON `kept_area` (`work_id`);--> statement-breakpoint
ALTER TABLE `size_event` ADD `layout` text NOT NULL DEFAULT '{}';--> statement-breakpoint
ALTER TABLE `size_event` ADD `judged` text;
--> statement-breakpoint
-- The way a size meets its sheet moves into one column; nothing of it is lost.
DROP TRIGGER `size_event_no_update`;
--> statement-breakpoint
UPDATE `size_event` SET `layout` = json_object('fit', `fit`, 'place', 'inside',
  'borders', json_object('above', `border_mm`, 'right', `border_mm`, 'below', `border_mm`, 'left', `border_mm`), 'bleed', 0, 'deckle', 0);
--> statement-breakpoint
CREATE TRIGGER `size_event_no_update` BEFORE UPDATE ON `size_event` BEGIN SELECT RAISE(ABORT, 'size_event is append-only'); END;
--> statement-breakpoint
ALTER TABLE `size_event` DROP COLUMN `fit`;--> statement-breakpoint
ALTER TABLE `size_event` DROP COLUMN `border_mm`;
--> statement-breakpoint
UPDATE `undo_step` SET `step` = json_set(`step`, '$.before', (
  SELECT json_group_array(json_object('sizeKey', value ->> 'sizeKey', 'kind', value ->> 'kind', 'layout', json_object('fit', value ->> 'fit', 'place', 'inside',
  'borders', json_object('above', value ->> 'border', 'right', value ->> 'border', 'below', value ->> 'border', 'left', value ->> 'border'), 'bleed', 0, 'deckle', 0)))
  FROM json_each(`step`, '$.before')
)) WHERE `step` ->> 'kind' = 'sizes';
--> statement-breakpoint
CREATE TRIGGER `crop_choice_no_update` BEFORE UPDATE ON `crop_choice` BEGIN SELECT RAISE(ABORT, 'crop_choice is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `crop_choice_no_delete` BEFORE DELETE ON `crop_choice` BEGIN SELECT RAISE(ABORT, 'crop_choice is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `kept_area_no_update` BEFORE UPDATE ON `kept_area` BEGIN SELECT RAISE(ABORT, 'kept_area is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `kept_area_no_delete` BEFORE DELETE ON `kept_area` BEGIN SELECT RAISE(ABORT, 'kept_area is append-only'); END;
