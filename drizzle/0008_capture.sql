CREATE TABLE `board_shot` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`work_id` integer NOT NULL,
	`name` text NOT NULL,
	`sha256` text NOT NULL,
	`width_px` integer NOT NULL,
	`height_px` integer NOT NULL,
	`grid` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `board_shot_of_work` ON `board_shot` (`work_id`);--> statement-breakpoint
CREATE TABLE `device` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`width_mm` real,
	`height_mm` real,
	`pixels_across` integer,
	`pixels_down` integer,
	`nominal_ppi` real,
	`measured_ppi` real,
	`focal_length_mm` real,
	`memory_mb` integer
);
--> statement-breakpoint
CREATE TABLE `print_wish` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`work_id` integer NOT NULL,
	`width_mm` real NOT NULL,
	`height_mm` real NOT NULL,
	`ppi` real NOT NULL,
	`device_id` integer,
	`at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `print_wish_of_work` ON `print_wish` (`work_id`);--> statement-breakpoint
CREATE TABLE `reading` (
	`sha256` text NOT NULL,
	`version` integer NOT NULL,
	`detail` real,
	`reading` text NOT NULL,
	`at` text NOT NULL,
	PRIMARY KEY(`sha256`, `version`),
	FOREIGN KEY (`sha256`) REFERENCES `file`(`sha256`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `signature` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`work_id` integer NOT NULL,
	`present` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `signature_of_work` ON `signature` (`work_id`);--> statement-breakpoint
CREATE TABLE `speck_event` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`work_id` integer NOT NULL,
	`sha256` text NOT NULL,
	`x_px` real NOT NULL,
	`y_px` real NOT NULL,
	`diameter_px` real NOT NULL,
	`verdict` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`sha256`) REFERENCES `file`(`sha256`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `speck_event_of_work` ON `speck_event` (`work_id`);--> statement-breakpoint
ALTER TABLE `file` ADD `icc_remark` text;--> statement-breakpoint
ALTER TABLE `master` ADD `derivation` text;--> statement-breakpoint
ALTER TABLE `master` ADD `picture` text;
--> statement-breakpoint
CREATE TRIGGER `reading_no_update` BEFORE UPDATE ON `reading` BEGIN SELECT RAISE(ABORT, 'reading is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `reading_no_delete` BEFORE DELETE ON `reading` BEGIN SELECT RAISE(ABORT, 'reading is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `speck_event_no_update` BEFORE UPDATE ON `speck_event` BEGIN SELECT RAISE(ABORT, 'speck_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `speck_event_no_delete` BEFORE DELETE ON `speck_event` BEGIN SELECT RAISE(ABORT, 'speck_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `signature_no_update` BEFORE UPDATE ON `signature` BEGIN SELECT RAISE(ABORT, 'signature is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `signature_no_delete` BEFORE DELETE ON `signature` BEGIN SELECT RAISE(ABORT, 'signature is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `board_shot_no_update` BEFORE UPDATE ON `board_shot` BEGIN SELECT RAISE(ABORT, 'board_shot is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `board_shot_no_delete` BEFORE DELETE ON `board_shot` BEGIN SELECT RAISE(ABORT, 'board_shot is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `print_wish_no_update` BEFORE UPDATE ON `print_wish` BEGIN SELECT RAISE(ABORT, 'print_wish is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `print_wish_no_delete` BEFORE DELETE ON `print_wish` BEGIN SELECT RAISE(ABORT, 'print_wish is append-only'); END;
--> statement-breakpoint
-- Devices to begin with; changed, added to or taken out by the user.
INSERT INTO `device` (`kind`, `name`, `width_mm`, `height_mm`, `pixels_across`, `pixels_down`, `nominal_ppi`, `measured_ppi`, `focal_length_mm`, `memory_mb`) VALUES
  ('flatbed', 'A4 flatbed', 216, 297, NULL, NULL, 4800, NULL, NULL, NULL),
  ('flatbed', 'A3 flatbed', 310, 437, NULL, NULL, 2400, NULL, NULL, NULL),
  ('camera', '24 MP camera, 50 mm', 36, 24, 6000, 4000, NULL, NULL, 50, NULL),
  ('film', '6 x 7 film at 3200 ppi', 69.5, 56, NULL, NULL, 3200, NULL, NULL, NULL),
  ('digital', 'Tablet, 4 GB for layers', NULL, NULL, NULL, NULL, NULL, NULL, NULL, 4000);
