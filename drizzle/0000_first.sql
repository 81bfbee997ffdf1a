CREATE TABLE `customer` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`street` text NOT NULL,
	`town` text NOT NULL,
	`country` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `document` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`order_id` integer NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`sha256` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`order_id`) REFERENCES `orders`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `edition` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`work_id` integer NOT NULL,
	`size_key` text NOT NULL,
	`created_at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `edition_once` ON `edition` (`work_id`,`size_key`);--> statement-breakpoint
CREATE TABLE `file` (
	`sha256` text PRIMARY KEY NOT NULL,
	`bytes` integer NOT NULL,
	`format` text NOT NULL,
	`width_px` integer NOT NULL,
	`height_px` integer NOT NULL,
	`bits` integer NOT NULL,
	`channels` integer NOT NULL,
	`colour_model` text NOT NULL,
	`ppi_tag` real,
	`icc_description` text,
	`orientation` integer NOT NULL,
	`stored_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `finish` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`work_id` integer NOT NULL,
	`size_key` text NOT NULL,
	`input` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `finish_of_work` ON `finish` (`work_id`);--> statement-breakpoint
CREATE TABLE `job` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`work_id` integer NOT NULL,
	`state` text NOT NULL,
	`stage` text NOT NULL,
	`error` text,
	`at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `ledger` (
	`seq` integer PRIMARY KEY NOT NULL,
	`edition_id` integer NOT NULL,
	`kind` text NOT NULL,
	`series` text,
	`number` integer,
	`at` text NOT NULL,
	`payload` text NOT NULL,
	`previous_hash` text NOT NULL,
	`hash` text NOT NULL,
	FOREIGN KEY (`edition_id`) REFERENCES `edition`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `ledger_previous_hash_unique` ON `ledger` (`previous_hash`);--> statement-breakpoint
CREATE UNIQUE INDEX `ledger_hash_unique` ON `ledger` (`hash`);--> statement-breakpoint
CREATE INDEX `ledger_of_edition` ON `ledger` (`edition_id`,`seq`);--> statement-breakpoint
CREATE TABLE `log_line` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`at` text NOT NULL,
	`what` text NOT NULL,
	`work_id` integer,
	`size_key` text,
	`edition_id` integer,
	`series` text,
	`impression` integer,
	`order_id` integer,
	`detail` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `log_of_work` ON `log_line` (`work_id`);--> statement-breakpoint
CREATE INDEX `log_of_impression` ON `log_line` (`edition_id`,`series`,`impression`);--> statement-breakpoint
CREATE TABLE `master` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`work_id` integer NOT NULL,
	`sha256` text NOT NULL,
	`name` text NOT NULL,
	`assumed_space` text,
	`at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`sha256`) REFERENCES `file`(`sha256`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `master_of_work` ON `master` (`work_id`);--> statement-breakpoint
CREATE TABLE `material` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`width_mm` real NOT NULL,
	`height_mm` real NOT NULL,
	`thickness_mm` real NOT NULL,
	`mass_g` real NOT NULL,
	`cost_minor` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `movement` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`of` text NOT NULL,
	`ref` integer NOT NULL,
	`pieces` integer NOT NULL,
	`reason` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `movement_of` ON `movement` (`of`,`ref`);--> statement-breakpoint
CREATE TABLE `order_event` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`order_id` integer NOT NULL,
	`kind` text NOT NULL,
	`payload` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`order_id`) REFERENCES `orders`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `order_event_of` ON `order_event` (`order_id`);--> statement-breakpoint
CREATE TABLE `orders` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`number` text NOT NULL,
	`customer_id` integer NOT NULL,
	`work_id` integer NOT NULL,
	`size_key` text NOT NULL,
	`paper_id` integer NOT NULL,
	`edition_id` integer NOT NULL,
	`series` text NOT NULL,
	`impression` integer NOT NULL,
	`channel` text NOT NULL,
	`price_minor` integer NOT NULL,
	`placed_at` text NOT NULL,
	`due_on` text NOT NULL,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`paper_id`) REFERENCES `paper`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`edition_id`) REFERENCES `edition`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `orders_number_unique` ON `orders` (`number`);--> statement-breakpoint
CREATE INDEX `order_of_work` ON `orders` (`work_id`);--> statement-breakpoint
CREATE INDEX `order_due` ON `orders` (`due_on`);--> statement-breakpoint
CREATE TABLE `paper` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`maker` text NOT NULL,
	`base` text NOT NULL,
	`surface` text NOT NULL,
	`weight_gsm` real NOT NULL,
	`thickness_mm` real NOT NULL,
	`sheet_width_mm` real NOT NULL,
	`sheet_height_mm` real NOT NULL,
	`price_minor` integer NOT NULL,
	`reorder_point` integer NOT NULL,
	`printer_setting` text NOT NULL,
	`permanence` text NOT NULL,
	`note` text NOT NULL,
	`created_at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `price` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`work_id` integer NOT NULL,
	`size_key` text NOT NULL,
	`channel` text NOT NULL,
	`input` text NOT NULL,
	`cost_minor` integer NOT NULL,
	`fees_minor` integer NOT NULL,
	`price_minor` integer NOT NULL,
	`net_minor` integer NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `price_of_work` ON `price` (`work_id`);--> statement-breakpoint
CREATE TABLE `print_file` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`work_id` integer NOT NULL,
	`size_key` text NOT NULL,
	`master_id` integer NOT NULL,
	`version` integer NOT NULL,
	`name` text NOT NULL,
	`sha256` text NOT NULL,
	`bytes` integer NOT NULL,
	`width_px` integer NOT NULL,
	`height_px` integer NOT NULL,
	`recipe` text NOT NULL,
	`checks` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`master_id`) REFERENCES `master`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `print_file_of_work` ON `print_file` (`work_id`);--> statement-breakpoint
CREATE TABLE `proof_return` (
	`round_id` integer PRIMARY KEY NOT NULL,
	`seen` text NOT NULL,
	`to_change` text NOT NULL,
	`verdict` text NOT NULL,
	`back_at` text NOT NULL,
	FOREIGN KEY (`round_id`) REFERENCES `proof_round`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `proof_round` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`work_id` integer NOT NULL,
	`size_key` text NOT NULL,
	`paper_id` integer NOT NULL,
	`round` integer NOT NULL,
	`route` text NOT NULL,
	`print_file_id` integer,
	`cost_minor` integer NOT NULL,
	`remarks` text NOT NULL,
	`sent_at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`paper_id`) REFERENCES `paper`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`print_file_id`) REFERENCES `print_file`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `proof_round_once` ON `proof_round` (`work_id`,`size_key`,`paper_id`,`round`);--> statement-breakpoint
CREATE TABLE `setting` (
	`key` text PRIMARY KEY NOT NULL,
	`value` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `size_event` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`work_id` integer NOT NULL,
	`size_key` text NOT NULL,
	`kind` text NOT NULL,
	`fit` text NOT NULL,
	`border_mm` real NOT NULL,
	`reason` text,
	`at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `size_event_of_work` ON `size_event` (`work_id`);--> statement-breakpoint
CREATE TABLE `work` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`title` text NOT NULL,
	`artist` text NOT NULL,
	`year` integer NOT NULL,
	`kind` text NOT NULL,
	`medium` text NOT NULL,
	`width_mm` real NOT NULL,
	`height_mm` real NOT NULL,
	`price_minor` integer NOT NULL,
	`created_at` text NOT NULL
);
