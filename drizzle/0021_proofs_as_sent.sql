CREATE TABLE `proof_customer` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`round_id` integer NOT NULL,
	`sent_on` text NOT NULL,
	`said` text NOT NULL,
	`agreed` integer NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`round_id`) REFERENCES `proof_round`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `proof_customer_of` ON `proof_customer` (`round_id`);--> statement-breakpoint
CREATE TABLE `proof_reading` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`round_id` integer NOT NULL,
	`patches` text NOT NULL,
	`source` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`round_id`) REFERENCES `proof_round`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `proof_reading_of` ON `proof_reading` (`round_id`);--> statement-breakpoint
ALTER TABLE `proof_return` ADD `light` text;--> statement-breakpoint
ALTER TABLE `proof_return` ADD `by_eye` text;--> statement-breakpoint
ALTER TABLE `proof_round` ADD `sheet_id` integer REFERENCES sheet_file(id);--> statement-breakpoint
ALTER TABLE `proof_round` ADD `master_id` integer REFERENCES master(id);--> statement-breakpoint
ALTER TABLE `proof_round` ADD `recipe` text;--> statement-breakpoint
ALTER TABLE `proof_round` ADD `profile_sha256` text REFERENCES profile(sha256);--> statement-breakpoint
ALTER TABLE `proof_round` ADD `intent` text;--> statement-breakpoint
ALTER TABLE `proof_round` ADD `black_point` integer;--> statement-breakpoint
ALTER TABLE `proof_round` ADD `setting` text;--> statement-breakpoint
ALTER TABLE `proof_round` ADD `lot` text;--> statement-breakpoint
ALTER TABLE `proof_round` ADD `due_on` text;--> statement-breakpoint
ALTER TABLE `proof_round` ADD `sending` text;--> statement-breakpoint
CREATE TRIGGER `proof_customer_no_update` BEFORE UPDATE ON `proof_customer` BEGIN SELECT RAISE(ABORT, 'proof_customer is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `proof_customer_no_delete` BEFORE DELETE ON `proof_customer` BEGIN SELECT RAISE(ABORT, 'proof_customer is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `proof_customer_no_replace` BEFORE INSERT ON `proof_customer` WHEN EXISTS (SELECT 1 FROM `proof_customer` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'proof_customer is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `proof_reading_no_update` BEFORE UPDATE ON `proof_reading` BEGIN SELECT RAISE(ABORT, 'proof_reading is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `proof_reading_no_delete` BEFORE DELETE ON `proof_reading` BEGIN SELECT RAISE(ABORT, 'proof_reading is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `proof_reading_no_replace` BEFORE INSERT ON `proof_reading` WHEN EXISTS (SELECT 1 FROM `proof_reading` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'proof_reading is append-only'); END;
