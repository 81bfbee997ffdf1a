CREATE TABLE `price_ladder` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`work_id` integer NOT NULL,
	`terms` text NOT NULL,
	`currency` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `price_ladder_of` ON `price_ladder` (`work_id`,`id`);
--> statement-breakpoint
CREATE TRIGGER `price_ladder_no_update` BEFORE UPDATE ON `price_ladder` BEGIN SELECT RAISE(ABORT, 'price_ladder is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `price_ladder_no_delete` BEFORE DELETE ON `price_ladder` BEGIN SELECT RAISE(ABORT, 'price_ladder is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `price_ladder_no_replace` BEFORE INSERT ON `price_ladder` WHEN EXISTS (SELECT 1 FROM `price_ladder` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'price_ladder is append-only'); END;
