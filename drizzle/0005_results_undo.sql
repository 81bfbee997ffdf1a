CREATE TABLE `undo_step` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`at` text NOT NULL,
	`label` text NOT NULL,
	`step` text NOT NULL,
	`undone_at` text
);
--> statement-breakpoint
ALTER TABLE `job` ADD `result` text;--> statement-breakpoint
CREATE INDEX `job_of_kind` ON `job` (`kind`,`state`,`id`);