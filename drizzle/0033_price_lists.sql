CREATE TABLE `price_list` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`list` text NOT NULL,
	`currency` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `price_list_named` ON `price_list` (`name`,`id`);--> statement-breakpoint
CREATE TRIGGER `price_list_no_update` BEFORE UPDATE ON `price_list` BEGIN SELECT RAISE(ABORT, 'price_list is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `price_list_no_delete` BEFORE DELETE ON `price_list` BEGIN SELECT RAISE(ABORT, 'price_list is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `price_list_no_replace` BEFORE INSERT ON `price_list` WHEN EXISTS (SELECT 1 FROM `price_list` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'price_list is append-only'); END;
