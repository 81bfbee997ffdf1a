ALTER TABLE `route` ADD `ink_set` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `proof_round` ADD `ink_set` text;