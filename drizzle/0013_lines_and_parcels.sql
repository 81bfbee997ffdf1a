DROP TRIGGER `edition_now_declared`;
--> statement-breakpoint
DROP TRIGGER `search_customer_edited`;
--> statement-breakpoint
DROP TRIGGER `search_order_new`;
--> statement-breakpoint
DROP TRIGGER `order_now_taken`;
--> statement-breakpoint
DROP TRIGGER `order_now_event`;
--> statement-breakpoint
DROP TRIGGER `print_entry_words`;
--> statement-breakpoint
DROP TRIGGER `print_opinion_words`;
--> statement-breakpoint
DROP TRIGGER `impression_now_ledger`;
--> statement-breakpoint
CREATE TABLE `sheet_item` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`sheet_id` integer NOT NULL,
	`work_id` integer NOT NULL,
	`master_id` integer NOT NULL,
	FOREIGN KEY (`sheet_id`) REFERENCES `sheet_file`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`master_id`) REFERENCES `master`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `entry_item` (
	`entry_id` integer NOT NULL,
	`work_id` integer NOT NULL,
	PRIMARY KEY(`entry_id`, `work_id`),
	FOREIGN KEY (`entry_id`) REFERENCES `print_entry`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `carried` (
	`step` text PRIMARY KEY NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `order_line` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`order_id` integer NOT NULL,
	`kind` text NOT NULL,
	`work_id` integer,
	`size_key` text,
	`paper_id` integer,
	`edition_id` integer,
	`series` text,
	`impression` integer,
	`name` text,
	`mass_g` real,
	`thickness_mm` real,
	`quantity` integer NOT NULL,
	`price_minor` integer NOT NULL,
	`currency` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`order_id`) REFERENCES `orders`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`paper_id`) REFERENCES `paper`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`edition_id`) REFERENCES `edition`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `parcel` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`order_id` integer NOT NULL,
	`place` integer NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`order_id`) REFERENCES `orders`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `sealed_parcel` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`parcel_id` integer NOT NULL,
	`carrier` text NOT NULL,
	`service` text NOT NULL,
	`tracking` text NOT NULL,
	`cost_minor` integer NOT NULL,
	`currency` text NOT NULL,
	`weighed_g` real,
	`contents` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`parcel_id`) REFERENCES `parcel`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `booking` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`parcel_id` integer NOT NULL,
	`carrier` text NOT NULL,
	`service` text NOT NULL,
	`reference` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`parcel_id`) REFERENCES `parcel`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `booking_event` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`booking_id` integer NOT NULL,
	`kind` text NOT NULL,
	`why` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`booking_id`) REFERENCES `booking`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `line_sale` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`line_id` integer NOT NULL,
	`cost_minor` integer,
	`fees_minor` integer,
	`postage_minor` integer NOT NULL,
	`basis` text NOT NULL,
	`currency` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`line_id`) REFERENCES `order_line`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `line_now` (
	`line_id` integer PRIMARY KEY NOT NULL,
	`order_id` integer NOT NULL,
	`work_id` integer,
	`size_key` text,
	`state` text NOT NULL,
	`price_minor` integer NOT NULL,
	`refund_minor` integer NOT NULL,
	`parcel_id` integer,
	`shipped_at` text
);
--> statement-breakpoint
CREATE TABLE `parcel_now` (
	`parcel_id` integer PRIMARY KEY NOT NULL,
	`order_id` integer NOT NULL,
	`sealed_id` integer,
	`shipped_at` text
);
--> statement-breakpoint
ALTER TABLE `work` ADD `currency` text DEFAULT 'EUR' NOT NULL;
--> statement-breakpoint
UPDATE `work` SET `currency` = coalesce((SELECT value ->> '$' FROM setting WHERE key = 'currency'), 'EUR');
--> statement-breakpoint
ALTER TABLE `paper` ADD `currency` text DEFAULT 'EUR' NOT NULL;
--> statement-breakpoint
UPDATE `paper` SET `currency` = coalesce((SELECT value ->> '$' FROM setting WHERE key = 'currency'), 'EUR');
--> statement-breakpoint
ALTER TABLE `material` ADD `currency` text DEFAULT 'EUR' NOT NULL;
--> statement-breakpoint
UPDATE `material` SET `currency` = coalesce((SELECT value ->> '$' FROM setting WHERE key = 'currency'), 'EUR');
--> statement-breakpoint
ALTER TABLE `price` ADD `currency` text DEFAULT 'EUR' NOT NULL;
--> statement-breakpoint
DROP TRIGGER `price_no_update`;
--> statement-breakpoint
UPDATE `price` SET `currency` = coalesce((SELECT value ->> '$' FROM setting WHERE key = 'currency'), 'EUR');
--> statement-breakpoint
CREATE TRIGGER `price_no_update` BEFORE UPDATE ON `price` BEGIN SELECT RAISE(ABORT, 'price is append-only'); END;
--> statement-breakpoint
ALTER TABLE `proof_round` ADD `currency` text DEFAULT 'EUR' NOT NULL;
--> statement-breakpoint
DROP TRIGGER `proof_round_no_update`;
--> statement-breakpoint
UPDATE `proof_round` SET `currency` = coalesce((SELECT value ->> '$' FROM setting WHERE key = 'currency'), 'EUR');
--> statement-breakpoint
CREATE TRIGGER `proof_round_no_update` BEFORE UPDATE ON `proof_round` BEGIN SELECT RAISE(ABORT, 'proof_round is append-only'); END;
--> statement-breakpoint
ALTER TABLE `material` ADD `reorder_point` integer DEFAULT 0 NOT NULL;
--> statement-breakpoint
UPDATE `setting` SET `key` = 'size' WHERE `key` = 'sizing';
--> statement-breakpoint
UPDATE `setting` SET `key` = 'pack' WHERE `key` = 'packing';
--> statement-breakpoint
INSERT INTO `sheet_item` (`sheet_id`, `work_id`, `master_id`) SELECT `id`, `work_id`, `master_id` FROM `sheet_file` ORDER BY `id`;
--> statement-breakpoint
CREATE TABLE `__new_errand` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`number` text NOT NULL,
	`route_id` integer NOT NULL,
	`folder` text NOT NULL,
	`manifest` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`route_id`) REFERENCES `route`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_errand`("id", "number", "route_id", "folder", "manifest", "at") SELECT "id", "number", "route_id", "folder", "manifest", "at" FROM `errand`;
--> statement-breakpoint
DROP TABLE `errand`;
--> statement-breakpoint
ALTER TABLE `__new_errand` RENAME TO `errand`;
--> statement-breakpoint
CREATE UNIQUE INDEX `errand_number_unique` ON `errand` (`number`);
--> statement-breakpoint
CREATE INDEX `errand_item_file` ON `errand_item` (`print_file_id`);
--> statement-breakpoint
CREATE TABLE `__new_sheet_file` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`name` text NOT NULL,
	`sha256` text NOT NULL,
	`pdf_sha256` text NOT NULL,
	`bytes` integer NOT NULL,
	`width_px` integer NOT NULL,
	`height_px` integer NOT NULL,
	`ppi` integer NOT NULL,
	`content` text NOT NULL,
	`checks` text NOT NULL,
	`at` text NOT NULL
);
--> statement-breakpoint
INSERT INTO `__new_sheet_file`("id", "kind", "name", "sha256", "pdf_sha256", "bytes", "width_px", "height_px", "ppi", "content", "checks", "at") SELECT "id", "kind", "name", "sha256", "pdf_sha256", "bytes", "width_px", "height_px", "ppi", "content", "checks", "at" FROM `sheet_file`;
--> statement-breakpoint
DROP TABLE `sheet_file`;
--> statement-breakpoint
ALTER TABLE `__new_sheet_file` RENAME TO `sheet_file`;
--> statement-breakpoint
CREATE INDEX `sheet_file_bytes` ON `sheet_file` (`sha256`);
--> statement-breakpoint
CREATE INDEX `sheet_item_of` ON `sheet_item` (`sheet_id`);
--> statement-breakpoint
CREATE INDEX `sheet_item_work` ON `sheet_item` (`work_id`);
--> statement-breakpoint
INSERT INTO `entry_item` (`entry_id`, `work_id`) SELECT `id`, `work_id` FROM `print_entry` ORDER BY `id`;
--> statement-breakpoint
CREATE INDEX `entry_item_work` ON `entry_item` (`work_id`,`entry_id`);
--> statement-breakpoint
CREATE TABLE `__new_print_entry` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`kind` text NOT NULL,
	`ref` integer NOT NULL,
	`what` text NOT NULL,
	`work_id` integer,
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
	`currency` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`work_id`) REFERENCES `work`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`master_id`) REFERENCES `master`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
INSERT INTO `__new_print_entry`("id", "kind", "ref", "what", "work_id", "master_id", "size_key", "recipe", "recipe_name", "factor", "source", "detail", "paper_id", "paper", "base", "surface", "route", "setting", "cost_minor", "currency", "at") SELECT "id", "kind", "ref", "what", "work_id", "master_id", "size_key", "recipe", "recipe_name", "factor", "source", "detail", "paper_id", "paper", "base", "surface", "route", "setting", "cost_minor", coalesce((SELECT value ->> '$' FROM setting WHERE key = 'currency'), 'EUR'), "at" FROM `print_entry`;
--> statement-breakpoint
DROP TABLE `print_entry`;
--> statement-breakpoint
ALTER TABLE `__new_print_entry` RENAME TO `print_entry`;
--> statement-breakpoint
CREATE INDEX `print_entry_ref` ON `print_entry` (`kind`,`ref`);
--> statement-breakpoint
CREATE INDEX `print_entry_when` ON `print_entry` (`at`,`id`);
--> statement-breakpoint
-- The words of an entry; those of its works come with them, one by one.
CREATE TRIGGER `print_entry_words` AFTER INSERT ON `print_entry` BEGIN
  INSERT INTO print_search(rowid, words) VALUES (new.id, new.what || ' ' || coalesce(new.size_key, '') || ' ' || new.recipe_name || ' ' || new.paper || ' ' || coalesce(new.base, '') || ' ' || coalesce(new.surface, '') || ' ' || new.route || ' ' || new.setting || ' ' || coalesce(new.source, ''));
END;
--> statement-breakpoint
CREATE TRIGGER `entry_item_words` AFTER INSERT ON `entry_item` BEGIN
  UPDATE print_search SET words = words || ' ' || (SELECT title || ' ' || artist || ' ' || medium FROM work WHERE id = new.work_id) WHERE rowid = new.entry_id;
END;
--> statement-breakpoint
CREATE TRIGGER `print_opinion_words` AFTER INSERT ON `print_opinion` BEGIN
  UPDATE print_search SET words = words || ' ' || new.remarks WHERE rowid = new.entry_id;
END;
--> statement-breakpoint
ALTER TABLE `customer` ADD `key` text;
--> statement-breakpoint
ALTER TABLE `customer` ADD `merged_into` integer;
--> statement-breakpoint
CREATE UNIQUE INDEX `customer_key_unique` ON `customer` (`key`);
--> statement-breakpoint
CREATE INDEX `customer_listed` ON `customer` (lower(name),`id`);
--> statement-breakpoint
CREATE INDEX `customer_merged` ON `customer` (`merged_into`);
--> statement-breakpoint
ALTER TABLE `order_event` RENAME TO `order_event_before`;
--> statement-breakpoint
DROP TRIGGER `order_event_no_update`;
--> statement-breakpoint
DROP TRIGGER `order_event_no_delete`;
--> statement-breakpoint
DROP INDEX `order_event_of`;
--> statement-breakpoint
CREATE TABLE `order_event` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`order_id` integer NOT NULL,
	`line_id` integer,
	`parcel_id` integer,
	`kind` text NOT NULL,
	`payload` text NOT NULL,
	`at` text NOT NULL,
	FOREIGN KEY (`order_id`) REFERENCES `orders`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`line_id`) REFERENCES `order_line`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `order_event_of` ON `order_event` (`order_id`);
--> statement-breakpoint
CREATE TABLE `orders_before` AS SELECT * FROM `orders`;
--> statement-breakpoint
CREATE TABLE `__new_orders` (
	`id` integer PRIMARY KEY AUTOINCREMENT NOT NULL,
	`number` text NOT NULL,
	`customer_id` integer NOT NULL,
	`channel` text NOT NULL,
	`wish` text NOT NULL,
	`note` text NOT NULL,
	`extras` text NOT NULL,
	`placed_at` text NOT NULL,
	`due_on` text NOT NULL,
	FOREIGN KEY (`customer_id`) REFERENCES `customer`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
DROP TABLE `orders`;
--> statement-breakpoint
ALTER TABLE `__new_orders` RENAME TO `orders`;
--> statement-breakpoint
CREATE UNIQUE INDEX `orders_number_unique` ON `orders` (`number`);
--> statement-breakpoint
CREATE INDEX `order_due` ON `orders` (`due_on`);
--> statement-breakpoint
CREATE INDEX `order_placed` ON `orders` (`placed_at`);
--> statement-breakpoint
CREATE INDEX `order_customer` ON `orders` (`customer_id`);
--> statement-breakpoint
DROP TABLE `order_now`;
--> statement-breakpoint
CREATE TABLE `order_now` (
	`order_id` integer PRIMARY KEY NOT NULL,
	`state` text NOT NULL,
	`due_on` text NOT NULL,
	`lines` integer NOT NULL,
	`unsealed` integer NOT NULL,
	`unshipped` integer NOT NULL,
	`shipped_at` text,
	`cancelled_at` text,
	`price_minor` integer NOT NULL,
	`currency` text NOT NULL
);
--> statement-breakpoint
CREATE INDEX `order_now_state` ON `order_now` (`state`,`due_on`);
--> statement-breakpoint
CREATE INDEX `order_now_price` ON `order_now` (`price_minor`);
--> statement-breakpoint
CREATE INDEX `order_now_waiting` ON `order_now` (`due_on`) WHERE state IN ('open', 'sealed');
--> statement-breakpoint
ALTER TABLE `document` ADD `parcel_id` integer REFERENCES parcel(id);
--> statement-breakpoint
ALTER TABLE `document` ADD `line_id` integer REFERENCES order_line(id);
--> statement-breakpoint
DROP TRIGGER `document_no_update`;
--> statement-breakpoint
UPDATE `document` SET `parcel_id` = `order_id`, `line_id` = CASE `kind` WHEN 'certificate' THEN `order_id` END;
--> statement-breakpoint
CREATE TRIGGER `document_no_update` BEFORE UPDATE ON `document` BEGIN SELECT RAISE(ABORT, 'document is append-only'); END;
--> statement-breakpoint
CREATE INDEX `document_of` ON `document` (`order_id`);
--> statement-breakpoint
CREATE INDEX `line_sale_of` ON `line_sale` (`line_id`);
--> statement-breakpoint
CREATE INDEX `order_line_of` ON `order_line` (`order_id`);
--> statement-breakpoint
CREATE INDEX `order_line_work` ON `order_line` (`work_id`,`id`);
--> statement-breakpoint
CREATE INDEX `order_line_price` ON `order_line` (`price_minor`);
--> statement-breakpoint
CREATE INDEX `booking_event_of` ON `booking_event` (`booking_id`);
--> statement-breakpoint
CREATE UNIQUE INDEX `booking_reference_unique` ON `booking` (`reference`);
--> statement-breakpoint
CREATE INDEX `booking_of` ON `booking` (`parcel_id`);
--> statement-breakpoint
CREATE INDEX `parcel_of` ON `parcel` (`order_id`);
--> statement-breakpoint
CREATE INDEX `sealed_parcel_of` ON `sealed_parcel` (`parcel_id`);
--> statement-breakpoint
CREATE INDEX `line_now_order` ON `line_now` (`order_id`);
--> statement-breakpoint
CREATE INDEX `line_now_work` ON `line_now` (`work_id`,`state`);
--> statement-breakpoint
CREATE INDEX `line_now_parcel` ON `line_now` (`parcel_id`);
--> statement-breakpoint
CREATE INDEX `line_now_shipped` ON `line_now` (`shipped_at`);
--> statement-breakpoint
CREATE INDEX `parcel_now_order` ON `parcel_now` (`order_id`);
--> statement-breakpoint
CREATE INDEX `log_of_order` ON `log_line` (`order_id`,`id`);
--> statement-breakpoint
ALTER TABLE `impression_now` ADD `size_key` text DEFAULT '' NOT NULL;
--> statement-breakpoint
-- How orders, their lines and their parcels stand; derived from the facts at every insert.
CREATE TRIGGER `order_now_taken` AFTER INSERT ON `orders`
BEGIN
  INSERT INTO order_now (order_id, state, due_on, lines, unsealed, unshipped, price_minor, currency)
  VALUES (NEW.id, 'open', NEW.due_on, 0, 0, 0, 0, '');
END;
--> statement-breakpoint
CREATE TRIGGER `line_now_taken` AFTER INSERT ON `order_line`
BEGIN
  INSERT INTO line_now (line_id, order_id, work_id, size_key, state, price_minor, refund_minor)
  VALUES (NEW.id, NEW.order_id, NEW.work_id, NEW.size_key, 'open', NEW.price_minor, 0);
  UPDATE order_now SET currency = NEW.currency WHERE order_id = NEW.order_id AND currency = '';
  UPDATE order_now SET
    lines = (SELECT count(*) FROM line_now l WHERE l.order_id = NEW.order_id AND l.state <> 'removed'),
    unsealed = (SELECT count(*) FROM line_now l LEFT JOIN parcel_now p ON p.parcel_id = l.parcel_id
      WHERE l.order_id = NEW.order_id AND l.state = 'open' AND p.sealed_id IS NULL),
    unshipped = (SELECT count(*) FROM line_now l WHERE l.order_id = NEW.order_id AND l.state = 'open'),
    price_minor = (SELECT coalesce(sum(l.price_minor), 0) FROM line_now l WHERE l.order_id = NEW.order_id AND l.state <> 'removed'),
    shipped_at = (SELECT max(l.shipped_at) FROM line_now l WHERE l.order_id = NEW.order_id)
  WHERE order_id = NEW.order_id;
  UPDATE order_now SET state = CASE
    WHEN cancelled_at IS NOT NULL THEN 'cancelled'
    WHEN lines = 0 THEN 'open'
    WHEN unshipped = 0 THEN 'shipped'
    WHEN unsealed = 0 THEN 'sealed'
    ELSE 'open' END
  WHERE order_id = NEW.order_id;
END;
--> statement-breakpoint
CREATE TRIGGER `parcel_now_begun` AFTER INSERT ON `parcel`
BEGIN
  INSERT INTO parcel_now (parcel_id, order_id) VALUES (NEW.id, NEW.order_id);
END;
--> statement-breakpoint
CREATE TRIGGER `parcel_now_sealed` AFTER INSERT ON `sealed_parcel`
BEGIN
  UPDATE parcel_now SET sealed_id = NEW.id WHERE parcel_id = NEW.parcel_id;
  UPDATE order_now SET
    lines = (SELECT count(*) FROM line_now l WHERE l.order_id = (SELECT order_id FROM parcel WHERE id = NEW.parcel_id) AND l.state <> 'removed'),
    unsealed = (SELECT count(*) FROM line_now l LEFT JOIN parcel_now p ON p.parcel_id = l.parcel_id
      WHERE l.order_id = (SELECT order_id FROM parcel WHERE id = NEW.parcel_id) AND l.state = 'open' AND p.sealed_id IS NULL),
    unshipped = (SELECT count(*) FROM line_now l WHERE l.order_id = (SELECT order_id FROM parcel WHERE id = NEW.parcel_id) AND l.state = 'open'),
    price_minor = (SELECT coalesce(sum(l.price_minor), 0) FROM line_now l WHERE l.order_id = (SELECT order_id FROM parcel WHERE id = NEW.parcel_id) AND l.state <> 'removed'),
    shipped_at = (SELECT max(l.shipped_at) FROM line_now l WHERE l.order_id = (SELECT order_id FROM parcel WHERE id = NEW.parcel_id))
  WHERE order_id = (SELECT order_id FROM parcel WHERE id = NEW.parcel_id);
  UPDATE order_now SET state = CASE
    WHEN cancelled_at IS NOT NULL THEN 'cancelled'
    WHEN lines = 0 THEN 'open'
    WHEN unshipped = 0 THEN 'shipped'
    WHEN unsealed = 0 THEN 'sealed'
    ELSE 'open' END
  WHERE order_id = (SELECT order_id FROM parcel WHERE id = NEW.parcel_id);
END;
--> statement-breakpoint
CREATE TRIGGER `order_now_event` AFTER INSERT ON `order_event`
WHEN NEW.kind IN ('laid', 'removed', 'repriced', 'opened', 'shipped', 'returned', 'cancelled')
BEGIN
  UPDATE line_now SET parcel_id = NEW.parcel_id WHERE NEW.kind = 'laid' AND line_id = NEW.line_id;
  UPDATE line_now SET state = 'removed' WHERE NEW.kind = 'removed' AND line_id = NEW.line_id;
  UPDATE line_now SET state = 'removed' WHERE NEW.kind = 'cancelled' AND order_id = NEW.order_id AND state = 'open';
  UPDATE line_now SET price_minor = NEW.payload ->> 'price' WHERE NEW.kind = 'repriced' AND line_id = NEW.line_id;
  UPDATE parcel_now SET sealed_id = NULL WHERE NEW.kind = 'opened' AND parcel_id = NEW.parcel_id;
  UPDATE parcel_now SET shipped_at = NEW.at WHERE NEW.kind = 'shipped' AND parcel_id = NEW.parcel_id;
  UPDATE line_now SET state = 'shipped', shipped_at = NEW.at
    WHERE NEW.kind = 'shipped' AND parcel_id = NEW.parcel_id AND state = 'open';
  UPDATE line_now SET
    state = CASE NEW.payload ->> 'how' WHEN 'whole' THEN 'returned' ELSE NEW.payload ->> 'how' END,
    refund_minor = coalesce(NEW.payload ->> 'refund', 0)
    WHERE NEW.kind = 'returned' AND line_id = NEW.line_id;
  UPDATE order_now SET cancelled_at = NEW.at WHERE NEW.kind = 'cancelled' AND order_id = NEW.order_id;
  UPDATE order_now SET
    lines = (SELECT count(*) FROM line_now l WHERE l.order_id = NEW.order_id AND l.state <> 'removed'),
    unsealed = (SELECT count(*) FROM line_now l LEFT JOIN parcel_now p ON p.parcel_id = l.parcel_id
      WHERE l.order_id = NEW.order_id AND l.state = 'open' AND p.sealed_id IS NULL),
    unshipped = (SELECT count(*) FROM line_now l WHERE l.order_id = NEW.order_id AND l.state = 'open'),
    price_minor = (SELECT coalesce(sum(l.price_minor), 0) FROM line_now l WHERE l.order_id = NEW.order_id AND l.state <> 'removed'),
    shipped_at = (SELECT max(l.shipped_at) FROM line_now l WHERE l.order_id = NEW.order_id)
  WHERE order_id = NEW.order_id;
  UPDATE order_now SET state = CASE
    WHEN cancelled_at IS NOT NULL THEN 'cancelled'
    WHEN lines = 0 THEN 'open'
    WHEN unshipped = 0 THEN 'shipped'
    WHEN unsealed = 0 THEN 'sealed'
    ELSE 'open' END
  WHERE order_id = NEW.order_id;
END;
--> statement-breakpoint
CREATE TRIGGER `impression_now_ledger` AFTER INSERT ON `ledger` WHEN NEW.number IS NOT NULL
BEGIN
  INSERT INTO impression_now (edition_id, series, number, state, printing, order_number, size_key)
  VALUES (
    NEW.edition_id, NEW.series, NEW.number,
    CASE NEW.kind WHEN 'spoiled' THEN 'spoiled' WHEN 'ordered' THEN 'ordered' WHEN 'shipped' THEN 'sold'
      WHEN 'lost' THEN 'lost'
      WHEN 'returned' THEN CASE NEW.payload ->> 'condition' WHEN 'damaged' THEN 'damaged' ELSE 'numbered' END
      ELSE 'numbered' END,
    NEW.kind = 'assigned',
    CASE WHEN NEW.kind IN ('ordered', 'shipped', 'lost') THEN NEW.payload ->> 'order' END,
    coalesce(NEW.payload ->> 'sizeKey', '')
  )
  ON CONFLICT DO UPDATE SET
    state = excluded.state,
    printing = printing + excluded.printing,
    order_number = excluded.order_number,
    size_key = CASE excluded.size_key WHEN '' THEN size_key ELSE excluded.size_key END;
  UPDATE edition_now SET
    here = (SELECT count(*) FROM impression_now WHERE edition_id = NEW.edition_id AND series = 'number' AND state IN ('numbered', 'damaged')),
    ordered = (SELECT count(*) FROM impression_now WHERE edition_id = NEW.edition_id AND series = 'number' AND state = 'ordered'),
    sold = (SELECT count(*) FROM impression_now WHERE edition_id = NEW.edition_id AND series = 'number' AND state IN ('sold', 'lost')),
    out = (SELECT count(*) FROM impression_now WHERE edition_id = NEW.edition_id AND series = 'number' AND state <> 'spoiled'),
    spoiled = (SELECT coalesce(sum(printing - (state <> 'spoiled')), 0) FROM impression_now WHERE edition_id = NEW.edition_id)
  WHERE edition_id = NEW.edition_id;
END;
--> statement-breakpoint
UPDATE `impression_now` SET `size_key` = coalesce((SELECT l.payload ->> 'sizeKey' FROM ledger l
  WHERE l.edition_id = impression_now.edition_id AND l.series = impression_now.series AND l.number = impression_now.number AND l.kind = 'assigned'
  ORDER BY l.seq DESC LIMIT 1), '');
--> statement-breakpoint
ALTER TABLE `edition_now` ADD `here` integer DEFAULT 0 NOT NULL;
--> statement-breakpoint
ALTER TABLE `edition_now` ADD `ordered` integer DEFAULT 0 NOT NULL;
--> statement-breakpoint
ALTER TABLE `edition_now` ADD `sold` integer DEFAULT 0 NOT NULL;
--> statement-breakpoint
ALTER TABLE `edition_now` ADD `out` integer DEFAULT 0 NOT NULL;
--> statement-breakpoint
ALTER TABLE `edition_now` ADD `spoiled` integer DEFAULT 0 NOT NULL;
--> statement-breakpoint
CREATE TRIGGER `edition_now_declared` AFTER INSERT ON `ledger` WHEN NEW.kind = 'declared'
BEGIN
  INSERT INTO edition_now (edition_id, kind, size, artists_proofs)
  VALUES (NEW.edition_id, NEW.payload ->> 'kind', NEW.payload ->> 'size', NEW.payload ->> 'artistsProofs')
  ON CONFLICT DO UPDATE SET kind = excluded.kind, size = excluded.size, artists_proofs = excluded.artists_proofs;
END;
--> statement-breakpoint
UPDATE edition_now SET
    here = (SELECT count(*) FROM impression_now WHERE edition_id = edition_now.edition_id AND series = 'number' AND state IN ('numbered', 'damaged')),
    ordered = (SELECT count(*) FROM impression_now WHERE edition_id = edition_now.edition_id AND series = 'number' AND state = 'ordered'),
    sold = (SELECT count(*) FROM impression_now WHERE edition_id = edition_now.edition_id AND series = 'number' AND state IN ('sold', 'lost')),
    out = (SELECT count(*) FROM impression_now WHERE edition_id = edition_now.edition_id AND series = 'number' AND state <> 'spoiled'),
    spoiled = (SELECT coalesce(sum(printing - (state <> 'spoiled')), 0) FROM impression_now WHERE edition_id = edition_now.edition_id);
--> statement-breakpoint
CREATE TABLE `sale_now` (
	`work_id` integer NOT NULL,
	`what` text NOT NULL,
	`size_key` text NOT NULL,
	`channel` text NOT NULL,
	`currency` text NOT NULL,
	`sold` integer NOT NULL,
	`gross_minor` integer NOT NULL,
	`net_minor` integer NOT NULL,
	`postage_minor` integer NOT NULL,
	`unreckoned` integer NOT NULL,
	`usual_fees` integer NOT NULL,
	PRIMARY KEY(`work_id`, `what`, `size_key`, `channel`, `currency`)
);
--> statement-breakpoint
CREATE TABLE `sale_month` (
	`month` text NOT NULL,
	`currency` text NOT NULL,
	`sold` integer NOT NULL,
	`gross_minor` integer NOT NULL,
	`net_minor` integer NOT NULL,
	`postage_minor` integer NOT NULL,
	`unreckoned` integer NOT NULL,
	PRIMARY KEY(`month`, `currency`)
);
--> statement-breakpoint
CREATE TABLE `proof_cost_now` (
	`currency` text PRIMARY KEY NOT NULL,
	`rounds` integer NOT NULL,
	`cost_minor` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `sale_now_gross` ON `sale_now` (`gross_minor`);
--> statement-breakpoint
CREATE INDEX `log_what` ON `log_line` (`what`,`id`);
--> statement-breakpoint
-- What was sold, summed up again for the work and the month whenever a line leaves or comes back.
CREATE TRIGGER `sale_now_line` AFTER UPDATE OF state ON `line_now` WHEN NEW.shipped_at IS NOT NULL
BEGIN
  DELETE FROM sale_now WHERE work_id = coalesce(NEW.work_id, 0);
  INSERT INTO sale_now (work_id, what, size_key, channel, currency, sold, gross_minor, net_minor, postage_minor, unreckoned, usual_fees)
    SELECT coalesce(l.work_id, 0), coalesce(w.title, l.name, ''), coalesce(l.size_key, ''), o.channel, l.currency,
    sum(CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * l.quantity), sum((n.price_minor - n.refund_minor)), coalesce(sum((n.price_minor - n.refund_minor) - (CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * s.cost_minor + CAST(round(s.fees_minor * CASE WHEN n.price_minor = 0 THEN 1.0 ELSE (n.price_minor - n.refund_minor) * 1.0 / n.price_minor END) AS integer)) - s.postage_minor), 0),
    coalesce(sum(s.postage_minor), 0), sum(CASE WHEN (CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * s.cost_minor + CAST(round(s.fees_minor * CASE WHEN n.price_minor = 0 THEN 1.0 ELSE (n.price_minor - n.refund_minor) * 1.0 / n.price_minor END) AS integer)) IS NULL THEN l.quantity ELSE 0 END), sum(CASE WHEN s.basis = 'usual' THEN l.quantity ELSE 0 END)
    FROM line_now n JOIN order_line l ON l.id = n.line_id JOIN orders o ON o.id = l.order_id
    LEFT JOIN line_sale s ON s.id = (SELECT max(x.id) FROM line_sale x WHERE x.line_id = n.line_id)
    LEFT JOIN work w ON w.id = l.work_id
    WHERE n.shipped_at IS NOT NULL AND n.work_id IS NEW.work_id
    GROUP BY 1, 2, 3, 4, 5;
  DELETE FROM sale_month WHERE month = substr(NEW.shipped_at, 1, 7);
  INSERT INTO sale_month (month, currency, sold, gross_minor, net_minor, postage_minor, unreckoned)
    SELECT substr(n.shipped_at, 1, 7), l.currency, sum(CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * l.quantity), sum((n.price_minor - n.refund_minor)), coalesce(sum((n.price_minor - n.refund_minor) - (CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * s.cost_minor + CAST(round(s.fees_minor * CASE WHEN n.price_minor = 0 THEN 1.0 ELSE (n.price_minor - n.refund_minor) * 1.0 / n.price_minor END) AS integer)) - s.postage_minor), 0),
    coalesce(sum(s.postage_minor), 0), sum(CASE WHEN (CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * s.cost_minor + CAST(round(s.fees_minor * CASE WHEN n.price_minor = 0 THEN 1.0 ELSE (n.price_minor - n.refund_minor) * 1.0 / n.price_minor END) AS integer)) IS NULL THEN l.quantity ELSE 0 END)
    FROM line_now n JOIN order_line l ON l.id = n.line_id JOIN orders o ON o.id = l.order_id
    LEFT JOIN line_sale s ON s.id = (SELECT max(x.id) FROM line_sale x WHERE x.line_id = n.line_id)
    LEFT JOIN work w ON w.id = l.work_id
    WHERE n.shipped_at IS NOT NULL AND n.shipped_at >= substr(NEW.shipped_at, 1, 7) AND n.shipped_at < substr(NEW.shipped_at, 1, 7) || '~'
    GROUP BY 1, 2;
END;
--> statement-breakpoint
-- What a line left may be written down after it went, when an old studio is carried over.
CREATE TRIGGER `sale_now_reckoned` AFTER INSERT ON `line_sale` WHEN (SELECT x.shipped_at FROM line_now x WHERE x.line_id = NEW.line_id) IS NOT NULL
BEGIN
  DELETE FROM sale_now WHERE work_id = coalesce((SELECT x.work_id FROM line_now x WHERE x.line_id = NEW.line_id), 0);
  INSERT INTO sale_now (work_id, what, size_key, channel, currency, sold, gross_minor, net_minor, postage_minor, unreckoned, usual_fees)
    SELECT coalesce(l.work_id, 0), coalesce(w.title, l.name, ''), coalesce(l.size_key, ''), o.channel, l.currency,
    sum(CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * l.quantity), sum((n.price_minor - n.refund_minor)), coalesce(sum((n.price_minor - n.refund_minor) - (CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * s.cost_minor + CAST(round(s.fees_minor * CASE WHEN n.price_minor = 0 THEN 1.0 ELSE (n.price_minor - n.refund_minor) * 1.0 / n.price_minor END) AS integer)) - s.postage_minor), 0),
    coalesce(sum(s.postage_minor), 0), sum(CASE WHEN (CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * s.cost_minor + CAST(round(s.fees_minor * CASE WHEN n.price_minor = 0 THEN 1.0 ELSE (n.price_minor - n.refund_minor) * 1.0 / n.price_minor END) AS integer)) IS NULL THEN l.quantity ELSE 0 END), sum(CASE WHEN s.basis = 'usual' THEN l.quantity ELSE 0 END)
    FROM line_now n JOIN order_line l ON l.id = n.line_id JOIN orders o ON o.id = l.order_id
    LEFT JOIN line_sale s ON s.id = (SELECT max(x.id) FROM line_sale x WHERE x.line_id = n.line_id)
    LEFT JOIN work w ON w.id = l.work_id
    WHERE n.shipped_at IS NOT NULL AND n.work_id IS (SELECT x.work_id FROM line_now x WHERE x.line_id = NEW.line_id)
    GROUP BY 1, 2, 3, 4, 5;
  DELETE FROM sale_month WHERE month = substr((SELECT x.shipped_at FROM line_now x WHERE x.line_id = NEW.line_id), 1, 7);
  INSERT INTO sale_month (month, currency, sold, gross_minor, net_minor, postage_minor, unreckoned)
    SELECT substr(n.shipped_at, 1, 7), l.currency, sum(CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * l.quantity), sum((n.price_minor - n.refund_minor)), coalesce(sum((n.price_minor - n.refund_minor) - (CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * s.cost_minor + CAST(round(s.fees_minor * CASE WHEN n.price_minor = 0 THEN 1.0 ELSE (n.price_minor - n.refund_minor) * 1.0 / n.price_minor END) AS integer)) - s.postage_minor), 0),
    coalesce(sum(s.postage_minor), 0), sum(CASE WHEN (CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * s.cost_minor + CAST(round(s.fees_minor * CASE WHEN n.price_minor = 0 THEN 1.0 ELSE (n.price_minor - n.refund_minor) * 1.0 / n.price_minor END) AS integer)) IS NULL THEN l.quantity ELSE 0 END)
    FROM line_now n JOIN order_line l ON l.id = n.line_id JOIN orders o ON o.id = l.order_id
    LEFT JOIN line_sale s ON s.id = (SELECT max(x.id) FROM line_sale x WHERE x.line_id = n.line_id)
    LEFT JOIN work w ON w.id = l.work_id
    WHERE n.shipped_at IS NOT NULL AND n.shipped_at >= substr((SELECT x.shipped_at FROM line_now x WHERE x.line_id = NEW.line_id), 1, 7) AND n.shipped_at < substr((SELECT x.shipped_at FROM line_now x WHERE x.line_id = NEW.line_id), 1, 7) || '~'
    GROUP BY 1, 2;
END;
--> statement-breakpoint
CREATE TRIGGER `proof_cost_now_sent` AFTER INSERT ON `proof_round`
BEGIN
  INSERT INTO proof_cost_now (currency, rounds, cost_minor) VALUES (NEW.currency, 1, NEW.cost_minor)
  ON CONFLICT DO UPDATE SET rounds = rounds + 1, cost_minor = cost_minor + excluded.cost_minor;
END;
--> statement-breakpoint
INSERT INTO proof_cost_now (currency, rounds, cost_minor) SELECT currency, count(*), sum(cost_minor) FROM proof_round GROUP BY currency;
--> statement-breakpoint
CREATE TRIGGER `search_order_new` AFTER INSERT ON `orders`
BEGIN
  INSERT OR REPLACE INTO search (rowid, text, kind, ref)
  SELECT NEW.id * 4 + 2, concat_ws(' ', NEW.number, name, town, country), 'order', NEW.id FROM customer WHERE id = NEW.customer_id;
END;
--> statement-breakpoint
CREATE TRIGGER `search_customer_new` AFTER INSERT ON `customer`
BEGIN
  INSERT INTO search (rowid, text, kind, ref) VALUES (NEW.id * 4 + 3, concat_ws(' ', NEW.name, NEW.street, NEW.town, NEW.country), 'customer', NEW.id);
END;
--> statement-breakpoint
CREATE TRIGGER `search_customer_edited` AFTER UPDATE OF name, street, town, country ON `customer`
BEGIN
  UPDATE search SET text = concat_ws(' ', (SELECT number FROM orders WHERE id = ref), NEW.name, NEW.town, NEW.country)
  WHERE rowid IN (SELECT id * 4 + 2 FROM orders WHERE customer_id = NEW.id);
  UPDATE search SET text = concat_ws(' ', NEW.name, NEW.street, NEW.town, NEW.country) WHERE rowid = NEW.id * 4 + 3;
END;
--> statement-breakpoint
CREATE TRIGGER `search_customer_merged` AFTER UPDATE OF merged_into ON `customer` WHEN NEW.merged_into IS NOT NULL
BEGIN
  DELETE FROM search WHERE rowid = NEW.id * 4 + 3;
END;
--> statement-breakpoint
INSERT INTO search (rowid, text, kind, ref) SELECT id * 4 + 3, concat_ws(' ', name, street, town, country), 'customer', id FROM customer;
--> statement-breakpoint
DELETE FROM search WHERE kind = 'order';
--> statement-breakpoint
INSERT INTO `orders` (`id`, `number`, `customer_id`, `channel`, `wish`, `note`, `extras`, `placed_at`, `due_on`) SELECT `id`, `number`, `customer_id`, `channel`, '', '', '[]', `placed_at`, `due_on` FROM `orders_before` ORDER BY `id`;
--> statement-breakpoint
INSERT INTO `parcel` (`id`, `order_id`, `place`, `at`) SELECT `id`, `id`, 1, `placed_at` FROM `orders_before` ORDER BY `id`;
--> statement-breakpoint
INSERT INTO `order_line` (`id`, `order_id`, `kind`, `work_id`, `size_key`, `paper_id`, `edition_id`, `series`, `impression`, `quantity`, `price_minor`, `currency`, `at`)
SELECT `id`, `id`, CASE `series` WHEN 'ap' THEN 'artistsProof' ELSE 'impression' END, `work_id`, `size_key`, `paper_id`, `edition_id`, `series`, `impression`, 1, `price_minor`, coalesce((SELECT value ->> '$' FROM setting WHERE key = 'currency'), 'EUR'), `placed_at` FROM `orders_before` ORDER BY `id`;
--> statement-breakpoint
INSERT INTO `order_event` (`id`, `order_id`, `line_id`, `parcel_id`, `kind`, `payload`, `at`)
SELECT (SELECT coalesce(max(`id`), 0) FROM `order_event_before`) + `id`, `id`, `id`, `id`, 'laid', '{}', `placed_at` FROM `orders_before` ORDER BY `id`;
--> statement-breakpoint
-- What was sealed stays as it was; its parts were not written down at that time.
INSERT INTO `sealed_parcel` (`parcel_id`, `carrier`, `service`, `tracking`, `cost_minor`, `currency`, `weighed_g`, `contents`, `at`)
SELECT e.order_id, e.payload ->> 'carrier', e.payload ->> 'service', e.payload ->> 'tracking', coalesce(e.payload ->> 'cost', 0), coalesce((SELECT value ->> '$' FROM setting WHERE key = 'currency'), 'EUR'),
  (SELECT w.payload ->> 'grams' FROM order_event_before w WHERE w.order_id = e.order_id AND w.kind = 'weighed' ORDER BY w.id DESC LIMIT 1),
  json_object(
    'way', CASE WHEN EXISTS (SELECT 1 FROM movement m JOIN material t ON t.id = m.ref
      WHERE m.of = 'material' AND m.reason LIKE 'order ' || o.number || ',%' AND t.kind = 'tube') THEN 'rolled' ELSE 'flat' END,
    'notFlat', json('[]'), 'spare', NULL, 'quotes', json('[]'),
    'lines', json_array(json_object('line', o.id, 'title', w.title,
      'label', CASE WHEN o.series = 'ap' THEN 'AP ' || o.impression || '/' || n.artists_proofs
        WHEN n.kind = 'limited' THEN o.impression || '/' || n.size ELSE '' || o.impression END,
      'sizeKey', o.size_key, 'sheet', NULL, 'paper', p.name, 'copies', 1, 'price', o.price_minor, 'currency', coalesce((SELECT value ->> '$' FROM setting WHERE key = 'currency'), 'EUR'))),
    'to', json_object('name', c.name, 'street', c.street, 'town', c.town, 'country', c.country)),
  e.at
FROM order_event_before e JOIN orders_before o ON o.id = e.order_id JOIN work w ON w.id = o.work_id
  JOIN customer c ON c.id = o.customer_id JOIN paper p ON p.id = o.paper_id
  LEFT JOIN edition_now n ON n.edition_id = o.edition_id
WHERE e.id IN (SELECT max(id) FROM order_event_before WHERE kind = 'labelled' GROUP BY order_id) ORDER BY e.id;
--> statement-breakpoint
INSERT INTO `order_event` (`id`, `order_id`, `line_id`, `parcel_id`, `kind`, `payload`, `at`)
SELECT `id`, `order_id`, NULL, `order_id`, `kind`,
  CASE WHEN `kind` = 'tick' AND `payload` ->> 'line' IN ('print', 'certificate')
    THEN json_set(`payload`, '$.line', (`payload` ->> 'line') || ':' || `order_id`) ELSE `payload` END, `at`
FROM `order_event_before` WHERE `kind` <> 'labelled' ORDER BY `id`;
--> statement-breakpoint
DROP TABLE `order_event_before`;
--> statement-breakpoint
DROP TABLE `orders_before`;
--> statement-breakpoint
CREATE TRIGGER `errand_no_update` BEFORE UPDATE ON `errand` BEGIN SELECT RAISE(ABORT, 'errand is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `errand_no_delete` BEFORE DELETE ON `errand` BEGIN SELECT RAISE(ABORT, 'errand is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `sheet_file_no_update` BEFORE UPDATE ON `sheet_file` BEGIN SELECT RAISE(ABORT, 'sheet_file is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `sheet_file_no_delete` BEFORE DELETE ON `sheet_file` BEGIN SELECT RAISE(ABORT, 'sheet_file is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `sheet_item_no_update` BEFORE UPDATE ON `sheet_item` BEGIN SELECT RAISE(ABORT, 'sheet_item is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `sheet_item_no_delete` BEFORE DELETE ON `sheet_item` BEGIN SELECT RAISE(ABORT, 'sheet_item is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `print_entry_no_update` BEFORE UPDATE ON `print_entry` BEGIN SELECT RAISE(ABORT, 'print_entry is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `print_entry_no_delete` BEFORE DELETE ON `print_entry` BEGIN SELECT RAISE(ABORT, 'print_entry is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `entry_item_no_update` BEFORE UPDATE ON `entry_item` BEGIN SELECT RAISE(ABORT, 'entry_item is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `entry_item_no_delete` BEFORE DELETE ON `entry_item` BEGIN SELECT RAISE(ABORT, 'entry_item is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `orders_no_update` BEFORE UPDATE ON `orders` BEGIN SELECT RAISE(ABORT, 'orders is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `orders_no_delete` BEFORE DELETE ON `orders` BEGIN SELECT RAISE(ABORT, 'orders is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `order_line_no_update` BEFORE UPDATE ON `order_line` BEGIN SELECT RAISE(ABORT, 'order_line is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `order_line_no_delete` BEFORE DELETE ON `order_line` BEGIN SELECT RAISE(ABORT, 'order_line is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `order_event_no_update` BEFORE UPDATE ON `order_event` BEGIN SELECT RAISE(ABORT, 'order_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `order_event_no_delete` BEFORE DELETE ON `order_event` BEGIN SELECT RAISE(ABORT, 'order_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `line_sale_no_update` BEFORE UPDATE ON `line_sale` BEGIN SELECT RAISE(ABORT, 'line_sale is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `line_sale_no_delete` BEFORE DELETE ON `line_sale` BEGIN SELECT RAISE(ABORT, 'line_sale is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `parcel_no_update` BEFORE UPDATE ON `parcel` BEGIN SELECT RAISE(ABORT, 'parcel is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `parcel_no_delete` BEFORE DELETE ON `parcel` BEGIN SELECT RAISE(ABORT, 'parcel is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `sealed_parcel_no_update` BEFORE UPDATE ON `sealed_parcel` BEGIN SELECT RAISE(ABORT, 'sealed_parcel is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `sealed_parcel_no_delete` BEFORE DELETE ON `sealed_parcel` BEGIN SELECT RAISE(ABORT, 'sealed_parcel is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `booking_no_update` BEFORE UPDATE ON `booking` BEGIN SELECT RAISE(ABORT, 'booking is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `booking_no_delete` BEFORE DELETE ON `booking` BEGIN SELECT RAISE(ABORT, 'booking is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `booking_event_no_update` BEFORE UPDATE ON `booking_event` BEGIN SELECT RAISE(ABORT, 'booking_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `booking_event_no_delete` BEFORE DELETE ON `booking_event` BEGIN SELECT RAISE(ABORT, 'booking_event is append-only'); END;
--> statement-breakpoint
-- Replacing a row deletes it without asking the triggers against deletion: an existing key is refused.
CREATE TRIGGER `file_no_replace` BEFORE INSERT ON `file` WHEN EXISTS (SELECT 1 FROM `file` WHERE `sha256` = NEW.`sha256`) BEGIN SELECT RAISE(IGNORE); END;
--> statement-breakpoint
CREATE TRIGGER `master_no_replace` BEFORE INSERT ON `master` WHEN EXISTS (SELECT 1 FROM `master` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'master is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `print_wish_no_replace` BEFORE INSERT ON `print_wish` WHEN EXISTS (SELECT 1 FROM `print_wish` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'print_wish is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `reading_no_replace` BEFORE INSERT ON `reading` WHEN EXISTS (SELECT 1 FROM `reading` WHERE `sha256` = NEW.`sha256` AND `version` = NEW.`version`) BEGIN SELECT RAISE(IGNORE); END;
--> statement-breakpoint
CREATE TRIGGER `speck_event_no_replace` BEFORE INSERT ON `speck_event` WHEN EXISTS (SELECT 1 FROM `speck_event` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'speck_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `signature_no_replace` BEFORE INSERT ON `signature` WHEN EXISTS (SELECT 1 FROM `signature` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'signature is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `board_shot_no_replace` BEFORE INSERT ON `board_shot` WHEN EXISTS (SELECT 1 FROM `board_shot` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'board_shot is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `size_event_no_replace` BEFORE INSERT ON `size_event` WHEN EXISTS (SELECT 1 FROM `size_event` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'size_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `crop_choice_no_replace` BEFORE INSERT ON `crop_choice` WHEN EXISTS (SELECT 1 FROM `crop_choice` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'crop_choice is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `kept_area_no_replace` BEFORE INSERT ON `kept_area` WHEN EXISTS (SELECT 1 FROM `kept_area` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'kept_area is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `recipe_no_replace` BEFORE INSERT ON `recipe` WHEN EXISTS (SELECT 1 FROM `recipe` WHERE `id` = NEW.`id`) OR EXISTS (SELECT 1 FROM `recipe` WHERE `name` = NEW.`name` AND `version` = NEW.`version`) BEGIN SELECT RAISE(ABORT, 'recipe is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `profile_no_replace` BEFORE INSERT ON `profile` WHEN EXISTS (SELECT 1 FROM `profile` WHERE `sha256` = NEW.`sha256`) BEGIN SELECT RAISE(IGNORE); END;
--> statement-breakpoint
CREATE TRIGGER `sheet_file_no_replace` BEFORE INSERT ON `sheet_file` WHEN EXISTS (SELECT 1 FROM `sheet_file` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'sheet_file is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `sheet_item_no_replace` BEFORE INSERT ON `sheet_item` WHEN EXISTS (SELECT 1 FROM `sheet_item` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'sheet_item is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `print_file_no_replace` BEFORE INSERT ON `print_file` WHEN EXISTS (SELECT 1 FROM `print_file` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'print_file is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `route_no_replace` BEFORE INSERT ON `route` WHEN EXISTS (SELECT 1 FROM `route` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'route is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `errand_no_replace` BEFORE INSERT ON `errand` WHEN EXISTS (SELECT 1 FROM `errand` WHERE `id` = NEW.`id`) OR EXISTS (SELECT 1 FROM `errand` WHERE `number` = NEW.`number`) BEGIN SELECT RAISE(ABORT, 'errand is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `errand_item_no_replace` BEFORE INSERT ON `errand_item` WHEN EXISTS (SELECT 1 FROM `errand_item` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'errand_item is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `errand_answer_no_replace` BEFORE INSERT ON `errand_answer` WHEN EXISTS (SELECT 1 FROM `errand_answer` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'errand_answer is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `movement_no_replace` BEFORE INSERT ON `movement` WHEN EXISTS (SELECT 1 FROM `movement` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'movement is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `proof_round_no_replace` BEFORE INSERT ON `proof_round` WHEN EXISTS (SELECT 1 FROM `proof_round` WHERE `id` = NEW.`id`) OR EXISTS (SELECT 1 FROM `proof_round` WHERE `work_id` = NEW.`work_id` AND `size_key` = NEW.`size_key` AND `paper_id` = NEW.`paper_id` AND `round` = NEW.`round`) BEGIN SELECT RAISE(ABORT, 'proof_round is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `proof_return_no_replace` BEFORE INSERT ON `proof_return` WHEN EXISTS (SELECT 1 FROM `proof_return` WHERE `round_id` = NEW.`round_id`) BEGIN SELECT RAISE(ABORT, 'proof_return is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `edition_no_replace` BEFORE INSERT ON `edition` WHEN EXISTS (SELECT 1 FROM `edition` WHERE `id` = NEW.`id`) OR EXISTS (SELECT 1 FROM `edition` WHERE `work_id` = NEW.`work_id` AND `size_key` = NEW.`size_key`) BEGIN SELECT RAISE(ABORT, 'edition is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `price_no_replace` BEFORE INSERT ON `price` WHEN EXISTS (SELECT 1 FROM `price` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'price is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `finish_no_replace` BEFORE INSERT ON `finish` WHEN EXISTS (SELECT 1 FROM `finish` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'finish is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `orders_no_replace` BEFORE INSERT ON `orders` WHEN EXISTS (SELECT 1 FROM `orders` WHERE `id` = NEW.`id`) OR EXISTS (SELECT 1 FROM `orders` WHERE `number` = NEW.`number`) BEGIN SELECT RAISE(ABORT, 'orders is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `order_line_no_replace` BEFORE INSERT ON `order_line` WHEN EXISTS (SELECT 1 FROM `order_line` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'order_line is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `order_event_no_replace` BEFORE INSERT ON `order_event` WHEN EXISTS (SELECT 1 FROM `order_event` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'order_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `line_sale_no_replace` BEFORE INSERT ON `line_sale` WHEN EXISTS (SELECT 1 FROM `line_sale` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'line_sale is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `parcel_no_replace` BEFORE INSERT ON `parcel` WHEN EXISTS (SELECT 1 FROM `parcel` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'parcel is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `sealed_parcel_no_replace` BEFORE INSERT ON `sealed_parcel` WHEN EXISTS (SELECT 1 FROM `sealed_parcel` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'sealed_parcel is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `booking_no_replace` BEFORE INSERT ON `booking` WHEN EXISTS (SELECT 1 FROM `booking` WHERE `id` = NEW.`id`) OR EXISTS (SELECT 1 FROM `booking` WHERE `reference` = NEW.`reference`) BEGIN SELECT RAISE(ABORT, 'booking is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `booking_event_no_replace` BEFORE INSERT ON `booking_event` WHEN EXISTS (SELECT 1 FROM `booking_event` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'booking_event is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `document_no_replace` BEFORE INSERT ON `document` WHEN EXISTS (SELECT 1 FROM `document` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'document is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `print_entry_no_replace` BEFORE INSERT ON `print_entry` WHEN EXISTS (SELECT 1 FROM `print_entry` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'print_entry is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `entry_item_no_replace` BEFORE INSERT ON `entry_item` WHEN EXISTS (SELECT 1 FROM `entry_item` WHERE `entry_id` = NEW.`entry_id` AND `work_id` = NEW.`work_id`) BEGIN SELECT RAISE(ABORT, 'entry_item is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `print_opinion_no_replace` BEFORE INSERT ON `print_opinion` WHEN EXISTS (SELECT 1 FROM `print_opinion` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'print_opinion is append-only'); END;
--> statement-breakpoint
CREATE TRIGGER `log_line_no_replace` BEFORE INSERT ON `log_line` WHEN EXISTS (SELECT 1 FROM `log_line` WHERE `id` = NEW.`id`) BEGIN SELECT RAISE(ABORT, 'log_line is append-only'); END;
