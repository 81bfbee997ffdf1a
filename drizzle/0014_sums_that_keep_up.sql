-- Sums that keep up: each fact changes what it touches, and nothing is summed over all of history.
DROP TRIGGER `sale_now_line`;
--> statement-breakpoint
DROP TRIGGER `sale_now_reckoned`;
--> statement-breakpoint
CREATE TABLE `sold_line` (
	`line_id` integer PRIMARY KEY NOT NULL,
	`work_id` integer NOT NULL,
	`what` text NOT NULL,
	`size_key` text NOT NULL,
	`channel` text NOT NULL,
	`currency` text NOT NULL,
	`month` text NOT NULL,
	`sold` integer NOT NULL,
	`gross_minor` integer NOT NULL,
	`net_minor` integer NOT NULL,
	`postage_minor` integer NOT NULL,
	`unreckoned` integer NOT NULL,
	`usual_fees` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `tally` (
	`what` text PRIMARY KEY NOT NULL,
	`n` integer NOT NULL
);
--> statement-breakpoint
CREATE TABLE `work_lack` (
	`what` text NOT NULL,
	`work_id` integer NOT NULL,
	PRIMARY KEY(`what`, `work_id`)
);
--> statement-breakpoint
CREATE INDEX `work_lack_of` ON `work_lack` (`work_id`);
--> statement-breakpoint
CREATE TABLE `open_size` (
	`work_id` integer NOT NULL,
	`size_key` text NOT NULL,
	`event_id` integer NOT NULL,
	PRIMARY KEY(`work_id`, `size_key`)
);
--> statement-breakpoint
CREATE INDEX `open_size_event` ON `open_size` (`event_id`);
--> statement-breakpoint
CREATE INDEX `edition_now_left` ON `edition_now` ((size - "out") * 1.0 / size, `edition_id`) WHERE kind = 'limited';
--> statement-breakpoint
CREATE TABLE `work_now` (
	`work_id` integer PRIMARY KEY NOT NULL,
	`pixels` integer,
	`sizes` integer NOT NULL,
	`sold` integer NOT NULL
);
--> statement-breakpoint
CREATE INDEX `work_now_pixels` ON `work_now` (`pixels`);
--> statement-breakpoint
CREATE INDEX `work_now_sizes` ON `work_now` (`sizes`);
--> statement-breakpoint
CREATE INDEX `work_now_sold` ON `work_now` (`sold`);
--> statement-breakpoint
CREATE TABLE `customer_now` (
	`customer_id` integer PRIMARY KEY NOT NULL,
	`orders` integer NOT NULL,
	`last_at` text
);
--> statement-breakpoint
CREATE INDEX `customer_now_orders` ON `customer_now` (`orders`);
--> statement-breakpoint
CREATE INDEX `customer_now_last` ON `customer_now` (`last_at`);
--> statement-breakpoint
CREATE TRIGGER `sold_line_in` AFTER INSERT ON `sold_line`
BEGIN
  INSERT INTO sale_now (work_id, what, size_key, channel, currency, sold, gross_minor, net_minor, postage_minor, unreckoned, usual_fees)
  VALUES (NEW.work_id, NEW.what, NEW.size_key, NEW.channel, NEW.currency, NEW.sold, NEW.gross_minor, NEW.net_minor, NEW.postage_minor, NEW.unreckoned, NEW.usual_fees)
  ON CONFLICT DO UPDATE SET sold = sold + excluded.sold, gross_minor = gross_minor + excluded.gross_minor,
    net_minor = net_minor + excluded.net_minor, postage_minor = postage_minor + excluded.postage_minor,
    unreckoned = unreckoned + excluded.unreckoned, usual_fees = usual_fees + excluded.usual_fees;
  INSERT INTO sale_month (month, currency, sold, gross_minor, net_minor, postage_minor, unreckoned)
  VALUES (NEW.month, NEW.currency, NEW.sold, NEW.gross_minor, NEW.net_minor, NEW.postage_minor, NEW.unreckoned)
  ON CONFLICT DO UPDATE SET sold = sold + excluded.sold, gross_minor = gross_minor + excluded.gross_minor,
    net_minor = net_minor + excluded.net_minor, postage_minor = postage_minor + excluded.postage_minor,
    unreckoned = unreckoned + excluded.unreckoned;
END;
--> statement-breakpoint
CREATE TRIGGER `sold_line_out` AFTER DELETE ON `sold_line`
BEGIN
  UPDATE sale_now SET sold = sold - OLD.sold, gross_minor = gross_minor - OLD.gross_minor, net_minor = net_minor - OLD.net_minor,
    postage_minor = postage_minor - OLD.postage_minor, unreckoned = unreckoned - OLD.unreckoned, usual_fees = usual_fees - OLD.usual_fees
  WHERE work_id = OLD.work_id AND what = OLD.what AND size_key = OLD.size_key AND channel = OLD.channel AND currency = OLD.currency;
  UPDATE sale_month SET sold = sold - OLD.sold, gross_minor = gross_minor - OLD.gross_minor, net_minor = net_minor - OLD.net_minor,
    postage_minor = postage_minor - OLD.postage_minor, unreckoned = unreckoned - OLD.unreckoned
  WHERE month = OLD.month AND currency = OLD.currency;
END;
--> statement-breakpoint
-- What a line brought is put right whenever it leaves or comes back, or when its reckoning is written down after it left.
CREATE TRIGGER `sold_line_moved` AFTER UPDATE OF state ON `line_now` WHEN NEW.shipped_at IS NOT NULL
BEGIN
  DELETE FROM sold_line WHERE line_id = NEW.line_id;
  INSERT INTO sold_line (line_id, work_id, what, size_key, channel, currency, month, sold, gross_minor, net_minor, postage_minor, unreckoned, usual_fees)
    SELECT l.id, coalesce(l.work_id, 0), CASE WHEN l.work_id IS NULL THEN coalesce(l.name, '') ELSE '' END,
      coalesce(l.size_key, ''), o.channel, l.currency, substr(n.shipped_at, 1, 7),
      CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * l.quantity,
      n.price_minor - n.refund_minor,
      coalesce((n.price_minor - n.refund_minor) - (CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * s.cost_minor + CAST(round(s.fees_minor * CASE WHEN n.price_minor = 0 THEN 1.0 ELSE (n.price_minor - n.refund_minor) * 1.0 / n.price_minor END) AS integer)) - s.postage_minor, 0),
      coalesce(s.postage_minor, 0),
      CASE WHEN (CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * s.cost_minor + CAST(round(s.fees_minor * CASE WHEN n.price_minor = 0 THEN 1.0 ELSE (n.price_minor - n.refund_minor) * 1.0 / n.price_minor END) AS integer)) IS NULL THEN l.quantity ELSE 0 END,
      CASE WHEN s.basis = 'usual' THEN l.quantity ELSE 0 END
    FROM line_now n JOIN order_line l ON l.id = n.line_id JOIN orders o ON o.id = l.order_id
    LEFT JOIN line_sale s ON s.id = (SELECT max(x.id) FROM line_sale x WHERE x.line_id = n.line_id)
    WHERE n.shipped_at IS NOT NULL AND n.line_id = NEW.line_id;
END;
--> statement-breakpoint
CREATE TRIGGER `sold_line_reckoned` AFTER INSERT ON `line_sale`
BEGIN
  DELETE FROM sold_line WHERE line_id = NEW.line_id;
  INSERT INTO sold_line (line_id, work_id, what, size_key, channel, currency, month, sold, gross_minor, net_minor, postage_minor, unreckoned, usual_fees)
    SELECT l.id, coalesce(l.work_id, 0), CASE WHEN l.work_id IS NULL THEN coalesce(l.name, '') ELSE '' END,
      coalesce(l.size_key, ''), o.channel, l.currency, substr(n.shipped_at, 1, 7),
      CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * l.quantity,
      n.price_minor - n.refund_minor,
      coalesce((n.price_minor - n.refund_minor) - (CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * s.cost_minor + CAST(round(s.fees_minor * CASE WHEN n.price_minor = 0 THEN 1.0 ELSE (n.price_minor - n.refund_minor) * 1.0 / n.price_minor END) AS integer)) - s.postage_minor, 0),
      coalesce(s.postage_minor, 0),
      CASE WHEN (CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * s.cost_minor + CAST(round(s.fees_minor * CASE WHEN n.price_minor = 0 THEN 1.0 ELSE (n.price_minor - n.refund_minor) * 1.0 / n.price_minor END) AS integer)) IS NULL THEN l.quantity ELSE 0 END,
      CASE WHEN s.basis = 'usual' THEN l.quantity ELSE 0 END
    FROM line_now n JOIN order_line l ON l.id = n.line_id JOIN orders o ON o.id = l.order_id
    LEFT JOIN line_sale s ON s.id = (SELECT max(x.id) FROM line_sale x WHERE x.line_id = n.line_id)
    WHERE n.shipped_at IS NOT NULL AND n.line_id = NEW.line_id;
END;
--> statement-breakpoint
DELETE FROM sale_now;
--> statement-breakpoint
DELETE FROM sale_month;
--> statement-breakpoint
INSERT INTO sold_line (line_id, work_id, what, size_key, channel, currency, month, sold, gross_minor, net_minor, postage_minor, unreckoned, usual_fees)
  SELECT l.id, coalesce(l.work_id, 0), CASE WHEN l.work_id IS NULL THEN coalesce(l.name, '') ELSE '' END,
    coalesce(l.size_key, ''), o.channel, l.currency, substr(n.shipped_at, 1, 7),
    CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * l.quantity,
    n.price_minor - n.refund_minor,
    coalesce((n.price_minor - n.refund_minor) - (CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * s.cost_minor + CAST(round(s.fees_minor * CASE WHEN n.price_minor = 0 THEN 1.0 ELSE (n.price_minor - n.refund_minor) * 1.0 / n.price_minor END) AS integer)) - s.postage_minor, 0),
    coalesce(s.postage_minor, 0),
    CASE WHEN (CASE n.state WHEN 'returned' THEN 0 ELSE 1 END * s.cost_minor + CAST(round(s.fees_minor * CASE WHEN n.price_minor = 0 THEN 1.0 ELSE (n.price_minor - n.refund_minor) * 1.0 / n.price_minor END) AS integer)) IS NULL THEN l.quantity ELSE 0 END,
    CASE WHEN s.basis = 'usual' THEN l.quantity ELSE 0 END
  FROM line_now n JOIN order_line l ON l.id = n.line_id JOIN orders o ON o.id = l.order_id
  LEFT JOIN line_sale s ON s.id = (SELECT max(x.id) FROM line_sale x WHERE x.line_id = n.line_id)
  WHERE n.shipped_at IS NOT NULL;
--> statement-breakpoint
CREATE TRIGGER `tally_work_new` AFTER INSERT ON `work`
BEGIN
  INSERT INTO tally (what, n) VALUES ('work', 1) ON CONFLICT DO UPDATE SET n = n + excluded.n;
END;
--> statement-breakpoint
CREATE TRIGGER `tally_work_gone` AFTER DELETE ON `work`
BEGIN
  INSERT INTO tally (what, n) VALUES ('work', -1) ON CONFLICT DO UPDATE SET n = n + excluded.n;
END;
--> statement-breakpoint
CREATE TRIGGER `tally_paper_new` AFTER INSERT ON `paper`
BEGIN
  INSERT INTO tally (what, n) VALUES ('paper', 1) ON CONFLICT DO UPDATE SET n = n + excluded.n;
END;
--> statement-breakpoint
CREATE TRIGGER `tally_paper_gone` AFTER DELETE ON `paper`
BEGIN
  INSERT INTO tally (what, n) VALUES ('paper', -1) ON CONFLICT DO UPDATE SET n = n + excluded.n;
END;
--> statement-breakpoint
CREATE TRIGGER `tally_material_new` AFTER INSERT ON `material`
BEGIN
  INSERT INTO tally (what, n) VALUES ('material', 1) ON CONFLICT DO UPDATE SET n = n + excluded.n;
END;
--> statement-breakpoint
CREATE TRIGGER `tally_material_gone` AFTER DELETE ON `material`
BEGIN
  INSERT INTO tally (what, n) VALUES ('material', -1) ON CONFLICT DO UPDATE SET n = n + excluded.n;
END;
--> statement-breakpoint
CREATE TRIGGER `tally_customer_new` AFTER INSERT ON `customer`
BEGIN
  INSERT INTO tally (what, n) VALUES ('customer', NEW.merged_into IS NULL) ON CONFLICT DO UPDATE SET n = n + excluded.n;
END;
--> statement-breakpoint
CREATE TRIGGER `tally_customer_merged` AFTER UPDATE OF merged_into ON `customer`
BEGIN
  INSERT INTO tally (what, n) VALUES ('customer', (NEW.merged_into IS NULL) - (OLD.merged_into IS NULL)) ON CONFLICT DO UPDATE SET n = n + excluded.n;
END;
--> statement-breakpoint
CREATE TRIGGER `tally_order_new` AFTER INSERT ON `order_now`
BEGIN
  INSERT INTO tally (what, n) VALUES ('order', 1) ON CONFLICT DO UPDATE SET n = n + excluded.n;
  INSERT INTO tally (what, n) VALUES ('order.' || NEW.state, 1) ON CONFLICT DO UPDATE SET n = n + excluded.n;
END;
--> statement-breakpoint
CREATE TRIGGER `tally_order_moved` AFTER UPDATE OF state ON `order_now` WHEN OLD.state <> NEW.state
BEGIN
  INSERT INTO tally (what, n) VALUES ('order.' || OLD.state, -1) ON CONFLICT DO UPDATE SET n = n + excluded.n;
  INSERT INTO tally (what, n) VALUES ('order.' || NEW.state, 1) ON CONFLICT DO UPDATE SET n = n + excluded.n;
END;
--> statement-breakpoint
CREATE TRIGGER `tally_edition_new` AFTER INSERT ON `edition_now`
BEGIN
  INSERT INTO tally (what, n) VALUES ('edition', 1) ON CONFLICT DO UPDATE SET n = n + excluded.n;
  INSERT INTO tally (what, n) VALUES ('edition.closed', (NEW.kind = 'limited' AND NEW.size <= NEW."out")) ON CONFLICT DO UPDATE SET n = n + excluded.n;
  INSERT INTO tally (what, n) VALUES ('edition.sold', NEW.sold) ON CONFLICT DO UPDATE SET n = n + excluded.n;
END;
--> statement-breakpoint
CREATE TRIGGER `tally_edition_moved` AFTER UPDATE ON `edition_now`
BEGIN
  INSERT INTO tally (what, n) VALUES ('edition.closed', (NEW.kind = 'limited' AND NEW.size <= NEW."out") - (OLD.kind = 'limited' AND OLD.size <= OLD."out")) ON CONFLICT DO UPDATE SET n = n + excluded.n;
  INSERT INTO tally (what, n) VALUES ('edition.sold', NEW.sold - OLD.sold) ON CONFLICT DO UPDATE SET n = n + excluded.n;
END;
--> statement-breakpoint
INSERT INTO tally (what, n)
  SELECT 'work', count(*) FROM work UNION ALL SELECT 'paper', count(*) FROM paper UNION ALL SELECT 'material', count(*) FROM material
  UNION ALL SELECT 'customer', count(*) FROM customer WHERE merged_into IS NULL
  UNION ALL SELECT 'order', count(*) FROM order_now UNION ALL SELECT 'order.' || state, count(*) FROM order_now GROUP BY state
  UNION ALL SELECT 'edition', count(*) FROM edition_now
  UNION ALL SELECT 'edition.closed', count(*) FROM edition_now WHERE kind = 'limited' AND size <= "out"
  UNION ALL SELECT 'edition.sold', coalesce(sum(sold), 0) FROM edition_now;
--> statement-breakpoint
CREATE TRIGGER `work_lack_work` AFTER INSERT ON `work`
BEGIN
  DELETE FROM work_lack WHERE work_id = NEW.id;
  INSERT INTO work_lack (what, work_id)
    SELECT 'master', w.id FROM work w WHERE NOT EXISTS (SELECT 1 FROM master_now n WHERE n.work_id = w.id) AND w.id = NEW.id
    UNION ALL
    SELECT 'sizes', w.id FROM work w JOIN master_now n ON n.work_id = w.id
      WHERE NOT EXISTS (SELECT 1 FROM size_now z WHERE z.work_id = w.id AND z.kind = 'offered') AND w.id = NEW.id
    UNION ALL
    SELECT 'profile', w.id FROM work w JOIN master_now n ON n.work_id = w.id JOIN master m ON m.id = n.master_id JOIN file f ON f.sha256 = m.sha256
      WHERE f.icc_description IS NULL AND m.assumed_space IS NULL AND w.id = NEW.id;
END;
--> statement-breakpoint
CREATE TRIGGER `work_lack_master` AFTER INSERT ON `master_now`
BEGIN
  DELETE FROM work_lack WHERE work_id = NEW.work_id;
  INSERT INTO work_lack (what, work_id)
    SELECT 'master', w.id FROM work w WHERE NOT EXISTS (SELECT 1 FROM master_now n WHERE n.work_id = w.id) AND w.id = NEW.work_id
    UNION ALL
    SELECT 'sizes', w.id FROM work w JOIN master_now n ON n.work_id = w.id
      WHERE NOT EXISTS (SELECT 1 FROM size_now z WHERE z.work_id = w.id AND z.kind = 'offered') AND w.id = NEW.work_id
    UNION ALL
    SELECT 'profile', w.id FROM work w JOIN master_now n ON n.work_id = w.id JOIN master m ON m.id = n.master_id JOIN file f ON f.sha256 = m.sha256
      WHERE f.icc_description IS NULL AND m.assumed_space IS NULL AND w.id = NEW.work_id;
END;
--> statement-breakpoint
CREATE TRIGGER `work_lack_size` AFTER INSERT ON `size_now`
BEGIN
  DELETE FROM work_lack WHERE work_id = NEW.work_id;
  INSERT INTO work_lack (what, work_id)
    SELECT 'master', w.id FROM work w WHERE NOT EXISTS (SELECT 1 FROM master_now n WHERE n.work_id = w.id) AND w.id = NEW.work_id
    UNION ALL
    SELECT 'sizes', w.id FROM work w JOIN master_now n ON n.work_id = w.id
      WHERE NOT EXISTS (SELECT 1 FROM size_now z WHERE z.work_id = w.id AND z.kind = 'offered') AND w.id = NEW.work_id
    UNION ALL
    SELECT 'profile', w.id FROM work w JOIN master_now n ON n.work_id = w.id JOIN master m ON m.id = n.master_id JOIN file f ON f.sha256 = m.sha256
      WHERE f.icc_description IS NULL AND m.assumed_space IS NULL AND w.id = NEW.work_id;
END;
--> statement-breakpoint
CREATE TRIGGER `work_lack_gone` AFTER DELETE ON `work`
BEGIN
  DELETE FROM work_lack WHERE work_id = OLD.id;
END;
--> statement-breakpoint
INSERT INTO work_lack (what, work_id)
  SELECT 'master', w.id FROM work w WHERE NOT EXISTS (SELECT 1 FROM master_now n WHERE n.work_id = w.id)
  UNION ALL
  SELECT 'sizes', w.id FROM work w JOIN master_now n ON n.work_id = w.id
    WHERE NOT EXISTS (SELECT 1 FROM size_now z WHERE z.work_id = w.id AND z.kind = 'offered')
  UNION ALL
  SELECT 'profile', w.id FROM work w JOIN master_now n ON n.work_id = w.id JOIN master m ON m.id = n.master_id JOIN file f ON f.sha256 = m.sha256
    WHERE f.icc_description IS NULL AND m.assumed_space IS NULL;
--> statement-breakpoint
CREATE TRIGGER `open_size_offered` AFTER INSERT ON `size_now`
BEGIN
  DELETE FROM open_size WHERE work_id = NEW.work_id;
  INSERT INTO open_size (work_id, size_key, event_id)
    SELECT z.work_id, z.size_key, z.event_id FROM size_now z WHERE z.kind = 'offered'
      AND NOT EXISTS (SELECT 1 FROM edition e JOIN edition_now n ON n.edition_id = e.id
        WHERE e.work_id = z.work_id AND e.size_key IN (z.size_key, 'all') AND n.kind = 'limited') AND z.work_id = NEW.work_id;
END;
--> statement-breakpoint
CREATE TRIGGER `open_size_declared` AFTER INSERT ON `edition_now`
BEGIN
  DELETE FROM open_size WHERE work_id = (SELECT work_id FROM edition WHERE id = NEW.edition_id);
  INSERT INTO open_size (work_id, size_key, event_id)
    SELECT z.work_id, z.size_key, z.event_id FROM size_now z WHERE z.kind = 'offered'
      AND NOT EXISTS (SELECT 1 FROM edition e JOIN edition_now n ON n.edition_id = e.id
        WHERE e.work_id = z.work_id AND e.size_key IN (z.size_key, 'all') AND n.kind = 'limited') AND z.work_id = (SELECT work_id FROM edition WHERE id = NEW.edition_id);
END;
--> statement-breakpoint
CREATE TRIGGER `open_size_redeclared` AFTER UPDATE OF kind ON `edition_now`
BEGIN
  DELETE FROM open_size WHERE work_id = (SELECT work_id FROM edition WHERE id = NEW.edition_id);
  INSERT INTO open_size (work_id, size_key, event_id)
    SELECT z.work_id, z.size_key, z.event_id FROM size_now z WHERE z.kind = 'offered'
      AND NOT EXISTS (SELECT 1 FROM edition e JOIN edition_now n ON n.edition_id = e.id
        WHERE e.work_id = z.work_id AND e.size_key IN (z.size_key, 'all') AND n.kind = 'limited') AND z.work_id = (SELECT work_id FROM edition WHERE id = NEW.edition_id);
END;
--> statement-breakpoint
INSERT INTO open_size (work_id, size_key, event_id)
  SELECT z.work_id, z.size_key, z.event_id FROM size_now z WHERE z.kind = 'offered'
    AND NOT EXISTS (SELECT 1 FROM edition e JOIN edition_now n ON n.edition_id = e.id
      WHERE e.work_id = z.work_id AND e.size_key IN (z.size_key, 'all') AND n.kind = 'limited');
--> statement-breakpoint
CREATE TRIGGER `work_now_new` AFTER INSERT ON `work`
BEGIN
  INSERT INTO work_now (work_id, pixels, sizes, sold) VALUES (NEW.id, (SELECT f.width_px * f.height_px FROM master_now n JOIN master m ON m.id = n.master_id JOIN file f ON f.sha256 = m.sha256 WHERE n.work_id = NEW.id), (SELECT count(*) FROM size_now z WHERE z.work_id = NEW.id AND z.kind = 'offered'), (SELECT count(*) FROM line_now l WHERE l.work_id = NEW.id AND l.state = 'shipped'));
END;
--> statement-breakpoint
CREATE TRIGGER `work_now_gone` AFTER DELETE ON `work`
BEGIN
  DELETE FROM work_now WHERE work_id = OLD.id;
END;
--> statement-breakpoint
CREATE TRIGGER `work_now_taken` AFTER INSERT ON `master_now`
BEGIN
  UPDATE work_now SET pixels = (SELECT f.width_px * f.height_px FROM master_now n JOIN master m ON m.id = n.master_id JOIN file f ON f.sha256 = m.sha256 WHERE n.work_id = NEW.work_id) WHERE work_id = NEW.work_id;
END;
--> statement-breakpoint
CREATE TRIGGER `work_now_offered` AFTER INSERT ON `size_now`
BEGIN
  UPDATE work_now SET sizes = (SELECT count(*) FROM size_now z WHERE z.work_id = NEW.work_id AND z.kind = 'offered') WHERE work_id = NEW.work_id;
END;
--> statement-breakpoint
CREATE TRIGGER `work_now_sold` AFTER UPDATE OF state ON `line_now` WHEN OLD.state <> NEW.state
BEGIN
  UPDATE work_now SET sold = sold + (NEW.state = 'shipped') - (OLD.state = 'shipped') WHERE work_id = NEW.work_id;
END;
--> statement-breakpoint
INSERT INTO work_now (work_id, pixels, sizes, sold) SELECT w.id, (SELECT f.width_px * f.height_px FROM master_now n JOIN master m ON m.id = n.master_id JOIN file f ON f.sha256 = m.sha256 WHERE n.work_id = w.id), (SELECT count(*) FROM size_now z WHERE z.work_id = w.id AND z.kind = 'offered'), (SELECT count(*) FROM line_now l WHERE l.work_id = w.id AND l.state = 'shipped') FROM work w;
--> statement-breakpoint
CREATE TRIGGER `customer_now_new` AFTER INSERT ON `customer`
BEGIN
  INSERT INTO customer_now (customer_id, orders, last_at) VALUES (NEW.id, 0, NULL);
END;
--> statement-breakpoint
CREATE TRIGGER `customer_now_ordered` AFTER INSERT ON `orders`
BEGIN
  UPDATE customer_now SET orders = orders + 1, last_at = max(coalesce(last_at, ''), NEW.placed_at)
  WHERE customer_id = (SELECT coalesce(merged_into, id) FROM customer WHERE id = NEW.customer_id);
END;
--> statement-breakpoint
CREATE TRIGGER `customer_now_merged` AFTER UPDATE OF merged_into ON `customer` WHEN OLD.merged_into IS NULL AND NEW.merged_into IS NOT NULL
BEGIN
  UPDATE customer_now SET
    orders = orders + (SELECT o.orders FROM customer_now o WHERE o.customer_id = NEW.id),
    last_at = nullif(max(coalesce(last_at, ''), coalesce((SELECT o.last_at FROM customer_now o WHERE o.customer_id = NEW.id), '')), '')
  WHERE customer_id = NEW.merged_into;
  UPDATE customer_now SET orders = 0, last_at = NULL WHERE customer_id = NEW.id;
END;
--> statement-breakpoint
INSERT INTO customer_now (customer_id, orders, last_at)
  SELECT c.id, count(o.id), max(o.placed_at) FROM customer c
  LEFT JOIN orders o ON o.customer_id = c.id OR o.customer_id IN (SELECT m.id FROM customer m WHERE m.merged_into = c.id)
  WHERE c.merged_into IS NULL GROUP BY c.id
  UNION ALL SELECT id, 0, NULL FROM customer WHERE merged_into IS NOT NULL;
--> statement-breakpoint
DROP TRIGGER `search_work_new`;
--> statement-breakpoint
DROP TRIGGER `search_work_edited`;
--> statement-breakpoint
DROP TRIGGER `search_work_gone`;
--> statement-breakpoint
DROP TRIGGER `search_paper_new`;
--> statement-breakpoint
DROP TRIGGER `search_paper_edited`;
--> statement-breakpoint
DROP TRIGGER `search_paper_gone`;
--> statement-breakpoint
DROP TRIGGER `search_order_new`;
--> statement-breakpoint
DROP TRIGGER `search_customer_new`;
--> statement-breakpoint
DROP TRIGGER `search_customer_edited`;
--> statement-breakpoint
DROP TRIGGER `search_customer_merged`;
--> statement-breakpoint
DROP TABLE `search`;
--> statement-breakpoint
CREATE VIRTUAL TABLE `work_search` USING fts5(words, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3');
--> statement-breakpoint
CREATE VIRTUAL TABLE `paper_search` USING fts5(words, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3');
--> statement-breakpoint
CREATE VIRTUAL TABLE `order_search` USING fts5(words, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3');
--> statement-breakpoint
CREATE VIRTUAL TABLE `customer_search` USING fts5(words, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3');
--> statement-breakpoint
CREATE TRIGGER `work_search_new` AFTER INSERT ON `work`
BEGIN
  INSERT INTO work_search (rowid, words) VALUES (NEW.id, concat_ws(' ', NEW.title, NEW.artist, NEW.medium, NEW.year));
END;
--> statement-breakpoint
CREATE TRIGGER `work_search_edited` AFTER UPDATE ON `work`
BEGIN
  UPDATE work_search SET words = concat_ws(' ', NEW.title, NEW.artist, NEW.medium, NEW.year) WHERE rowid = NEW.id;
END;
--> statement-breakpoint
CREATE TRIGGER `work_search_gone` AFTER DELETE ON `work`
BEGIN
  DELETE FROM work_search WHERE rowid = OLD.id;
END;
--> statement-breakpoint
INSERT INTO work_search (rowid, words) SELECT id, concat_ws(' ', title, artist, medium, year) FROM work;
--> statement-breakpoint
CREATE TRIGGER `paper_search_new` AFTER INSERT ON `paper`
BEGIN
  INSERT INTO paper_search (rowid, words) VALUES (NEW.id, concat_ws(' ', NEW.name, NEW.maker, NEW.base, NEW.surface));
END;
--> statement-breakpoint
CREATE TRIGGER `paper_search_edited` AFTER UPDATE ON `paper`
BEGIN
  UPDATE paper_search SET words = concat_ws(' ', NEW.name, NEW.maker, NEW.base, NEW.surface) WHERE rowid = NEW.id;
END;
--> statement-breakpoint
CREATE TRIGGER `paper_search_gone` AFTER DELETE ON `paper`
BEGIN
  DELETE FROM paper_search WHERE rowid = OLD.id;
END;
--> statement-breakpoint
INSERT INTO paper_search (rowid, words) SELECT id, concat_ws(' ', name, maker, base, surface) FROM paper;
--> statement-breakpoint
CREATE TRIGGER `order_search_new` AFTER INSERT ON `orders`
BEGIN
  INSERT INTO order_search (rowid, words) SELECT NEW.id, concat_ws(' ', NEW.number, name, town, country) FROM customer WHERE id = NEW.customer_id;
END;
--> statement-breakpoint
CREATE TRIGGER `customer_search_new` AFTER INSERT ON `customer` WHEN NEW.merged_into IS NULL
BEGIN
  INSERT INTO customer_search (rowid, words) VALUES (NEW.id, concat_ws(' ', NEW.name, NEW.street, NEW.town, NEW.country));
END;
--> statement-breakpoint
CREATE TRIGGER `customer_search_edited` AFTER UPDATE OF name, street, town, country ON `customer`
BEGIN
  UPDATE order_search SET words = concat_ws(' ', (SELECT number FROM orders WHERE id = order_search.rowid), NEW.name, NEW.town, NEW.country)
  WHERE rowid IN (SELECT id FROM orders WHERE customer_id = NEW.id);
  UPDATE customer_search SET words = concat_ws(' ', NEW.name, NEW.street, NEW.town, NEW.country) WHERE rowid = NEW.id;
END;
--> statement-breakpoint
CREATE TRIGGER `customer_search_merged` AFTER UPDATE OF merged_into ON `customer` WHEN NEW.merged_into IS NOT NULL
BEGIN
  DELETE FROM customer_search WHERE rowid = NEW.id;
END;
--> statement-breakpoint
INSERT INTO order_search (rowid, words) SELECT o.id, concat_ws(' ', o.number, c.name, c.town, c.country) FROM orders o JOIN customer c ON c.id = o.customer_id;
--> statement-breakpoint
INSERT INTO customer_search (rowid, words) SELECT id, concat_ws(' ', name, street, town, country) FROM customer WHERE merged_into IS NULL;
