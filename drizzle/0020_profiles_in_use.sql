CREATE TABLE `profile_use` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`paper_id` integer NOT NULL,
	`printer` text NOT NULL,
	`setting` text NOT NULL,
	`sha256` text,
	`at` text NOT NULL,
	FOREIGN KEY (`paper_id`) REFERENCES `paper`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`sha256`) REFERENCES `profile`(`sha256`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `profile_use_of` ON `profile_use` (`paper_id`,`id`);--> statement-breakpoint
CREATE INDEX `profile_use_profile` ON `profile_use` (`sha256`);--> statement-breakpoint
CREATE TRIGGER `profile_use_no_update` BEFORE UPDATE ON `profile_use` BEGIN SELECT RAISE(ABORT, 'profile_use is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `profile_use_no_delete` BEFORE DELETE ON `profile_use` BEGIN SELECT RAISE(ABORT, 'profile_use is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `profile_use_no_replace` BEFORE INSERT ON `profile_use` WHEN EXISTS (SELECT 1 FROM `profile_use` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'profile_use is append-only'); END;
