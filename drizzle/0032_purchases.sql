CREATE TABLE `purchase_end` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`purchase_id` integer NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`purchase_id`) REFERENCES `purchase`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `purchase_ended_once` ON `purchase_end` (`purchase_id`);--> statement-breakpoint
CREATE TABLE `purchase` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`ref` integer NOT NULL,
	`name` text NOT NULL,
	`quantity` integer NOT NULL,
	`supplier` text NOT NULL,
	`ordered_on` text NOT NULL,
	`comes_on` text,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `purchase_of` ON `purchase` (`kind`,`ref`,`id`);
--> statement-breakpoint
CREATE TRIGGER `purchase_no_update` BEFORE UPDATE ON `purchase` BEGIN SELECT RAISE(ABORT, 'purchase is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `purchase_no_delete` BEFORE DELETE ON `purchase` BEGIN SELECT RAISE(ABORT, 'purchase is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `purchase_no_replace` BEFORE INSERT ON `purchase` WHEN EXISTS (SELECT 1 FROM `purchase` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'purchase is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `purchase_end_no_update` BEFORE UPDATE ON `purchase_end` BEGIN SELECT RAISE(ABORT, 'purchase_end is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `purchase_end_no_delete` BEFORE DELETE ON `purchase_end` BEGIN SELECT RAISE(ABORT, 'purchase_end is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `purchase_end_no_replace` BEFORE INSERT ON `purchase_end` WHEN EXISTS (SELECT 1 FROM `purchase_end` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'purchase_end is append-only'); END;
