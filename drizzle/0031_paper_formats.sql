CREATE TABLE `paper_format` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`paper_id` integer NOT NULL,
	`kind` text NOT NULL,
	`width_mm` real NOT NULL,
	`height_mm` real NOT NULL,
	`core_mm` real,
	`price_minor` integer NOT NULL,
	`currency` text NOT NULL,
	`supplier` text NOT NULL,
	`sold` integer NOT NULL,
	`day` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`paper_id`) REFERENCES `paper`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `paper_format_of` ON `paper_format` (`paper_id`,`day`,`id`);--> statement-breakpoint
ALTER TABLE `paper` ADD `price_on` text;--> statement-breakpoint
ALTER TABLE `profile_use` ADD `stand_in` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `lot` ADD `core_mm` real;--> statement-breakpoint
ALTER TABLE `printer` ADD `core_from_mm` real;--> statement-breakpoint
ALTER TABLE `printer` ADD `core_to_mm` real;
--> statement-breakpoint
CREATE TRIGGER `paper_format_no_update` BEFORE UPDATE ON `paper_format` BEGIN SELECT RAISE(ABORT, 'paper_format is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `paper_format_no_delete` BEFORE DELETE ON `paper_format` BEGIN SELECT RAISE(ABORT, 'paper_format is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `paper_format_no_replace` BEFORE INSERT ON `paper_format` WHEN EXISTS (SELECT 1 FROM `paper_format` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'paper_format is append-only'); END;
