ALTER TABLE `paper` ADD `discontinued_at` text;--> statement-breakpoint
ALTER TABLE `paper` ADD `replacement_id` integer;