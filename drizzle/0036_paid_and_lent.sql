CREATE TABLE `consigned_end` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`consigned_id` integer NOT NULL,
	`kind` text NOT NULL,
	`line_id` integer,
	`at` text NOT NULL,
	FOREIGN KEY (`consigned_id`) REFERENCES `consigned_print`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`line_id`) REFERENCES `order_line`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `consigned_end_consigned_id_unique` ON `consigned_end` (`consigned_id`);--> statement-breakpoint
CREATE TABLE `consigned_print` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`consignment_id` integer NOT NULL,
	`edition_id` integer NOT NULL,
	`series` text NOT NULL,
	`impression` integer NOT NULL,
	`price_minor` integer NOT NULL,
	`cost_minor` integer,
	`at` text NOT NULL,
	FOREIGN KEY (`consignment_id`) REFERENCES `consignment`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`edition_id`) REFERENCES `edition`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `consigned_print_of` ON `consigned_print` (`consignment_id`);--> statement-breakpoint
CREATE INDEX `consigned_print_number` ON `consigned_print` (`edition_id`,`series`,`impression`);--> statement-breakpoint
CREATE TABLE `consignment` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`number` text NOT NULL,
	`channel` text NOT NULL,
	`name` text NOT NULL,
	`street` text NOT NULL,
	`town` text NOT NULL,
	`country` text NOT NULL,
	`terms` text NOT NULL,
	`currency` text NOT NULL,
	`out_on` text NOT NULL,
	`fetch_on` text NOT NULL,
	`note` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `consignment_number_unique` ON `consignment` (`number`);--> statement-breakpoint
CREATE TABLE `expense` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`channel` text NOT NULL,
	`work_id` integer,
	`size_key` text,
	`on_day` text NOT NULL,
	`amount_minor` integer NOT NULL,
	`currency` text NOT NULL,
	`note` text NOT NULL,
	`takes_back` integer,
	`at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `expense_takes_back_unique` ON `expense` (`takes_back`);--> statement-breakpoint
CREATE INDEX `expense_of_work` ON `expense` (`work_id`,`id`);--> statement-breakpoint
CREATE TABLE `errand_arrival` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`errand_id` integer NOT NULL,
	`on_day` text NOT NULL,
	`cost_minor` integer NOT NULL,
	`currency` text NOT NULL,
	`faulty` integer NOT NULL,
	`note` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`errand_id`) REFERENCES `errand`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `errand_arrival_of` ON `errand_arrival` (`errand_id`);
--> statement-breakpoint
CREATE TRIGGER `expense_no_update` BEFORE UPDATE ON `expense` BEGIN SELECT RAISE(ABORT, 'expense is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `expense_no_delete` BEFORE DELETE ON `expense` BEGIN SELECT RAISE(ABORT, 'expense is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `expense_no_replace` BEFORE INSERT ON `expense` WHEN EXISTS (SELECT 1 FROM `expense` WHERE `id` = NEW.`id`) OR NEW.`takes_back` IS NOT NULL AND EXISTS (SELECT 1 FROM `expense` WHERE `takes_back` = NEW.`takes_back`) BEGIN SELECT RAISE(ABORT, 'expense is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `consignment_no_update` BEFORE UPDATE ON `consignment` BEGIN SELECT RAISE(ABORT, 'consignment is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `consignment_no_delete` BEFORE DELETE ON `consignment` BEGIN SELECT RAISE(ABORT, 'consignment is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `consignment_no_replace` BEFORE INSERT ON `consignment` WHEN EXISTS (SELECT 1 FROM `consignment` WHERE `id` = NEW.`id`) OR EXISTS (SELECT 1 FROM `consignment` WHERE `number` = NEW.`number`) BEGIN SELECT RAISE(ABORT, 'consignment is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `consigned_print_no_update` BEFORE UPDATE ON `consigned_print` BEGIN SELECT RAISE(ABORT, 'consigned_print is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `consigned_print_no_delete` BEFORE DELETE ON `consigned_print` BEGIN SELECT RAISE(ABORT, 'consigned_print is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `consigned_print_no_replace` BEFORE INSERT ON `consigned_print` WHEN EXISTS (SELECT 1 FROM `consigned_print` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'consigned_print is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `consigned_end_no_update` BEFORE UPDATE ON `consigned_end` BEGIN SELECT RAISE(ABORT, 'consigned_end is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `consigned_end_no_delete` BEFORE DELETE ON `consigned_end` BEGIN SELECT RAISE(ABORT, 'consigned_end is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `consigned_end_no_replace` BEFORE INSERT ON `consigned_end` WHEN EXISTS (SELECT 1 FROM `consigned_end` WHERE `id` = NEW.`id`) OR EXISTS (SELECT 1 FROM `consigned_end` WHERE `consigned_id` = NEW.`consigned_id`) BEGIN SELECT RAISE(ABORT, 'consigned_end is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `errand_arrival_no_update` BEFORE UPDATE ON `errand_arrival` BEGIN SELECT RAISE(ABORT, 'errand_arrival is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `errand_arrival_no_delete` BEFORE DELETE ON `errand_arrival` BEGIN SELECT RAISE(ABORT, 'errand_arrival is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `errand_arrival_no_replace` BEFORE INSERT ON `errand_arrival` WHEN EXISTS (SELECT 1 FROM `errand_arrival` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'errand_arrival is append-only'); END;