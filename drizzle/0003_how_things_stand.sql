CREATE TABLE `edition_now` (
	`edition_id` integer PRIMARY KEY NOT NULL,
	`kind` text NOT NULL,
	`size` integer NOT NULL,
	`artists_proofs` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `impression_now` (
	`edition_id` integer NOT NULL,
	`series` text NOT NULL,
	`number` integer NOT NULL,
	`state` text NOT NULL,
	`printing` integer NOT NULL,
	`order_number` text,
	PRIMARY KEY(`edition_id`, `series`, `number`)
);
--> statement-breakpoint
CREATE INDEX `impression_state` ON `impression_now` (`state`,`edition_id`,`series`,`number`);--> statement-breakpoint
CREATE INDEX `impression_number` ON `impression_now` (`number`);--> statement-breakpoint
CREATE TABLE `master_now` (
	`work_id` integer PRIMARY KEY NOT NULL,
	`master_id` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `order_now` (
	`order_id` integer PRIMARY KEY NOT NULL,
	`due_on` text NOT NULL,
	`sealed` integer NOT NULL,
	`shipped_at` text,
	`postage_minor` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `order_now_shipped` ON `order_now` (`shipped_at`,`due_on`);--> statement-breakpoint
CREATE TABLE `price_now` (
	`work_id` integer NOT NULL,
	`size_key` text NOT NULL,
	`price_id` integer NOT NULL,
	PRIMARY KEY(`work_id`, `size_key`)
);
--> statement-breakpoint
CREATE TABLE `proof_out` (
	`round_id` integer PRIMARY KEY NOT NULL
);
--> statement-breakpoint
CREATE TABLE `size_now` (
	`work_id` integer NOT NULL,
	`size_key` text NOT NULL,
	`event_id` integer NOT NULL,
	`kind` text NOT NULL,
	PRIMARY KEY(`work_id`, `size_key`)
);
--> statement-breakpoint
CREATE TABLE `stock_now` (
	`of` text NOT NULL,
	`ref` integer NOT NULL,
	`pieces` integer NOT NULL,
	PRIMARY KEY(`of`, `ref`)
);
--> statement-breakpoint
DROP INDEX `price_of_work`;--> statement-breakpoint
CREATE INDEX `price_of_size` ON `price` (`work_id`,`size_key`,`id`);--> statement-breakpoint
DROP INDEX `log_of_work`;--> statement-breakpoint
CREATE INDEX `log_in_order` ON `log_line` (`at`,`id`);--> statement-breakpoint
CREATE INDEX `log_of_work` ON `log_line` (`work_id`,`at`,`id`);--> statement-breakpoint
CREATE INDEX `customer_name` ON `customer` (`name`);--> statement-breakpoint
CREATE INDEX `master_file` ON `master` (`sha256`);--> statement-breakpoint
CREATE INDEX `order_price` ON `orders` (`price_minor`);--> statement-breakpoint
CREATE INDEX `order_placed` ON `orders` (`placed_at`);--> statement-breakpoint
CREATE INDEX `order_customer` ON `orders` (`customer_id`);--> statement-breakpoint
CREATE INDEX `print_file_bytes` ON `print_file` (`sha256`);--> statement-breakpoint
CREATE INDEX `work_title` ON `work` (`title`);