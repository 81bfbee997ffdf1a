CREATE TABLE `paper_note` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`paper_id` integer NOT NULL,
	`station` text NOT NULL,
	`tried_for` text NOT NULL,
	`printed` text NOT NULL,
	`setting` text NOT NULL,
	`words` text NOT NULL,
	`photograph` text,
	`day` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`paper_id`) REFERENCES `paper`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `paper_note_of` ON `paper_note` (`paper_id`,`day`,`id`);--> statement-breakpoint
ALTER TABLE `material` ADD `supplier` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `material` ADD `delivery_days` integer;
--> statement-breakpoint
CREATE TRIGGER `paper_note_no_update` BEFORE UPDATE ON `paper_note` BEGIN SELECT RAISE(ABORT, 'paper_note is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `paper_note_no_delete` BEFORE DELETE ON `paper_note` BEGIN SELECT RAISE(ABORT, 'paper_note is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `paper_note_no_replace` BEFORE INSERT ON `paper_note` WHEN EXISTS (SELECT 1 FROM `paper_note` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'paper_note is append-only'); END;
