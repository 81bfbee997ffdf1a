ALTER TABLE `paper` ADD `permanence_years` integer;--> statement-breakpoint
ALTER TABLE `paper` ADD `permanence_source` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `paper` ADD `permanence_display` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `paper` ADD `acid_free` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `paper` ADD `scuffs` integer DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `paper` ADD `least_roll_mm` real;--> statement-breakpoint
ALTER TABLE `paper` ADD `supplier` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `paper` ADD `delivery_days` integer;