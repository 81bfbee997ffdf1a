CREATE TRIGGER `edition_now_declared` AFTER INSERT ON `ledger` WHEN NEW.kind = 'declared'
BEGIN
  INSERT OR REPLACE INTO edition_now (edition_id, kind, size, artists_proofs)
  VALUES (NEW.edition_id, NEW.payload ->> 'kind', NEW.payload ->> 'size', NEW.payload ->> 'artistsProofs');
END;
--> statement-breakpoint
CREATE TRIGGER `impression_now_ledger` AFTER INSERT ON `ledger` WHEN NEW.number IS NOT NULL
BEGIN
  INSERT INTO impression_now (edition_id, series, number, state, printing, order_number)
  VALUES (
    NEW.edition_id, NEW.series, NEW.number,
    CASE NEW.kind WHEN 'spoiled' THEN 'spoiled' WHEN 'ordered' THEN 'ordered' WHEN 'shipped' THEN 'sold' ELSE 'numbered' END,
    NEW.kind = 'assigned',
    CASE WHEN NEW.kind IN ('ordered', 'shipped') THEN NEW.payload ->> 'order' END
  )
  ON CONFLICT DO UPDATE SET
    state = excluded.state,
    printing = printing + excluded.printing,
    order_number = excluded.order_number;
END;
--> statement-breakpoint
CREATE TRIGGER `order_now_taken` AFTER INSERT ON `orders`
BEGIN
  INSERT INTO order_now (order_id, due_on, sealed, shipped_at, postage_minor) VALUES (NEW.id, NEW.due_on, 0, NULL, 0);
END;
--> statement-breakpoint
CREATE TRIGGER `order_now_event` AFTER INSERT ON `order_event` WHEN NEW.kind IN ('labelled', 'shipped')
BEGIN
  UPDATE order_now SET
    sealed = 1,
    shipped_at = CASE NEW.kind WHEN 'shipped' THEN NEW.at ELSE shipped_at END,
    postage_minor = CASE NEW.kind WHEN 'labelled' THEN coalesce(NEW.payload ->> 'cost', 0) ELSE postage_minor END
  WHERE order_id = NEW.order_id;
END;
--> statement-breakpoint
CREATE TRIGGER `size_now_event` AFTER INSERT ON `size_event`
BEGIN
  INSERT OR REPLACE INTO size_now (work_id, size_key, event_id, kind) VALUES (NEW.work_id, NEW.size_key, NEW.id, NEW.kind);
END;
--> statement-breakpoint
CREATE TRIGGER `price_now_set` AFTER INSERT ON `price`
BEGIN
  INSERT OR REPLACE INTO price_now (work_id, size_key, price_id) VALUES (NEW.work_id, NEW.size_key, NEW.id);
END;
--> statement-breakpoint
CREATE TRIGGER `master_now_taken` AFTER INSERT ON `master`
BEGIN
  INSERT OR REPLACE INTO master_now (work_id, master_id) VALUES (NEW.work_id, NEW.id);
END;
--> statement-breakpoint
CREATE TRIGGER `stock_now_moved` AFTER INSERT ON `movement`
BEGIN
  INSERT INTO stock_now (`of`, ref, pieces) VALUES (NEW.`of`, NEW.ref, NEW.pieces)
  ON CONFLICT DO UPDATE SET pieces = pieces + excluded.pieces;
END;
--> statement-breakpoint
CREATE TRIGGER `proof_out_sent` AFTER INSERT ON `proof_round`
BEGIN
  INSERT INTO proof_out (round_id) VALUES (NEW.id);
END;
--> statement-breakpoint
CREATE TRIGGER `proof_out_back` AFTER INSERT ON `proof_return`
BEGIN
  DELETE FROM proof_out WHERE round_id = NEW.round_id;
END;
--> statement-breakpoint
CREATE VIRTUAL TABLE `search` USING fts5(text, kind UNINDEXED, ref UNINDEXED, tokenize = 'unicode61 remove_diacritics 2', prefix = '2 3');
--> statement-breakpoint
CREATE TRIGGER `search_work_new` AFTER INSERT ON `work`
BEGIN
  INSERT INTO search (rowid, text, kind, ref) VALUES (NEW.id * 4, concat_ws(' ', NEW.title, NEW.artist, NEW.medium, NEW.year), 'work', NEW.id);
END;
--> statement-breakpoint
CREATE TRIGGER `search_work_edited` AFTER UPDATE ON `work`
BEGIN
  UPDATE search SET text = concat_ws(' ', NEW.title, NEW.artist, NEW.medium, NEW.year) WHERE rowid = NEW.id * 4;
