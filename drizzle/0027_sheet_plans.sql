CREATE TABLE `errand_sheet` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`errand_id` integer NOT NULL,
	`sheet_id` integer NOT NULL,
	`paper_id` integer,
	`quantity` integer NOT NULL,
	FOREIGN KEY (`errand_id`) REFERENCES `errand`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`sheet_id`) REFERENCES `sheet_file`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`paper_id`) REFERENCES `paper`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `errand_sheet_of` ON `errand_sheet` (`errand_id`);--> statement-breakpoint
CREATE INDEX `errand_sheet_file` ON `errand_sheet` (`sheet_id`);--> statement-breakpoint
CREATE TABLE `piece_fate` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`piece_id` integer NOT NULL,
	`kind` text NOT NULL,
	`seq` integer,
	`reason` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`piece_id`) REFERENCES `printed_piece`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `piece_fate_once` ON `piece_fate` (`piece_id`);--> statement-breakpoint
CREATE INDEX `piece_fate_seq` ON `piece_fate` (`seq`);--> statement-breakpoint
CREATE TABLE `printed_piece` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`printed_sheet_id` integer NOT NULL,
	`purpose` text NOT NULL,
	`work_id` integer,
	`size_key` text,
	`print_file_id` integer,
	`sheet_id` integer,
	`line_id` integer,
	`what` text NOT NULL,
	`entry_id` integer,
	`share` real NOT NULL,
	`cost_minor` integer NOT NULL,
	`currency` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`printed_sheet_id`) REFERENCES `printed_sheet`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`print_file_id`) REFERENCES `print_file`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`sheet_id`) REFERENCES `sheet_file`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`line_id`) REFERENCES `order_line`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`entry_id`) REFERENCES `print_entry`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `printed_piece_of` ON `printed_piece` (`printed_sheet_id`);--> statement-breakpoint
CREATE INDEX `printed_piece_work` ON `printed_piece` (`work_id`,`size_key`);--> statement-breakpoint
CREATE INDEX `printed_piece_line` ON `printed_piece` (`line_id`);--> statement-breakpoint
CREATE INDEX `printed_piece_entry` ON `printed_piece` (`entry_id`);--> statement-breakpoint
CREATE TABLE `printed_sheet` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`plan_id` integer NOT NULL,
	`lot_id` integer NOT NULL,
	`layout` text NOT NULL,
	`pieces` text NOT NULL,
	`spoiled` integer NOT NULL,
	`reason` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`plan_id`) REFERENCES `sheet_plan`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`lot_id`) REFERENCES `lot`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `printed_sheet_of` ON `printed_sheet` (`plan_id`,`id`);--> statement-breakpoint
CREATE TABLE `sheet_plan_state` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`plan_id` integer NOT NULL,
	`state` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`plan_id`) REFERENCES `sheet_plan`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sheet_plan_state_of` ON `sheet_plan_state` (`plan_id`,`id`);--> statement-breakpoint
CREATE TABLE `sheet_plan` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`paper_id` integer NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`paper_id`) REFERENCES `paper`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `sheet_plan_of` ON `sheet_plan` (`paper_id`,`id`);--> statement-breakpoint
CREATE TABLE `sheet_undone` (
	`printed_sheet_id` integer PRIMARY KEY NOT NULL,
	`reason` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`printed_sheet_id`) REFERENCES `printed_sheet`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
ALTER TABLE `lot_use` ADD `printed_sheet_id` integer;--> statement-breakpoint
CREATE INDEX `lot_use_sheet` ON `lot_use` (`printed_sheet_id`);--> statement-breakpoint
ALTER TABLE `lot` ADD `printed_sheet_id` integer;
--> statement-breakpoint
CREATE TRIGGER `sheet_plan_no_update` BEFORE UPDATE ON `sheet_plan` BEGIN SELECT RAISE(ABORT, 'sheet_plan is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `sheet_plan_no_delete` BEFORE DELETE ON `sheet_plan` BEGIN SELECT RAISE(ABORT, 'sheet_plan is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `sheet_plan_no_replace` BEFORE INSERT ON `sheet_plan` WHEN EXISTS (SELECT 1 FROM `sheet_plan` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'sheet_plan is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `sheet_plan_state_no_update` BEFORE UPDATE ON `sheet_plan_state` BEGIN SELECT RAISE(ABORT, 'sheet_plan_state is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `sheet_plan_state_no_delete` BEFORE DELETE ON `sheet_plan_state` BEGIN SELECT RAISE(ABORT, 'sheet_plan_state is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `sheet_plan_state_no_replace` BEFORE INSERT ON `sheet_plan_state` WHEN EXISTS (SELECT 1 FROM `sheet_plan_state` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'sheet_plan_state is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `printed_sheet_no_update` BEFORE UPDATE ON `printed_sheet` BEGIN SELECT RAISE(ABORT, 'printed_sheet is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `printed_sheet_no_delete` BEFORE DELETE ON `printed_sheet` BEGIN SELECT RAISE(ABORT, 'printed_sheet is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `printed_sheet_no_replace` BEFORE INSERT ON `printed_sheet` WHEN EXISTS (SELECT 1 FROM `printed_sheet` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'printed_sheet is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `printed_piece_no_update` BEFORE UPDATE ON `printed_piece` BEGIN SELECT RAISE(ABORT, 'printed_piece is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `printed_piece_no_delete` BEFORE DELETE ON `printed_piece` BEGIN SELECT RAISE(ABORT, 'printed_piece is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `printed_piece_no_replace` BEFORE INSERT ON `printed_piece` WHEN EXISTS (SELECT 1 FROM `printed_piece` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'printed_piece is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `errand_sheet_no_update` BEFORE UPDATE ON `errand_sheet` BEGIN SELECT RAISE(ABORT, 'errand_sheet is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `errand_sheet_no_delete` BEFORE DELETE ON `errand_sheet` BEGIN SELECT RAISE(ABORT, 'errand_sheet is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `errand_sheet_no_replace` BEFORE INSERT ON `errand_sheet` WHEN EXISTS (SELECT 1 FROM `errand_sheet` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'errand_sheet is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `piece_fate_no_update` BEFORE UPDATE ON `piece_fate` BEGIN SELECT RAISE(ABORT, 'piece_fate is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `piece_fate_no_delete` BEFORE DELETE ON `piece_fate` BEGIN SELECT RAISE(ABORT, 'piece_fate is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `piece_fate_no_replace` BEFORE INSERT ON `piece_fate` WHEN EXISTS (SELECT 1 FROM `piece_fate` WHERE `id` = NEW.`id` OR `piece_id` = NEW.`piece_id`) BEGIN SELECT RAISE(ABORT, 'piece_fate is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `sheet_undone_no_update` BEFORE UPDATE ON `sheet_undone` BEGIN SELECT RAISE(ABORT, 'sheet_undone is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `sheet_undone_no_delete` BEFORE DELETE ON `sheet_undone` BEGIN SELECT RAISE(ABORT, 'sheet_undone is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `sheet_undone_no_replace` BEFORE INSERT ON `sheet_undone` WHEN EXISTS (SELECT 1 FROM `sheet_undone` WHERE `printed_sheet_id` = NEW.`printed_sheet_id`) BEGIN SELECT RAISE(ABORT, 'sheet_undone is append-only'); END;
