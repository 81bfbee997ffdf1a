CREATE TABLE `errand_answer` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`errand_id` integer NOT NULL,
	`answer` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`errand_id`) REFERENCES `errand`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `errand_answer_of` ON `errand_answer` (`errand_id`);--> statement-breakpoint
CREATE TABLE `errand_item` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`errand_id` integer NOT NULL,
	`print_file_id` integer NOT NULL,
	`paper_id` integer,
	`quantity` integer NOT NULL,
	FOREIGN KEY (`errand_id`) REFERENCES `errand`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`print_file_id`) REFERENCES `print_file`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`paper_id`) REFERENCES `paper`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `errand_item_of` ON `errand_item` (`errand_id`);--> statement-breakpoint
CREATE TABLE `errand` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`number` text NOT NULL,
	`route_id` integer NOT NULL,
	`work_id` integer NOT NULL,
	`folder` text NOT NULL,
	`manifest` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`route_id`) REFERENCES `route`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE UNIQUE INDEX `errand_number_unique` ON `errand` (`number`);--> statement-breakpoint
CREATE INDEX `errand_of_work` ON `errand` (`work_id`);--> statement-breakpoint
CREATE TABLE `route` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`name` text NOT NULL,
	`folder` text NOT NULL,
	`wants` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `route_named` ON `route` (`name`);
--> statement-breakpoint
CREATE TRIGGER `route_no_update` BEFORE UPDATE ON `route` BEGIN SELECT RAISE(ABORT, 'route is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `route_no_delete` BEFORE DELETE ON `route` BEGIN SELECT RAISE(ABORT, 'route is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `errand_no_update` BEFORE UPDATE ON `errand` BEGIN SELECT RAISE(ABORT, 'errand is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `errand_no_delete` BEFORE DELETE ON `errand` BEGIN SELECT RAISE(ABORT, 'errand is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `errand_item_no_update` BEFORE UPDATE ON `errand_item` BEGIN SELECT RAISE(ABORT, 'errand_item is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `errand_item_no_delete` BEFORE DELETE ON `errand_item` BEGIN SELECT RAISE(ABORT, 'errand_item is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `errand_answer_no_update` BEFORE UPDATE ON `errand_answer` BEGIN SELECT RAISE(ABORT, 'errand_answer is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `errand_answer_no_delete` BEFORE DELETE ON `errand_answer` BEGIN SELECT RAISE(ABORT, 'errand_answer is append-only'); END;
