CREATE TABLE `ink_demand` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`sha256` text NOT NULL,
	`profile` text NOT NULL,
	`stats` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE UNIQUE INDEX `ink_demand_once` ON `ink_demand` (`sha256`,`profile`);--> statement-breakpoint
CREATE TABLE `ink_event` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`printer_id` integer NOT NULL,
	`ink_id` integer,
	`kind` text NOT NULL,
	`day` text NOT NULL,
	`ml` real,
	`share` real,
	`first_fill` integer DEFAULT false NOT NULL,
	`times` real,
	`price_minor` integer,
	`currency` text NOT NULL,
	`undoes` integer,
	`note` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`printer_id`) REFERENCES `printer`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`ink_id`) REFERENCES `printer_ink`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `ink_event_of` ON `ink_event` (`printer_id`,`day`,`id`);--> statement-breakpoint
CREATE UNIQUE INDEX `ink_event_undone_once` ON `ink_event` (`undoes`);--> statement-breakpoint
CREATE TABLE `printer_ink` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`printer_id` integer NOT NULL,
	`name` text NOT NULL,
	`role` text NOT NULL,
	`papers` text NOT NULL,
	`ml` real NOT NULL,
	`price_minor` integer NOT NULL,
	`currency` text NOT NULL,
	FOREIGN KEY (`printer_id`) REFERENCES `printer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `printer_ink_of` ON `printer_ink` (`printer_id`,`id`);--> statement-breakpoint
CREATE TABLE `printer` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`route` text NOT NULL,
	`widest_mm` real NOT NULL,
	`takes` text NOT NULL,
	`margin_left_mm` real NOT NULL,
	`margin_right_mm` real NOT NULL,
	`margin_top_mm` real NOT NULL,
	`margin_bottom_mm` real NOT NULL,
	`supplier` text NOT NULL,
	`delivery_days` integer,
	`note` text NOT NULL,
	`created_at` text NOT NULL
);
--> statement-breakpoint
CREATE TRIGGER `ink_event_no_update` BEFORE UPDATE ON `ink_event` BEGIN SELECT RAISE(ABORT, 'ink_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `ink_event_no_delete` BEFORE DELETE ON `ink_event` BEGIN SELECT RAISE(ABORT, 'ink_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `ink_event_no_replace` BEFORE INSERT ON `ink_event` WHEN EXISTS (SELECT 1 FROM `ink_event` WHERE `id` = NEW.`id` OR `undoes` = NEW.`undoes`) BEGIN SELECT RAISE(ABORT, 'ink_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `ink_demand_no_update` BEFORE UPDATE ON `ink_demand` BEGIN SELECT RAISE(ABORT, 'ink_demand is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `ink_demand_no_delete` BEFORE DELETE ON `ink_demand` BEGIN SELECT RAISE(ABORT, 'ink_demand is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `ink_demand_no_replace` BEFORE INSERT ON `ink_demand` WHEN EXISTS (SELECT 1 FROM `ink_demand` WHERE `id` = NEW.`id` OR (`sha256` = NEW.`sha256` AND `profile` = NEW.`profile`)) BEGIN SELECT RAISE(ABORT, 'ink_demand is append-only'); END;
