PRAGMA foreign_keys=OFF;--> statement-breakpoint
CREATE TABLE `__new_job` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`work_id` integer,
	`spec` text DEFAULT '{}' NOT NULL,
	`state` text NOT NULL,
	`stage` text NOT NULL,
	`error` text,
	`at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_job`("id", "kind", "work_id", "spec", "state", "stage", "error", "at") SELECT "id", "kind", "work_id", '{}', "state", "stage", "error", "at" FROM `job`;--> statement-breakpoint
DROP TABLE `job`;--> statement-breakpoint
ALTER TABLE `__new_job` RENAME TO `job`;--> statement-breakpoint
PRAGMA foreign_keys=ON;--> statement-breakpoint
CREATE INDEX `job_of_work` ON `job` (`work_id`,`kind`,`id`);--> statement-breakpoint
CREATE INDEX `job_in_state` ON `job` (`state`);