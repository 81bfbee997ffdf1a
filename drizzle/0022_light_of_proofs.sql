CREATE TABLE `light_set_up` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`lux` real NOT NULL,
	`reflectance` real NOT NULL,
	`luminance_cd_m2` real,
	`light_kelvin` integer,
	`screen_kelvin` integer,
	`surround` text NOT NULL,
	`calibrated_on` text,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE TRIGGER `light_set_up_no_update` BEFORE UPDATE ON `light_set_up` BEGIN SELECT RAISE(ABORT, 'light_set_up is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `light_set_up_no_delete` BEFORE DELETE ON `light_set_up` BEGIN SELECT RAISE(ABORT, 'light_set_up is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `light_set_up_no_replace` BEFORE INSERT ON `light_set_up` WHEN EXISTS (SELECT 1 FROM `light_set_up` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'light_set_up is append-only'); END;
