CREATE TABLE `lot_use` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`lot_id` integer NOT NULL,
	`amount` real NOT NULL,
	`kind` text NOT NULL,
	`entry_id` integer,
	`undoes` integer,
	`reason` text NOT NULL,
	`cost_minor` integer NOT NULL,
	`currency` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`lot_id`) REFERENCES `lot`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`entry_id`) REFERENCES `print_entry`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `lot_use_of` ON `lot_use` (`lot_id`,`id`);--> statement-breakpoint
CREATE INDEX `lot_use_entry` ON `lot_use` (`entry_id`);--> statement-breakpoint
CREATE UNIQUE INDEX `lot_use_undone_once` ON `lot_use` (`undoes`);--> statement-breakpoint
CREATE TABLE `lot` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`paper_id` integer NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`width_mm` real NOT NULL,
	`height_mm` real NOT NULL,
	`pieces` integer NOT NULL,
	`price_minor` integer NOT NULL,
	`currency` text NOT NULL,
	`supplier` text NOT NULL,
	`left_over` integer DEFAULT false NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`paper_id`) REFERENCES `paper`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `lot_of` ON `lot` (`paper_id`,`id`);--> statement-breakpoint
CREATE TABLE `lot_now` (
	`lot_id` integer PRIMARY KEY NOT NULL,
	`paper_id` integer NOT NULL,
	`kind` text NOT NULL,
	`left` real NOT NULL
);
--> statement-breakpoint
CREATE INDEX `lot_now_of` ON `lot_now` (`paper_id`);
--> statement-breakpoint
CREATE TRIGGER `lot_no_update` BEFORE UPDATE ON `lot` BEGIN SELECT RAISE(ABORT, 'lot is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `lot_no_delete` BEFORE DELETE ON `lot` BEGIN SELECT RAISE(ABORT, 'lot is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `lot_no_replace` BEFORE INSERT ON `lot` WHEN EXISTS (SELECT 1 FROM `lot` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'lot is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `lot_use_no_update` BEFORE UPDATE ON `lot_use` BEGIN SELECT RAISE(ABORT, 'lot_use is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `lot_use_no_delete` BEFORE DELETE ON `lot_use` BEGIN SELECT RAISE(ABORT, 'lot_use is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `lot_use_no_replace` BEFORE INSERT ON `lot_use` WHEN EXISTS (SELECT 1 FROM `lot_use` WHERE `id` = NEW.`id`) OR (NEW.`undoes` IS NOT NULL AND EXISTS (SELECT 1 FROM `lot_use` WHERE `undoes` = NEW.`undoes`)) BEGIN SELECT RAISE(ABORT, 'lot_use is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `lot_now_come` AFTER INSERT ON `lot`
BEGIN
  INSERT INTO lot_now (lot_id, paper_id, kind, `left`) VALUES (NEW.id, NEW.paper_id, NEW.kind,
    CASE NEW.kind WHEN 'roll' THEN NEW.height_mm ELSE NEW.pieces END);
END;
--> statement-breakpoint
CREATE TRIGGER `lot_now_used` AFTER INSERT ON `lot_use`
BEGIN
  UPDATE lot_now SET `left` = `left` - NEW.amount WHERE lot_id = NEW.lot_id;
END;
--> statement-breakpoint
INSERT INTO lot (paper_id, kind, name, width_mm, height_mm, pieces, price_minor, currency, supplier, at)
  SELECT p.id, 'sheet', 'before lots were kept', p.sheet_width_mm, p.sheet_height_mm, n.pieces, p.price_minor, p.currency, '',
    coalesce((SELECT max(m.at) FROM movement m WHERE m.`of` = 'paper' AND m.ref = p.id), p.created_at)
  FROM paper p JOIN stock_now n ON n.`of` = 'paper' AND n.ref = p.id WHERE n.pieces > 0;
