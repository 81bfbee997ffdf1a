CREATE TABLE `proof_photograph` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`round_id` integer NOT NULL,
	`sha256` text NOT NULL,
	`name` text NOT NULL,
	`width_px` integer NOT NULL,
	`height_px` integer NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`round_id`) REFERENCES `proof_round`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `proof_photograph_of` ON `proof_photograph` (`round_id`);--> statement-breakpoint
CREATE TABLE `proof_placing` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`photograph_id` integer NOT NULL,
	`proof` text NOT NULL,
	`original` text,
	`proof_at` text NOT NULL,
	`card` text,
	`by_hand` integer NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`photograph_id`) REFERENCES `proof_photograph`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `proof_placing_of` ON `proof_placing` (`photograph_id`);
--> statement-breakpoint
CREATE TRIGGER `proof_photograph_no_update` BEFORE UPDATE ON `proof_photograph` BEGIN SELECT RAISE(ABORT, 'proof_photograph is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `proof_photograph_no_delete` BEFORE DELETE ON `proof_photograph` BEGIN SELECT RAISE(ABORT, 'proof_photograph is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `proof_photograph_no_replace` BEFORE INSERT ON `proof_photograph` WHEN EXISTS (SELECT 1 FROM `proof_photograph` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'proof_photograph is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `proof_placing_no_update` BEFORE UPDATE ON `proof_placing` BEGIN SELECT RAISE(ABORT, 'proof_placing is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `proof_placing_no_delete` BEFORE DELETE ON `proof_placing` BEGIN SELECT RAISE(ABORT, 'proof_placing is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `proof_placing_no_replace` BEFORE INSERT ON `proof_placing` WHEN EXISTS (SELECT 1 FROM `proof_placing` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'proof_placing is append-only'); END;
