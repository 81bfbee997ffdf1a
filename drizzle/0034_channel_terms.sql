CREATE TABLE `channel_terms` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`channel` text NOT NULL,
	`terms` text NOT NULL,
	`currency` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `channel_terms_of` ON `channel_terms` (`channel`,`id`);--> statement-breakpoint
CREATE TRIGGER `channel_terms_no_update` BEFORE UPDATE ON `channel_terms` BEGIN SELECT RAISE(ABORT, 'channel_terms is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `channel_terms_no_delete` BEFORE DELETE ON `channel_terms` BEGIN SELECT RAISE(ABORT, 'channel_terms is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `channel_terms_no_replace` BEFORE INSERT ON `channel_terms` WHEN EXISTS (SELECT 1 FROM `channel_terms` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'channel_terms is append-only'); END;
