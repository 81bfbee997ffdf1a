ALTER TABLE `paper` ADD `brightened` text DEFAULT 'not known' NOT NULL;--> statement-breakpoint
ALTER TABLE `paper` ADD `grain` text DEFAULT 'not known' NOT NULL;--> statement-breakpoint
ALTER TABLE `paper` ADD `signed_with` text DEFAULT 'not known' NOT NULL;