END;
--> statement-breakpoint
CREATE TRIGGER `search_work_gone` AFTER DELETE ON `work`
BEGIN
  DELETE FROM search WHERE rowid = OLD.id * 4;
END;
--> statement-breakpoint
CREATE TRIGGER `search_paper_new` AFTER INSERT ON `paper`
BEGIN
  INSERT INTO search (rowid, text, kind, ref) VALUES (NEW.id * 4 + 1, concat_ws(' ', NEW.name, NEW.maker, NEW.base, NEW.surface), 'paper', NEW.id);
END;
--> statement-breakpoint
CREATE TRIGGER `search_paper_edited` AFTER UPDATE ON `paper`
BEGIN
  UPDATE search SET text = concat_ws(' ', NEW.name, NEW.maker, NEW.base, NEW.surface) WHERE rowid = NEW.id * 4 + 1;
END;
--> statement-breakpoint
CREATE TRIGGER `search_paper_gone` AFTER DELETE ON `paper`
BEGIN
  DELETE FROM search WHERE rowid = OLD.id * 4 + 1;
END;
--> statement-breakpoint
CREATE TRIGGER `search_order_new` AFTER INSERT ON `orders`
BEGIN
  INSERT INTO search (rowid, text, kind, ref)
  SELECT NEW.id * 4 + 2, concat_ws(' ', NEW.number, name, town, country), 'order', NEW.id FROM customer WHERE id = NEW.customer_id;
END;
--> statement-breakpoint
CREATE TRIGGER `search_customer_edited` AFTER UPDATE ON `customer`
BEGIN
  UPDATE search SET text = concat_ws(' ', (SELECT number FROM orders WHERE id = ref), NEW.name, NEW.town, NEW.country)
  WHERE rowid IN (SELECT id * 4 + 2 FROM orders WHERE customer_id = NEW.id);
END;
--> statement-breakpoint
INSERT INTO edition_now SELECT edition_id, payload ->> 'kind', payload ->> 'size', payload ->> 'artistsProofs'
FROM ledger WHERE seq IN (SELECT max(seq) FROM ledger WHERE kind = 'declared' GROUP BY edition_id);
--> statement-breakpoint
INSERT INTO impression_now
SELECT l.edition_id, l.series, l.number,
  CASE l.kind WHEN 'spoiled' THEN 'spoiled' WHEN 'ordered' THEN 'ordered' WHEN 'shipped' THEN 'sold' ELSE 'numbered' END,
  g.printing,
  CASE WHEN l.kind IN ('ordered', 'shipped') THEN l.payload ->> 'order' END
FROM (
  SELECT max(seq) AS seq, sum(kind = 'assigned') AS printing
  FROM ledger WHERE number IS NOT NULL GROUP BY edition_id, series, number
) g JOIN ledger l ON l.seq = g.seq;
--> statement-breakpoint
INSERT INTO order_now
SELECT o.id, o.due_on,
  EXISTS (SELECT 1 FROM order_event e WHERE e.order_id = o.id AND e.kind IN ('labelled', 'shipped')),
  (SELECT max(at) FROM order_event e WHERE e.order_id = o.id AND e.kind = 'shipped'),
  coalesce((SELECT payload ->> 'cost' FROM order_event e WHERE e.order_id = o.id AND e.kind = 'labelled' ORDER BY id DESC LIMIT 1), 0)
FROM orders o;
--> statement-breakpoint
INSERT INTO size_now SELECT work_id, size_key, id, kind FROM size_event
WHERE id IN (SELECT max(id) FROM size_event GROUP BY work_id, size_key);
--> statement-breakpoint
INSERT INTO price_now SELECT work_id, size_key, max(id) FROM price GROUP BY work_id, size_key;
--> statement-breakpoint
INSERT INTO master_now SELECT work_id, max(id) FROM master GROUP BY work_id;
--> statement-breakpoint
INSERT INTO stock_now SELECT `of`, ref, sum(pieces) FROM movement GROUP BY `of`, ref;
--> statement-breakpoint
INSERT INTO proof_out SELECT id FROM proof_round WHERE id NOT IN (SELECT round_id FROM proof_return);
--> statement-breakpoint
INSERT INTO search (rowid, text, kind, ref) SELECT id * 4, concat_ws(' ', title, artist, medium, year), 'work', id FROM work;
--> statement-breakpoint
INSERT INTO search (rowid, text, kind, ref) SELECT id * 4 + 1, concat_ws(' ', name, maker, base, surface), 'paper', id FROM paper;
--> statement-breakpoint
INSERT INTO search (rowid, text, kind, ref)
SELECT o.id * 4 + 2, concat_ws(' ', o.number, c.name, c.town, c.country), 'order', o.id FROM orders o JOIN customer c ON c.id = o.customer_id;
