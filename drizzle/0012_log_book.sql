CREATE TABLE `print_entry` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`ref` integer NOT NULL,
	`what` text NOT NULL,
	`work_id` integer NOT NULL,
	`master_id` integer,
	`size_key` text,
	`recipe` text,
	`recipe_name` text NOT NULL,
	`factor` real,
	`source` text,
	`detail` real,
	`paper_id` integer,
	`paper` text NOT NULL,
	`base` text,
	`surface` text,
	`route` text NOT NULL,
	`setting` text NOT NULL,
	`cost_minor` integer,
	`at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`master_id`) REFERENCES `master`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `print_entry_of_work` ON `print_entry` (`work_id`,`id`);--> statement-breakpoint
CREATE INDEX `print_entry_ref` ON `print_entry` (`kind`,`ref`);--> statement-breakpoint
CREATE INDEX `print_entry_when` ON `print_entry` (`at`,`id`);--> statement-breakpoint
CREATE TABLE `print_opinion` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`entry_id` integer NOT NULL,
	`sharpness` integer,
	`grain` integer,
	`halos` integer,
	`tone` integer,
	`colour` integer,
	`remarks` text NOT NULL,
	`photograph` text,
	`at` text NOT NULL,
	FOREIGN KEY (`entry_id`) REFERENCES `print_entry`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `print_opinion_of` ON `print_opinion` (`entry_id`);
--> statement-breakpoint
CREATE TRIGGER `print_entry_no_update` BEFORE UPDATE ON `print_entry` BEGIN SELECT RAISE(ABORT, 'print_entry is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `print_entry_no_delete` BEFORE DELETE ON `print_entry` BEGIN SELECT RAISE(ABORT, 'print_entry is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `print_opinion_no_update` BEFORE UPDATE ON `print_opinion` BEGIN SELECT RAISE(ABORT, 'print_opinion is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `print_opinion_no_delete` BEFORE DELETE ON `print_opinion` BEGIN SELECT RAISE(ABORT, 'print_opinion is append-only'); END;
--> statement-breakpoint
-- Every word of an entry and of what was thought of it; kept by itself.
CREATE VIRTUAL TABLE `print_search` USING fts5(words, tokenize = "unicode61 remove_diacritics 2");
--> statement-breakpoint
CREATE TRIGGER `print_entry_words` AFTER INSERT ON `print_entry` BEGIN
  INSERT INTO print_search(rowid, words) VALUES (new.id, new.what || ' ' || (SELECT title || ' ' || artist || ' ' || medium FROM work WHERE id = new.work_id) || ' ' || coalesce(new.size_key, '') || ' ' || new.recipe_name || ' ' || new.paper || ' ' || coalesce(new.base, '') || ' ' || coalesce(new.surface, '') || ' ' || new.route || ' ' || new.setting || ' ' || coalesce(new.source, ''));
END;
--> statement-breakpoint
CREATE TRIGGER `print_opinion_words` AFTER INSERT ON `print_opinion` BEGIN
  UPDATE print_search SET words = words || ' ' || new.remarks WHERE rowid = new.entry_id;
END;
--> statement-breakpoint
-- What was made before there was a book of it.
INSERT INTO `print_entry` (`kind`, `ref`, `what`, `work_id`, `master_id`, `size_key`, `recipe`, `recipe_name`, `factor`, `source`, `detail`, `paper_id`, `paper`, `route`, `setting`, `at`)
SELECT 'printFile', f.id, f.name, f.work_id, f.master_id, f.size_key, f.recipe, '', f.factor, w.kind,
  (SELECT r.detail FROM reading r JOIN master m ON m.sha256 = r.sha256 WHERE m.id = f.master_id ORDER BY r.version DESC LIMIT 1),
  NULL, '', '', '', f.at
FROM print_file f JOIN work w ON w.id = f.work_id WHERE f.kind = 'print' ORDER BY f.id;
--> statement-breakpoint
INSERT INTO `print_entry` (`kind`, `ref`, `what`, `work_id`, `master_id`, `size_key`, `recipe`, `recipe_name`, `factor`, `source`, `detail`, `paper_id`, `paper`, `base`, `surface`, `route`, `setting`, `cost_minor`, `at`)
SELECT 'proofRound', p.id, 'proof round ' || p.round, p.work_id, f.master_id, p.size_key, f.recipe, '', f.factor, w.kind,
  (SELECT r.detail FROM reading r JOIN master m ON m.sha256 = r.sha256 WHERE m.id = f.master_id ORDER BY r.version DESC LIMIT 1),
  p.paper_id, a.name, a.base, a.surface, p.route, a.printer_setting, p.cost_minor, p.sent_at
FROM proof_round p JOIN work w ON w.id = p.work_id JOIN paper a ON a.id = p.paper_id
  LEFT JOIN print_file f ON f.id = (SELECT max(x.id) FROM print_file x WHERE x.work_id = p.work_id AND x.size_key = p.size_key AND x.at <= p.sent_at)
ORDER BY p.id;
